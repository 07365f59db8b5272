import fc from 'fast-check';
import type { PlanInput } from '../plan';
import { newStage, type Recipe, type RecipeLine, type Stage } from '../recipe';
import { orderOf } from './broth';

/** Dishes and orders nobody wrote, for properties of the plan. */

export const POTS: PlanInput['pot'][] = [
  {
    id: 'small',
    name: 'saucepan',
    vessel: { shape: 'cylinder', diameterCm: 20, heightCm: 13 },
    emptyMassKg: 1.6,
  },
  {
    id: 'stock',
    name: 'stockpot',
    vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 39 },
    emptyMassKg: 7.5,
  },
  {
    id: 'wide',
    name: 'kettle',
    vessel: { shape: 'kettle', diameterCm: 75, heightCm: 50 },
    emptyMassKg: 50,
  },
];

const PIECES = ['carrot', 'potato', 'leek', 'mutton', 'celeriac', 'onion', 'red-lentil', 'white-bean'];
const LIQUIDS = ['water', 'chicken-stock', 'vegetable-stock', 'milk'];

/** An order for a dish nobody wrote: something fried, a thickener, a liquid, a simmer or a fall, perhaps a purée, salt. */
export const drawnOrder = fc
  .record({
    pieces: fc.uniqueArray(fc.constantFrom(...PIECES), { minLength: 1, maxLength: 3 }),
    piecesKg: fc.double({ min: 0.1, max: 1.6, noNaN: true }),
    liquid: fc.constantFrom(...LIQUIDS),
    flourKg: fc.double({ min: 0, max: 0.3, noNaN: true }),
    fatParts: fc.double({ min: 0.4, max: 2, noNaN: true }),
    roux: fc.constantFrom('rouxWhite', 'rouxBrown', 'rouxDark' as const),
    start: fc.constantFrom('sweat-covered', 'sweat-open', 'brown-meat'),
    goes: fc.constantFrom('simmer-covered', 'simmer-open', 'reduce-mark'),
    isPuree: fc.boolean(),
    portions: fc.constantFrom(1, 2, 6, 17, 60, 140, 500, 2000),
    portionMl: fc.constantFrom(120, 250, 330),
    band: fc.double({ min: 0, max: 6, noNaN: true }),
    saltPercent: fc.double({ min: 0.3, max: 1.2, noNaN: true }),
    altitudeM: fc.constantFrom(0, 1240, 3000),
    pot: fc.constantFrom(...POTS),
    powerW: fc.constantFrom(1500, 3500, 9000, 20000),
  })
  .map((of) => {
    const stages: Stage[] = [
      newStage('start', 'start', of.start),
      newStage('in', 'liquid', 'to-boil'),
      newStage('on', of.goes === 'reduce-mark' ? 'reduce' : 'simmer', of.goes),
      ...(of.isPuree ? [newStage('smooth', 'puree', 'puree-sieved')] : []),
      newStage('season', 'season'),
      newStage('serve', 'serve'),
    ];
    const line = (
      id: string,
      ingredientId: string,
      stageId: string,
      kg: number,
      more: object,
    ): RecipeLine => ({
      id,
      ingredientId,
      stageId,
      kg,
      tempC: 8,
      scaling: 'straight',
      ...more,
    });
    const lines = [
      ...of.pieces.map((id, i) => line(`piece-${i}`, id, 'start', of.piecesKg, {})),
      line('the-fat', 'dripping', 'start', of.flourKg * of.fatParts, {
        scaling: { sameAs: 'binds', times: of.fatParts },
      }),
      line('binds', 'flour', 'start', of.flourKg, { scaling: 'toThickness', thickener: of.roux }),
      line('poured', of.liquid, 'in', 3, { scaling: 'toYield' }),
      line('white-grains', 'salt', 'season', 0.03, { scaling: 'toSalt' }),
    ];
    const recipe: Recipe = { ...orderOf().recipe, id: 'drawn', litres: 4, stages, lines };
    const { kitchen, burner } = orderOf();
    return orderOf({
      recipe,
      portions: of.portions,
      portionMl: of.portionMl,
      band: of.flourKg > 0 ? of.band : 0,
      saltPercent: of.saltPercent,
      kitchen: { ...kitchen, altitudeM: of.altitudeM },
      pot: of.pot,
      burner: { ...burner, powerW: of.powerW },
    });
  });
