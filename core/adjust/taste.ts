import { type AddedItem, acidIn, type BatchSnapshot, type BatchState, hotIn, loadStillToAdd } from '../batch';
import { massKg, saltPercent } from '../matter';
import { own } from '../own';
import { foodLitres } from '../pot';
import { dilutionKg, saltToAddG } from '../salt';
import { type DoseTried, neutralised, nextDose, SCALES, type Scale, type Verdict } from '../taste';
import { COLOUR_ROADS } from './data/colour-roads';
import { AGAINST, MORE_OF, SOURNESS_TAKEN_G_PER_L, type TasteRoad } from './data/taste-roads';
import { type Ledger, NO_TASTES, type Tastes, tastesNow, tastesOf } from './tastes';
import { type AdjustWarning, outcomeOf, type ToMend, toMend, warningsOf, withItems } from './to-mend';

/** One thing to put in for one of the scales, and what it leads to. */
export interface Dose {
  id: string;
  scale: Scale;
  /** to more of it, against too much of it, or thinned */
  code: 'more' | 'against' | 'neutralise' | 'dilute' | 'bulk';
  item: AddedItem;
  /** which spoon this is for it: 1 the first */
  nth: number;
  /** of what is wanted in all, where chemistry knows it, kg; null where the palate decides */
  wholeKg: number | null;
  before: Tastes;
  after: Tastes;
  portions: number;
  costCents: number;
  /** share of the pot's salt that it takes along if it is lifted out again; null for what stays */
  takesShare: number | null;
  /** what bicarbonate gives off and leaves behind */
  gas: { litres: number; asSaltG: number } | null;
  warns: AdjustWarning[];
}

/** What the pot holds, and for each scale that is not right the doses to choose from, the usual one first. */
export interface TasteFigures {
  now: Tastes;
  /** once the lines still to come are in, salt left out */
  atEnd: Tastes;
  doses: Partial<Record<Scale, Dose[]>>;
}

/**
 * What a pot tastes of by its ledger, and the doses that answer what a spoon says: by chemistry where it serves, in
 * steps where the palate decides. “Flat” is a little of what is likeliest missing: salt up to its target, else acid.
 *
 * @param said of each scale that was tasted; `isFlat` where it wants a little something
 * @source docs/model.md § 8
 */
export function tasteFigures(
  snapshot: BatchSnapshot,
  state: BatchState,
  said: { says: Partial<Record<Scale, Verdict>>; isFlat?: boolean },
  mend = toMend(snapshot, state),
): TasteFigures {
  if (!mend) return { now: NO_TASTES, atEnd: NO_TASTES, doses: {} };
  const { end } = mend;
  const load = loadStillToAdd(snapshot, state, ['toSalt']);
  const acidG = acidIn(snapshot, state);
  const comingG = snapshot.input.recipe.lines.reduce(
    (sum, line) =>
      sum + (load[line.id] ?? 0) * (snapshot.input.ingredients[line.ingredientId]?.acidGPerKg ?? 0),
    0,
  );
  const heatG = hotIn(snapshot, state);
  const here: Ledger = { acidG: acidG + comingG, heatG };
  const atEnd = tastesOf(end, here);
  const wants = withFlat(said, atEnd.saltPercent < snapshot.input.saltPercent - SALT_TOLD);
  const doses = SCALES.flatMap((scale): [Scale, Dose[]][] => {
    const verdict = wants[scale];
    if (!verdict || verdict === 'right') return [];
    return [[scale, dosesFor({ of: mend, scale, verdict, before: atEnd, ledger: here })]];
  });
  return { now: tastesNow(snapshot, state), atEnd, doses: Object.fromEntries(doses) };
}

/** Salt under its target by less than this is not what is missing, percent. */
const SALT_TOLD = 0.06;

function withFlat(
  { says, isFlat }: { says: Partial<Record<Scale, Verdict>>; isFlat?: boolean },
  wantsSalt: boolean,
): Partial<Record<Scale, Verdict>> {
  if (!isFlat) return says;
  const missing: Scale = wantsSalt ? 'salt' : 'acid';
  return { [missing]: 'bitMore', ...says };
}

interface Wanted {
  of: ToMend;
  scale: Scale;
  verdict: Exclude<Verdict, 'right'>;
  before: Tastes;
  ledger: Ledger;
}

function dosesFor(wanted: Wanted): Dose[] {
  const { verdict } = wanted;
  const isTooMuch = verdict === 'tooMuch' || verdict === 'farTooMuch';
  const doses = isTooMuch ? lessOf(wanted, verdict) : moreOf(wanted);
  return [...doses].sort((a, b) => a.warns.length - b.warns.length);
}

function moreOf(wanted: Wanted): Dose[] {
  const { scale, of } = wanted;
  if (scale === 'salt') return saltDose(wanted);
  const from = scale === 'colour' ? (coloursOf(of)?.deeper ?? []) : MORE_OF[scale];
  return roads(wanted, from, 'more');
}

