/** A setting as the cook knows it, and the share of full heat it stands for, 0..1. */
export interface HeatMark {
  word: string;
  share: number;
}

/** How the heat is set: the marks from least to most, full last. Without one it is set by percent. */
export type Dial = readonly HeatMark[];

/** Dials to begin with. Shares are first guesses, from memory; what arrives at each is learned as the pots are read. */
export const DIAL_KINDS = ['percent', 'marks', 'words', 'flame'] as const;
export type DialKind = (typeof DIAL_KINDS)[number];

/**
 * The first guess of a dial.
 *
 * @param kind by percent (no marks), by numbered marks, in words, or by the height of the flame
 * @param marks how many numbers there are, 2..12; only for numbered marks
 * @throws RangeError for another count of marks
 */
export function firstDial(kind: DialKind, marks = 9): Dial | undefined {
  switch (kind) {
    case 'percent':
      return undefined;
    case 'marks':
      if (!(Number.isInteger(marks) && marks >= 2 && marks <= 12))
        throw new RangeError(`marks must be a whole number from 2 to 12, got ${marks}`);
      return Array.from({ length: marks }, (_, i) => ({ word: String(i + 1), share: (i + 1) / marks }));
    case 'words':
      return [
        { word: 'low', share: 0.25 },
        { word: 'medium', share: 0.55 },
        { word: 'high', share: 1 },
      ];
    case 'flame':
      return [
        { word: 'smallest flame', share: 0.12 },
        { word: 'a quarter', share: 0.3 },
        { word: 'half', share: 0.55 },
        { word: 'three quarters', share: 0.8 },
        { word: 'full flame', share: 1 },
      ];
  }
}

/** The mark nearest to a share of full; undefined for none lit. */
export function markNear(dial: Dial, share: number): HeatMark | undefined {
  if (share <= 0) return undefined;
  return dial.reduce((best, mark) =>
    Math.abs(mark.share - share) < Math.abs(best.share - share) ? mark : best,
  );
}

/** What a mark has shown to give, as a share of full. */
export interface LearnedMark extends HeatMark {
  gives: { mean: number; sd: number };
  /** stretches of steady heat it was seen in */
  seen: number;
}

/** What a tap gives at a mark is guessed so badly, one standard deviation, as a share of it. From memory. */
const GUESS_SD = 0.35;

/**
 * What each mark of a dial gives, from stretches of steady heat at it: never less than the mark below it, however the
 * readings scatter.
 *
 * @param rates what has arrived at a share of full, over what was expected of that share
 * @param heatFactor what full heat gives, over its rating
 * @source published: isotonic regression by pooling adjacent violators, M. Ayer and others, Annals of Mathematical
 * Statistics 26 (1955) 641; weights are precisions
 */
export function learnedMarks(
  dial: Dial,
  rates: readonly { fraction: number; arriving: { mean: number; sd: number }; segments: number }[],
  heatFactor: number,
): LearnedMark[] {
  const seen = dial.map((mark) => {
    const own = rates.filter((rate) => markNear(dial, rate.fraction) === mark);
    const guess = { mean: mark.share, precision: 1 / (GUESS_SD * mark.share) ** 2 };
    const parts = own.map(({ arriving, fraction }) => ({
      mean: (fraction * arriving.mean) / heatFactor,
      precision: (heatFactor / (fraction * arriving.sd)) ** 2,
    }));
    const all = [guess, ...parts];
    const precision = all.reduce((sum, one) => sum + one.precision, 0);
    const mean = all.reduce((sum, one) => sum + one.precision * one.mean, 0) / precision;
    return { mean, precision, seen: own.reduce((sum, one) => sum + one.segments, 0) };
  });
  const rising = pooled(seen);
  return dial.map((mark, i) => ({
    ...mark,
    gives: { mean: Math.min(1, rising[i]!), sd: Math.sqrt(1 / seen[i]!.precision) },
    seen: seen[i]!.seen,
  }));
}

/** Neighbours that fall are taken together until none does. */
function pooled(list: readonly { mean: number; precision: number }[]): number[] {
  const pools: { mean: number; precision: number; count: number }[] = [];
  for (const one of list) {
    let last = { ...one, count: 1 };
    while (pools.length > 0 && pools.at(-1)!.mean > last.mean) {
      const before = pools.pop()!;
      const precision = before.precision + last.precision;
      const mean = (before.mean * before.precision + last.mean * last.precision) / precision;
      last = { mean, precision, count: before.count + last.count };
    }
    pools.push(last);
  }
  return pools.flatMap(({ mean, count }) => Array.from({ length: count }, () => mean));
}
