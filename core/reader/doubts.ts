import type { Ingredient } from '../matter';
import type { OpenDoubt, Stage, WrittenLine } from '../recipe';
import { type Understood, understandLine } from './lines-of';
import { readAmount, tidyLine } from './read-amount';
import { readLine } from './read-line';
import type { ParseWarning } from './reading';
import type { ReadingTable } from './reading-table';

/* What a page left open, with what can be answered; one press each, or a figure typed. */

/** What an answer changes. */
export type DoubtChange =
  | { what: 'line'; lineId: string; line: Partial<WrittenLine> }
  /** the other thing of a line gets one of its own */
  | { what: 'newLine'; lineId: string; text: string }
  | { what: 'place'; lineId: string; stageId: string }
  | { what: 'minutes'; stageId: string; minutes: number }
  | { what: 'gone'; stageId: string; fractionGone: number }
  | { what: 'portions'; portions: number };

/** One answer that a press gives: what it is, and what it comes to. */
export interface DoubtChoice {
  id: string;
  /** grams that go in by it; null where it changes none */
  grams: number | null;
  /** a food, a stage, other words of the line */
  name: string | null;
  change: DoubtChange;
}

/** What can be typed instead. */
export type DoubtAsks = 'grams' | 'minutes' | 'portions' | 'percent' | null;

export interface Doubt {
  id: string;
  lineId: string | null;
  stageId: string | null;
  /** the words it came from */
  words: string;
  about: ParseWarning | OpenDoubt;
  choices: readonly DoubtChoice[];
  asks: DoubtAsks;
  /** another food may be meant: the line opens for it */
  isFood: boolean;
}

/** What is worth a question: what it can change is more than this share of all that goes in. */
const WORTH_SHARE = 0.01;
/** How far a guessed measure or a vague word may be off. Common practice. */
const GUESS_OFF = 0.4;

/**
 * The doubts of a recipe in one list: those of its lines that a cook has not settled, and those of its method that are
 * still open. Of a range, or of a knob of butter, only those that the pot would notice.
 *
 * @param written lines as they stand
 * @param open what the method left open
 */
export function doubtsOf(
  {
    written,
    stages,
    open,
  }: { written: readonly WrittenLine[]; stages: readonly Stage[]; open: readonly OpenDoubt[] },
  table: ReadingTable,
): Doubt[] {
  const understood = written
    .filter((line) => line.text.trim() !== '')
    .map((line) => understandLine(line, table));
  const allG = understood.reduce((sum, one) => sum + 1000 * (one.edibleKg ?? 0), 0);
  const ofLines = understood.flatMap((one) =>
    isSettled(one.line)
      ? []
      : one.reading.warnings
          .filter((warning) => isWorthAsking(warning, one, allG))
          .map((warning) => lineDoubt(warning, one, table)),
  );
  return [...open.flatMap((one) => methodDoubt(one, understood, stages) ?? []), ...ofLines];
}

/** A line whose doubts a cook has answered: as long as its words stand, or where it was corrected by hand. */
const isSettled = (line: WrittenLine): boolean =>
  line.settled === line.text || line.ingredientId !== undefined || line.edibleG !== undefined;

function isWorthAsking(warning: ParseWarning, { ingredient, reading }: Understood, allG: number): boolean {
  const grams = reading.edibleG ?? 0;
  const isFelt = (offG: number) =>
    offG > WORTH_SHARE * allG || (ingredient?.kind === 'salt' && offG > WORTH_SHARE * 0.2 * allG);
  if (warning.kind === 'range' && reading.amount) {
    const { low, high } = reading.amount;
    return high > 0 && isFelt((grams * (high - low)) / (high + low));
  }
  if (warning.kind === 'measure')
    return 'spoon' in warning || warning.grams === null || isFelt(GUESS_OFF * grams);
  if (warning.kind === 'amount') return 'name' in warning || isFelt(GUESS_OFF * grams);
  return true;
}

function lineDoubt(warning: ParseWarning, one: Understood, table: ReadingTable): Doubt {
  const { line, reading, ingredient } = one;
  const isFood = ['unknown', 'likely', 'standsIn'].includes(warning.kind);
  const asksGrams =
    warning.kind === 'amount' ||
    warning.kind === 'disagree' ||
    (warning.kind === 'measure' && !('spoon' in warning));
  return {
    id: `${line.id}.${warning.kind}`,
    lineId: line.id,
    stageId: null,
    words: reading.text,
    about: warning,
    choices: choicesOf(warning, one, table),
    asks: ingredient && asksGrams ? 'grams' : null,
    isFood,
  };
}

