import { type Draw, type Drawable, drawLots } from '../larder';
import { bringsTo, type Holds } from '../matter';

/** Some kilograms of a base that a planned soup wants in its pot at a moment. */
export interface BaseNeed {
  orderId: string;
  /** the soup it is for */
  forName: string;
  rowId: string;
  /** its name, and kg to the litre */
  name: string;
  densityKgPerL: number;
  kg: number;
  atMs: number;
  /** what the soup holds: a lot that brings more is not counted on */
  dish?: Holds;
}

/** A lot with the rows it can stand for. */
export interface StandingLot extends Drawable {
  satisfies: readonly string[];
  holds?: Holds;
}

export interface DemandPart {
  need: BaseNeed;
  draws: Draw[];
  shortKg: number;
}

/** One base over the days ahead: what is wanted, what is there, what has to be made and by when. */
export interface BaseDemand {
  rowId: string;
  name: string;
  densityKgPerL: number;
  wantedKg: number;
  thereKg: number;
  toMakeKg: number;
  /** when the first of what is short goes into its pot, ms; null where nothing is short */
  byMs: number | null;
  parts: DemandPart[];
  /** lots that would serve but for being frozen or past their date */
  passedOver: { lotId: string; why: 'frozen' | 'past' }[];
}

/**
 * What the planned soups draw in the days ahead against what is on the shelf: each need in the order of its hour takes
 * the oldest lot that is still good then; no kilogram is promised twice.
 *
 * @param needs of planned soups, any order
 * @param lots what is on the shelf
 * @returns one entry a base, the most pressing first
 */
export function baseDemand(needs: readonly BaseNeed[], lots: readonly StandingLot[]): BaseDemand[] {
  const leftKg = new Map(lots.map((lot) => [lot.id, lot.leftKg]));
  const byRow = new Map<string, BaseDemand>();
  for (const need of [...needs].sort((a, b) => a.atMs - b.atMs)) {
    const there = lots
      .filter((lot) => lot.satisfies.includes(need.rowId) && !bringsMore(lot, need))
      .map((lot) => ({ ...lot, leftKg: leftKg.get(lot.id)! }));
    const { draws, shortKg, passedOver } = drawLots(need.kg, there, need.atMs);
    for (const draw of draws) leftKg.set(draw.lotId, leftKg.get(draw.lotId)! - draw.kg);
    const before = byRow.get(need.rowId);
    const isNew = (lotId: string) => !before?.passedOver.some((one) => one.lotId === lotId);
    byRow.set(need.rowId, {
      rowId: need.rowId,
      name: need.name,
      densityKgPerL: need.densityKgPerL,
      wantedKg: (before?.wantedKg ?? 0) + need.kg,
      thereKg: (before?.thereKg ?? 0) + need.kg - shortKg,
      toMakeKg: (before?.toMakeKg ?? 0) + shortKg,
      byMs: before?.byMs ?? (shortKg > 0 ? need.atMs : null),
      parts: [...(before?.parts ?? []), { need, draws, shortKg }],
      passedOver: [...(before?.passedOver ?? []), ...passedOver.filter((one) => isNew(one.lotId))],
    });
  }
  const pressing = (one: BaseDemand) => one.byMs ?? Number.POSITIVE_INFINITY;
  return [...byRow.values()].sort((a, b) =>
    pressing(a) === pressing(b) ? b.wantedKg - a.wantedKg : pressing(a) - pressing(b),
  );
}

const bringsMore = ({ holds }: StandingLot, { dish }: BaseNeed): boolean =>
  holds !== undefined && dish !== undefined && bringsTo(holds, dish) !== null;
