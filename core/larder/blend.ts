import { type Coefficients, type Constraint, solve } from 'yalps';
import { positive } from '../check';
import { brixOf, type LotContents } from '../matter';
import { UMAMI, umamiGPer100g } from '../taste';
import { mixContents } from './mix-contents';

/** A lot that may go into a blend. */
export interface BlendPart {
  id: string;
  contents: LotContents;
  leftKg: number;
  centsPerKg: number;
}

/** What the blend must be; what is left out is free. Percent by mass, °Brix, g of glutamate in 100 g that taste alike. */
export interface BlendWanted {
  kg: number;
  saltMin?: number;
  saltMax?: number;
  brixMin?: number;
  brixMax?: number;
  umamiMin?: number;
  centsPerKgMax?: number;
  /** water may make up the rest */
  mayHaveWater: boolean;
}

export type BlendLimit = Exclude<keyof BlendWanted, 'mayHaveWater'>;

export interface BlendOutcome {
  saltPercent: number;
  brix: number;
  umami: number;
  centsPerKg: number;
}

export type Blend =
  | { kind: 'blend'; kgById: Readonly<Record<string, number>>; waterKg: number; outcome: BlendOutcome }
  /** no blend keeps every limit: these must be loosened, to what can be reached at the least change of all */
  | { kind: 'none'; loosen: readonly { limit: BlendLimit; wanted: number; reachable: number }[] };

const WATER = 'water';
/** Rounds of cutting towards the umami wanted; each halves the gap or better. */
const MOST_CUTS = 40;
const CLOSE = 1e-5;
/** How much dearer it is to bend the amount than any other limit. */
const LAST_RESORT = 1000;
/** A slack smaller than this share of its limit is rounding. */
const SLACK_SHARE = 1e-5;

/**
 * The cheapest blend of lots that keeps every limit, or which limits stand in the way.
 *
 * Salt, strength and price are linear in the kilograms. Umami is not (glutamate times nucleotide), but what is at least
 * so savoury is a convex region, so that it is cut out by planes until the answer lies in it.
 *
 * @param parts lots with what is left of them, kg
 * @param wanted kg above 0; limits as far as they are given
 * @returns kilograms of each and of water, or the limits to loosen
 * @throws RangeError for no parts, or kg not above 0
 * @source linear program by the simplex method (yalps); cutting planes: J. E. Kelley 1960, from memory
 */
export function blendLots(parts: readonly BlendPart[], wanted: BlendWanted): Blend {
  positive('wanted.kg', wanted.kg);
  if (parts.length === 0) throw new RangeError('parts must hold at least one lot, got none');
  const strict = cutUntilSavoury(parts, wanted, false);
  const solved = strict ?? cutUntilSavoury(parts, wanted, true);
  const loosen = strict || !solved ? [] : whatToLoosen(parts, wanted, solved);
  if (!solved)
    throw new RangeError(`wanted must be limits a solver can weigh, got ${JSON.stringify(wanted)}`);
  if (loosen.length > 0) return { kind: 'none', loosen };
  const { kgById, waterKg } = solved;
  return { kind: 'blend', kgById, waterKg, outcome: outcomeOf(parts, kgById, waterKg) };
}

/** What a blend of so many kilograms is. */
export function outcomeOf(
  parts: readonly BlendPart[],
  kgById: Readonly<Record<string, number>>,
  waterKg: number,
): BlendOutcome {
  const used = parts.flatMap((part) =>
    (kgById[part.id] ?? 0) > 0 ? [{ ...part, kg: kgById[part.id]! }] : [],
  );
  if (used.length === 0) return { saltPercent: 0, brix: 0, umami: 0, centsPerKg: 0 };
  const contents = mixContents('blend', used, waterKg);
  const kg = used.reduce((sum, part) => sum + part.kg, waterKg);
  return {
    saltPercent: 100 * contents.perKg.salt,
    brix: brixOf(contents.perKg),
    umami: umamiOfContents(contents),
    centsPerKg: used.reduce((sum, part) => sum + part.kg * part.centsPerKg, 0) / kg,
  };
}

