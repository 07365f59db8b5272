import { newStage, type OpenDoubt, type Stage, type StageKind, type WrittenLine } from '../recipe';

import { isForTheBowl } from './foods-named';
import { sentencesIn } from './method-clauses';
import { edgeOf, STAGE_ORDER } from './method-sentences';
import { pageParts } from './page-parts';
import { readLine } from './read-line';
import { type ReadMethod, readMethod } from './read-method';
import type { Reading } from './reading';
import type { ReadingTable } from './reading-table';

/** A recipe as it was read off paper: still a draft, every guess of it open to correction. */
export interface RecipeDraft {
  name: string;
  portions: number | null;
  portionMl: number | null;
  written: WrittenLine[];
  stages: Stage[];
  /** what the page leaves open, beside the doubts of its lines */
  open: OpenDoubt[];
}

/** In a written method, whatever no stage has claimed goes in here, by its kind. */
const HOME: Readonly<Record<string, StageKind>> = {
  fat: 'start',
  vegetable: 'start',
  meat: 'start',
  poultry: 'start',
  thickener: 'start',
  spice: 'start',
  stock: 'liquid',
  water: 'liquid',
  wine: 'liquid',
  pulse: 'liquid',
  grain: 'simmer',
  fish: 'finish',
  shellfish: 'finish',
  dairy: 'finish',
  egg: 'finish',
  acid: 'finish',
  spirit: 'finish',
  seasoning: 'season',
  salt: 'season',
  herb: 'liquid',
  fruit: 'simmer',
  nut: 'serve',
};

/**
 * Reads a whole recipe off paper: its name on the first line, whom it serves, its ingredient lines, its method.
 * Sentences of the method become stages; a thing goes in at the stage that names it first (“half the bacon” there and
 * “the rest” later parts it in two). Without a method the stages are those its ingredients ask for.
 *
 * @param text any text
 * @returns a draft; nothing in it is final
 */
export function readRecipeText(text: string, table: ReadingTable): RecipeDraft {
  const known = new Map<string, Reading>();
  const read = (line: string): Reading => {
    const before = known.get(line);
    if (before) return before;
    const reading = readLine(line, table);
    known.set(line, reading);
    return reading;
  };
  const { name, portions, portionMl, ingredientLines, methodLines } = pageParts(text, read);
  const readings = ingredientLines.map(read);
  const sentences = methodLines.flatMap(sentencesIn);
  const method = readMethod(sentences, readings, table.ingredients);
  const whole = withHomes(method.stages, readings, table);
  const written = ingredientLines.map((line, i): WrittenLine => {
    const [said, backStageId] = [method.places[i]!, method.backStageIds[i]];
    return {
      id: `w${i + 1}`,
      text: line,
      ...(method.comesOut[i] ? { comesOut: true } : {}),
      ...(backStageId ? { backStageId } : {}),
      parts: said.length > 0 ? said : [{ stageId: homeOf(readings[i]!, whole, table), share: 1 }],
    };
  });
  const stages = withSoftness(whole, method.clocked, written, readings, table);
  const open: OpenDoubt[] = [
    ...(portions === null && sentences.length > 0 ? [{ kind: 'portions' as const }] : []),
    ...method.stages.flatMap(({ id }) =>
      openTime(
        stages.find((stage) => stage.id === id),
        method,
      ),
    ),
    ...written.flatMap((line, i) =>
      method.places[i]!.length === 0 && sentences.length > 0 && isMissed(readings[i]!, table)
        ? [{ kind: 'place' as const, lineId: line.id }]
        : [],
    ),
  ];
  return { name, portions, portionMl, written, stages, open };
}

/** A simmer without a time, a reduction without a mark: what the trade usually does was taken. */
function openTime(stage: Stage | undefined, { clocked, marked }: ReadMethod): OpenDoubt[] {
  if (!stage) return [];
  const isTimed = ['simmer', 'additions'].includes(stage.kind ?? '') && stage.ends.rule === 'minutes';
  if (isTimed && !clocked.has(stage.id)) return [{ kind: 'minutes', stageId: stage.id }];
  return stage.kind === 'reduce' && !marked.has(stage.id) && !clocked.has(stage.id)
    ? [{ kind: 'mark', stageId: stage.id }]
    : [];
}

