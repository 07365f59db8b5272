import type { GarlicCut } from '../scaling';

/** One thing that does not follow the plain multiple, with what that would say and what is so here; SI units. */
export type ScalingNote =
  /** raw it lies loose and goes in by loads */
  | { law: 'rounds'; what: string; loads: number }
  /** a heap has first to get hot */
  | { law: 'sweat'; what: string; plainMin: number; minutes: number }
  /** what boils away follows the surface and the burner */
  | { law: 'liquid'; names: string[]; plainLitres: number; litres: number; evaporatedKg: number }
  | ClockNote
  /** fat covers the pan's bottom */
  | { law: 'fat'; what: string; plainKg: number; kg: number }
  | RouxNote
  /** one layer with gaps; `where` is the pot, null on trays */
  | {
      law: 'browning';
      what: string;
      plainLoads: number;
      loads: number;
      minutes: number;
      kgAtATime: number;
      where: string | null;
    }
  /** a hot jar is filled in part; no fills where there is no jar */
  | {
      law: 'blender';
      what: string;
      plainMin: number | null;
      litres: number;
      fills: number;
      fillLitres: number;
      minutes: number;
      hasStick: boolean;
    }
  | DoseNote
  /** to the wanted share at the end, after what the rest brings */
  | { law: 'salt'; what: string; plainKg: number; kg: number; saltPercent: number; broughtG: number }
  /** by the bowl, whatever the bowl holds */
  | { law: 'garnish'; what: string; plainKg: number; kg: number; perBowlKg: number };

/** A stage that waits for the pot: so many `times` as long, for so many `amounts` of what was written. */
export interface ClockNote {
  law: 'reduction' | 'heatUp';
  what: string;
  plainMin: number;
  minutes: number;
  plainLitres: number;
  times: number;
  amounts: number;
}

/** A roux that takes longer to get hot, or lies deeper than it cooks evenly. */
export interface RouxNote {
  law: 'roux';
  kg: number;
  plainKg: number;
  plainMin: number;
  minutes: number;
  /** the pan it lies shallow enough in */
  panCm: number;
  heatMin: number;
  depthCm: number;
  mostDepthCm: number;
}

/** What is started low and tasted up. */
export type DoseNote = {
  what: string;
  plainKg: number;
  kg: number;
  keptByKg: number;
  startPercent: number;
  /** heat and spirit: they cannot be taken out */
  buildsUp: boolean;
} & ({ law: 'taste' | 'alcohol' } | { law: 'garlic'; cut: GarlicCut; standsMin: number; bites: number });