function choicesOf(warning: ParseWarning, one: Understood, table: ReadingTable): DoubtChoice[] {
  const { line, reading, ingredient } = one;
  const grams = reading.edibleG;
  const settle = (id: string, name: string | null = null): DoubtChoice => ({
    id,
    grams,
    name,
    change: { what: 'line', lineId: line.id, line: { settled: line.text } },
  });
  const weighs = (id: string, edibleG: number): DoubtChoice => ({
    id,
    grams: edibleG,
    name: null,
    change: { what: 'line', lineId: line.id, line: { edibleG } },
  });
  switch (warning.kind) {
    case 'unknown':
      return [];
    case 'likely':
    case 'standsIn':
      return [settle('keep', warning.name)];
    case 'either':
      return eitherChoices(one, table, settle('keep', ingredient?.name ?? null));
    case 'amount':
      return 'name' in warning ? [] : [settle('keep')];
    case 'range': {
      const { low, high } = reading.amount ?? { low: 1, high: 1 };
      const each = (grams ?? 0) / ((low + high) / 2);
      return [weighs('low', each * low), settle('middle'), weighs('high', each * high)];
    }
    case 'measure':
      return 'spoon' in warning || warning.grams !== null ? [settle('keep')] : [];
    case 'grain':
      return grainChoices(one, table, settle('keep', ingredient?.name ?? null));
    case 'disagree':
      return [weighs('brackets', warning.bracketsG * share(one)), weighs('read', warning.readG * share(one))];
    case 'ofEach':
      return [
        weighs('each', warning.bracketsG * warning.count * share(one)),
        weighs('all', warning.bracketsG * share(one)),
      ];
    case 'two': {
      const other = otherThing(line.text);
      const own: DoubtChoice[] = other
        ? [
            {
              id: 'ownLine',
              grams: null,
              name: other,
              change: { what: 'newLine', lineId: line.id, text: other },
            },
          ]
        : [];
      return [...own, settle('only', warning.name)];
    }
    case 'separator': {
      const times = warning.value >= 1000 || /000/.test(warning.words) ? 1 / 1000 : 1000;
      return [settle('keep'), weighs('thousands', (grams ?? 0) * times)];
    }
  }
}

/** Edible grams to one as purchased, as this line was read. */
const share = ({ reading, ingredient }: Understood): number =>
  reading.purchasedG && reading.edibleG ? reading.edibleG / reading.purchasedG : (ingredient?.yield ?? 1);

/** “1 leek or 2 small onions”: each with what it comes to. */
function eitherChoices(
  { line, reading }: Understood,
  table: ReadingTable,
  first: DoubtChoice,
): DoubtChoice[] {
  const words = /^(.*?)\s+or\s+(.*)$/i.exec(line.text)?.[2];
  const second = words ? readLine(words, table) : null;
  const row = second?.ingredientId ? table.ingredients[second.ingredientId] : undefined;
  if (!second || !row) return [first];
  const hasOwn = readAmount(tidyLine(words!)) !== null;
  const edibleG = hasOwn
    ? second.edibleG
    : reading.purchasedG === null
      ? null
      : reading.purchasedG * row.yield;
  return [
    first,
    {
      id: 'other',
      grams: edibleG,
      name: row.name,
      change: {
        what: 'line',
        lineId: line.id,
        line: { ingredientId: row.id, ...(edibleG === null ? {} : { edibleG }) },
      },
    },
  ];
}

/** Grains whose spoons differ by no more than this share are one for the palate. Common practice. */
const OTHER_GRAIN = 0.1;

/** A spoon of salt by its grain: as it was taken, the next that lies looser, and the heaviest. */
function grainChoices(
  { line, reading, ingredient }: Understood,
  table: ReadingTable,
  first: DoubtChoice,
): DoubtChoice[] {
  if (!ingredient || reading.edibleG === null) return [first];
  const salts = Object.values(table.ingredients)
    .filter(
      (row) => row.kind === 'salt' && Math.abs(row.looseKgPerL / ingredient.looseKgPerL - 1) > OTHER_GRAIN,
    )
    .sort((a, b) => b.looseKgPerL - a.looseKgPerL);
  const lighter = salts.find((row) => row.looseKgPerL < ingredient.looseKgPerL);
  const others = [lighter, salts[0]].filter((row): row is Ingredient => row !== undefined);
  return [
    first,
    ...[...new Set(others)].map((row): DoubtChoice => {
      const edibleG = (reading.edibleG! * row.looseKgPerL) / ingredient.looseKgPerL;
      return {
        id: row.id,
        grams: edibleG,
        name: row.name,
        change: { what: 'line', lineId: line.id, line: { ingredientId: row.id, edibleG } },
      };
    }),
  ];
}

