import { useState } from 'react';
import styled from 'styled-components';
import { sentenceCase, typedNumber } from '../../../contract';
import { ALLERGENS, type Allergen, DIETS, type Diet, type Ingredient } from '../../../core/matter';
import { Button } from '../../components/button';
import { PickOne, PickTyped } from '../../components/menu';
import { SmallField } from '../../components/small-field';
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
  const [name, setName] = useState(over?.name ?? sentenceCase(firstName));
  const [like, setLike] = useState<string | null>(over ? (over.guessedFrom ?? over.id) : null);
  const [salt, setSalt] = useState('');
  const [fat, setFat] = useState('');
  const [pieceG, setPieceG] = useState('');
  const [allergens, setAllergens] = useState<string[] | null>(over ? [...over.allergens] : null);
  const [diet, setDiet] = useState<Diet | null>(over?.diet ?? null);
  const save = useOwnFood();
  const base = like ? rows[like] : undefined;
  const [wrong, setWrong] = useState<string[]>([]);

  const keep = () => {
    const errors: string[] = [];
    const figure = (text: string, what: string) => {
      if (text.trim() === '') return undefined;
      const value = typedNumber(text);
      if (value === null) errors.push(`${what} must be a number, not “${text}”.`);
      return value ?? undefined;
    };
    const saltPercent = figure(salt, 'Salt');
    const fatPercent = figure(fat, 'Fat');
    const each = figure(pieceG, 'One of it');
    if (!like) errors.push('Say what it is like: its composition is taken over from there.');
    if (name.trim() === '') errors.push('It has no name.');
    setWrong(errors);
    if (errors.length > 0 || !like) return;
    save.mutate(
      {
        id: over?.id ?? slug(name),
        name: name.trim(),
        like,
        ...(saltPercent === undefined ? {} : { saltPercent }),
        ...(fatPercent === undefined ? {} : { fatPercent }),
        ...(each === undefined ? {} : { pieceG: each }),
        ...(allergens ? { allergens: allergens as Allergen[] } : {}),
        ...(diet ? { diet } : {}),
      },
      { onSuccess: onDone },
    );
  };
  return (
    <>
      <Soft>
        {over
          ? 'What the product’s own label says goes over the table.'
          : 'Its composition is taken over from a food like it, and marked as a guess.'}
      </Soft>
      <Two>
        <SmallField label="Its name" value={name} onChange={setName} />
        {!over && (
          <PickTyped
            label="It is like"
            value={like}
            options={Object.values(rows).map((row) => ({ id: row.id, text: row.name }))}
            onChange={setLike}
          />
        )}
        <SmallField
          label="Salt, off the label"
          value={salt}
          onChange={setSalt}
          unit="g in 100 g"
          placeholder={base ? (base.perKg.salt * 100).toFixed(1) : ''}
        />
        <SmallField
          label="Fat, off the label"
          value={fat}
          onChange={setFat}
          unit="g in 100 g"
          placeholder={base ? (base.perKg.fat * 100).toFixed(1) : ''}
        />
        <SmallField label="One of it weighs" value={pieceG} onChange={setPieceG} unit="g" />
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
      <Errors sentences={[...wrong, ...sentencesOf(save.error)]} />
      <Row>
        <Button kind="main" onPress={keep} isDisabled={save.isPending}>
          {over ? 'Put the label over it' : 'Add it to the table'}
        </Button>
        <Button kind="quiet" onPress={onCancel}>
          Not now
        </Button>
      </Row>
    </>
  );
}
