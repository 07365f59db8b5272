import { money, typedNumber } from '../../../contract';
import type { Blend, BlendLimit, BlendWanted, LooserLimit } from '../../../core/larder';
import type { LotView } from '../../../core/views';

/** The fields of a blend. */
export type BlendField = 'litres' | 'saltMax' | 'brixMin' | 'umamiMin' | 'priceMax';

const NAMES: Record<BlendField, string> = {
  litres: 'Litres',
  saltMax: 'Salt',
  brixMin: 'Strength',
  umamiMin: 'Umami',
  priceMax: 'The price',
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
    .map((key) => `${NAMES[key]} must be a number, 0 or more, not “${typed[key]}”.`);
  if (!values.litres || values.litres <= 0) wrong.push('Say how many litres, above 0.');
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
      ...(values.priceMax == null ? {} : { centsPerKgMax: values.priceMax * 100 }),
    },
  };
}

/** Rounded to the digits shown, and to the side on which there is a blend. */
const shown = (value: number, digits: number, isMost: boolean): string => {
  const unit = 10 ** digits;
  const rounded = isMost ? Math.ceil(value * unit - 1e-6) : Math.floor(value * unit + 1e-6);
  return (rounded / unit).toFixed(digits);
};

/** A limit that stands in the way, with what it would have to be. */
export function loosenWords({ limit, wanted, reachable }: LooserLimit, currency: string): string {
  const most = (digits: number) => shown(reachable, digits, true);
  const least = (digits: number) => shown(reachable, digits, false);
  switch (limit) {
    case 'kg':
      return `${least(1)} kg of it, not ${wanted.toFixed(1)}: there is too little for more.`;
    case 'saltMax':
      return `Salt at most ${most(2)} %, not ${wanted.toFixed(2)} %.`;
    case 'saltMin':
      return `Salt at least ${least(2)} %, not ${wanted.toFixed(2)} %.`;
    case 'brixMin':
      return `Strength at least ${least(1)} °Brix, not ${wanted.toFixed(1)}.`;
    case 'brixMax':
      return `Strength at most ${most(1)} °Brix, not ${wanted.toFixed(1)}.`;
    case 'umamiMin':
      return `Umami at least ${least(2)} g in 100 g, not ${wanted.toFixed(2)} g.`;
    case 'centsPerKgMax':
      return `A kilo at most ${money(Math.ceil(reachable), currency)}, not ${money(wanted, currency)}.`;
  }
}

const LIMIT_NAMES: Readonly<Record<BlendLimit, string>> = {
  kg: 'the amount',
  saltMin: 'salt',
  saltMax: 'salt',
  brixMin: 'strength',
  brixMax: 'strength',
  umamiMin: 'umami',
  centsPerKgMax: 'the price',
};

/** Two limits that nothing keeps at once. */
export function contradictionWords(of: Extract<Blend, { kind: 'contradiction' }>): string {
  return `Nothing has ${LIMIT_NAMES[of.least]} of at least ${of.leastValue} and at most ${of.mostValue}.`;
}