function lessOf(wanted: Wanted, verdict: 'tooMuch' | 'farTooMuch'): Dose[] {
  const { scale, of } = wanted;
  if (scale === 'salt') return [...dilutions(wanted, toItsSalt(wanted)), ...potatoes(wanted)];
  if (scale === 'colour') return roads(wanted, coloursOf(of)?.paler ?? [], 'against');
  return [
    ...(scale === 'acid' ? bicarbonate(wanted) : []),
    ...roads(wanted, AGAINST[scale], 'against'),
    ...dilutions(wanted, SHARE_THINNED[verdict] * massKg(of.end.mixture)),
  ];
}

const coloursOf = ({ snapshot }: ToMend) => own(COLOUR_ROADS, snapshot.input.recipe.colour);

/** No more of the pot than this is potato put in against salt. Ours. */
const MOST_POTATO = 0.12;

/**
 * Unsalted starchy bulk, boiled in it: salt goes into a potato until its water is as salty as the pot's, and no further.
 * Left in, it is eaten with it; lifted out, it takes along as much salt as so much soup would.
 */
function potatoes(wanted: Wanted): Dose[] {
  const { of } = wanted;
  const row = of.snapshot.input.ingredients[POTATO];
  const most = MOST_POTATO * massKg(of.end.mixture);
  const kg = Math.min(most, toItsSalt(wanted));
  if (!row || kg <= 0) return [];
  const dose = doseOf(wanted, 'bulk', { ingredientId: POTATO, kg, tempC: 18 }, 1, null);
  const waterKg = kg * row.perKg.water;
  const takesShare = waterKg / (waterKg + massKg(of.end.mixture));
  const { saltPercent: percent } = dose.after;
  const isShort = percent > of.snapshot.input.saltPercent + SALT_TOLD;
  const warns = [...dose.warns, ...(isShort ? [{ code: 'stillSalty' as const, percent }] : [])];
  return [{ ...dose, takesShare, warns }];
}
const POTATO = 'potato';

/** Thinned by so much where nothing else takes it away. From memory. */
const SHARE_THINNED = { tooMuch: 0.1, farTooMuch: 0.25 } as const;

/** What went in for this scale before, in times what is usually right, with what was said after it. */
function triedFor(
  { of: { state }, scale }: Wanted,
  usualKg: (id: string) => number | undefined,
): DoseTried[] {
  return state.dosed
    .filter((dose) => dose.for === scale)
    .flatMap((dose) => {
      // lemon that made it sour is no dose against sourness
      const usual = usualKg(dose.ingredientId);
      if (usual === undefined) return [];
      const after = state.tastings.find((one) => one.atMs > dose.atMs && one.says[scale]);
      return [{ amount: dose.kg / usual, verdict: after?.says[scale] ?? null }];
    });
}

/** Two thirds of what is missing to the target first; past it, in steps the palate decides. */
function saltDose(wanted: Wanted): Dose[] {
  const { of, verdict } = wanted;
  const kg = massKg(of.end.mixture);
  const missingG = saltToAddG({
    massKg: kg,
    nowPercent: saltPercent(of.end.mixture, 'all'),
    targetPercent: of.snapshot.input.saltPercent,
  });
  const usualKg = (STEP_PERCENT / 100) * kg;
  const tried = triedFor(wanted, (id) => (id === SALT ? usualKg : undefined));
  const stepKg = nextDose(usualKg, verdict, tried) || usualKg / 2;
  const isByTarget = missingG > 1000 * stepKg * 0.5;
  const first = isByTarget ? ((tried.length === 0 ? FIRST_OF_WHOLE : 1) * missingG) / 1000 : stepKg;
  const wholeKg = isByTarget ? missingG / 1000 : null;
  return [doseOf(wanted, 'more', { ingredientId: SALT, kg: first, tempC: 18 }, tried.length + 1, wholeKg)];
}
/** What a pot is salted with: the kitchen's fine salt. */
const SALT = 'salt';
/** A step that a mouth tells, percent of the pot. Common practice. */
const STEP_PERCENT = 0.12;

function roads(wanted: Wanted, from: readonly TasteRoad[], code: 'more' | 'against'): Dose[] {
  const { of, verdict } = wanted;
  const { ingredients } = of.snapshot.input;
  const litres = foodLitres(of.end);
  const usualOf = ({ usualGPerL }: TasteRoad) => (usualGPerL * litres) / 1000;
  const tried = triedFor(wanted, (id) => {
    const one = from.find(({ ingredientId }) => ingredientId === id);
    return one && usualOf(one);
  });
  // against too much it is dosed as for more of the other
  const says = code === 'more' ? verdict : verdict === 'farTooMuch' ? 'more' : 'bitMore';
  const times = nextDose(1, says, tried);
  if (times === 0) return [];
  return ownFirst(from, of)
    .filter(({ ingredientId }) => ingredients[ingredientId])
    .map((one) => {
      const { ingredientId, tempC } = one;
      const wholeKg = code === 'more' ? toWhatWasRightKg(wanted, ingredientId) : null;
      const isFar = wholeKg === null || wholeKg < usualOf(one) / 8 || wholeKg > 4 * usualOf(one);
      const kg = isFar ? times * usualOf(one) : tried.length === 0 ? FIRST_OF_WHOLE * wholeKg : wholeKg;
      return doseOf(wanted, code, { ingredientId, kg, tempC }, tried.length + 1, isFar ? null : wholeKg);
    });
}

