import { typedNumber } from '../../../contract';
import type { Blend, BlendLimit, BlendWanted, LooserLimit } from '../../../core/larder';
import type { LotView } from '../../../core/views';
import { basesWords, centsPerKgTyped, decimal, pricePerWeight } from '../../words';

/** The fields of a blend. */
export type BlendField = 'litres' | 'saltMax' | 'brixMin' | 'umamiMin' | 'priceMax';

const NAMES: Record<BlendField, string> = {
  litres: basesWords.amountOf,
  saltMax: basesWords.salt,
  brixMin: basesWords.strength,
  umamiMin: basesWords.umami,
  priceMax: basesWords.thePrice,
};

/** What was typed, as limits for the solver; sentences for what is no number. */
export function wantedOf(
  typed: Record<BlendField, string>,
  mayHaveWater: boolean,
  lots: readonly LotView[],
): { wanted: BlendWanted | null; wrong: string[] } {
  const values = Object.fromEntries(
    Object.entries(typed).map(([key, text]) => [key, text.trim() === '' ? undefined : typedNumber(text)]),
  ) as Record<BlendField, number | null | undefined>;
  const wrong = (Object.keys(NAMES) as BlendField[])
    .filter((key) => values[key] === null || (values[key] ?? 0) < 0)
    .map((key) => basesWords.mustBeANumber0(NAMES[key], typed[key]));
  if (!values.litres || values.litres <= 0) wrong.push(basesWords.sayHowMuchAbove);
  if (wrong.length > 0) return { wanted: null, wrong };
  const density = lots[0]?.contents.densityKgPerL ?? 1;
  return {
    wrong: [],
    wanted: {
      kg: values.litres! * density,
      mayHaveWater,
      ...(values.saltMax == null ? {} : { saltMax: values.saltMax }),
      ...(values.brixMin == null ? {} : { brixMin: values.brixMin }),
      ...(values.umamiMin == null ? {} : { umamiMin: values.umamiMin }),
      ...(values.priceMax == null ? {} : { centsPerKgMax: centsPerKgTyped(values.priceMax) }),
    },
  };
}

/** Rounded to the digits shown, and to the side on which there is a blend. */
const shown = (value: number, digits: number, isMost: boolean): string => {
  const unit = 10 ** digits;
  const rounded = isMost ? Math.ceil(value * unit - 1e-6) : Math.floor(value * unit + 1e-6);
  return decimal(rounded / unit, digits);
};

/** A limit that stands in the way, with what it would have to be. */
export function loosenWords({ limit, wanted, reachable }: LooserLimit, currency: string): string {
  const most = (digits: number) => shown(reachable, digits, true);
  const least = (digits: number) => shown(reachable, digits, false);
  switch (limit) {
    case 'kg':
      return basesWords.kgOfItNotThere(reachable, wanted);
    case 'saltMax':
      return basesWords.saltAtMostNot(most(2), decimal(wanted, 2));
    case 'saltMin':
      return basesWords.saltAtLeastNot(least(2), decimal(wanted, 2));
    case 'brixMin':
      return basesWords.strengthAtLeastBrixNot(least(1), decimal(wanted, 1));
    case 'brixMax':
      return basesWords.strengthAtMostBrixNot(most(1), decimal(wanted, 1));
    case 'umamiMin':
      return basesWords.umamiAtLeastGIn(least(2), decimal(wanted, 2));
    case 'centsPerKgMax':
      return basesWords.aWeightAtMostNot(
        pricePerWeight(Math.ceil(reachable), currency),
        pricePerWeight(wanted, currency),
      );
  }
}

const LIMIT_NAMES: Readonly<Record<BlendLimit, string>> = {
  kg: basesWords.theAmount,
  saltMin: 'salt',
  saltMax: 'salt',
  brixMin: 'strength',
  brixMax: 'strength',
  umamiMin: 'umami',
  centsPerKgMax: basesWords.thePrice2,
};

/** Two limits that nothing keeps at once. */
export function contradictionWords(of: Extract<Blend, { kind: 'contradiction' }>): string {
  return basesWords.nothingHasOfAtLeast(LIMIT_NAMES[of.least], of.leastValue, of.mostValue);
}
