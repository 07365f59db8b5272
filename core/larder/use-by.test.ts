import { describe, expect, it } from 'vitest';
import { INGREDIENT_BY_ID } from '../matter';
import { drawn, lotMade, RULES, SHELF_OPENS_MS, shelfLog } from '../testing/larder';
import { contentsOfRow, foldLarder, type Lot, type LotDate, type LotLife, type LotMade, useBy } from './';

/**
 * Dates counted on a wall calendar of March 2026 (the 2nd is a Monday), each by hand: the day of making is day 1, every
 * day on which it stood unfrozen for a while is a day (FDA Food Code 2022 § 3-501.17, § 3-501.18).
 */
const at = (text: string): number => {
  const [day, time = '09:00'] = text.split(' ');
  const [month, date] = day!.includes('/') ? day!.split('/').map(Number) : [3, Number(day)];
  return Date.parse(`2026-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}T${time}:00Z`);
};
const shown = (ms: number | null, isHour = false): string | null => {
  if (ms === null) return null;
  const date = new Date(ms);
  const day =
    date.getUTCMonth() === 2 ? `${date.getUTCDate()}` : `${date.getUTCMonth() + 1}/${date.getUTCDate()}`;
  return isHour ? `${day} ${date.toISOString().slice(11, 16)}` : day;
};
const MARK: LotLife = { rule: 'dateMark' };
const ROUX: LotLife = { rule: 'days', days: 28 };
const OIL: LotLife = { rule: 'hours', hours: 48, advisory: 'small' };
const GIVEN: LotLife = { rule: 'given', useByMs: at('6 23:59') };
type Spans = [string, string][];
const dateOf = (life: LotLife, made: string, spans: Spans): LotDate => ({
  life,
  madeAtMs: at(made),
  frozen: spans.map(([from, to]) => ({ fromMs: at(from), toMs: at(to) })),
});

describe('one thing’s own date', () => {
  it.each<[string, LotLife, string, Spans, string | null, string | null]>([
    ['seven days', MARK, '2', [], null, '8'],
    ['late in the evening', MARK, '2 23:30', [], null, '8'],
    ['just after midnight', MARK, '3 00:10', [], null, '9'],
    ['over the end of the month', MARK, '28', [], null, '4/3'],
    ['made Monday, frozen Wednesday, thawed the next Monday', MARK, '2', [['4', '9']], null, '12'],
    ['frozen the day it was made', MARK, '2', [['2 15:00', '9']], null, '14'],
    ['frozen on its sixth day', MARK, '2', [['7', '20']], null, '20'],
    ['frozen on its last day', MARK, '2', [['8', '20']], null, '8'],
    ['frozen when it was past', MARK, '2', [['9', '20']], null, '8'],
    ['frozen and thawed within a day', MARK, '2', [['4 10:00', '4 15:00']], null, '8'],
    ['over midnight', MARK, '2', [['4 22:00', '5 06:00']], null, '8'],
    [
      'twice',
      MARK,
      '2',
      [
        ['4', '9'],
        ['10', '20'],
      ],
      null,
      '21',
    ],
    [
      'thawed and frozen again the same day',
      MARK,
      '2',
      [
        ['3', '5 08:00'],
        ['5 20:00', '10'],
      ],
      null,
      '13',
    ],
    [
      'three times, until it is used up',
      MARK,
      '2',
      [
        ['3', '5'],
        ['6', '8'],
        ['9', '11'],
      ],
      null,
      '11',
    ],
    ['for a month', MARK, '2', [['3', '4/3']], null, '4/7'],
    ['roux', ROUX, '2', [], null, '29'],
    ['roux, frozen', ROUX, '2', [['10', '20']], null, '4/7'],
    ['of one day', { rule: 'days', days: 1 }, '2', [], null, '2'],
    ['of one day, frozen on it', { rule: 'days', days: 1 }, '2', [['2 12:00', '9']], null, '2'],
    ['garlic oil, to the hour', OIL, '2', [], null, '4 09:00'],
    ['garlic oil, a day left when it was frozen', OIL, '2', [['3', '10 12:00']], null, '11 12:00'],
    ['garlic oil, two hours frozen', OIL, '2', [['2 10:00', '2 12:00']], null, '4 11:00'],
    ['garlic oil, past when it was frozen', OIL, '2', [['4 10:00', '10']], null, '4 09:00'],
    ['a supplier’s', GIVEN, '2', [], null, '6'],
    ['a supplier’s runs on in the freezer', GIVEN, '2', [['3', '10']], null, '6'],
    ['none', { rule: 'none' }, '2', [], null, null],
    ['lying frozen', MARK, '2', [], '4', null],
    ['lying frozen, and past when it went in', MARK, '2', [], '9', '8'],
    ['lying frozen on its last day', MARK, '2', [], '8', null],
    ['oil lying frozen, past when it went in', OIL, '2', [], '5', '4 09:00'],
    ['a supplier’s, lying frozen', GIVEN, '2', [], '3', '6'],
  ])('%s', (_name, life, made, spans, frozenSince, expected) => {
    const lot = {
      dates: [dateOf(life, made, spans)],
      frozenSinceMs: frozenSince === null ? null : at(frozenSince),
    };
    expect(shown(useBy(lot, RULES)?.atMs ?? null, life.rule === 'hours')).toBe(expected);
  });
  it.each<[string, Spans, string]>([
    ['four days, as a kitchen sets it', [], '5'],
    ['four days, frozen on the second', [['3', '10']], '11'],
    ['four days, frozen on the fourth', [['5', '10']], '5'],
  ])('%s', (_name, spans, expected) => {
    const lot = { dates: [dateOf(MARK, '2', spans)], frozenSinceMs: null };
    expect(shown(useBy(lot, { ...RULES, dateMarkDays: 4 })!.atMs)).toBe(expected);
  });
});

