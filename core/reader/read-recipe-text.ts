import { newStage, type Stage, type StageKind, type WrittenLine } from '../recipe';

import { wordsOf } from './ingredient-names';
import {
  blendedIn,
  edgeOf,
  goneIn,
  lidIn,
  methodIn,
  minutesIn,
  STAGE_ORDER,
  sentencesOf,
  stageKindOf,
} from './method-sentences';
import { readAmount, tidyLine } from './read-amount';
import { type ReadingTable, readLine } from './read-line';
import type { Reading } from './reading';

/** A recipe as it was read off paper: still a draft, every guess of it open to correction. */
export interface RecipeDraft {
  name: string;
  portions: number | null;
  portionMl: number | null;
  written: WrittenLine[];
  stages: Stage[];
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

const YIELD =
  /\b(?:serves|feeds|makes|yields?|yield:|servings:?|portions:?|enough for)\s*:?\s*(?:about |around )?(\d+)(?:\s*(?:-|to)\s*(\d+))?\s*(l\b|litres?|liters?|ml\b)?/i;
const FOR = /^for (\d+)( people| persons| bowls| portions)?$/i;
const BOWL = /\b(?:bowls?|portions?|servings?) of (\d+)\s*ml\b/i;
const INGREDIENTS_HEAD = /^(ingredients|you need|what you need)\s*:?$/i;
const METHOD_HEAD = /^(method|directions|steps|preparation|instructions|how to|to make it)\s*:?$/i;

/**
 * Reads a whole recipe off paper: its name on the first line, whom it serves, its ingredient lines, its method.
 * Sentences of the method become stages; a thing goes in at the stage that names it first (“half the bacon” there and
 * “the rest” later parts it in two). Without a method the stages are those its ingredients ask for.
 *
 * @param text any text
 * @returns a draft; nothing in it is final
 */
export function readRecipeText(text: string, table: ReadingTable): RecipeDraft {
  const { name, portions, portionMl, ingredientLines, methodLines } = partsOf(text, table);
  const readings = ingredientLines.map((line) => readLine(line, table));
  const sentences = methodLines.flatMap(sentencesOf);
  const { stages, places } =
    sentences.length > 0
      ? stagesFrom(sentences, readings, table)
      : { stages: [], places: readings.map(() => []) };
  const whole = withHomes(stages, readings, table);
  const written = ingredientLines.map((line, i): WrittenLine => {
    const said = places[i]!;
    return {
      id: `w${i + 1}`,
      text: line,
      parts: said.length > 0 ? said : [{ stageId: homeOf(readings[i]!, whole, table), share: 1 }],
    };
  });
  return { name, portions, portionMl, written, stages: withSoftness(whole, written, readings, table) };
}

function partsOf(text: string, table: ReadingTable) {
  const lines = text.split(/\r?\n/).map((line) => line.replace(/^#+\s*/, '').trim());
  let name = '';
  let portions: number | null = null;
  let portionMl: number | null = null;
  let isMethod = false;
  const ingredientLines: string[] = [];
  const methodLines: string[] = [];
  for (const line of lines) {
    if (line === '' || INGREDIENTS_HEAD.test(line)) continue;
    if (METHOD_HEAD.test(line)) {
      isMethod = true;
      continue;
    }
    const bowl = BOWL.exec(line);
    if (bowl) portionMl = Number(bowl[1]);
    const serves = YIELD.exec(line) ?? FOR.exec(line);
    if (serves && !isMethod && line.length < 60 && portions === null && !looksLikeIngredient(line, table)) {
      const many =
        serves[2] && /^\d/.test(serves[2]) ? (Number(serves[1]) + Number(serves[2])) / 2 : Number(serves[1]);
      if (!serves[3]) portions = Math.round(many);
      if (name === '' && serves.index > 0)
        name = line
          .slice(0, serves.index)
          .replace(/[,;:(–-]+\s*$/, '')
          .trim();
      continue;
    }
    if (bowl && line.length < 40) continue;
    if (name === '' && !readAmount(tidyLine(line))) {
      name = line;
      continue;
    }
    const step = /^(step\s*)?\d+[.):]\s+/i.exec(line);
    if (!isMethod && (step !== null || isSentence(line)) && !looksLikeIngredient(line, table))
      isMethod = true;
    if (isMethod) methodLines.push(step ? line.slice(step[0].length) : line);
    else ingredientLines.push(line);
  }
  return { name: name || 'A soup without a name', portions, portionMl, ingredientLines, methodLines };
}

function isSentence(line: string): boolean {
  return (
    line.length > 45 ||
    /[.!]$/.test(line) ||
    /^(heat|melt|sweat|fry|add|bring|simmer|pour|blend|stir|season|serve|boil|soften|brown|cook|put|warm)\b/i.test(
      line,
    )
  );
}

function looksLikeIngredient(line: string, table: ReadingTable): boolean {
  const tidy = tidyLine(line);
  return (
    readAmount(tidy) !== null &&
    line.length < 90 &&
    !/[.]$/.test(line) &&
    readLine(line, table).ingredientId !== null
  );
}

function stagesFrom(sentences: readonly string[], readings: readonly Reading[], table: ReadingTable) {
  const stages: Stage[] = [];
  const places: { stageId: string; share: number }[][] = readings.map(() => []);
  for (const sentence of sentences) {
    const last = stages.at(-1);
    const told = stageKindOf(sentence);
    const pours = told === null && last?.kind === 'start' && poursIn(sentence, readings, table);
    const kind = pours ? 'liquid' : told;
    const minutes = minutesIn(sentence);
    const isSame =
      last && (kind === null || (kind === last.kind && (minutes === null || last.ends.rule !== 'minutes')));
    let here: Stage;
    if (isSame && last) {
      here = { ...last, act: `${last.act} ${capital(sentence)}.` };
      stages[stages.length - 1] = here;
    } else {
      const base = newStage(`s${stages.length + 1}`, kind ?? 'start', methodIn(sentence, kind));
      here = { ...base, act: `${capital(sentence)}.` };
      stages.push(here);
    }
    if (minutes !== null && here.ends.rule !== 'served' && here.ends.rule !== 'simmer') {
      here = { ...here, ends: { rule: 'minutes', minutes } };
      stages[stages.length - 1] = here;
    }
    const gone = goneIn(sentence);
    if (gone !== null && here.kind === 'reduce') {
      stages[stages.length - 1] = { ...here, ends: { rule: 'fall', fractionGone: gone } };
    }
    const blended = blendedIn(sentence);
    const { does } = stages.at(-1)!;
    if (blended !== null && does?.kind === 'puree')
      stages[stages.length - 1] = { ...stages.at(-1)!, does: { ...does, share: blended } };
    const lid = lidIn(sentence);
    if (lid !== null) stages[stages.length - 1] = { ...stages.at(-1)!, lid };
    for (const [i, place] of mentions(sentence, readings, table, places).entries())
      if (place) places[i]!.push({ stageId: here.id, share: place });
  }
  return { stages, places: places.map(wholeShares) };
}

/** Whether a sentence puts in what a pot is boiled in: water never lands in a sweat. */
function poursIn(sentence: string, readings: readonly Reading[], table: ReadingTable): boolean {
  const words = wordsOf(sentence);
  return readings.some((reading) => {
    const ingredient = reading.ingredientId ? table.ingredients[reading.ingredientId] : null;
    const isLiquid = ingredient && (ingredient.kind === 'water' || ingredient.kind === 'stock');
    const head = reading.name.split(' ').at(-1);
    return isLiquid && head !== undefined && words.includes(head);
  });
}

/** Which things a sentence puts in, and how much of each: all, half, the rest. */
function mentions(
  sentence: string,
  readings: readonly Reading[],
  table: ReadingTable,
  places: readonly { stageId: string; share: number }[][],
): (number | null)[] {
  const words = wordsOf(sentence);
  const saysVegetables =
    /\b(the |all the )?vegetables\b/i.test(sentence) && /sweat|soften|fry|cook|add/i.test(sentence);
  return readings.map((reading, i) => {
    const ingredient = reading.ingredientId ? table.ingredients[reading.ingredientId] : null;
    const heads = [
      reading.name.split(' ').at(-1),
      ...(ingredient ? [wordsOf(ingredient.name.split(',')[0]!).at(-1)] : []),
    ];
    const at = words.findIndex((word) => heads.includes(word));
    const already = places[i]!.reduce((sum, place) => sum + place.share, 0);
    const isVegetable = saysVegetables && ingredient?.kind === 'vegetable' && already === 0;
    if (at < 0 && !isVegetable) return null;
    const before = words.slice(Math.max(0, at - 4), at).join(' ');
    if (/half/.test(before)) return Math.min(0.5, 1 - already) || null;
    if (/(rest|remaining|other)/.test(before)) return already < 1 && already > 0 ? 1 - already : null;
    if (/third/.test(before)) return Math.min(1 / 3, 1 - already) || null;
    if (/quarter/.test(before)) return Math.min(0.25, 1 - already) || null;
    return already > 0 ? null : 1;
  });
}

/** A line parted on paper must add up: what no sentence claims goes with its last part. */
function wholeShares(places: { stageId: string; share: number }[]): { stageId: string; share: number }[] {
  const sum = places.reduce((total, place) => total + place.share, 0);
  if (places.length === 0 || Math.abs(sum - 1) < 1e-9) return places;
  return places.map((place, i) =>
    i === places.length - 1 ? { ...place, share: place.share + 1 - sum } : place,
  );
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
  written: readonly WrittenLine[],
  readings: readonly Reading[],
  table: ReadingTable,
): Stage[] {
  return stages.map((stage, at) => {
    if (stage.kind !== 'simmer' || stage.ends.rule !== 'minutes' || minutesIn(stage.act) !== null)
      return stage;
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

function capital(sentence: string): string {
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
