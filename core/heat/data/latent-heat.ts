/**
 * Latent heat of evaporation of water in kJ/kg at 0, 10, 20 … 150 °C.
 * source: published: saturated-water steam tables, h_fg by temperature
 */
export const LATENT_HEAT_STEP_C = 10;
export const LATENT_HEAT_KJ_PER_KG = [
  2500.9, 2477.2, 2453.5, 2429.8, 2406.0, 2382.0, 2357.7, 2333.0, 2308.0, 2282.5, 2256.4, 2229.7, 2202.1,
  2173.7, 2144.3, 2113.8,
] as const;
