import type { PlannedBurner } from './plan';

/** Heat a burner gives a pot at full, by what is known of it, W. */
export function heatDeliveredW(burner: Pick<PlannedBurner, 'powerW' | 'efficiency' | 'heatFactor'>): number {
  return burner.powerW * burner.efficiency * burner.heatFactor.mean;
}

/** Of the burners a pot goes on, the one that gives it most heat; undefined where it goes on none. */
export function strongestBurner<B extends PlannedBurner & { potIds: readonly string[] }>(
  burners: readonly B[],
  potId: string,
): B | undefined {
  return burners
    .filter((burner) => burner.potIds.includes(potId))
    .sort((a, b) => heatDeliveredW(b) - heatDeliveredW(a))[0];
}
