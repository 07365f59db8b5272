import { minutes as minutesWords } from '../../../contract';
import { grillLoads, isGrilled, type PassBoard } from '../../../core/service';
import { Button } from '../../components/button';
import { Caution, Errors, Over, Soft, Subtitle } from '../../components/text';
import { hourMinute, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

/** Bowls under the grill: which bowls, how many at once, the first load timed back from the pass, and what is in it now. */
export function Grill({ here, board }: { here: BatchHere; board: PassBoard }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { input, plan } = here.batch.snapshot;
  const { equipment, bowls, zone } = here.kitchen;
  const { nowMs } = here.pot;
  const grilled = board.kinds.filter((one) => isGrilled(input.recipe, one.kind) && !one.isLater);
  if (grilled.length === 0) return null;
  const { grillBowls = 0, grillMin = 0 } = equipment;
  const standHeat = bowls.filter((bowl) => bowl.isOvenProof).map((bowl) => bowl.name.toLowerCase());
  const wanted = grilled.reduce((sum, one) => sum + one.stillWanted, 0);
  const isSet = grillBowls > 0 && grillMin > 0;
  const first = Math.min(wanted, grillBowls);
  const loads = isSet
    ? grillLoads({ portions: wanted, perLoad: grillBowls, minutes: grillMin, wantedMs: plan.serviceAtMs })
    : [];
  // the first load is out as the service begins, the others follow it: none waits and goes cold
  const laterMs = loads.length > 0 ? plan.serviceAtMs - loads[0]!.outMs : 0;
  return (
    <section aria-label={passWords.grill}>
      <Subtitle>{passWords.grill}</Subtitle>
      {!isSet && <Caution>{passWords.grillUnset}</Caution>}
      {loads.length > 0 && nowMs < plan.serviceAtMs && (
        <Soft>
          {passWords.grillPlan(
            loads.length,
            grillBowls,
            minutesWords(grillMin),
            hourMinute(loads[0]!.inMs + laterMs, zone),
            hourMinute(loads.at(-1)!.outMs + laterMs, zone),
          )}
        </Soft>
      )}
      {standHeat.length > 0 ? (
        <Over>{passWords.grillOven(standHeat.join(', '))}</Over>
      ) : (
        <Caution>{passWords.grillNoBowl}</Caution>
      )}
      <Over>{passWords.grillHot}</Over>
      {board.grill.map((load) => (
        <p key={load.eventId} role="status">
          {load.outMs > nowMs
            ? passWords.grillOutAt(load.portions, hourMinute(load.outMs, zone))
            : passWords.grillOutNow(load.portions)}
        </p>
      ))}
      <Errors sentences={refusals} />
      {isSet && first > 0 && standHeat.length > 0 && (
        <Button
          atPot
          onPress={() => tell({ type: 'grilled', payload: { portions: first, minutes: grillMin } })}
        >
          {passWords.grillIn(first)}
        </Button>
      )}
    </section>
  );
}
