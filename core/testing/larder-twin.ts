import type { LarderEvent, LotDraw, LotLife, LotMade } from '../larder';
import { type Allergen, COMPONENTS } from '../matter';
import { RULES } from './larder';

/**
 * The larder's twin: another bookkeeper's books, who knows nothing of folds. Tubs on a table; each entry, in the order it
 * happened, is done to them by hand.
 */

/** A date as the twin writes it: what it was made for, and days on a wall calendar of its own. */
interface Date_ {
  life: LotLife;
  madeDay: number;
  madeMs: number;
  outDays: Set<number>;
  outMs: number;
  /** when hours that were counted ran out */
  ranOutMs?: number;
}
interface Tub {
  grams: Record<string, number>;
  cents: number;
  allergens: Set<Allergen>;
  dates: Date_[];
  tags: Set<string>;
  isFrozen: boolean;
  sinceMs: number;
  /** when the oldest made thing in it was made */
  madeMs: number;
}
export const DAY = 86_400_000;
const dayOf = (ms: number) => Math.floor(ms / DAY);
export const kgOf = (tub: Tub) => Object.values(tub.grams).reduce((a, b) => a + b, 0) / 1000;
/** Whatever stood out of the freezer until now has lived so long. */
function live(tub: Tub, nowMs: number): void {
  if (tub.isFrozen) return;
  for (const date of tub.dates) {
    for (let day = dayOf(tub.sinceMs); day <= dayOf(nowMs); day++) date.outDays.add(day);
    const hours = date.life.rule === 'hours' ? date.life.hours * 3_600_000 : Number.POSITIVE_INFINITY;
    const outMs = date.outMs + nowMs - tub.sinceMs;
    if (date.outMs <= hours && outMs > hours) date.ranOutMs = tub.sinceMs + hours - date.outMs;
    date.outMs = outMs;
  }
  tub.sinceMs = nowMs;
}
const copyDate = (date: Date_): Date_ => ({ ...date, outDays: new Set(date.outDays) });
const newDate = (life: LotLife, ms: number): Date_ => ({
  life,
  madeDay: dayOf(ms),
  madeMs: ms,
  outDays: new Set([dayOf(ms)]),
  outMs: 0,
});

export class Twin {
  readonly tubs = new Map<string, Tub>();
  readonly arrows: [string, string][] = [];
  readonly soups = new Map<string, Set<string>>();

  private tub(
    kg: number,
    perKg: Record<string, number>,
    cents: number,
    allergens: Iterable<Allergen>,
    life: LotLife,
    atMs: number,
    tags: string[] = [],
  ): Tub {
    const grams = Object.fromEntries(COMPONENTS.map((one) => [one, perKg[one]! * kg * 1000]));
    return {
      grams,
      cents,
      allergens: new Set(allergens),
      dates: life.rule === 'none' ? [] : [newDate(life, atMs)],
      tags: new Set(tags),
      isFrozen: false,
      sinceMs: atMs,
      madeMs: atMs,
    };
  }
  born(id: string, made: LotMade): void {
    const { birth } = made;
    const tub = this.tub(
      birth.kg,
      { ...birth.contents.perKg },
      birth.kg * birth.centsPerKg,
      birth.contents.allergens,
      birth.life,
      made.atMs,
    );
    const batch = birth.origin.kind === 'batch' ? birth.origin.batchId : '';
    // as old as the oldest made thing that went into its pot, and holding what went into it
    for (const one of this.inPot.get(batch) ?? []) {
      for (const date of one.dates) {
        const cooked = { ...copyDate(date), life: { rule: 'dateMark' as const } };
        for (let day = dayOf(one.atMs); day <= dayOf(made.atMs); day++) cooked.outDays.add(day);
        tub.dates.push(cooked);
        tub.madeMs = Math.min(tub.madeMs, cooked.madeMs);
      }
      for (const allergen of one.allergens) tub.allergens.add(allergen);
    }
    for (const date of tub.dates) date.outDays.add(dayOf(made.atMs));
    this.tubs.set(id, tub);
    this.arrows.push([`batch ${batch}`, `lot ${id}`]);
  }
  readonly inPot = new Map<string, { atMs: number; dates: Date_[]; allergens: Set<Allergen> }[]>();

