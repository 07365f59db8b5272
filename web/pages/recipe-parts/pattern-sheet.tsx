import { useState } from 'react';
import { useNavigate } from 'react-router';
import { v7 as uuid } from 'uuid';
import { fitsRole, fromPattern } from '../../../core/reader';
import type { PatternSlot, Recipe } from '../../../core/recipe';
import { Button } from '../../components/button';
import { PickTyped } from '../../components/menu';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Errors, Soft } from '../../components/text';
import { sentencesOf } from '../../data/api';
import { useSaveRecipe } from '../../data/queries';
import type { Book } from '../../data/use-book';
import { patternNote, recipeWords } from '../../words';

const ROLE_WORDS: Record<PatternSlot['role'], string> = {
  vegetable: recipeWords.vegetable,
  starch: recipeWords.thickener,
  liquid: recipeWords.liquid,
  bone: recipeWords.bones,
};

/** A new recipe from a pattern: another food in each open place, and what follows from it. */
export function PatternSheet({
  pattern,
  book,
  isOpen,
  onClose,
}: {
  pattern: Recipe;
  book: Book;
  isOpen: boolean;
  onClose: () => void;
}) {
  const navigate = useNavigate();
  const save = useSaveRecipe();
  const [name, setName] = useState('');
  const [id] = useState(() => uuid());
  const [swaps, setSwaps] = useState<Record<string, string>>({});
  const made = name.trim() ? fromPattern(pattern, swaps, book.table, { id, name: name.trim() }) : null;
  const refused = sentencesOf(save.error);
  return (
    <Sheet title={recipeWords.another(pattern.name.toLowerCase())} isOpen={isOpen} onClose={onClose}>
      <SmallField label={recipeWords.itsName} value={name} onChange={setName} />
      {(pattern.pattern ?? []).map((slot) => {
        const now = pattern.lines.find((line) => line.writtenId === slot.writtenId)?.ingredientId ?? null;
        const options = Object.values(book.rows)
          .filter((row) => fitsRole(slot.role, row))
          .map((row) => ({ id: row.id, text: row.name }));
        return (
          <PickTyped
            key={slot.writtenId}
            label={ROLE_WORDS[slot.role]}
            value={swaps[slot.writtenId] ?? now}
            options={options}
            onChange={(id) => setSwaps({ ...swaps, [slot.writtenId]: id })}
          />
        );
      })}
      {made?.notes.map(patternNote).map((note) => (
        <Soft key={note}>{note}</Soft>
      ))}
      <Errors sentences={refused} />
      <Button
        kind="main"
        isDisabled={!made || save.isPending}
        onPress={() =>
          made &&
          save.mutate(
            { recipe: made.recipe },
            { onSuccess: (saved) => navigate(`/recipes/${saved.id}/edit`) },
          )
        }
      >
        {recipeWords.save}
      </Button>
    </Sheet>
  );
}
