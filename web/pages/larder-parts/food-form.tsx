import { useState } from 'react';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { numberField, sentenceCase, textField } from '../../../contract';
import { ALLERGENS, type Allergen, DIETS, type Diet, type Ingredient } from '../../../core/matter';
import { linesNaming } from '../../../core/reader';
import { holdsMoves } from '../../../core/recipe';
import { Button } from '../../components/button';
import { figureOrNone, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { PickOne, PickTyped } from '../../components/menu';
import { Caution, Errors, Soft } from '../../components/text';
import { Ticks } from '../../components/ticks';
import { sentencesOf } from '../../data/api';
import { useOwnFood } from '../../data/queries';
import { useBook } from '../../data/use-book';
import { space } from '../../theme/tokens';
import { decimal, holdsMoveWords, larderWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';

const Two = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: ${space.s} ${space.m};
`;

const Row = styled.div`
  display: flex;
  gap: ${space.s};
`;

const ALLERGEN_IDS = Object.keys(ALLERGENS) as Allergen[];
const DIET_WORDS: Record<Diet, string> = {
  vegan: 'vegan',
  vegetarian: 'vegetarian',
  fish: 'fish',
  meat: 'meat',
};

const FOOD = v.object({
  name: typedWords(textField(larderWords.theName, 60)),
  salt: figureOrNone(numberField(larderWords.salt, 0, 100, larderWords.gIn100G)),
  fat: figureOrNone(numberField(larderWords.fat, 0, 100, larderWords.gIn100G)),
  pieceG: figureOrNone(numberField(larderWords.oneOfIt, 0.01, 100_000, 'g')),
});

/** A food of the kitchen's own, or a label over one of the table: like something that is there, with what its label says. */
export function FoodForm({
  name: firstName,
  rows,
  over,
  onDone,
  onCancel,
}: {
  name: string;
  rows: Readonly<Record<string, Ingredient>>;
  /** the row whose label is typed over; none for a new food */
  over?: Ingredient;
  onDone: (food: Ingredient) => void;
  onCancel: () => void;
}) {
  const [like, setLike] = useState<string | null>(over ? (over.guessedFrom ?? over.id) : null);
  const [allergens, setAllergens] = useState<string[] | null>(over ? [...over.allergens] : null);
  const [diet, setDiet] = useState<Diet | null>(over?.diet ?? null);
  const [isUnsaid, setUnsaid] = useState(false);
  // the kitchen's own, never made of a name; kept while the form is open, so that a second press says the same
  const [id] = useState(() => over?.id ?? uuid());
  const save = useOwnFood();
  const base = like ? rows[like] : undefined;
  const form = useTypedForm({
    first: { name: over?.name ?? sentenceCase(firstName), salt: '', fat: '', pieceG: '' },
    schema: FOOD,
    keep: ({ name, salt, fat, pieceG }) => {
      if (!like) return;
      save.mutate(
        {
          id,
          ...(over ? { isLabel: true } : {}),
          name,
          like,
          ...(salt === undefined ? {} : { saltPercent: salt }),
          ...(fat === undefined ? {} : { fatPercent: fat }),
          ...(pieceG === undefined ? {} : { pieceG }),
          ...(allergens ? { allergens: allergens as Allergen[] } : {}),
          ...(diet ? { diet } : {}),
        },
        { onSuccess: onDone },
      );
    },
  });
  return (
    <TypedForm form={form} onSubmit={() => setUnsaid(!like)}>
      <Soft>{over ? larderWords.whatTheProductsOwnLabel : larderWords.itsCompositionIsCopiedFrom}</Soft>
      <Two>
        <form.AppField name="name">{(field) => <field.InOffice label={larderWords.itsName} />}</form.AppField>
        {!over && (
          <PickTyped
            label={larderWords.itIsLike}
            value={like}
            options={Object.values(rows).map((row) => ({ id: row.id, text: row.name }))}
            onChange={setLike}
          />
        )}
        <form.AppField name="salt">
          {(field) => (
            <field.InOffice
              label={larderWords.saltOffTheLabel}
              unit="g in 100 g"
              placeholder={base ? decimal(base.perKg.salt * 100, 1) : ''}
            />
          )}
        </form.AppField>
        <form.AppField name="fat">
          {(field) => (
            <field.InOffice
              label={larderWords.fatOffTheLabel}
              unit="g in 100 g"
              placeholder={base ? decimal(base.perKg.fat * 100, 1) : ''}
            />
          )}
        </form.AppField>
        <form.AppField name="pieceG">
          {(field) => <field.InOffice label={larderWords.oneOfItWeighs} unit="g" />}
        </form.AppField>
        <PickOne
          label={larderWords.diet}
          value={diet ?? base?.diet ?? null}
          options={DIETS.map((id) => ({ id, text: DIET_WORDS[id] }))}
          onChange={(id) => setDiet(id as Diet)}
        />
      </Two>
      <Ticks
        label={larderWords.allergens}
        value={allergens ?? base?.allergens ?? []}
        options={ALLERGEN_IDS.map((id) => ({ id, text: ALLERGENS[id].name }))}
        onChange={setAllergens}
      />
      {over && <LabelMoves over={over} allergens={allergens ?? over.allergens} diet={diet ?? over.diet} />}
      {!over && (
        <form.Subscribe selector={(state) => state.values.name}>
          {(name) => <SaidIn name={name} />}
        </form.Subscribe>
      )}
      <Errors
        sentences={[...(isUnsaid && !like ? [larderWords.sayWhatItIsLike] : []), ...sentencesOf(save.error)]}
      />
      <Row>
        <Button kind="main" type="submit" isDisabled={save.isPending}>
          {over ? larderWords.saveTheLabel : larderWords.addIt}
        </Button>
        <Button kind="quiet" onPress={onCancel}>
          {larderWords.notNow}
        </Button>
      </Row>
    </TypedForm>
  );
}

/** Of which dishes something else would be said, were this the label of a food they hold. */
function LabelMoves({
  over,
  allergens,
  diet,
}: {
  over: Ingredient;
  allergens: readonly string[];
  diet: Diet;
}) {
  const book = useBook(useKitchenHere());
  if (!book) return null;
  const row: Ingredient = { ...over, allergens: allergens as Allergen[], diet };
  const after = { ...book.library, ingredients: { ...book.library.ingredients, [over.id]: row } };
  const moves = holdsMoves(book.recipes, book.library, after);
  if (moves.length === 0) return null;
  return (
    <Caution>
      {larderWords.checkItAgainstThePacket(
        moves.map((move) => `${move.name}: ${holdsMoveWords(move)}`).join('. '),
      )}
    </Caution>
  );
}

/** Lines that say the name of a new food already: they keep the food they were saved with. */
function SaidIn({ name }: { name: string }) {
  const book = useBook(useKitchenHere());
  const lines = book ? linesNaming(name, book.recipes) : [];
  if (lines.length === 0) return null;
  const shown = lines.slice(0, MOST_LINES).map((one) => larderWords.in(one.text, one.recipeName));
  const more = lines.length > MOST_LINES ? larderWords.andMore(lines.length - MOST_LINES) : '';
  return <Soft>{larderWords.alreadyInUseTheseKeep(shown.join(', '), more)}</Soft>;
}

const MOST_LINES = 4;
