import type { Ingredient } from '../matter';
import type { Recipe, RecipeLine, Scaling, Stage, WrittenLine } from '../recipe';
import { readLine } from './read-line';
import type { Reading } from './reading';
import type { ReadingTable } from './reading-table';

/** °C of a thing as it goes in, by where it is kept; common practice. */
const STORED_C: Record<Ingredient['store'], number> = {
  'walk-in': 5,
  'dry store': 18,
  freezer: -18,
  cellar: 14,
  tap: 12,
};

/** Salt “to taste” is written for this many kg per kg in the first guess; the plan solves it. Common practice. */
const SALT_TO_TASTE_KG_PER_L = 0.006;

/** Anything else “to taste”: grams a litre to begin with. Common practice. */
const SPICE_TO_TASTE_KG_PER_L = 0.0003;

/** What one written line comes to, whole: read, and then as the cook has corrected it. */
export interface Understood {
  line: WrittenLine;
  reading: Reading;
  ingredient: Ingredient | null;
  edibleKg: number | null;
  comesOut: boolean;
}

/** A written line read against the table, with the cook's corrections over it. */
export function understandLine(line: WrittenLine, table: ReadingTable): Understood {
  const reading = readLine(line.text, table, keptFood(line, table));
  const ingredient = table.ingredients[line.ingredientId ?? reading.ingredientId ?? ''] ?? null;
  const isOther = line.ingredientId !== undefined && line.ingredientId !== reading.ingredientId;
  // corrected to another food, the grams as purchased stand and are trimmed by its own yield
  const readG =
    isOther && reading.purchasedG !== null && ingredient
      ? reading.purchasedG * ingredient.yield
      : reading.edibleG;
  const edibleG = line.edibleG ?? readG;
  return {
    line,
    reading,
    ingredient,
    edibleKg: edibleG === null ? null : edibleG / 1000,
    comesOut: line.comesOut ?? reading.comesOut,
  };
}

/** The food a line was saved with, as long as it names what it named: its amount and its cut may change. */
function keptFood(line: WrittenLine, table: ReadingTable): string | undefined {
  const saved = table.saved?.get(line.id);
  if (!saved) return undefined;
  const isSame =
    saved.text === line.text ||
    readLine(saved.text, table).ingredientId === readLine(line.text, table).ingredientId;
  return isSame ? saved.ingredientId : undefined;
}

/**
 * The recipe's lines from its written ones: each read, corrected, told how it scales, and split over its stages. The
 * parts of a split line add up to the whole of it.
 *
 * @param recipe litres, portion and stages it is written for
 * @param written the lines on paper
 * @param table what they are read against
 * @returns lines in the order written; a line that names nothing known is left out and comes back as not understood
 */
export function linesOf(
  recipe: Pick<Recipe, 'litres' | 'portionMl' | 'stages'>,
  written: readonly WrittenLine[],
  table: ReadingTable,
): { lines: RecipeLine[]; notUnderstood: Understood[] } {
  const understood = written.map((line) => understandLine(line, table));
  const known = understood.filter((one) => one.ingredient && (one.edibleKg !== null || one.reading.toTaste));
  const portions = (recipe.litres * 1000) / recipe.portionMl;
  const scalings = scalingsOf(known, recipe.stages);
  const lines = known.flatMap((one, i) =>
    one.line.parts.map((part, n): RecipeLine => {
      const ingredient = one.ingredient!;
      const kg =
        one.edibleKg ??
        recipe.litres * (ingredient.kind === 'salt' ? SALT_TO_TASTE_KG_PER_L : SPICE_TO_TASTE_KG_PER_L);
      const stage = recipe.stages.find((each) => each.id === part.stageId);
      const isServed = stage?.ends.rule === 'served';
      const scaling = one.line.scaling ?? (isServed ? 'perBowl' : scalings[i]!);
      const share = kg * part.share;
      return {
        id: one.line.parts.length === 1 ? one.line.id : `${one.line.id}.${n + 1}`,
        writtenId: one.line.id,
        ingredientId: ingredient.id,
        stageId: part.stageId,
        kg: scaling === 'perBowl' ? share / portions : share,
        scaling,
        tempC: STORED_C[ingredient.store],
        ...(one.reading.cut ? { cut: one.reading.cut } : {}),
        ...(ingredient.thickener ? { thickener: thickenerIn(ingredient, stage) } : {}),
        ...(one.comesOut ? { comesOut: outOf(one, ingredient, recipe.stages) } : {}),
        ...soakOf(one),
        ...(one.line.cure ? { cure: one.line.cure } : {}),
      };
    }),
  );
  return { lines, notUnderstood: understood.filter((one) => !known.includes(one)) };
}

