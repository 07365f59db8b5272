/**
 * Share of alcohol left by minutes of simmering and stirring; the first row is stirred into boiling liquid and taken
 * off the heat. source: published: USDA Table of Nutrient Retention Factors, release 6
 */
export const ALCOHOL_RETENTION = [
  { minutes: 0, left: 0.85 },
  { minutes: 15, left: 0.4 },
  { minutes: 30, left: 0.35 },
  { minutes: 60, left: 0.25 },
  { minutes: 90, left: 0.2 },
  { minutes: 120, left: 0.1 },
  { minutes: 150, left: 0.05 },
] as const;