/** The other thing that a line names: the pepper of “salt and pepper”, the cloves an onion is stuck with. */
function otherThing(text: string): string | null {
  const stuck = /\b(?:stuck|studded|spiked) with (.+)$/i.exec(text);
  if (stuck) return stuck[1]!.trim();
  const fruit = /\b(?:juice and (?:\w+ )?zest|zest and juice) of (.+)$/i.exec(text);
  if (fruit) return `zest of ${fruit[1]!.trim()}`;
  const isTaste = /\bto taste\b/i.test(text);
  const other = /^.*?(?:\s+(?:and|&|\+)\s+|,\s*)(.+?)(?:,?\s*to taste)?$/i.exec(text);
  return other ? `${other[1]!.trim()}${isTaste ? ' to taste' : ''}` : null;
}

function methodDoubt(
  open: OpenDoubt,
  understood: readonly Understood[],
  stages: readonly Stage[],
): Doubt | null {
  const base = {
    id: `${open.kind}.${'stageId' in open ? open.stageId : 'lineId' in open ? open.lineId : ''}`,
    about: open,
    isFood: false,
  };
  if (open.kind === 'portions')
    return { ...base, lineId: null, stageId: null, words: '', choices: [], asks: 'portions' };
  if (open.kind === 'place') {
    const one = understood.find(({ line }) => line.id === open.lineId);
    if (!one || one.line.parts.length > 1) return null;
    const here = one.line.parts[0]!.stageId;
    const at = stages.findIndex((stage) => stage.id === here);
    const near = [stages[at], stages[at - 1], stages[at + 1]].filter(
      (stage): stage is Stage => stage !== undefined,
    );
    return {
      ...base,
      lineId: open.lineId,
      stageId: here,
      words: one.line.text,
      choices: near.map((stage) => ({
        id: stage.id,
        grams: one.reading.edibleG,
        name: stage.title,
        change: { what: 'place', lineId: open.lineId, stageId: stage.id },
      })),
      asks: null,
    };
  }
  const stage = stages.find((one) => one.id === open.stageId);
  if (!stage) return null;
  const keep = keepsAs(stage);
  return keep
    ? {
        ...base,
        lineId: null,
        stageId: stage.id,
        words: stage.act,
        choices: [{ id: 'keep', grams: null, name: null, change: keep }],
        asks: open.kind === 'minutes' ? 'minutes' : 'percent',
      }
    : null;
}

function keepsAs({ id, ends }: Stage): DoubtChange | null {
  if (ends.rule === 'minutes') return { what: 'minutes', stageId: id, minutes: ends.minutes };
  return ends.rule === 'fall' ? { what: 'gone', stageId: id, fractionGone: ends.fractionGone } : null;
}

/** A recipe in the making after an answer: what was asked is settled, and is not asked again. */
export function answered<
  T extends { written: readonly WrittenLine[]; stages: readonly Stage[]; open: readonly OpenDoubt[] },
>(before: T, doubt: Doubt, change: DoubtChange): T & { portions?: number } {
  const open = before.open.filter((one) => one !== doubt.about);
  const lines = (alter: (line: WrittenLine) => WrittenLine[]): T => ({
    ...before,
    open,
    written: before.written.flatMap((line) => (line.id === doubt.lineId ? alter(line) : [line])),
  });
  switch (change.what) {
    case 'line':
      return lines((line) => [{ ...line, ...change.line, settled: line.text }]);
    case 'newLine':
      return lines((line) => [
        { ...line, settled: line.text },
        { id: freshLineId(before.written), text: change.text, parts: line.parts },
      ]);
    case 'place':
      return lines((line) => [{ ...line, parts: [{ stageId: change.stageId, share: 1 }] }]);
    case 'portions':
      return { ...before, open, portions: change.portions };
    case 'minutes':
    case 'gone': {
      const ends: Stage['ends'] =
        change.what === 'minutes'
          ? { rule: 'minutes', minutes: change.minutes }
          : { rule: 'fall', fractionGone: change.fractionGone };
      const stages = before.stages.map((stage) => (stage.id === change.stageId ? { ...stage, ends } : stage));
      return { ...before, open, stages };
    }
  }
}

function freshLineId(written: readonly WrittenLine[]): string {
  let n = written.length + 1;
  while (written.some((line) => line.id === `w${n}`)) n++;
  return `w${n}`;
}
