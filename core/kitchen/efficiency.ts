/**
 * What of a rating reaches a pot, as a share: a first guess, until readings and tests with water say otherwise. source:
 * common practice: gas 0.3 to 0.45, electric 0.7 to 0.75, induction and a steam jacket 0.85; of an oven from memory
 */
export const EFFICIENCY = { gas: 0.4, electric: 0.72, induction: 0.85, steam: 0.85, oven: 0.2 } as const;
