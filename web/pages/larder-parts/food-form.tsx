import { useState } from 'react';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField, sentenceCase, textField } from '../../../contract';
import { ALLERGENS, type Allergen, DIETS, type Diet, type Ingredient } from '../../../core/matter';
import { Button } from '../../components/button';
import { figureOrNone, TypedForm, typedWords, useTypedForm } from '../../components/form';
import { PickOne, PickTyped } from '../../components/menu';
import { Errors, Soft } from '../../components/text';
import { Ticks } from '../../components/ticks';
import { sentencesOf } from '../../data/api';
import { useOwnFood } from '../../data/queries';
import { space } from '../../theme/tokens';
import { slug } from '../recipe-editor/use-editing';

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
  name: typedWords(textField('The name', 60)),
  salt: figureOrNone(numberField('Salt', 0, 100, 'g in 100 g')),
  fat: figureOrNone(numberField('Fat', 0, 100, 'g in 100 g')),
  pieceG: figureOrNone(numberField('One of it', 0.01, 100_000, 'g')),
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
  const save = useOwnFood();
  const base = like ? rows[like] : undefined;
  const form = useTypedForm({
    first: { name: over?.name ?? sentenceCase(firstName), salt: '', fat: '', pieceG: '' },
    schema: FOOD,
    keep: ({ name, salt, fat, pieceG }) => {
      if (!like) return;
      save.mutate(
        {
          id: over?.id ?? slug(name),
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
      <Soft>
        {over
          ? 'What the product’s own label says goes over the table.'
          : 'Its composition is taken over from a food like it, and marked as a guess.'}
      </Soft>
      <Two>
        <form.AppField name="name">{(field) => <field.InOffice label="Its name" />}</form.AppField>
        {!over && (
          <PickTyped
            label="It is like"
            value={like}
            options={Object.values(rows).map((row) => ({ id: row.id, text: row.name }))}
            onChange={setLike}
          />
        )}
        <form.AppField name="salt">
          {(field) => (
            <field.InOffice
              label="Salt, off the label"
              unit="g in 100 g"
              placeholder={base ? (base.perKg.salt * 100).toFixed(1) : ''}
            />
          )}
        </form.AppField>
        <form.AppField name="fat">
          {(field) => (
            <field.InOffice
              label="Fat, off the label"
              unit="g in 100 g"
              placeholder={base ? (base.perKg.fat * 100).toFixed(1) : ''}
            />
          )}
        </form.AppField>
        <form.AppField name="pieceG">
          {(field) => <field.InOffice label="One of it weighs" unit="g" />}
        </form.AppField>
        <PickOne
          label="Eaten by"
          value={diet ?? base?.diet ?? null}
          options={DIETS.map((id) => ({ id, text: DIET_WORDS[id] }))}
          onChange={(id) => setDiet(id as Diet)}
        />
      </Two>
      <Ticks
        label="Allergens"
        value={allergens ?? base?.allergens ?? []}
        options={ALLERGEN_IDS.map((id) => ({ id, text: ALLERGENS[id].name }))}
        onChange={setAllergens}
      />
      <Errors
        sentences={[
          ...(isUnsaid && !like ? ['Say what it is like: its composition is taken over from there.'] : []),
          ...sentencesOf(save.error),
        ]}
      />
      <Row>
        <Button kind="main" type="submit" isDisabled={save.isPending}>
          {over ? 'Put the label over it' : 'Add it to the table'}
        </Button>
        <Button kind="quiet" onPress={onCancel}>
          Not now
        </Button>
      </Row>
    </TypedForm>
  );
}
