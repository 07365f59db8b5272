import type { KitchenFoods } from '../book';
import type { PlannedBurner, Pot } from '../plan';
import type { PortionKind } from '../portions';
import type { HotLimits } from '../safety';
import type { Equipment } from '../scaling';
import type { Substitution } from '../substitute';

/** An order: what, how much, when, in which pot, on which burner. */
export interface OrderRequest {
  recipeId: string;
  /** all of it in bowls of `portionMl` */
  portions: number;
  portionMl: number;
  /** what the portions are, where they are not all bowls of one size for everybody */
  kinds?: PortionKind[] | undefined;
  saltPercent: number;
  band: number;
  serviceAtMs: number;
  potId: string;
  burnerId: string;
  /** share of a bowl kept out of the pot and ladled in hot */
  holdBackShare?: number | undefined;
  /** why it is cooked although the larder is short of a base: where that comes from */
  overrideReason?: string | undefined;
  /** lots that a cook has taken although they bring what the dish does not hold */
  lotIds?: string[] | undefined;
  /** what is substituted for what, one after the other */
  changes?: Substitution[] | undefined;
}

/** A burner with the pots that go on it. */
export interface KitchenBurner extends PlannedBurner {
  potIds: readonly string[];
}

/** What a kitchen's pots on its burners have shown at a setting under a lid. */
export interface KnownRate {
  potId: string;
  burnerId: string;
  fraction: number;
  lid: 'off' | 'ajar' | 'on';
  arriving: { mean: number; sd: number };
}

/** What pots have shown beside the law: a surface under its lid, a floor under a dish; and a dish, how it thickens. */
export interface KnownShare {
  key:
    | { surfaceOf: string; lid: 'off' | 'ajar' | 'on' }
    | { floorOf: string; recipeId: string }
    | { bodyOf: string }
    | { ladleOf: string }
    | { filmOf: string };
  share: { mean: number; sd: number };
  /** stretches or batches it was seen in */
  segments: number;
}

export interface Known {
  rates: readonly KnownRate[];
  shares: readonly KnownShare[];
  /** the cook's eye, from rehearsals */
  eye: { mean: number; sd: number } | null;
}

/** A kitchen whose pots have shown nothing yet. */
export const NOTHING_KNOWN: Known = { rates: [], shares: [], eye: null };

/** Everything of a kitchen that decides a plan. */
export interface PlanningKitchen extends KitchenFoods {
  altitudeM: number;
  airTempC: number;
  relativeHumidity: number;
  equipment: Equipment;
  limits: HotLimits;
  pots: readonly Pot[];
  burners: readonly KitchenBurner[];
  learned: Known;
}
