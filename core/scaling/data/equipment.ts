/** What a kitchen has beside pots and burners. */
export interface Equipment {
  /** brim of the blender jar, L; 0 for none */
  blenderJarLitres: number;
  hasStickBlender: boolean;
  /** trays that go in the oven at once, and the floor of one, m² */
  ovenTrays: number;
  trayAreaM2: number;
  /** pans for frying, by diameter, cm */
  fryingPanCm: number;
  /** bowls under the grill at once, and how long; absent where there is none */
  grillBowls?: number | undefined;
  grillMin?: number | undefined;
  /** a sieve's fill, L */
  sieveLitres?: number | undefined;
  /** pans in the bain-marie, and what one holds, L */
  bainMariePans?: number | undefined;
  bainMariePanLitres?: number | undefined;
  /** minutes between temperature checks of what is held hot; absent where the kitchen has said nothing */
  holdCheckMin?: number | undefined;
  /** 1/1 pans that stand empty for cooling */
  coolingPans?: number | undefined;
  /** a level teaspoon of the salt that stands here, g: fine about 6, coarse 4.8, flaky 2.8 (common practice) */
  saltTeaspoonG?: number | undefined;
}

/** A hot blender jar is filled at most this far. source: common practice, a third to a half */
export const HOT_FILL = 0.4;

/** A jar of it takes this long, filled, run, emptied, minutes. Common practice. */
export const JAR_MIN = 2.5;

/** A stick blender in the pot, minutes to set up and to the litre. Common practice. */
export const STICK_BLENDER = { setUpMin: 5, minPerLitre: 0.6 } as const;

/** Meat in one layer with gaps, kg to the m² of pan or tray; cover two thirds of it. Common practice. */
export const BROWNING_KG_PER_M2 = 8;

/** Bones lie heaped on their tray: kg to the m². Common practice. */
export const BONES_KG_PER_M2 = 20;

/** A pan of meat browns in this, both sides, minutes; a tray in a hot oven in that. Common practice. */
export const BROWNING_MIN = { pan: 8, oven: 25 } as const;

/** Roux lies no deeper than this, cm, or it cooks unevenly. Common practice. */
export const ROUX_DEPTH_CM = 2;

/** Minutes at heat that take a roux to its stage, stirred, once it is hot. source: common practice, from memory */
export const ROUX_MIN = { rouxWhite: 3, rouxBlond: 6, rouxBrown: 20, rouxDark: 40 } as const;

/** A roux is stirred at about this, °C. source: from memory */
export const ROUX_C = 150;

/** A roux is cooked at this share of the burner, or it colours before it cooks. Common practice. */
export const ROUX_HEAT_SHARE = 0.4;

/** Flour in fat: kg/L and kJ/kg·K, and from where it is warmed, °C. source: from memory, between flour and fat */
export const ROUX_MATTER = { densityKgPerL: 1.05, specificHeatKJ: 2, fromC: 20 } as const;
