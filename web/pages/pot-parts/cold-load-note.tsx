import type { NextAction } from '../../../core/batch';
import { massKg } from '../../../core/matter';
import { coldLoad } from '../../../core/pot';
import { SIMMER_UNDER_BOIL_C } from '../../../core/recipe';
import { Soft } from '../../components/text';
import { hourMinute, potWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { firstHeat } from './begin';

/** Less than this is not worth a word, K. */
const WORTH_SAYING_K = 3;

/** How far a load lets a hot pot drop, and when it simmers again: said before it goes in. */
export function ColdLoadNote({
  here,
  next,
}: {
  here: BatchHere;
  next: Extract<NextAction, { kind: 'begin' }>;
}) {
  const { state, nowMs } = here.pot;
  if (next.lines.length === 0 || massKg(state.pot.mixture) === 0) return null;
  const { ingredients } = here.batch.snapshot.input;
  const items = next.lines.map((line) => ({
    ingredient: ingredients[line.ingredientId]!,
    kg: line.edibleKg,
    tempC: line.tempC,
  }));
  const pot = { ...state.pot, heatFraction: firstHeat(here, next), lid: next.stage.lid };
  const load = coldLoad(state.setup, pot, items, state.setup.air.boilingC - SIMMER_UNDER_BOIL_C.barely);
  if (load.beforeC - load.dropsToC < WORTH_SAYING_K) return null;
  const back = load.back?.p50Ms;
  return (
    <Soft>
      {potWords.itWillDropFromTo(
        load.beforeC,
        load.dropsToC,
        back
          ? potWords.andBubbleAgainAtAbout(
              hourMinute(back, here.kitchen.zone),
              Math.max(1, Math.round((back - nowMs) / 60_000)),
            )
          : '',
      )}
    </Soft>
  );
}