  private take(id: string, kg: number): { share: number; tub: Tub } {
    const tub = this.tubs.get(id)!;
    const share = kgOf(tub) > 0 ? kg / kgOf(tub) : 0;
    for (const name of Object.keys(tub.grams)) tub.grams[name] = tub.grams[name]! * (1 - share);
    tub.cents *= 1 - share;
    return { share, tub };
  }
  draw({ lotId, kg, batchId, atMs }: LotDraw): void {
    const tub = this.tubs.get(lotId)!;
    live(tub, atMs);
    const dates = tub.dates
      .filter(({ life }) => !this.isCrate(lotId) && (life.rule === 'dateMark' || life.rule === 'hours'))
      .map(copyDate);
    this.inPot.set(batchId, [
      ...(this.inPot.get(batchId) ?? []),
      { atMs, dates, allergens: new Set(tub.allergens) },
    ]);
    this.take(lotId, kg);
    this.arrows.push([`lot ${lotId}`, `batch ${batchId}`]);
  }
  readonly crates = new Set<string>();
  private isCrate(id: string): boolean {
    return this.crates.has(id);
  }
  shelf(event: LarderEvent): void {
    const atMs = event.actedAtMs;
    const { type, payload } = event;
    const of = (id: string) => {
      const tub = this.tubs.get(id)!;
      live(tub, atMs);
      return tub;
    };
    if (type === 'delivered') {
      const { contents, centsPerKg, life } = event.received!;
      const { lotId, kg, tag, useByMs } = payload;
      const own: LotLife = useByMs === undefined ? life : { rule: 'given', useByMs };
      this.tubs.set(
        lotId,
        this.tub(kg, { ...contents.perKg }, kg * centsPerKg, contents.allergens, own, atMs, tag ? [tag] : []),
      );
      this.crates.add(lotId);
    } else if (type === 'split') {
      const { lotId, toLotId, kg } = payload;
      const parent = of(lotId);
      const cents = (parent.cents * kg) / kgOf(parent);
      const grams = Object.fromEntries(
        Object.entries(parent.grams).map(([name, g]) => [name, (g * kg) / kgOf(parent)]),
      );
      const child: Tub = {
        grams,
        cents,
        allergens: new Set(parent.allergens),
        dates: parent.dates.map(copyDate),
        tags: new Set(parent.tags),
        isFrozen: payload.storage === 'frozen',
        sinceMs: parent.isFrozen && payload.storage === 'frozen' ? parent.sinceMs : atMs,
        madeMs: parent.madeMs,
      };
      if (!child.isFrozen) for (const date of child.dates) date.outDays.add(dayOf(atMs));
      this.take(lotId, kg);
      this.tubs.set(toLotId, child);
      this.arrows.push([`lot ${lotId}`, `lot ${toLotId}`]);
    } else if (type === 'blended') {
      const { toLotId, parts, waterKg } = payload;
      const mix: Tub = {
        grams: Object.fromEntries(COMPONENTS.map((one) => [one, 0])),
        cents: 0,
        allergens: new Set(),
        dates: [],
        tags: new Set(),
        isFrozen: false,
        sinceMs: atMs,
        madeMs: atMs,
      };
      mix.grams.water = waterKg * 1000;
      for (const { lotId, kg } of parts) {
        const tub = of(lotId);
        const share = kg / kgOf(tub);
        for (const name of Object.keys(tub.grams))
          mix.grams[name] = mix.grams[name]! + tub.grams[name]! * share;
        mix.cents += tub.cents * share;
        for (const allergen of tub.allergens) mix.allergens.add(allergen);
        for (const date of tub.dates) {
          mix.dates.push(copyDate(date));
          const isOfMaking = date.life.rule === 'dateMark' || date.life.rule === 'hours';
          if (isOfMaking) mix.madeMs = Math.min(mix.madeMs, date.madeMs);
        }
        for (const tag of tub.tags) mix.tags.add(tag);
        this.take(lotId, kg);
        this.arrows.push([`lot ${lotId}`, `lot ${toLotId}`]);
      }
      if (mix.dates.length === 0) mix.dates.push(newDate({ rule: 'dateMark' }, atMs));
      this.tubs.set(toLotId, mix);
    } else if (type === 'frozen') of(payload.lotId).isFrozen = true;
    else if (type === 'thawed') {
      const tub = of(payload.lotId);
      tub.isFrozen = false;
      tub.sinceMs = atMs;
      for (const date of tub.dates) date.outDays.add(dayOf(atMs));
    } else if (type === 'discarded') {
      of(payload.lotId);
      this.take(payload.lotId, payload.kg);
    } else if (type === 'counted') {
      const tub = of(payload.lotId);
      this.take(payload.lotId, kgOf(tub) - payload.kg);
    } else if (type === 'fatLifted') {
      const tub = of(payload.lotId);
      tub.grams.fat = tub.grams.fat! - payload.kg * 1000;
    }
  }
  /** The last moment it may be used, by counting days on the wall until they are used up. */
  useBy(id: string, nowMs: number): number | null {
    const tub = this.tubs.get(id)!;
    const ends = tub.dates.flatMap((date): number[] => {
      if (date.life.rule === 'given') return [date.life.useByMs];
      if (date.life.rule === 'hours') {
        if (date.ranOutMs !== undefined) return [date.ranOutMs];
        return tub.isFrozen ? [] : [tub.sinceMs + date.life.hours * 3_600_000 - date.outMs];
      }
      const days = date.life.rule === 'days' ? date.life.days : RULES.dateMarkDays;
      const counted = [...date.outDays].sort((a, b) => a - b);
      const end = (day: number) => (day + 1) * DAY - 1;
      if (counted.length > days) return [end(counted[days - 1]!)];
      if (tub.isFrozen)
        return counted.length === days && end(counted.at(-1)!) < tub.sinceMs ? [end(counted.at(-1)!)] : [];
      const last = counted.at(-1)!;
      return [end(last + days - counted.length)];
    });
    void nowMs;
    return ends.length > 0 ? Math.min(...ends) : null;
  }
}
