import { describe, expect, it } from 'vitest';
import { contentsOfRow } from '../../../core/larder';
import { INGREDIENT_BY_ID } from '../../../core/matter';
import type { LotView } from '../../../core/views';
import { bestWords, dateWords, isPouredLot, lotAmount, lotColour, standingWords } from './lots';

const DAY = 86_400_000;
const NOW = Date.UTC(2026, 2, 10, 9);
const lot = (change: Partial<LotView> = {}): LotView =>
  ({
    contents: contentsOfRow(INGREDIENT_BY_ID['chicken-stock']!, ['chicken-stock'], 'white-poultry-stock'),
    origin: { kind: 'batch', batchId: 'b' },
    useByMs: NOW + 5 * DAY,
    life: { rule: 'dateMark' },
    frozenSinceMs: null,
    frozenMonths: 6,
    mayBePast: false,
    strength: 1.14,
    sets: { value: true, isSeen: false },
    saltPercent: 0.12,
    fatLiftedKg: 0,
    best: null,
    ...change,
  }) as LotView;
const date = (change: Partial<LotView>) => dateWords(lot(change), NOW, 'Europe/London');

describe('words for a lot', () => {
  it('until when, and whether it presses', () => {
    expect(date({})).toMatchObject({ left: '5 days left', tone: 'calm' });
    expect(date({ useByMs: NOW + 2 * DAY })).toMatchObject({ tone: 'soon' });
    expect(date({ useByMs: NOW + 3 * 3_600_000 })).toMatchObject({ left: 'its last day', tone: 'soon' });
    expect(date({ useByMs: NOW - 1 })).toMatchObject({ left: 'past its date', tone: 'past' });
    expect(date({ useByMs: NOW - 1, mayBePast: true })).toMatchObject({
      left: 'past, allowed',
      tone: 'past',
    });
    expect(date({ useByMs: null })).toMatchObject({ date: 'no date' });
    const oil = { rule: 'hours', hours: 48, advisory: 'small' } as const;
    expect(date({ useByMs: NOW + DAY, life: oil }).date).toMatch(/ 09:00$/);
  });
  it('frozen, its days stand still, and its taste has months', () => {
    expect(date({ frozenSinceMs: NOW - 40 * DAY, useByMs: null })).toMatchObject({
      left: 'its days stop while frozen',
      tone: 'calm',
    });
    expect(date({ frozenSinceMs: NOW - 200 * DAY, useByMs: null })).toMatchObject({
      left: 'past its 6 months of taste',
      tone: 'soon',
    });
    expect(date({ frozenSinceMs: NOW - DAY, useByMs: NOW - 2 * DAY })).toMatchObject({ tone: 'past' });
  });
  it('strength, set, salt, fat; no salt is not said', () => {
    expect(standingWords(lot())).toEqual(['1.1 × the usual strength', 'will set', '0.12 % salt']);
    expect(
      standingWords(lot({ sets: { value: false, isSeen: true }, saltPercent: 0.01, fatLiftedKg: 0.2 })),
    ).toEqual(['1.1 × the usual strength', 'does not set', 'fat lifted']);
  });
  it('quality apart from the date', () => {
    const best = { fromMs: 0, untilMs: 1, words: 'better tomorrow' };
    expect(bestWords(lot({ best: { ...best, stands: 'not yet' } }))).toBe('better later: better tomorrow');
    expect(bestWords(lot({ best: { ...best, stands: 'past its best' } }))).toBe(
      'past its best (better tomorrow)',
    );
    expect(standingWords(lot({ best: { ...best, stands: 'past its best' } }))).toContain(
      'past its best (better tomorrow)',
    );
  });
  it('what is poured goes by volume, a crate by weight', () => {
    expect(lotAmount(lot(), 10.04)).toBe('10.0 L');
    const crate = lot({
      origin: { kind: 'delivery', supplier: 'x' },
      contents: contentsOfRow(INGREDIENT_BY_ID.carrot!),
    });
    expect(isPouredLot(crate)).toBe(false);
    expect(lotAmount(lot(), 0.004)).toBe('none');
    const roux = lot({ contents: { ...lot().contents, base: 'blond-roux' } });
    expect(lotAmount(roux, 1.5)).toBe('1.50 kg');
    expect(lotAmount(crate, 10.05)).toBe('10.05 kg');
    expect(lotColour(lot(), [{ id: 'x', colour: 'tomato' }])).toBeUndefined();
  });
});
