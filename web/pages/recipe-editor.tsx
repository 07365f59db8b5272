import { useEffect, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import styled from 'styled-components';

import type { Diet } from '../../core/matter';
import type { RecipeDraft } from '../../core/reader';
import type { PatternSlot } from '../../core/recipe';
import { BANDS } from '../../core/thickness';
import { Button } from '../components/button';
import { PickOne } from '../components/menu';
import { Waiting } from '../components/page';
import { SmallField } from '../components/small-field';
import { Caution, Errors, Over, Soft, Subtitle } from '../components/text';
import { Ticks } from '../components/ticks';
import { sentencesOf } from '../data/api';
import { holdPage } from '../data/new-build';
import { useSaveRecipe } from '../data/queries';
import { type Book, useBook } from '../data/use-book';
import { colour, font, media, size, space } from '../theme/tokens';
import { litres, money, recipeEditorWords } from '../words';
import { NotHere } from './not-here';
import { Unpriced } from './plan-parts/price-form';
import { DoubtList } from './recipe-editor/doubt-list';
import { clearForm, keepForm, keepPaper, keptForm } from './recipe-editor/kept-form';
import { LineRow } from './recipe-editor/line-row';
import { Paper } from './recipe-editor/paper';
import { RatioList } from './recipe-editor/ratio-list';
import { SavedElsewhere } from './recipe-editor/saved-elsewhere';
import { StageList } from './recipe-editor/stage-list';
import { StagePictures } from './recipe-editor/stage-pictures';
import { formOfDraft, formOfRecipe, type RecipeForm, useEditing } from './recipe-editor/use-editing';
import { WhatItHolds } from './recipe-parts/what-it-holds';
import { useKitchenHere } from './use-kitchen-here';

const Columns = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.35fr) minmax(0, 1fr);
  min-height: 100%;
  > section {
    padding: ${space.m} 28px ${space.xl};
    display: grid;
    gap: ${space.m};
    align-content: start;
  }
  > section:last-child {
    background: ${colour.sheet};
    border-left: 1px solid ${colour.line};
  }
  ${media.medium} {
    grid-template-columns: minmax(0, 1fr);
  }
  ${media.narrow} {
    > section {
      padding: ${space.m};
    }
  }
`;

const Name = styled.input`
  width: 100%;
  border: 0;
  border-bottom: 3px solid ${colour.act};
  background: none;
  font: 650 ${size.title} / 1.2 ${font.title};
  color: ${colour.iron};
  padding: 4px 0;
`;

const Figures = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: ${space.m};
  ${media.narrow} {
    grid-template-columns: 1fr 1fr;
  }
`;

const Bar = styled.div`
  position: sticky;
  bottom: 0;
  display: flex;
  flex-wrap: wrap;
  gap: ${space.s} ${space.m};
  align-items: center;
  padding: ${space.s} 0;
  background: ${colour.enamel};
  border-top: 2px solid ${colour.iron};
`;

/** A recipe being written: from paper, or one of the book taken up again. */
export function RecipeEditor() {
  const { id } = useParams();
  const kitchen = useKitchenHere();
  const book = useBook(kitchen, id);
  const [draft, setDraft] = useState<RecipeDraft | null>(null);
  const [kept, setKept] = useState(() => keptForm(id ?? null));
  if (!book) return <Waiting />;
  const recipe = id ? book.library.recipes[id] : undefined;
  if (id && !recipe) return <NotHere />;
  const first = kept ?? (recipe ? formOfRecipe(recipe, book) : draft && formOfDraft(draft, book));
  if (!first) return <Paper book={book} onTaken={setDraft} />;
  const startOver = () => {
    clearForm(id ?? null);
    setKept(null);
    setDraft(null);
  };
  return (
    <FormFor
      key={`${id ?? ''} ${kept ? 'kept' : 'fresh'}`}
      first={first}
      recipeId={id ?? null}
      book={book}
      isKept={kept !== null}
      onStartOver={startOver}
    />
  );
}

