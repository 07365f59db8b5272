import { contentsOfRow, type LarderEvent, type LarderEventBody, type LotMade } from '../larder';
import { INGREDIENT_BY_ID, type LotContents } from '../matter';

/** A shelf for tests: contents off the table, lots as batches put them by, events at minutes. Invented. */

export const MINUTE_MS = 60_000;
export const DAY_MS = 86_400_000;
export const SHELF_OPENS_MS = Date.UTC(2026, 2, 2, 9, 0);

export const RULES = {
  dateMarkDays: 7,
  endOfDayMs: (atMs: number, daysOn: number) => (Math.floor(atMs / DAY_MS) + 1 + daysOn) * DAY_MS - 1,
};

export function contentsFor(ingredientId: string, change: Partial<LotContents> = {}): LotContents {
  return { ...contentsOfRow(INGREDIENT_BY_ID[ingredientId]!), ...change };
}

/** A lot that a batch of its own stored, minutes after the shelf opened. */
export function lotMade(
  lotId: string,
  kg: number,
  minute = 0,
  change: Partial<LotMade['birth']> = {},
): LotMade {
  return {
    eventId: `made ${lotId}`,
    atMs: SHELF_OPENS_MS + minute * MINUTE_MS,
    seq: 0,
    birth: {
      lotId,
      kg,
      contents: contentsFor('chicken-stock'),
      centsPerKg: 100,
      place: 'walk-in',
      storage: 'chilled',
      origin: { kind: 'batch', batchId: `batch of ${lotId}` },
      madeAtMs: SHELF_OPENS_MS + minute * MINUTE_MS,
      life: { rule: 'dateMark' },
      frozenMonths: 6,
      ...change,
    },
  };
}

/** Larder events at minutes, numbered as they come. */
export function shelfLog(
  entries: readonly [minute: number, body: LarderEventBody, received?: LarderEvent['received']][],
): LarderEvent[] {
  return entries.map(([minute, body, received], i) => ({
    ...body,
    id: `s${i + 1}`,
    seq: i + 1,
    actedAtMs: SHELF_OPENS_MS + minute * MINUTE_MS,
    ...(received ? { received } : {}),
  }));
}

export const drawn = (lotId: string, kg: number, minute: number, batchId = 'soup') => ({
  eventId: `draw ${batchId} ${lotId} ${minute}`,
  lotId,
  batchId,
  kg,
  atMs: SHELF_OPENS_MS + minute * MINUTE_MS,
  seq: minute,
});
