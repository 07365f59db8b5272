import { kitchenAir, type PotSetup } from '../pot';
import type { PlanInput } from './plan';

/** However often one caught, a floor bears something. Ours. */
const LEAST_BEARS = 0.2;

/** The pot, burner and air of a plan, ready for the model. */
export function setupOf(input: Pick<PlanInput, 'pot' | 'burner' | 'kitchen'>): PotSetup {
  return {
    vessel: input.pot.vessel,
    emptyMassKg: input.pot.emptyMassKg,
    burner: input.burner,
    air: kitchenAir(input.kitchen),
    ...(input.pot.insulation ? { insulation: input.pot.insulation } : {}),
    ...(input.pot.floor ? { floorBears: Math.max(LEAST_BEARS, input.pot.floor.mean) } : {}),
  };
}
