import { type Coefficients, type Constraint, solve } from 'yalps';
import type { LotContents } from '../matter';
import { UMAMI } from '../taste';
import type { BlendLimit, BlendPart, BlendWanted } from './blend-parts';

/*
 * Blending as a linear program, with savour cut out by planes: salt, strength and price are linear in the kilograms;
 * umami is not (glutamate times nucleotide), but what is at least so savoury is a convex region.
 * source: simplex method (yalps); cutting planes: J. E. Kelley 1960, from memory
 */

const WATER = 'water';
/** Rounds of cutting towards the umami wanted; each halves the gap or better. */
const MOST_CUTS = 40;
const CLOSE = 1e-5;
/** How much dearer it is to bend the amount than any other limit. */
const LAST_RESORT = 1000;

interface Cut {
  /** sour side: least amino acids at a nucleotide level of 0 on this plane, and how that falls with nucleotides */
  aminoAtNone: number;
  slope: number;
}

/** Kilograms of each lot and of water, and how far each limit had to bend. */
export interface Solved {
  kgById: Record<string, number>;
  waterKg: number;
  slack: Partial<Record<BlendLimit, number>>;
}

/**
 * The cheapest blend that keeps every limit, or, `isElastic`, the one that bends the limits the least.
 *
 * @returns null where no blend keeps them
 */
export function cutUntilSavoury(
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
    const { amino, nucleotide } = savourOfBlend(parts, solved);
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
  // in shares of what is wanted, each limit against what is poured: less of it keeps them as well
  const constraints = new Map<string, Constraint>([['kg', { equal: 1 }]]);
  const variables = new Map<string, Coefficients>();
  const { saltMin = 0, saltMax = 100, brixMin = 0, brixMax = 100, centsPerKgMax = Number.MAX_VALUE } = wanted;
  for (const part of [...parts, ...(wanted.mayHaveWater ? [null] : [])]) {
    const id = part?.id ?? WATER;
    const { amino, nucleotide } = part ? savourOf(part.contents) : { amino: 0, nucleotide: 0 };
    const perKg = part?.contents.perKg;
    const thin = perKg ? 1 - perKg.fat - perKg.starch : 1;
    const dissolved = perKg ? perKg.protein + perKg.sugars + perKg.other + perKg.salt : 0;
    const saltPercent = 100 * (perKg?.salt ?? 0);
    const cents = part?.centsPerKg ?? 0;
    const row: Record<string, number> = {
      kg: 1,
      cents,
      saltMin: saltPercent - saltMin,
      saltMax: saltPercent - saltMax,
      brixMin: 100 * dissolved - brixMin * thin,
      brixMax: 100 * dissolved - brixMax * thin,
      centsPerKgMax: cents - centsPerKgMax,
      [`left ${id}`]: 1,
    };
    cuts.forEach((cut, i) => {
      row[`cut ${i}`] = amino - cut.slope * nucleotide - cut.aminoAtNone;
    });
    variables.set(id, row);
    if (part) constraints.set(`left ${id}`, { max: Math.max(0, part.leftKg) / wanted.kg });
  }
  for (const limit of ['saltMin', 'brixMin'] as const)
    if (wanted[limit] !== undefined) constraints.set(limit, { min: 0 });
  for (const limit of ['saltMax', 'brixMax', 'centsPerKgMax'] as const)
    if (wanted[limit] !== undefined) constraints.set(limit, { max: 0 });
  cuts.forEach((_cut, i) => {
    constraints.set(`cut ${i}`, { min: 0 });
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
  const kgOf = (id: string) => (found.get(id) ?? 0) * wanted.kg;
  return {
    kgById: Object.fromEntries(parts.flatMap(({ id }) => (kgOf(id) > 1e-9 ? [[id, kgOf(id)]] : []))),
    waterKg: kgOf(WATER),
    slack: Object.fromEntries(
      LIMITS.flatMap((limit) => (found.has(`bend ${limit}`) ? [[limit, found.get(`bend ${limit}`)!]] : [])),
    ),
  };
}

export const LIMITS: readonly BlendLimit[] = [
  'kg',
  'saltMin',
  'saltMax',
  'brixMin',
  'brixMax',
  'umamiMin',
  'centsPerKgMax',
];

/** A limit near nothing bends as one of this size would: percent, °Brix, g in 100 g, hundredths a kg. From memory. */
const USUAL: Readonly<Record<BlendLimit, number>> = {
  kg: 1,
  saltMin: 0.2,
  saltMax: 0.2,
  brixMin: 1,
  brixMax: 1,
  umamiMin: 0.05,
  centsPerKgMax: 50,
};

/** Lets each limit bend at a price: one for bending it by the whole of itself. */
function addSlacks(variables: Map<string, Coefficients>, wanted: BlendWanted, cuts: readonly Cut[]): void {
  // less than was asked for is the last thing to give way: it cures every other limit
  variables.set('bend kg', { kg: 1, bend: LAST_RESORT });
  for (const limit of LIMITS) {
    const value = wanted[limit];
    if (value === undefined || limit === 'kg') continue;
    const bend = 1 / Math.max(value, USUAL[limit]);
    const row =
      limit === 'umamiMin'
        ? Object.fromEntries(cuts.map((_cut, i) => [`cut ${i}`, 1]))
        : { [limit]: limit === 'saltMin' || limit === 'brixMin' ? 1 : -1 };
    variables.set(`bend ${limit}`, { ...row, bend });
  }
}

/** Amino acids by their taste and nucleotides by theirs, g in 100 g: the two factors of Yamaguchi’s relation. */
function savourOf({ savourPerKg: per }: LotContents): { amino: number; nucleotide: number } {
  const { aspartate, gmp, amp } = UMAMI;
  return {
    amino: 100 * (per.glutamate + aspartate * per.aspartate),
    nucleotide: 100 * (per.imp + gmp * per.gmp + amp * per.amp),
  };
}

function savourOfBlend(parts: readonly BlendPart[], { kgById, waterKg }: Solved) {
  const kg = Object.values(kgById).reduce((sum, one) => sum + one, waterKg);
  return parts.reduce(
    (sum, part) => {
      const share = kg > 0 ? (kgById[part.id] ?? 0) / kg : 0;
      const one = savourOf(part.contents);
      return { amino: sum.amino + share * one.amino, nucleotide: sum.nucleotide + share * one.nucleotide };
    },
    { amino: 0, nucleotide: 0 },
  );
}