function FormFor({
  first,
  recipeId,
  book,
  isKept,
  onStartOver,
}: {
  first: RecipeForm;
  recipeId: string | null;
  book: Book;
  /** left lying here by an earlier visit, not saved yet */
  isKept: boolean;
  onStartOver: () => void;
}) {
  const kitchen = useKitchenHere();
  const navigate = useNavigate();
  const save = useSaveRecipe();
  const [atFirst] = useState(first);
  const editing = useEditing(atFirst, book);
  const { form, errors } = editing;
  const [isTried, setTried] = useState(false);
  const latest = book.library.recipes[form.id];
  const [openLine, setOpenLine] = useState<string | null>(null);
  // what is in the form survives a reload, off paper from the first; one of the book that was not touched leaves no trace
  useEffect(() => {
    if (form !== atFirst || recipeId === null) keepForm(recipeId, form);
  }, [form, atFirst, recipeId]);
  // and a new build waits for it all the same: what was undone cannot be done again after one
  const isUnsaved = form !== atFirst || isKept;
  useEffect(() => {
    if (!isUnsaved) return;
    const letGo = holdPage();
    return () => void letGo();
  }, [isUnsaved]);
  const error = (field: string) => errors.find((one) => one.field === field)?.sentence ?? null;
  const refused = sentencesOf(save.error);
  const elsewhere = errors.filter(
    (one) => !['name', 'portions', 'portionMl', 'saltPercent'].includes(one.field),
  );
  const isOff = Math.abs(editing.litresAsWritten / editing.recipe.litres - 1) > 0.35;

  const keep = () => {
    setTried(true);
    if (errors.length > 0) return;
    save.mutate(
      { recipe: editing.recipe, ...(form.basedOn === null ? {} : { basedOn: form.basedOn }) },
      {
        onSuccess: (saved) => {
          clearForm(recipeId);
          if (recipeId === null) keepPaper('');
          navigate(`/recipes/${saved.id}`);
        },
      },
    );
  };

  return (
    <Columns>
      <section>
        <div>
          <Over as="h1">
            {form.basedOn === null
              ? recipeEditorWords.aNewRecipe
              : recipeEditorWords.versionEdited(form.basedOn)}
          </Over>
          <Name
            aria-label={recipeEditorWords.nameOfTheRecipe}
            value={form.name}
            onChange={(event) => editing.change({ name: event.target.value })}
          />
        </div>
        <Figures>
          <SmallField
            label={recipeEditorWords.makes}
            value={form.portions}
            onChange={(portions) => editing.change({ portions })}
            unit="bowls"
            error={error('portions')}
          />
          <SmallField
            label={recipeEditorWords.of2}
            value={form.portionMl}
            onChange={(portionMl) => editing.change({ portionMl })}
            unit="mL"
            error={error('portionMl')}
          />
          <SmallField
            label={recipeEditorWords.saltAtTheEnd}
            value={form.saltPercent}
            onChange={(saltPercent) => editing.change({ saltPercent })}
            unit="%"
            error={error('saltPercent')}
          />
          <PickOne
            label={recipeEditorWords.thickness}
            value={form.bandName}
            options={BANDS.map((band) => ({ id: band.name, text: band.name }))}
            onChange={(bandName) => editing.change({ bandName })}
          />
        </Figures>
        {isOff && (
          <Caution>
            {recipeEditorWords.itsLinesComeToAbout(
              litres(editing.litresAsWritten),
              form.portions,
              Number(form.portionMl),
              litres(editing.recipe.litres),
            )}
          </Caution>
        )}
        {latest &&
          form.basedOn !== null &&
          latest.version > form.basedOn &&
          !save.isPending &&
          !save.isSuccess && <SavedElsewhere editing={editing} latest={latest} book={book} />}
        <DoubtList editing={editing} onFood={setOpenLine} />
        <div>
          <Subtitle>{recipeEditorWords.lines}</Subtitle>
          <ul aria-label={recipeEditorWords.lines}>
            {editing.understood.map((one) => (
              <LineRow
                key={one.line.id}
                understood={one}
                editing={editing}
                book={book}
                isOpen={openLine === one.line.id}
                onOpen={(isOpen) => setOpenLine(isOpen ? one.line.id : null)}
              />
            ))}
          </ul>
          <Button kind="quiet" onPress={editing.addLine}>
            {recipeEditorWords.addALine}
          </Button>
        </div>
        <Bar>
          <Button kind="main" onPress={keep} isDisabled={save.isPending}>
            {form.basedOn === null ? recipeEditorWords.save : recipeEditorWords.saveVersion(form.basedOn + 1)}
          </Button>
          {editing.canUndo && (
            <Button kind="quiet" onPress={editing.undo}>
              {recipeEditorWords.undo}
            </Button>
          )}
          {isKept && (
            <Button kind="quiet" onPress={onStartOver}>
              {recipeId === null ? recipeEditorWords.clearAll : recipeEditorWords.backToTheSavedOne}
            </Button>
          )}
          <Over>
            {editing.costCents !== null &&
              recipeEditorWords.atLeastABowlAs(
                editing.unpriced.length > 0,
                money(editing.costCents, kitchen.currency),
                editing.unpriced.length > 0
                  ? recipeEditorWords.withoutNoPriceYet(editing.unpriced.join(', ').toLowerCase())
                  : editing.guessed.length > 0
                    ? recipeEditorWords.guessedPrices(editing.guessed.length)
                    : '',
              )}
            {errors.length > 0 && recipeEditorWords.toCorrect(errors.length)}
          </Over>
          <Errors
            sentences={
              isTried ? [...new Set([...elsewhere.map((one) => one.sentence), ...refused])] : refused
            }
          />
        </Bar>
      </section>
      <section>
        <Subtitle>{recipeEditorWords.stages}</Subtitle>
        <StagePictures editing={editing} book={book} />
        <Over>{recipeEditorWords.dragFoods}</Over>
        <StageList editing={editing} book={book} />
        <RatioList editing={editing} book={book} />
        {editing.tooBig.length > 0 && (
          <Caution>
            {recipeEditorWords.aPieceOfItIs(
              editing.tooBig
                .map((id) =>
                  book.rows[
                    editing.recipe.lines.find((line) => line.id === id)?.ingredientId ?? ''
                  ]?.name.toLowerCase(),
                )
                .join(', '),
            )}
          </Caution>
        )}
        <Ticks
          label={recipeEditorWords.menuClaim}
          value={form.claims}
          options={[
            { id: 'vegetarian', text: recipeEditorWords.vegetarian },
            { id: 'vegan', text: recipeEditorWords.vegan },
          ]}
          onChange={(claims) => editing.change({ claims: claims as Diet[] })}
        />
        <Unpriced names={editing.unpriced} guessed={editing.guessed} rows={Object.values(book.rows)} />
        {editing.holds && (
          <WhatItHolds holds={editing.holds} broken={editing.broken} advisories={editing.advisories} />
        )}
        <PatternSlots editing={editing} />
        <SmallField
          label={recipeEditorWords.note}
          value={form.note}
          onChange={(note) => editing.change({ note })}
          rows={2}
        />
      </section>
    </Columns>
  );
}