/** What spoons have corrected in this dish before is reached for first. */
function ownFirst(from: readonly TasteRoad[], { snapshot }: ToMend): TasteRoad[] {
  const { lines } = snapshot.input.recipe;
  const isOwn = ({ ingredientId }: TasteRoad) =>
    lines.some((line) => line.ingredientId === ingredientId && line.scaling === 'bySpoon');
  return [...from].sort((a, b) => Number(isOwn(b)) - Number(isOwn(a)));
}

/** Where the whole is known, so much of it first. source: common practice, two thirds and taste */
const FIRST_OF_WHOLE = 2 / 3;

/** What is missing to what spoons found right in batches before, kg of this food; null where none has. */
function toWhatWasRightKg({ of, scale, before }: Wanted, ingredientId: string): number | null {
  const { recipe, ingredients } = of.snapshot.input;
  const right = recipe.profile?.right[scale];
  const row = ingredients[ingredientId]!;
  const [has, perKg] =
    scale === 'acid'
      ? [before.acidGPerL, row.acidGPerKg ?? 0]
      : scale === 'sweet'
        ? [before.sugarGPerL, 1000 * row.perKg.sugars]
        : scale === 'heat'
          ? [before.heatGPerL, row.strength === 'hot' ? 1000 : 0]
          : [0, 0];
  if (!right || perKg <= 0) return null;
  return (Math.max(0, right.value - has) * foodLitres(of.end)) / perKg;
}

/** Baking soda, in pinches: no more than takes a little of the edge. */
function bicarbonate(wanted: Wanted): Dose[] {
  const { of, verdict, before } = wanted;
  if (!of.snapshot.input.ingredients.bicarbonate || (verdict !== 'tooMuch' && verdict !== 'farTooMuch'))
    return [];
  const perL = Math.min(SOURNESS_TAKEN_G_PER_L[verdict], before.acidGPerL / 2);
  const acidG = perL * foodLitres(of.end);
  if (acidG <= 0) return [];
  const { bicarbonateG, gasL, asSaltG } = neutralised(acidG);
  const dose = doseOf(
    wanted,
    'neutralise',
    { ingredientId: 'bicarbonate', kg: bicarbonateG / 1000, tempC: 18 },
    1,
    null,
  );
  return [
    {
      ...dose,
      gas: { litres: gasL, asSaltG },
      after: { ...dose.after, acidGPerL: Math.max(0, before.acidGPerL - perL) },
    },
  ];
}

function toItsSalt({ of }: Wanted): number {
  return dilutionKg({
    massKg: massKg(of.end.mixture),
    nowPercent: saltPercent(of.end.mixture, 'all'),
    targetPercent: Math.max(0.01, of.snapshot.input.saltPercent),
  });
}

/** Thinned with the dish's own unsalted liquid, then with water. */
function dilutions(wanted: Wanted, kg: number): Dose[] {
  const { input } = wanted.of.snapshot;
  const step = kg > 0 ? kg : SHARE_THINNED.tooMuch * massKg(wanted.of.end.mixture);
  const ownLiquids = input.recipe.lines.flatMap((line) => {
    const row = input.ingredients[line.ingredientId];
    const isUnsalted = row !== undefined && row.perKg.salt < UNSALTED;
    return line.scaling === 'toYield' && row?.share === 'liquid' && isUnsalted ? [line.ingredientId] : [];
  });
  return [...new Set([...ownLiquids, 'water'])]
    .filter((id) => input.ingredients[id])
    .map((ingredientId) => {
      // what is not quite unsalted takes so much more
      const ownSalt = input.ingredients[ingredientId]!.perKg.salt;
      const target = input.saltPercent / 100;
      const more = wanted.scale === 'salt' && target > ownSalt ? target / (target - ownSalt) : 1;
      return doseOf(wanted, 'dilute', { ingredientId, kg: step * more, tempC: 85 }, 1, step * more);
    });
}
/** Salt in a kilogram of what counts as unsalted, kg. */
const UNSALTED = 0.0035;

function doseOf(
  { of, scale, before, ledger }: Wanted,
  code: Dose['code'],
  item: AddedItem,
  nth: number,
  wholeKg: number | null,
): Dose {
  const row = of.snapshot.input.ingredients[item.ingredientId]!;
  const { pot, costCents } = withItems(of, [item]);
  const after = tastesOf(pot, {
    acidG: ledger.acidG + item.kg * (row.acidGPerKg ?? 0),
    heatG: ledger.heatG + (row.strength === 'hot' ? item.kg * 1000 : 0),
  });
  const { portionMl } = of.snapshot.input;
  const { portions } = outcomeOf(pot, { portionMl, minutes: 0, costCents });
  const warns = warningsOf(of, [item]);
  const id = `${code}-${item.ingredientId}`;
  return {
    id,
    scale,
    code,
    item,
    nth,
    wholeKg,
    before,
    after,
    portions,
    costCents,
    takesShare: null,
    gas: null,
    warns,
  };
}
