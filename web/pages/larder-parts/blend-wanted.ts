import { money, typedNumber } from '../../../contract';
import type { BlendLimit, BlendWanted } from '../../../core/larder';
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

/** A limit that stands in the way, with what can be reached. */
export function loosenWords(
  one: { limit: BlendLimit; wanted: number; reachable: number },
  currency: string,
): string {
  const to = (value: number, digits: number) => value.toFixed(digits);
  switch (one.limit) {
    case 'kg':
      return `${to(one.wanted, 1)} kg: there are ${to(one.reachable, 1)} kg of them.`;
    case 'saltMax':
      return `Salt at most ${to(one.wanted, 2)} %: the least they come to is ${to(one.reachable, 2)} %.`;
    case 'saltMin':
      return `Salt at least ${to(one.wanted, 2)} %: the most they come to is ${to(one.reachable, 2)} %.`;
    case 'brixMin':
      return `Strength at least ${to(one.wanted, 1)} °Brix: the most they come to is ${to(one.reachable, 1)}.`;
    case 'brixMax':
      return `Strength at most ${to(one.wanted, 1)} °Brix: the least they come to is ${to(one.reachable, 1)}.`;
    case 'umamiMin':
      return `Umami at least ${to(one.wanted, 2)} g: the most they come to is ${to(one.reachable, 2)} g in 100 g.`;
    case 'centsPerKgMax':
      return `A kilo at most ${money(one.wanted, currency)}: the least they come to is ${money(one.reachable, currency)}.`;
  }
}
