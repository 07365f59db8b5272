/**
 * How a burner wanders around what it gives on the average: a flame draws, a grate heats through, a draught comes by.
 * Mean-reverting, one standard deviation as a share of that average, and the minutes it takes to forget.
 * source: from memory: gas flames and draughts some 10 to 15 %, forgotten within the hour
 */
export const WANDER = { sd: 0.15, forgetMin: 40 } as const;

/**
 * What a setting below full gives beside what its share says, one standard deviation as a share at no heat at all,
 * less in proportion up to full: "half" on a gas tap is anything from a third to two thirds.
 * source: common practice for the tap, from memory for the figure
 */
export const SETTING_SD = 0.3;

/** Variances an hour adds that belong to no burner: splashes, lids lifted, a bulk that is not one temperature. From memory. */
export const LOOSE_PER_HOUR = { massKg2: 0.0004, tempC2: 1 } as const;

/**
 * Each instrument's noise and the error it shares with all its readings, one standard deviation.
 * Dip 2 mm still and 5 mm at a roll; scale 0.2 %; °Brix 0.2; by eye mostly shared.
 * source: common practice, docs/model.md § 5
 */
export const INSTRUMENTS = {
  /** shared: the stick's own marks, and the pot's true width against its listed one */
  dip: { stillCm: 0.2, rollingCm: 0.5, sharedShare: 0.02 },
  scale: { noiseKg: 0.03, sharedShare: 0.002 },
  /** shared: how well the dissolved solids are known */
  brix: { noiseBrix: 0.2, sharedShare: 0.05 },
  /** of what has gone, not of what is there: noise in shares of the start, shared in shares of what has gone */
  eye: { noiseShare: 0.05, sharedShare: 0.2 },
  thermometer: { noiseC: 1 },
} as const;

/** A reading beyond this many standard deviations counts for less; beyond the second it is asked about. source: Huber's idea, limits from memory */
export const SURPRISE = { dampedFromZ: 2, askedFromZ: 4 } as const;
