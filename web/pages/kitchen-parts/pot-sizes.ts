import type { Vessel } from '../../../core/vessel';
import { potsWords } from '../../words';

/** Sizes that pots are sold in, to begin with: general catalogue sizes, inside measures from memory. No makers. */
export const COMMON_POTS: readonly { name: string; vessel: Vessel; emptyMassKg: number }[] = [
  {
    name: potsWords.n4LSaucepan,
    vessel: { shape: 'cylinder', diameterCm: 20, heightCm: 13 },
    emptyMassKg: 1.6,
  },
  {
    name: potsWords.n10LStockpot,
    vessel: { shape: 'cylinder', diameterCm: 24, heightCm: 22 },
    emptyMassKg: 2.6,
  },
  {
    name: potsWords.n20LStockpot,
    vessel: { shape: 'cylinder', diameterCm: 30, heightCm: 30 },
    emptyMassKg: 4.4,
  },
  {
    name: potsWords.n35LStockpot,
    vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 36 },
    emptyMassKg: 7,
  },
  {
    name: potsWords.n50LStockpot,
    vessel: { shape: 'cylinder', diameterCm: 40, heightCm: 40 },
    emptyMassKg: 9,
  },
  {
    name: potsWords.n70LStockpot,
    vessel: { shape: 'cylinder', diameterCm: 45, heightCm: 45 },
    emptyMassKg: 12,
  },
  {
    name: potsWords.n12LRondeau,
    vessel: { shape: 'cylinder', diameterCm: 36, heightCm: 12 },
    emptyMassKg: 4.5,
  },
  {
    name: potsWords.n25LRondeau,
    vessel: { shape: 'cylinder', diameterCm: 45, heightCm: 16 },
    emptyMassKg: 7,
  },
  { name: potsWords.n60LKettle, vessel: { shape: 'kettle', diameterCm: 60, heightCm: 31 }, emptyMassKg: 38 },
  {
    name: potsWords.n150LKettle,
    vessel: { shape: 'kettle', diameterCm: 75, heightCm: 46.5 },
    emptyMassKg: 75,
  },
  {
    name: potsWords.n80LBraisingPan,
    vessel: { shape: 'box', lengthCm: 80, widthCm: 56, heightCm: 18 },
    emptyMassKg: 60,
  },
  {
    name: potsWords.n11Pan20Cm,
    vessel: { shape: 'box', lengthCm: 50, widthCm: 30, heightCm: 19 },
    emptyMassKg: 2.5,
  },
];

/** A steel pot with two handles weighs about so much, kg: what is guessed until it is weighed. Common practice. */
export const guessedMassKg = (brimLitres: number): number => Math.round((0.8 + 0.17 * brimLitres) * 10) / 10;
