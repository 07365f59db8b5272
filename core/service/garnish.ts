import type { BatchSnapshot, BatchState } from '../batch';
import { garnishedPortions, garnishTimes, kindOf, kindsOf } from '../portions';
import { pieceOf } from './garnish-unit';

/** A garnish at the pass. */
export interface GarnishLeft {
  lineId: string;
  name: string;
  cut: string | null;
  /** kg on one bowl, and of a piece, where it is counted */
  eachKg: number;
  pieceKg: number | null;
  /** bowls' worth that the whole order wants */
  wanted: number;
  /** kg that lie ready; null where nobody has said that any does */
  readyKg: number | null;
  /** bowls' worth of that, and bowls' worth still to come */
  readyBowls: number;
  toCome: number;
}

/** Under this share of a bowl's garnish there is none left worth putting on. Ours. */
const CRUMBS = 0.5;

/**
 * What is ready of each garnish against what is still to be garnished.
 *
 * @param stillToCome portions of each kind still to be served, by its id
 */
export function garnishLeft(
  { input, plan }: Pick<BatchSnapshot, 'input' | 'plan'>,
  { service }: Pick<BatchState, 'service'>,
  stillToCome: Readonly<Record<string, number>>,
): GarnishLeft[] {
  return input.recipe.lines.flatMap((line): GarnishLeft[] => {
    if (line.scaling !== 'perBowl' || line.kg <= 0) return [];
    const planned = plan.lines.find((one) => one.lineId === line.id);
    const ready = service.garnishReady[line.id];
    const used = service.outs.filter((out) => !out.isOut && ready && out.atMs > ready.atMs);
    const usedBowls = used.reduce(
      (sum, out) => sum + out.portions * garnishTimes(kindOf(input, out.kindId), line.id),
      0,
    );
    const leftKg = ready ? Math.max(0, ready.kg - usedBowls * line.kg) : 0;
    const leftBowls = leftKg / line.kg;
    return [
      {
        lineId: line.id,
        name: planned?.name ?? line.ingredientId,
        cut: line.cut ?? null,
        eachKg: line.kg,
        pieceKg: pieceOf(input, line.id),
        wanted: garnishedPortions(input, line.id),
        readyKg: ready ? leftKg : null,
        readyBowls: leftBowls < CRUMBS ? 0 : leftBowls,
        toCome: kindsOf(input).reduce(
          (sum, kind) => sum + (stillToCome[kind.id] ?? 0) * garnishTimes(kind, line.id),
          0,
        ),
      },
    ];
  });
}
