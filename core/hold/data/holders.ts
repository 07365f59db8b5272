import type { Insulation } from '../../pot';

/** What soup is held hot in. */
export const HOLDS_IN = ['pot', 'pans', 'thermos'] as const;
export type HoldsIn = (typeof HOLDS_IN)[number];

/** A whole pan of a bain-marie, cm. source: published: EN 631-1, 530 × 325 mm outside */
export const WHOLE_PAN_CM = { length: 53, width: 32.5 } as const;

/** A pan of a bain-marie stands at least so deep, cm: what holds less is a part of a whole pan. Common practice. */
export const PAN_DEEP_CM = 10;

/** An insulated box, cm wide, and filled so far. Common practice. */
export const THERMOS = { diameterCm: 28, fill: 0.9, emptyMassKg: 6 } as const;

/** Its walls and its clipped lid against a bare pot's: some 2 K an hour at 85 °C, of 20 L. source: common practice, from memory */
export const THERMOS_INSULATION: Insulation = { walls: 0.15, lid: 0.1 };

/** In a bath the walls stand in hot water: they lose nothing to the air. */
export const BATH_WALLS = 0;

/**
 * A pan of steel, kg; the heat of the bath under it, W; and what goes through its walls from soup to bath, kW/K.
 * source: from memory: 1.2 kW to a whole pan; water, steel, water some 150 W/m²K over a third of a square metre
 */
export const PAN = { emptyMassKg: 3, powerW: 1200, bathKWPerK: 0.05 } as const;

/** Where nobody has said what a pan of the bain-marie holds, L: a whole one, 15 cm deep, filled to two fingers under its rim. */
export const USUAL_PAN_LITRES = 20;
