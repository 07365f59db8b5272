import { setupOf } from '../../plan';
import { broughtTo, changeVessel, coverPot, keepAt, setHeat } from '../../pot';
import type { BatchState } from '../batch-state';
import type { EventOf, FoldContext } from '../fold-context';
import { known, surfaceOf, withSegment } from './heat-acts';

/** Held hot from now on: what it was heated by is off, or keeps it by a thermostat. */
export function holdHot(context: FoldContext, state: BatchState, event: EventOf<'heldHot'>): BatchState {
  const { in: into, pans, keptC, lid, holder } = event.payload;
  const { kitchen } = context.snapshot.input;
  const moved = holder
    ? {
        inPot: holder.pot,
        onBurner: holder.burner,
        setup: setupOf({ kitchen, pot: holder.pot, burner: holder.burner }),
      }
    : null;
  // off its burner, what that has shown stays known: it is what the batch teaches of it
  const poured = moved ? setHeat(changeVessel(state.pot, surfaceOf(moved.inPot, 'off')), 0) : state.pot;
  const cookedOn = moved ? (state.held?.cookedOn ?? state.onBurner) : (state.held?.cookedOn ?? null);
  const covered = coverPot(poured, lid, surfaceOf(moved?.inPot ?? state.inPot, lid));
  const pot = keptC === null ? covered : keepAt(covered, keptC);
  return {
    ...withSegment(context, state, event.actedAtMs),
    ...moved,
    held: { eventId: event.id, sinceMs: event.actedAtMs, in: into, pans: pans ?? null, cookedOn },
    ...known(pot),
  };
}

/** Brought to the reheating temperature all through: so hot it is, and the clock of the cold begins anew. */
export function reheatHeld(context: FoldContext, state: BatchState, event: EventOf<'reheated'>): BatchState {
  const { tempC } = event.payload;
  state.pot = broughtTo(state.pot, tempC);
  state.reheats = context.append(state.reheats, {
    eventId: event.id,
    atMs: event.actedAtMs,
    ...event.payload,
  });
  return state;
}
