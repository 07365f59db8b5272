import type { PlanInput } from './plan';

/**
 * An order as a pot that is really so would have it: a burner that gives a share and no doubt about it, and nothing of
 * what the kitchen believes of its settings, its surface, its floor or its cook's eye.
 *
 * @param gives share of what the burner is rated at that really arrives, above 0
 */
export function unlearned(input: PlanInput, gives: number): PlanInput {
  const { settings: _settings, ...burner } = input.burner;
  const { surfaces: _surfaces, floor: _floor, ...pot } = input.pot;
  const { eye: _eye, body: _body, ...rest } = input;
  return { ...rest, pot, burner: { ...burner, heatFactor: { mean: gives, sd: 1e-9, batches: 0 } } };
}
