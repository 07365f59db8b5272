import { kitchenAir, type PotSetup } from '../pot';
import type { PlanInput } from './plan';

/** The pot, burner and air of a plan, ready for the model. */
export function setupOf(input: Pick<PlanInput, 'pot' | 'burner' | 'kitchen'>): PotSetup {
  return {
    vessel: input.pot.vessel,
    emptyMassKg: input.pot.emptyMassKg,
    burner: input.burner,
    air: kitchenAir(input.kitchen),
  };
}
