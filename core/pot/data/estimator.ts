/**
 * How a burner wanders around what it gives on the average: a flame draws, a grate heats through, a draught comes by.
 * Mean-reverting, one standard deviation as a share of that average, and the minutes it takes to forget.
 * source: from memory: gas flames and draughts some 10 to 15 %, forgotten within the hour
 */
export const WANDER = { sd: 0.12, forgetMin: 40 } as const;

/**
 * What a setting below full gives beside what its share says, one standard deviation as a share at no heat at all,
 * less in proportion up to full: "half" on a gas tap is anything from a third to two thirds.
 * source: common practice for the tap, from memory for the figure
 */
export const SETTING_SD = 0.3;

/**
 * What leaves the surface over what the law says: the law itself is in doubt, and differs from pot to pot by draught,
 * fat and foam; and how slowly that changes within a batch. Shares. Two published forms stand half as much apart again at
 * 90 °C (ASHRAE's over pools, and Sherwood's number over a hot plate), and the trade's own yields agree with the lower:
 * one, with a doubt that holds both. source: docs/model.md § 5
 */
export const SURFACE = { mean: 1, sd: 0.55, perHour: 0.05 } as const;

/**
 * How far what a lid lets through is known beside its usual share, one standard deviation as a share of it: ajar 0.45
 * (0.25 to 0.7 in four of five), on 0.1 (0.03 to 0.25). source: common practice
 */
export const LID_SD = { off: 0, ajar: 0.4, on: 0.8 } as const;

/** What leaves a surface under a lid, over what the law and the lid's usual share say, before anything is known of it. */
export const FIRST_GUESS_SURFACE = {
  off: { mean: SURFACE.mean, sd: SURFACE.sd },
  ajar: { mean: SURFACE.mean, sd: Math.hypot(SURFACE.sd, LID_SD.ajar) },
  on: { mean: SURFACE.mean, sd: Math.hypot(SURFACE.sd, LID_SD.on) },
} as const;

/** The wall's loss, 11 ± 3 W/m²K: a share. source: common practice, docs/model.md § 4 */
export const WALL_SD = 0.27;

/** Variances an hour adds that belong to no burner: splashes, lids lifted, a bulk that is not one temperature. From memory. */
export const LOOSE_PER_HOUR = { massKg2: 0.0004, tempC2: 1 } as const;

/** The same of what a thermostat keeps: a bath runs dry, a knob is knocked; K² an hour. From memory. */
export const KEPT_LOOSE_PER_HOUR_C2 = 16;

/**
 * Each instrument's noise and the error it shares with all its readings, one standard deviation.
 * Dip 3 mm still and 6 mm at a roll; scale 0.2 %; °Brix 0.2; by eye mostly shared; a probe sits where it sits.
 * source: common practice, docs/model.md § 5
 */
export const INSTRUMENTS = {
  /** shared: the stick’s own marks 1 %, and the pot’s true width 1.5 % off its listed one, which is 3 % of its litres */
  dip: { stillCm: 0.3, rollingCm: 0.6, sharedShare: 0.032 },
  scale: { noiseKg: 0.03, sharedShare: 0.002 },
  /** shared: how well the dissolved solids are known */
  brix: { noiseBrix: 0.2, sharedShare: 0.05 },
  /** of what has gone, not of what is there: noise in shares of the start, shared in shares of what has gone */
  eye: { noiseShare: 0.05, sharedShare: 0.25 },
  /** shared: in K, what the probe and its place show too much */
  probe: { noiseC: 0.7, sharedC: 0.7 },
} as const;

/** The eye by itself, for a rehearsal to be held against. */
export const EYE = INSTRUMENTS.eye;

/** A reading beyond this many standard deviations counts for less; beyond the second it is asked about. source: Huber's idea, limits from memory */
export const SURPRISE = { dampedFromZ: 2, askedFromZ: 4 } as const;
