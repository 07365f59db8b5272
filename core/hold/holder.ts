import type { PlannedBurner, Pot } from '../plan';
import type { Equipment } from '../scaling';
import {
  BATH_WALLS,
  type HoldsIn,
  PAN,
  PAN_DEEP_CM,
  THERMOS,
  THERMOS_INSULATION,
  USUAL_PAN_LITRES,
  WHOLE_PAN_CM,
} from './data/holders';

/** A vessel that soup is held hot in, and what keeps it hot. */
export interface Holder {
  pot: Pot;
  burner: PlannedBurner;
}

/** What a pan of the bain-marie holds, L. */
export const panLitres = ({ bainMariePanLitres }: Pick<Equipment, 'bainMariePanLitres'>): number =>
  bainMariePanLitres || USUAL_PAN_LITRES;

/** Pans that so many litres want. */
export const pansFor = (equipment: Pick<Equipment, 'bainMariePanLitres'>, litres: number): number =>
  Math.max(1, Math.ceil(litres / panLitres(equipment) - 0.02));

/**
 * Pans of a bain-marie as one vessel: their surfaces side by side. A pan that holds less than a whole one 10 cm deep is a
 * part of one.
 *
 * @param pans 1 or more
 */
function pansOf(id: string, name: string, equipment: Equipment, pans: number): Holder {
  const litres = panLitres(equipment);
  const wholeCm2 = WHOLE_PAN_CM.length * WHOLE_PAN_CM.width;
  const eachCm2 = Math.min(wholeCm2, (litres * 1000) / PAN_DEEP_CM);
  const vessel = {
    shape: 'box',
    lengthCm: (pans * eachCm2) / WHOLE_PAN_CM.width,
    widthCm: WHOLE_PAN_CM.width,
    heightCm: (litres * 1000) / eachCm2,
  } as const;
  return {
    pot: {
      id,
      name,
      vessel,
      emptyMassKg: pans * PAN.emptyMassKg,
      insulation: { walls: BATH_WALLS, lid: 1, bathKWPerK: pans * PAN.bathKWPerK },
    },
    burner: bath(id, name, pans * PAN.powerW),
  };
}

/** An insulated box that holds so many litres: nothing heats it, and little leaves it. */
function thermosOf(id: string, name: string, litres: number): Holder {
  const { diameterCm, fill, emptyMassKg } = THERMOS;
  const heightCm = (litres * 1000) / fill / ((Math.PI / 4) * diameterCm ** 2);
  const vessel = { shape: 'cylinder', diameterCm, heightCm } as const;
  return {
    pot: { id, name, vessel, emptyMassKg, insulation: THERMOS_INSULATION },
    burner: bath(id, name, 1),
  };
}

/** Heat of its own, that no other pot stands on. */
const bath = (id: string, name: string, powerW: number): PlannedBurner => ({
  id,
  name,
  powerW,
  efficiency: 1,
  heatFactor: { mean: 1, sd: 0.2, batches: 0 },
});

/** What something is held hot in by what a cook says of it; null for the pot it was cooked in. */
export function holderOf(
  said: { in: HoldsIn; pans?: number; litres?: number },
  equipment: Equipment,
): Holder | null {
  switch (said.in) {
    case 'pot':
      return null;
    case 'pans':
      return pansOf(said.in, 'bain-marie', equipment, said.pans ?? 1);
    case 'thermos':
      return thermosOf(said.in, 'thermos', said.litres ?? USUAL_PAN_LITRES);
  }
}
