import type { Component } from '../masses';

/**
 * Density (kg/m³) and specific heat (kJ/kg·K) of food components as polynomials in °C; water has its own function.
 * "Other" is taken as fibre, salt as ash. source: published: Choi and Okos 1986, as printed in the ASHRAE Refrigeration
 * handbook; alcohol from memory (789 kg/m³ and 2.44 kJ/kg·K at 20 °C, −0.85 kg/m³·K)
 */
export const DENSITY_KG_PER_M3: Record<Exclude<Component, 'water'>, readonly [number, number]> = {
  fat: [925.59, -0.41757],
  protein: [1329.9, -0.5184],
  sugars: [1599.1, -0.31046],
  starch: [1599.1, -0.31046],
  other: [1311.5, -0.36589],
  salt: [2423.8, -0.28063],
  alcohol: [806, -0.85],
};

export const SPECIFIC_HEAT_KJ: Record<Component, readonly [number, number, number]> = {
  water: [4.1762, -9.0864e-5, 5.4731e-6],
  fat: [1.9842, 1.4733e-3, -4.8008e-6],
  protein: [2.0082, 1.2089e-3, -1.3129e-6],
  sugars: [1.5488, 1.9625e-3, -5.9399e-6],
  starch: [1.5488, 1.9625e-3, -5.9399e-6],
  other: [1.8459, 1.8306e-3, -4.6509e-6],
  salt: [1.0926, 1.8896e-3, -3.6817e-6],
  alcohol: [2.44, 0, 0],
};