/** One of what comes out, and where its meat goes in again, if that stage is there. */
function outOf(one: Understood, ingredient: Ingredient, stages: readonly Stage[]): RecipeLine['comesOut'] {
  const back = stages.find((stage) => stage.id === one.line.backStageId && stage.ends.rule !== 'served');
  return {
    word: tagWord(ingredient),
    eachG: eachG(one, ingredient),
    ...(back ? { backStageId: back.id } : {}),
  };
}

function soakOf({ line, reading }: Understood): { soakH?: number } {
  const soakH = line.soakH ?? reading.soakH;
  return soakH === null || soakH === undefined ? {} : { soakH };
}

/** How each line follows the order, where the cook has not said. */
function scalingsOf(known: readonly Understood[], stages: readonly Stage[]): Scaling[] {
  const isPot = (one: Understood) =>
    stages.find((stage) => stage.id === one.line.parts[0]?.stageId)?.ends.rule !== 'served';
  const liquids = known.filter(
    (one) =>
      isPot(one) && ['stock', 'water'].includes(one.ingredient!.kind) && one.ingredient!.perKg.water > 0.5,
  );
  const salt = known.find((one) => one.ingredient!.kind === 'salt');
  const flour = known.find((one) => one.ingredient!.thickener !== undefined);
  return known.map((one): Scaling => {
    const { kind, strength } = one.ingredient!;
    if (liquids.includes(one)) return 'toYield';
    if (one === salt) return 'toSalt';
    if (one === flour) return 'toThickness';
    if (kind === 'fat') {
      const stage = one.line.parts[0]?.stageId;
      if (flour && meetsDry(stages, stage, flour.line.parts[0]?.stageId)) {
        const times = rouxParts(one.edibleKg, flour.edibleKg);
        if (times !== null) return times === 1 ? { sameAs: flour.line.id } : { sameAs: flour.line.id, times };
      }
      return stages.find((each) => each.id === stage)?.kind === 'start' ? 'bySurface' : 'straight';
    }
    if (strength === 'hot' || kind === 'spirit') return 'startLow';
    return strength !== undefined && !one.comesOut ? 'byTaste' : 'straight';
  });
}

/** In one stage, or in one dry pot after the other: no liquid comes between. */
function meetsDry(stages: readonly Stage[], fatAt: string | undefined, flourAt: string | undefined): boolean {
  const at = (id: string | undefined) => stages.findIndex((one) => one.id === id);
  const [from, to] = [at(fatAt), at(flourAt)];
  return (
    from === to ||
    (from >= 0 && from < to && stages.slice(from, to + 1).every(({ kind }) => kind === 'start'))
  );
}

/** Fat and flour that meet are a roux up to so many parts of one to the other. Common practice. */
const ROUX_PARTS_UP_TO = 4;

/** Parts of fat to one of flour, kept however much of the flour is wanted; null where it is another matter than a roux. */
function rouxParts(fatKg: number | null, flourKg: number | null): number | null {
  if (!fatKg || !flourKg) return null;
  const parts = Math.round((1000 * fatKg) / flourKg) / 1000;
  return parts <= ROUX_PARTS_UP_TO && parts >= 1 / ROUX_PARTS_UP_TO ? parts : null;
}

/** Flour that meets fat is a roux, by how far its stage takes it; slaked it is itself. */
function thickenerIn(ingredient: Ingredient, stage: Stage | undefined): NonNullable<RecipeLine['thickener']> {
  if (ingredient.thickener !== 'flour') return ingredient.thickener!;
  const said = `${stage?.title ?? ''} ${stage?.act ?? ''}`.toLowerCase();
  if (/dark(-| )(brown )?roux|chocolate/.test(said)) return 'rouxDark';
  if (/brown roux|nut-brown/.test(said)) return 'rouxBrown';
  if (/blond/.test(said)) return 'rouxBlond';
  return 'rouxWhite';
}

function tagWord(ingredient: Ingredient): string {
  return ingredient.out ?? ingredient.name.split(',')[0]!.toLowerCase();
}

/** Grams of one piece on a tag, edible: by its count where it was counted, else its own piece, else all in one. */
function eachG(one: Understood, ingredient: Ingredient): number {
  const grams = (one.edibleKg ?? 0) * 1000;
  const counted =
    one.reading.unit && one.reading.amount && !isWeight(one.reading.unit) ? one.reading.amount.high : null;
  if (counted && counted >= 1) return Math.max(0.05, grams / Math.round(counted));
  if (ingredient.pieceG) return ingredient.pieceG * ingredient.yield;
  return Math.max(0.05, grams);
}

function isWeight(unit: string): boolean {
  return [
    'g',
    'kg',
    'mg',
    'oz',
    'lb',
    'mL',
    'cL',
    'dL',
    'L',
    'tsp',
    'tbsp',
    'floz',
    'cup',
    'pint',
    'quart',
    'gallon',
  ].includes(unit);
}
