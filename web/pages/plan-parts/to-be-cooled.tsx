import { useMemo } from 'react';
import { coolingPlaces, type WholeKitchen } from '../../../contract';
import { heldBackIce, SOUP_KJ_PER_KG_K, waysToCool } from '../../../core/cooling';
import { litresToCool, type Plan, type PlanInput, waterToHoldBack } from '../../../core/plan';
import { FOOD_CODE } from '../../../core/safety';
import { Caution, Over, Subtitle } from '../../components/text';
import { filmsShown } from '../../data/use-cooling';
import { coolingWords } from '../../words';
import { WayToCool } from '../larder-parts/way-to-cool';

/** Off the heat and ladled into pans, °C. Common practice. */
const POURED_C = 85;

/** Less than this share of it as ice is not worth holding water back for. Ours. */
const WORTH_ICE = 0.1;

/** What of the plan has to be cooled when it is ready, and how this kitchen can: said before the batch is sized. */
export function ToBeCooled({
  plan,
  input,
  kitchen,
}: {
  plan: Plan;
  input: PlanInput;
  kitchen: WholeKitchen;
}) {
  const litres = litresToCool(input, plan);
  const ways = useMemo(
    () =>
      litres <= 0
        ? []
        : waysToCool(
            {
              litres,
              startC: POURED_C,
              places: coolingPlaces(kitchen),
              emptyPans: kitchen.equipment.coolingPans ?? null,
              shown: filmsShown(kitchen.learned),
              limits: kitchen.limits,
            },
            plan.readyAtMs,
          ),
    [litres, kitchen, plan.readyAtMs],
  );
  if (litres <= 0) return null;
  const instead = heldBackIce({
    massKg: litres,
    waterKg: waterToHoldBack(input.recipe, plan),
    specificHeatKJ: SOUP_KJ_PER_KG_K,
    fromC: POURED_C,
    toC: FOOD_CODE.coolFirstToC.value,
  });
  return (
    <section aria-label={coolingWords.thenToCool(litres)}>
      <Subtitle>{coolingWords.thenToCool(litres)}</Subtitle>
      {ways.length === 0 && <Caution>{coolingWords.noPlaces}</Caution>}
      {ways.length > 0 && !ways.some((way) => way.isInTime) && <Caution>{coolingWords.noneIsInTime}</Caution>}
      <ul>
        {ways.map((way) => (
          <WayToCool key={way.how.placeId} way={way} zone={kitchen.zone} />
        ))}
      </ul>
      {instead && instead.iceKg >= WORTH_ICE * litres && (
        <>
          <p>{coolingWords.heldBack(instead)}</p>
          <Over>{coolingWords.heldBackIce}</Over>
        </>
      )}
    </section>
  );
}