/** A food that no sentence names, and whose place matters: salt and spice go in as they always do. */
function isMissed(reading: Reading, table: ReadingTable): boolean {
  const kind = table.ingredients[reading.ingredientId ?? '']?.kind;
  const hasUsualPlace = ['salt', 'spice', 'herb', 'seasoning', 'fat', 'water', 'stock'].includes(kind ?? '');
  return kind !== undefined && !reading.toTaste && !hasUsualPlace && !isForTheBowl(reading);
}

/** Stages that the ingredients and the end of any soup ask for, put in where they are missing. */
function withHomes(given: readonly Stage[], readings: readonly Reading[], table: ReadingTable): Stage[] {
  let stages = [...given];
  const wanted: StageKind[] = given.length > 0 ? [] : ['start', 'liquid', 'simmer'];
  if (given.length === 0) {
    const kinds = readings.map((reading) => table.ingredients[reading.ingredientId ?? '']?.kind);
    if (kinds.some((kind) => kind && HOME[kind] === 'finish')) wanted.push('finish');
  }
  wanted.push('season', 'serve');
  for (const kind of wanted) {
    if (stages.some((stage) => stage.kind === kind)) continue;
    const stage = newStage(freshId(stages), kind);
    const after = stages.findIndex(
      (one) => STAGE_ORDER.indexOf(one.kind ?? 'start') > STAGE_ORDER.indexOf(kind),
    );
    stages = after < 0 ? [...stages, stage] : [...stages.slice(0, after), stage, ...stages.slice(after)];
  }
  // nothing is cooked after it is served, and it is kept outside the pot
  const served = stages.find((stage) => stage.ends.rule === 'served');
  return [
    ...stages.filter((stage) => stage !== served && stage.kind !== 'keep'),
    ...(served ? [served] : []),
  ];
}

function freshId(stages: readonly Stage[]): string {
  let n = stages.length + 1;
  while (stages.some((stage) => stage.id === `s${n}`)) n++;
  return `s${n}`;
}

function homeOf(reading: Reading, stages: readonly Stage[], table: ReadingTable): string {
  const ingredient = reading.ingredientId ? table.ingredients[reading.ingredientId] : undefined;
  const isGarnish =
    /garnish|to serve/i.test(reading.note) ||
    (ingredient?.kind === 'herb' && !ingredient.strength && !ingredient.out);
  const isHardRoot =
    ingredient?.kind === 'vegetable' &&
    (ingredient.softenMin ?? 0) >= 8 &&
    !/onion|leek|celery|garlic|shallot/.test(ingredient.id);
  const wanted: StageKind = isGarnish
    ? 'serve'
    : ingredient?.goesWithSalt
      ? 'season'
      : isHardRoot
        ? 'simmer'
        : (HOME[ingredient?.kind ?? 'vegetable'] ?? 'start');
  const at = STAGE_ORDER.indexOf(wanted);
  const near = [...stages].sort(
    (a, b) =>
      Math.abs(STAGE_ORDER.indexOf(a.kind ?? 'start') - at) -
      Math.abs(STAGE_ORDER.indexOf(b.kind ?? 'start') - at),
  );
  return near[0]!.id;
}

/** A simmer with no clock of its own goes by the hardest thing in it: its cut's edge and its softening. */
function withSoftness(
  stages: readonly Stage[],
  clocked: ReadonlySet<string>,
  written: readonly WrittenLine[],
  readings: readonly Reading[],
  table: ReadingTable,
): Stage[] {
  return stages.map((stage, at) => {
    if (stage.kind !== 'simmer' || stage.ends.rule !== 'minutes' || clocked.has(stage.id)) return stage;
    const here = readings.flatMap((reading, i) => {
      const ingredient = reading.ingredientId ? table.ingredients[reading.ingredientId] : undefined;
      // what went in with the liquid is tender at the end of the simmer after it
      const since = stages.slice(0, at).findLastIndex((one) => one.kind === 'simmer' || one.kind === 'start');
      const isHere = written[i]!.parts.some((part) => {
        const partAt = stages.findIndex((one) => one.id === part.stageId);
        return partAt > since && partAt <= at;
      });
      return isHere && ingredient?.softenMin
        ? [{ softenMin: ingredient.softenMin, edgeCm: edgeOf(reading.cut) ?? 1.5 }]
        : [];
    });
    if (here.length === 0) return stage;
    const hardest = here.reduce((a, b) => (b.softenMin > a.softenMin ? b : a));
    return { ...stage, ends: { rule: 'soft', ...hardest } };
  });
}
