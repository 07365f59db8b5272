/**
 * What a spoon shows, thin to thick, and the band it stands for as it is read. source: the words of our bands; what lies
 * between two of them from memory
 */
export const SPOON_LOOKS = [
  { look: 'runsOff', band: 0.4 },
  { look: 'thinFilm', band: 1.6 },
  { look: 'coats', band: 3 },
  { look: 'drawnLine', band: 4 },
  { look: 'mounds', band: 5.2 },
] as const;
export type SpoonLook = (typeof SPOON_LOOKS)[number]['look'];

/** How it leaves a ladle held high. source: common practice; bands from memory */
export const LADLE_LOOKS = [
  { look: 'pours', band: 0.5 },
  { look: 'thread', band: 2 },
  { look: 'ribbon', band: 3.5 },
  { look: 'lumps', band: 5.5 },
] as const;
export type LadleLook = (typeof LADLE_LOOKS)[number]['look'];

/**
 * Kinematic viscosity of our whole bands, hot, mm²/s. source: from memory, a first guess: cream of 1 Pa·s hardly runs,
 * sauce that coats is about half of it; each recipe's own tests correct it
 */
export const BAND_VISCOSITY_MM2_PER_S = [1, 60, 250, 500, 1150, 3000, 8700] as const;

/**
 * Left in a 10 mL syringe after 10 s of flow, mL, and our band there. The edges are those of the published flow test:
 * under 1 mL thin, 1 to 4 slightly, 4 to 8 mildly, 8 and more moderately thick, 10 where nothing flows. source: IDDSI
 * framework, 2019, for the edges; our bands beside them from memory
 */
export const FLOW_BANDS: readonly (readonly [mL: number, band: number])[] = [
  [0, 0.2],
  [1, 1],
  [4, 2.2],
  [8, 3.4],
  [9.8, 4.6],
  [10, 5],
];

/** How far a test is off, in bands, one standard deviation. source: from memory; a spoon tells half a band */
export const TEST_DOUBT_BANDS = { spoon: 0.5, lineSpread: 0.3, flow: 0.35, ladle: 0.7 } as const;

/** Half a band thicker at 60 °C than at 90. source: common practice */
export const BANDS_PER_K = 0.5 / 30;
export const HOT_C = 90;
