import { drain, drawOff, NO_MASSES, plusSavour, puree, skimFat, strain, totalKg } from '../matter';
import type { PotState } from './pot';
import type { StageDeed } from './stage-deed';
import { blend, blended, savourHeld } from './steep';

/** Liquid that drained pieces carry with them, kg a kg of pieces that have kept their own water. Common practice. */
const CLING_PER_KG = 0.15;

/** Share of the pulp that a sieve keeps back. source: from memory: a coarse one little, a fine one the fibre */
const KEPT_BACK = { none: 0, coarse: 0.01, fine: 0.04 } as const;

/** What is done to the whole pot as a stage ends: puréed, strained, drained, skimmed. Nothing is lost: it counts as taken out. */
export function finishStage(pot: PotState, deed: StageDeed | undefined): PotState {
  if (!deed) return pot;
  const { mixture } = pot;
  switch (deed.kind) {
    case 'puree': {
      const pulpKg = totalKg(mixture.pieces) * deed.share;
      if (pulpKg === 0) return pot;
      const { bodyG, steeping } = blend(mixture.pieces, pot.steeping, deed.share);
      const smooth = puree(mixture, deed.share, bodyG);
      const liquidOnly = {
        ...smooth,
        savour: plusSavour(smooth.savour, savourHeld(pot.steeping), deed.share),
        pieces: NO_MASSES,
      };
      const { left, drawn } = drawOff(liquidOnly, (KEPT_BACK[deed.sieve] * pulpKg) / totalKg(smooth.liquid));
      return {
        ...pot,
        ...(pot.steeping ? { steeping } : {}),
        mixture: { ...left, pieces: smooth.pieces },
        takenOutKg: pot.takenOutKg + totalKg(drawn.liquid),
      };
    }
    case 'strain': {
      const clingKg = Math.min(CLING_PER_KG * totalKg(mixture.pieces), totalKg(mixture.liquid));
      const { left, out } = strain(mixture, clingKg);
      return {
        ...pot,
        ...(pot.steeping ? { steeping: blended(pot.steeping) } : {}),
        ...(pot.bonesKg ? { bonesKg: 0 } : {}),
        mixture: left,
        takenOutKg: pot.takenOutKg + totalKg(out.liquid) + totalKg(out.pieces),
      };
    }
    case 'drain': {
      const clingKg = Math.min(CLING_PER_KG * totalKg(mixture.pieces), totalKg(mixture.liquid));
      const { left, out } = drain(mixture, clingKg);
      const steeping = pot.steeping?.filter((one) => one.kg > 0);
      return { ...pot, steeping, mixture: left, takenOutKg: pot.takenOutKg + totalKg(out.liquid) };
    }
    case 'skim': {
      const { left, skimmed } = skimFat(mixture, mixture.liquid.fat * deed.share);
      return { ...pot, mixture: left, takenOutKg: pot.takenOutKg + totalKg(skimmed) };
    }
  }
}