describe('the date of what is poured, parted and cooked together is the earliest in it', () => {
  const minute = (day: string) => (at(day) - SHELF_OPENS_MS) / 60_000;
  const made = (id: string, day: string, life: LotLife = MARK): LotMade =>
    lotMade(id, 10, minute(day), { life });
  type Step = Parameters<typeof shelfLog>[0][number];
  const blend = (day: string, ...ids: string[]): Step => [
    minute(day),
    {
      type: 'blended',
      payload: {
        toLotId: 'mix',
        name: 'mix',
        parts: ids.map((lotId) => ({ lotId, kg: 1 })),
        waterKg: 0,
        place: 'walk-in',
        storage: 'chilled',
      },
    },
  ];
  const freeze = (day: string, lotId: string): Step => [
    minute(day),
    { type: 'frozen', payload: { lotId, place: 'freezer' } },
  ];
  const thaw = (day: string, lotId: string): Step => [
    minute(day),
    { type: 'thawed', payload: { lotId, place: 'walk-in' } },
  ];
  const part = (day: string, lotId: string, storage: 'chilled' | 'frozen' = 'chilled'): Step => [
    minute(day),
    { type: 'split', payload: { lotId, toLotId: 'part', kg: 1, place: 'x', storage } },
  ];
  const crate: Step = [
    minute('3'),
    {
      type: 'delivered',
      payload: {
        lotId: 'crate',
        ingredientId: 'leek',
        kg: 9,
        supplier: 'Growers',
        useByMs: at('6 23:59'),
        place: 'floor',
        storage: 'chilled',
      },
    },
    {
      contents: contentsOfRow(INGREDIENT_BY_ID.leek!),
      centsPerKg: 1,
      life: { rule: 'none' },
      frozenMonths: 3,
    },
  ];
  const soup = (day: string) =>
    lotMade('soup', 5, minute(day), { origin: { kind: 'batch', batchId: 'soup' } });
  const A = made('A', '2');
  const B = made('B', '4');
  const shelf = (lots: LotMade[], steps: Step[], draws: ReturnType<typeof drawn>[] = []) =>
    foldLarder({ made: lots, draws, events: shelfLog(steps) }).lots;
  const date = (lot: Lot | undefined, isHour = false) => shown(useBy(lot!, RULES)?.atMs ?? null, isHour);

  it.each<[string, LotMade[], Step[], string, string | null]>([
    ['old and new', [A, B], [blend('5', 'A', 'B')], 'mix', '8'],
    ['new and old', [A, B], [blend('5', 'B', 'A')], 'mix', '8'],
    ['roux and stock', [B, made('R', '1', ROUX)], [blend('5', 'R', 'B')], 'mix', '10'],
    ['stock and roux', [B, made('R', '1', ROUX)], [blend('5', 'B', 'R')], 'mix', '10'],
    ['stock and roux on its last days', [B, made('R', '2/10', ROUX)], [blend('5', 'B', 'R')], 'mix', '9'],
    ['a crate with a date, poured to stock', [B], [crate, blend('5', 'B', 'crate')], 'mix', '6'],
    [
      'stock thawed before',
      [A, made('N', '9')],
      [freeze('4', 'A'), thaw('9', 'A'), blend('10', 'N', 'A')],
      'mix',
      '12',
    ],
    [
      'frozen after it was poured',
      [A, B],
      [blend('5', 'A', 'B'), freeze('5 12:00', 'mix'), thaw('20', 'mix')],
      'mix',
      '22',
    ],
    ['parted into the freezer and thawed', [A], [part('5', 'A', 'frozen'), thaw('20', 'part')], 'part', '22'],
    ['parted, and what stays goes on', [A], [part('5', 'A', 'frozen')], 'A', '8'],
    ['parted while frozen', [A], [freeze('4', 'A'), part('9', 'A')], 'part', '12'],
  ])('%s', (_name, lots, steps, id, expected) => {
    expect(date(shelf(lots, steps).get(id))).toBe(expected);
  });
  it('with garlic oil it is past at the oil’s hour, and the oil’s advisory goes along', () => {
    const mix = shelf([A, made('O', '4', OIL)], [blend('5', 'A', 'O'), part('5 12:00', 'mix')]);
    for (const id of ['mix', 'part']) {
      expect(date(mix.get(id), true)).toBe('6 09:00');
      expect(mix.get(id)!.dates.map((one) => one.life)).toContainEqual(OIL);
    }
  });
  it('cooked, a soup is as old as the oldest made thing in it; roux, crates and hours of what is boiled lend it none', () => {
    const drawnFrom = (id: string) => [drawn(id, 1, minute('5'), 'soup')];
    expect(date(shelf([A, soup('6')], [], drawnFrom('A')).get('soup'))).toBe('8');
    expect(date(shelf([made('O', '4', OIL), soup('6')], [], drawnFrom('O')).get('soup'))).toBe('10');
    expect(date(shelf([made('R', '2/10', ROUX), soup('6')], [], drawnFrom('R')).get('soup'))).toBe('12');
    expect(date(shelf([soup('6')], [crate], drawnFrom('crate')).get('soup'))).toBe('12');
    const thawed = shelf(
      [A, soup('11')],
      [freeze('4', 'A'), thaw('9', 'A')],
      [drawn('A', 1, minute('10'), 'soup')],
    );
    expect(date(thawed.get('soup'))).toBe('12');
  });
});