/** g of glutamate in 100 g that would taste alike. */
export function umamiOfContents({ savourPerKg: per }: LotContents): number {
  return umamiGPer100g({
    glutamate: 100 * per.glutamate,
    aspartate: 100 * per.aspartate,
    imp: 100 * per.imp,
    gmp: 100 * per.gmp,
    amp: 100 * per.amp,
  });
}

interface Cut {
  /** sour side: least amino acids at a nucleotide level of 0 on this plane, and how that falls with nucleotides */
  aminoAtNone: number;
  slope: number;
}

interface Solved {
  kgById: Record<string, number>;
  waterKg: number;
  slack: Partial<Record<BlendLimit, number>>;
}

function cutUntilSavoury(
  parts: readonly BlendPart[],
  wanted: BlendWanted,
  isElastic: boolean,
): Solved | null {
  const cuts: Cut[] = [];
  let nearest: Solved | null = null;
  const wantedUmami = wanted.umamiMin;
  for (let round = 0; round < MOST_CUTS; round++) {
    const solved = solveOnce(parts, wanted, cuts, isElastic);
    if (!solved || wantedUmami === undefined) return solved;
    nearest = solved;
    const { amino, nucleotide } = savourOfBlend(parts, solved, wanted.kg);
    const reached = (amino + (solved.slack.umamiMin ?? 0)) * (1 + UMAMI.synergy * nucleotide);
    if (reached >= wantedUmami * (1 - CLOSE)) return solved;
    // the plane that touches amino = wanted / (1 + synergy · nucleotide) here
    const touch = 1 + UMAMI.synergy * nucleotide;
    const slope = (-wantedUmami * UMAMI.synergy) / touch ** 2;
    cuts.push({ aminoAtNone: wantedUmami / touch - slope * nucleotide, slope });
  }
  return isElastic ? nearest : null;
}

function solveOnce(
  parts: readonly BlendPart[],
  wanted: BlendWanted,
  cuts: readonly Cut[],
  isElastic: boolean,
): Solved | null {
  const constraints = new Map<string, Constraint>([['kg', { equal: wanted.kg }]]);
  const variables = new Map<string, Coefficients>();
  for (const part of [...parts, ...(wanted.mayHaveWater ? [null] : [])]) {
    const id = part?.id ?? WATER;
    const { amino, nucleotide } = part ? savourOf(part.contents) : { amino: 0, nucleotide: 0 };
    const perKg = part?.contents.perKg;
    const thin = perKg ? 1 - perKg.fat - perKg.starch : 1;
    const dissolved = perKg ? perKg.protein + perKg.sugars + perKg.other + perKg.salt : 0;
    const row: Record<string, number> = {
      kg: 1,
      cents: part?.centsPerKg ?? 0,
      salt: perKg?.salt ?? 0,
      [`left ${id}`]: 1,
      brixLow: dissolved - ((wanted.brixMin ?? 0) / 100) * thin,
      brixHigh: dissolved - ((wanted.brixMax ?? 0) / 100) * thin,
    };
    cuts.forEach((cut, i) => {
      row[`cut ${i}`] = amino - cut.slope * nucleotide;
    });
    variables.set(id, row);
    if (part) constraints.set(`left ${id}`, { max: Math.max(0, part.leftKg) });
  }
  const { saltMin, saltMax, brixMin, brixMax, centsPerKgMax } = wanted;
  if (saltMin !== undefined || saltMax !== undefined)
    constraints.set('salt', {
      ...(saltMin === undefined ? {} : { min: (saltMin / 100) * wanted.kg }),
      ...(saltMax === undefined ? {} : { max: (saltMax / 100) * wanted.kg }),
    });
  if (brixMin !== undefined) constraints.set('brixLow', { min: 0 });
  if (brixMax !== undefined) constraints.set('brixHigh', { max: 0 });
  if (centsPerKgMax !== undefined) constraints.set('cents', { max: centsPerKgMax * wanted.kg });
  cuts.forEach((cut, i) => {
    constraints.set(`cut ${i}`, { min: cut.aminoAtNone * wanted.kg });
  });
  if (isElastic) addSlacks(variables, wanted, cuts);
  const answer = solve({
    direction: 'minimize',
    objective: isElastic ? 'bend' : 'cents',
    constraints,
    variables,
  });
  if (answer.status !== 'optimal') return null;
  const found = new Map(answer.variables);
  return {
    kgById: Object.fromEntries(
      parts.flatMap(({ id }) => ((found.get(id) ?? 0) > 1e-9 ? [[id, found.get(id)!]] : [])),
    ),
    waterKg: found.get(WATER) ?? 0,
    slack: Object.fromEntries(
      LIMITS.flatMap((limit) => (found.has(`bend ${limit}`) ? [[limit, found.get(`bend ${limit}`)!]] : [])),
    ),
  };
}

