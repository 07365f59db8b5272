/** kJ to melt a kilogram of ice at 0 °C. source: published: steam tables and handbooks (333.6, rounded) */
export const FUSION_KJ_PER_KG = 334;

/** kJ/kg·K of frozen food. source: common practice: ice 2.1 at 0 °C */
export const FROZEN_SPECIFIC_HEAT_KJ = 2.1;

/** W/m²K from a pot's bare wall to still kitchen air. source: common practice: 10 to 12 */
export const WALL_LOSS_W_PER_M2K = 11;

/** kJ/kg·K of steel. source: from memory: stainless 0.50, mild 0.49 */
export const STEEL_SPECIFIC_HEAT_KJ = 0.5;

/** m²/s, thermal diffusivity of root vegetables. source: from memory: 1.4 to 1.5 ·10⁻⁷ for potato */
export const DICE_DIFFUSIVITY_M2_PER_S = 1.45e-7;

/** °C for a tenfold slower softening. source: from memory: z about 24 °C for vegetable texture */
export const SOFTENING_Z_C = 24;
