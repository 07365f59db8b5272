import { useMemo, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { typedNumber } from '../../../contract';
import { prepareRecipe, recipeCostPerPortionCents } from '../../../core/book';
import type { Diet } from '../../../core/matter';
import {
  answered,
  type Doubt,
  type DoubtChange,
  doubtsOf,
  linesAgain,
  linesOf,
  type RecipeDraft,
  rewritten,
  tableOf,
  tooBigForSpoon,
  type Understood,
  understandLine,
  writtenOf,
} from '../../../core/reader';
import {
  type Advisory,
  advisoriesOf,
  asWritten,
  type BrokenClaim,
  brokenClaims,
  type Holdings,
  type Library,
  newStage,
  type OpenDoubt,
  type Ratio,
  type Recipe,
  type Stage,
  type StageKind,
  setRatioKg,
  setRatioPart,
  USUAL,
  type WrittenLine,
  whatItHolds,
} from '../../../core/recipe';
import { BANDS } from '../../../core/thickness';
import type { Book } from '../../data/use-book';
import { doubtWords, recipeEditorWords } from '../../words';

/** A recipe in the form: words as typed, lines as written, stages in order. */
export interface RecipeForm {
  /** null for one that has never been saved */
  basedOn: number | null;
  id: string;
  name: string;
  portions: string;
  portionMl: string;
  saltPercent: string;
  bandName: string;
  claims: readonly Diet[];
  note: string;
  written: readonly WrittenLine[];
  stages: readonly Stage[];
  /** what the page left open */
  open: readonly OpenDoubt[];
  /** what is not edited here and stays as it was, whatever a recipe may hold */
  rest: Omit<Recipe, Edited>;
  /** the recipe it was laid out from; what is not changed in the form stays as exact as it was there */
  was: Recipe | null;
}

/** What the form edits. */
type Edited =
  | 'id'
  | 'version'
  | 'name'
  | 'litres'
  | 'portionMl'
  | 'targetBand'
  | 'targetSaltPercent'
  | 'stages'
  | 'lines'
  | 'written'
  | 'open'
  | 'claims'
  | 'note';

/** What is wrong with it, field by field; nothing is saved while there is anything. */
export interface FormError {
  field: string;
  sentence: string;
}

export interface Editing {
  form: RecipeForm;
  understood: Understood[];
  doubts: Doubt[];
  recipe: Recipe;
  errors: FormError[];
  litresAsWritten: number;
  holds: Holdings | null;
  broken: BrokenClaim[];
  advisories: Advisory[];
  tooBig: string[];
  costCents: number | null;
  /** foods that the cost leaves out, and those whose price it guesses, by name */
  unpriced: readonly string[];
  guessed: readonly string[];
  /** true while there is something to undo */
  canUndo: boolean;
  undo(): void;
  change(part: Partial<RecipeForm>): void;
  /** as `change`, and to be undone in one */
  alter(part: Partial<RecipeForm>): void;
  answer(doubt: Doubt, change: DoubtChange): void;
  changeLine(id: string, part: Partial<WrittenLine>): void;
  addLine(): void;
  dropLine(id: string): void;
  changeStage(id: string, stage: Stage): void;
  addStage(kind: StageKind): void;
  dropStage(id: string): void;
  orderStages(ids: readonly string[]): void;
  changeRatio(ratio: Ratio, side: number, to: { part: number } | { kg: number }): void;
}

const BOWL = { topDiameterCm: 13, bottomDiameterCm: 7, heightCm: 5.5, headspaceCm: 1 };

/** A draft off paper laid out in the form: a bowl as large as its lines make it, salt to the trade's middle. */
export function formOfDraft(draft: RecipeDraft, book: Book): RecipeForm {
  const portions = draft.portions ?? USUAL.portions;
  const shape = { litres: 2, portionMl: draft.portionMl ?? USUAL.portionMl, stages: draft.stages };
  const first = linesOf(shape, draft.written, book.table).lines;
  const written = asWritten({ lines: first, stages: draft.stages }, book.rows);
  const { litres, band } = written;
  // salt in grams or spoons is what the page wants; “to taste” leaves it to the trade
  const isSaltWritten = draft.written.some((line) => {
    const { ingredient, edibleKg } = understandLine(line, book.table);
    return ingredient?.kind === 'salt' && edibleKg !== null;
  });
  const portionMl = draft.portionMl ?? Math.max(50, Math.round((litres * 100) / portions) * 10);
  return {
    basedOn: null,
    id: uuid(),
    name: draft.name,
    portions: String(portions),
    portionMl: String(portionMl),
    saltPercent: isSaltWritten
      ? String(Math.min(5, Math.round(written.saltPercent * 20) / 20))
      : String(USUAL.saltPercent),
    bandName: BANDS[Math.round(band)]!.name,
    claims: [],
    note: '',
    written: draft.written,
    stages: draft.stages,
    open: draft.open,
    rest: { bowl: BOWL, colour: 'broth' },
    was: null,
  };
}

/** A recipe of the book laid out in the form. */
export function formOfRecipe(recipe: Recipe, book: Book): RecipeForm {
  const {
    id,
    version,
    name,
    litres: _litres,
    portionMl: _portionMl,
    targetBand: _band,
    targetSaltPercent: _salt,
    stages,
    lines: _lines,
    written: _written,
    open = [],
    claims = [],
    note = '',
    ...rest
  } = recipe;
  return {
    basedOn: version,
    id,
    name,
    ...figuresOf(recipe),
    claims,
    note,
    written: writtenOf(recipe, book.table),
    stages,
    open,
    rest,
    was: recipe,
  };
}

/** The figures of a recipe as the form shows them, rounded. */
function figuresOf(recipe: Recipe): Pick<RecipeForm, 'portions' | 'portionMl' | 'saltPercent' | 'bandName'> {
  return {
    portions: String(Math.round((recipe.litres * 1000) / recipe.portionMl)),
    portionMl: String(recipe.portionMl),
    saltPercent: String(recipe.targetSaltPercent),
    bandName: BANDS[Math.round(recipe.targetBand)]!.name,
  };
}

/** Steps that can be undone, at the most. */
const MOST_STEPS = 50;

export function useEditing(first: RecipeForm, book: Book): Editing {
  const [form, setForm] = useState(first);
  const [past, setPast] = useState<readonly RecipeForm[]>([]);
  const seen = useMemo(() => look(form, book), [form, book]);
  const change = (part: Partial<RecipeForm>) =>
    setForm((before) => ({ ...before, ...part, open: unasked(before, part) }));
  const alter = (part: Partial<RecipeForm>) => {
    setPast((before) => [...before, form].slice(-MOST_STEPS));
    change(part);
  };
  return {
    form,
    ...seen,
    change,
    alter,
    canUndo: past.length > 0,
    undo: () => {
      const before = past.at(-1);
      if (!before) return;
      setForm(before);
      setPast(past.slice(0, -1));
    },
    answer: (doubt, asked) => {
      const { portions, ...after } = answered({ ...form, portions: undefined }, doubt, asked);
      alter({ ...after, portions: portions === undefined ? form.portions : String(portions) });
    },
    changeLine: (id, part) =>
      change({ written: form.written.map((line) => (line.id === id ? changed(line, part) : line)) }),
    addLine: () =>
      alter({
        written: [
          ...form.written,
          { id: fresh('w', form.written), text: '', parts: [{ stageId: form.stages[0]!.id, share: 1 }] },
        ],
      }),
    dropLine: (id) => alter({ written: form.written.filter((line) => line.id !== id) }),
    changeStage: (id, stage) => alter({ stages: form.stages.map((one) => (one.id === id ? stage : one)) }),
    addStage: (kind) => {
      const stage = newStage(fresh('s', form.stages), kind);
      const served = form.stages.findIndex((one) => one.ends.rule === 'served');
      const at = served < 0 || kind === 'serve' ? form.stages.length : served;
      alter({ stages: [...form.stages.slice(0, at), stage, ...form.stages.slice(at)] });
    },
    dropStage: (id) => {
      const at = form.stages.findIndex((stage) => stage.id === id);
      const heir = form.stages[at - 1] ?? form.stages[at + 1];
      if (!heir) return;
      alter({
        stages: form.stages.filter((stage) => stage.id !== id),
        written: form.written.map((line) => ({ ...line, parts: inherited(line.parts, id, heir.id) })),
      });
    },
    orderStages: (ids) => {
      const stages = ids.flatMap((id) => form.stages.find((stage) => stage.id === id) ?? []);
      const served = stages.filter((stage) => stage.ends.rule === 'served');
      alter({ stages: [...stages.filter((stage) => stage.ends.rule !== 'served'), ...served] });
    },
    changeRatio: (ratio, side, to) => {
      const after =
        'part' in to
          ? setRatioPart(seen.recipe, ratio, side, to.part)
          : setRatioKg(seen.recipe, ratio, side, to.kg);
      alter({ written: rewritten(seen.recipe, after, form.written, book.table) });
    },
  };
}

/** What a page left open is closed by whoever sets it himself: the bowls, a stage's end, where a line goes in. */
export function unasked(before: RecipeForm, part: Partial<RecipeForm>): readonly OpenDoubt[] {
  const { portions, stages, written, open = before.open } = part;
  const endOf = (of: readonly Stage[], id: string) => JSON.stringify(of.find((one) => one.id === id)?.ends);
  const placesOf = (of: readonly WrittenLine[], id: string) =>
    JSON.stringify(of.find((one) => one.id === id)?.parts);
  return open.filter((one) => {
    if (one.kind === 'portions') return portions === undefined || portions === before.portions;
    if (one.kind === 'place')
      return !written || placesOf(written, one.lineId) === placesOf(before.written, one.lineId);
    return !stages || endOf(stages, one.stageId) === endOf(before.stages, one.stageId);
  });
}

/** Retyped, a line is what it says now: what was settled or corrected was of the words before. */
function changed(line: WrittenLine, part: Partial<WrittenLine>): WrittenLine {
  if (part.text === undefined || part.text === line.text) return { ...line, ...part };
  const { ingredientId: _food, edibleG: _grams, settled: _settled, soakH: _soak, ...kept } = line;
  return { ...kept, ...part };
}

/** What went in at a stage that is deleted goes in at the one before it. */
function inherited(parts: WrittenLine['parts'], from: string, to: string): WrittenLine['parts'] {
  const moved = parts.map((part) => (part.stageId === from ? { ...part, stageId: to } : part));
  return moved
    .filter((part, i) => moved.findIndex((one) => one.stageId === part.stageId) === i)
    .map((part) => ({
      ...part,
      share: moved.filter((one) => one.stageId === part.stageId).reduce((sum, one) => sum + one.share, 0),
    }));
}

function fresh(letter: string, used: readonly { id: string }[]): string {
  let n = used.length + 1;
  while (used.some((one) => one.id === `${letter}${n}`)) n++;
  return `${letter}${n}`;
}

/** What the form comes to: the recipe, its lines as understood, and whatever is wrong with it. */
export function look(
  form: RecipeForm,
  book: Book,
): Omit<
  Editing,
  'form' | 'alter' | 'canUndo' | 'undo' | `${'change' | 'add' | 'drop' | 'order' | 'answer'}${string}`
> {
  const errors: FormError[] = [];
  const figure = (
    field: keyof RecipeForm & string,
    name: string,
    min: number,
    max: number,
    fallback: number,
  ) => {
    const value = typedNumber(form[field] as string);
    if (value !== null && value >= min && value <= max) return value;
    errors.push({ field, sentence: `${name} must be a number from ${min} to ${max}, not “${form[field]}”.` });
    return fallback;
  };
  const portions = figure('portions', recipeEditorWords.whatItMakes, 1, 1000, USUAL.portions);
  const portionMl = figure('portionMl', recipeEditorWords.aBowl, 5, 2000, USUAL.portionMl);
  const targetSaltPercent = figure('saltPercent', recipeEditorWords.salt, 0, 5, USUAL.saltPercent);
  if (form.name.trim() === '') errors.push({ field: 'name', sentence: recipeEditorWords.itHasNoNameYet });
  const written = form.written.filter((line) => line.text.trim() !== '');
  if (written.length === 0) errors.push({ field: 'written', sentence: recipeEditorWords.aRecipeHasAtLeast });
  const was = form.was;
  const shown = was ? figuresOf(was) : null;
  const isSameSize = shown?.portions === form.portions && shown.portionMl === form.portionMl;
  const litres = was && isSameSize ? was.litres : (portions * portionMl) / 1000;
  const shape = { litres, portionMl, stages: form.stages };
  const { lines, notUnderstood, untouched } = linesAgain(shape, written, book.table, was);
  const table = tableOf(book.table, was);
  const isAllAsItWas = was !== null && untouched.size === written.length && lines.length === was.lines.length;
  for (const { line, reading } of notUnderstood) {
    const [doubt] = reading.warnings;
    errors.push({
      field: `line.${line.id}`,
      sentence: doubt ? doubtWords(doubt) : recipeEditorWords.itsWeightIsNotKnown,
    });
  }
  for (const line of written) {
    const sum = line.parts.reduce((total, part) => total + part.share, 0);
    if (Math.abs(sum - 1) > 1e-6)
      errors.push({
        field: `line.${line.id}`,
        sentence: recipeEditorWords.itsPartsComeToOf(Math.round(sum * 100)),
      });
  }
  const open = stillOpen(form);
  const recipe: Recipe = {
    ...form.rest,
    id: form.id,
    version: form.basedOn ?? 1,
    name: form.name.trim(),
    litres,
    portionMl,
    targetBand:
      was && shown?.bandName === form.bandName
        ? was.targetBand
        : Math.max(
            0,
            BANDS.findIndex((band) => band.name === form.bandName),
          ),
    targetSaltPercent,
    stages: [...form.stages],
    lines,
    ...(isAllAsItWas && !was!.written ? {} : { written }),
    ...(open.length > 0 ? { open } : {}),
    ...(form.claims.length > 0 ? { claims: [...form.claims] } : {}),
    ...(form.note.trim() ? { note: form.note.trim() } : {}),
  };
  const library: Library = { ...book.library, recipes: { ...book.library.recipes, [recipe.id]: recipe } };
  const whole = tried(
    () => whatItHolds(recipe, library),
    (sentence) => errors.push({ field: 'written', sentence }),
  );
  const prepared = whole && tried(() => prepareRecipe(recipe, library));
  return {
    understood: form.written.map((line) => understandLine(line, table)),
    doubts: doubtsOf({ written, stages: form.stages, open }, table),
    recipe,
    errors,
    litresAsWritten: asWritten(recipe, book.rows).litres,
    holds: whole,
    broken: whole ? brokenClaims(recipe, whole) : [],
    advisories: (whole && tried(() => advisoriesOf(recipe, library))) ?? [],
    tooBig: tooBigForSpoon(recipe).map((one) => one.lineId),
    costCents: whole && tried(() => recipeCostPerPortionCents(recipe, library)),
    unpriced: prepared?.unpriced ?? [],
    guessed: prepared?.guessed ?? [],
  };
}

/** What is still open of what a page left open: a stage or a line that is gone leaves nothing to ask. */
function stillOpen({ open, stages, written }: RecipeForm): OpenDoubt[] {
  return open.filter((one) => {
    if (one.kind === 'portions') return true;
    if (one.kind === 'place') return written.some((line) => line.id === one.lineId);
    return stages.some((stage) => stage.id === one.stageId);
  });
}

/** The answer, or null where the model refuses; its sentence goes where it is wanted. */
function tried<T>(ask: () => T, refused?: (sentence: string) => void): T | null {
  try {
    return ask();
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    refused?.(recipeEditorWords.thisDoesNotHoldTogether(error.message));
    return null;
  }
}
