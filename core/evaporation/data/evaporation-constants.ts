/** kPa, kJ/kg → kg/(s·m²): still-air term of the pool form. source: published: ASHRAE Applications, natatoriums */
export const STILL_AIR_COEFFICIENT = 0.089;

/** What a lid leaves of the surface loss below the boil. source: common practice */
export const LID_FACTOR = { off: 1, ajar: 0.45, on: 0.1 } as const;

export type Lid = keyof typeof LID_FACTOR;
