import { garnishedPortions, garnishTimes, type PortionKind } from '../portions';
import type { BatchSnapshot, DiscardReason } from './batch-event';
import type { BatchState } from './batch-state';
import { kindsNow } from './kind-now';

/** What became of the portions of one kind, and what they cost. Money in hundredths of the kitchen's. */
export interface ServiceTally {
  kind: PortionKind;
  /** as many as are wanted now: the order's, or what was set since */
  covers: number;
  /** portions that guests had */
  served: number;
  /** portions that nobody had, by reason; `said` where none was given */
  discarded: Readonly<Partial<Record<DiscardReason | 'said', number>>>;
  /** out of the pot for it, served or not */
  litres: number;
  potCents: number;
  garnishCents: number;
  /** of that what guests had, and what nobody had, each with its garnish */
  servedCents: number;
  wastedCents: number;
  /** litres that nobody had, what was sent back among them */
  wastedLitres: number;
}

/**
 * A service by kind: what was wanted, served and thrown away, and what it cost. What a pot lost and what it kept is in
 * nobody's cost: each portion has its share of what went in.
 */
export function serviceTallies(
  { input, plan }: Pick<BatchSnapshot, 'input' | 'plan'>,
  { service }: Pick<BatchState, 'service'>,
): ServiceTally[] {
  const garnishes = plan.lines.filter((line) => line.perBowl);
  return kindsNow(input, service).map((kind) => {
    const outs = service.outs.filter((out) => out.kindId === kind.id);
    const sum = (of: typeof outs) => of.reduce((all, out) => all + out.portions, 0);
    const gone = outs.filter((out) => out.fate === 'discarded');
    const discarded: Partial<Record<DiscardReason | 'said', number>> = {};
    for (const { reason, portions } of gone)
      discarded[reason ?? 'said'] = (discarded[reason ?? 'said'] ?? 0) + portions;
    const everServed = sum(outs.filter((out) => out.fate === 'served'));
    const oneCents = garnishes.reduce((cents, line) => {
      const bowls = garnishedPortions(input, line.lineId);
      return bowls > 0 ? cents + (line.costCents / bowls) * garnishTimes(kind, line.lineId) : cents;
    }, 0);
    // what was sent back had been served: it is nobody's now, as much of it as of the others
    const sentBack = sum(gone.filter((out) => out.isOut));
    const backShare = everServed > 0 ? Math.min(1, sentBack / everServed) : 0;
    const outsServed = outs.filter((out) => out.fate === 'served');
    const add = (of: typeof outs, each: (out: (typeof outs)[number]) => number) =>
      of.reduce((all, out) => all + each(out), 0);
    const everCents = add(outsServed, (out) => out.costCents) + oneCents * everServed;
    return {
      kind,
      covers: kind.count,
      served: everServed - sentBack,
      discarded,
      litres: add(outs, (out) => out.litres),
      potCents: add(outs, (out) => out.costCents),
      garnishCents: oneCents * everServed,
      servedCents: everCents * (1 - backShare),
      wastedCents: everCents * backShare + add(gone, (out) => out.costCents),
      wastedLitres: add(outsServed, (out) => out.litres) * backShare + add(gone, (out) => out.litres),
    };
  });
}