const LIMITS: readonly BlendLimit[] = [
  'kg',
  'saltMin',
  'saltMax',
  'brixMin',
  'brixMax',
  'umamiMin',
  'centsPerKgMax',
];

/** Lets each limit bend at a price: one for bending it by the whole of itself. */
function addSlacks(variables: Map<string, Coefficients>, wanted: BlendWanted, cuts: readonly Cut[]): void {
  const bend = (limit: BlendLimit, value: number, row: Record<string, number>) =>
    variables.set(`bend ${limit}`, { ...row, bend: 1 / Math.max(value, 1e-3) });
  const { kg } = wanted;
  // less than was asked for is the last thing to give way: it cures every other limit
  variables.set('bend kg', { kg: 1, bend: LAST_RESORT / kg });
  if (wanted.saltMin !== undefined) bend('saltMin', wanted.saltMin, { salt: kg / 100 });
  if (wanted.saltMax !== undefined) bend('saltMax', wanted.saltMax, { salt: -kg / 100 });
  if (wanted.brixMin !== undefined) bend('brixMin', wanted.brixMin, { brixLow: kg / 100 });
  if (wanted.brixMax !== undefined) bend('brixMax', wanted.brixMax, { brixHigh: -kg / 100 });
  if (wanted.centsPerKgMax !== undefined) bend('centsPerKgMax', wanted.centsPerKgMax, { cents: -kg });
  if (wanted.umamiMin !== undefined)
    bend('umamiMin', wanted.umamiMin, Object.fromEntries(cuts.map((_cut, i) => [`cut ${i}`, kg])));
}

function whatToLoosen(
  parts: readonly BlendPart[],
  wanted: BlendWanted,
  bent: Solved,
): Extract<Blend, { kind: 'none' }>['loosen'] {
  const kg = Object.values(bent.kgById).reduce((sum, one) => sum + one, bent.waterKg);
  const outcome = outcomeOf(parts, bent.kgById, bent.waterKg);
  const reached: Record<BlendLimit, number> = {
    kg,
    saltMin: outcome.saltPercent,
    saltMax: outcome.saltPercent,
    brixMin: outcome.brix,
    brixMax: outcome.brix,
    umamiMin: outcome.umami,
    centsPerKgMax: outcome.centsPerKg,
  };
  return LIMITS.flatMap((limit) => {
    const value = wanted[limit];
    const slack = bent.slack[limit] ?? 0;
    if (value === undefined || slack <= SLACK_SHARE * Math.max(value, 1e-3)) return [];
    return [{ limit, wanted: value, reachable: reached[limit] }];
  });
}

/** Amino acids by their taste and nucleotides by theirs, g in 100 g: the two factors of Yamaguchi’s relation. */
function savourOf({ savourPerKg: per }: LotContents): { amino: number; nucleotide: number } {
  const { aspartate, gmp, amp } = UMAMI;
  return {
    amino: 100 * (per.glutamate + aspartate * per.aspartate),
    nucleotide: 100 * (per.imp + gmp * per.gmp + amp * per.amp),
  };
}

function savourOfBlend(parts: readonly BlendPart[], { kgById }: Solved, kg: number) {
  return parts.reduce(
    (sum, part) => {
      const share = (kgById[part.id] ?? 0) / kg;
      const one = savourOf(part.contents);
      return { amino: sum.amino + share * one.amino, nucleotide: sum.nucleotide + share * one.nucleotide };
    },
    { amino: 0, nucleotide: 0 },
  );
}