/** A recipe kept as a pattern: which of its lines may be another food of their role. */
function PatternSlots({ editing }: { editing: ReturnType<typeof useEditing> }) {
  const slots = editing.form.rest.pattern ?? [];
  const roleOf = (kind: string | undefined): PatternSlot['role'] | null =>
    kind === 'vegetable' || kind === 'pulse'
      ? 'vegetable'
      : kind === 'thickener'
        ? 'starch'
        : kind === 'stock' || kind === 'water'
          ? 'liquid'
          : null;
  const candidates = editing.understood.flatMap((one) => {
    const role = /bones$/.test(one.ingredient?.id ?? '') ? ('bone' as const) : roleOf(one.ingredient?.kind);
    return role ? [{ writtenId: one.line.id, role, name: one.ingredient!.name }] : [];
  });
  if (candidates.length === 0) return null;
  return (
    <div>
      <Ticks
        label={recipeEditorWords.asAPatternOpenTo}
        value={slots.map((slot) => slot.writtenId)}
        options={candidates.map((one) => ({ id: one.writtenId, text: one.name.split(',')[0]! }))}
        onChange={(ids) =>
          editing.change({
            rest: {
              ...editing.form.rest,
              pattern: candidates
                .filter((one) => ids.includes(one.writtenId))
                .map(({ writtenId, role }) => ({ writtenId, role })),
            },
          })
        }
      />
      {slots.length > 0 && (
        <Soft>
          {recipeEditorWords.fromItsPageANew([...new Set(slots.map((slot) => slot.role))].join(', '))}
        </Soft>
      )}
    </div>
  );
}
