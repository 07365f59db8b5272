import type { KitchenSeed } from '../../contract';
import { BROTH } from '../../core/testing/broth';
import { METRIC } from '../../core/units';

/** A kitchen of a pot, a ring and a recipe: what a test of the file itself needs, and no more. */
export function smallKitchen(): KitchenSeed {
  return {
    kitchen: {
      name: 'Small kitchen',
      zone: 'Europe/London',
      altitudeM: 300,
      airTempC: 22,
      relativeHumidity: 0.5,
      currency: 'GBP',
      measures: METRIC,
      equipment: {
        blenderJarLitres: 2,
        hasStickBlender: true,
        ovenTrays: 2,
        trayAreaM2: 0.17,
        fryingPanCm: 28,
      },
    },
    items: {
      service: [{ id: 'noon', name: 'Noon', time: '12:00', covers: 30 }],
      pot: [
        {
          id: 'pot',
          name: 'pot',
          vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 36 },
          emptyMassKg: 7,
        },
        {
          id: 'pan',
          name: 'pan',
          vessel: { shape: 'cylinder', diameterCm: 30, heightCm: 28 },
          emptyMassKg: 4,
        },
      ],
      burner: [
        { id: 'ring', name: 'the ring', kind: 'gas', powerW: 6000, efficiency: 0.4, potIds: ['pot', 'pan'] },
        {
          id: 'plate',
          name: 'the plate',
          kind: 'electric',
          powerW: 4000,
          efficiency: 0.6,
          potIds: ['pot', 'pan'],
        },
      ],
    },
    prices: [{ ingredientId: 'carrot', centsPerKg: 90, supplier: 'Somebody' }],
    recipes: [{ recipe: BROTH, savedAtMs: 0 }],
    batches: [],
    larderEvents: [],
    lotIds: [],
    orders: [],
    clock: null,
    by: 'Isla',
    device: 'test',
  };
}
