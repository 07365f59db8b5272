import type { IngredientKind } from '../matter';
import type { PaperLine } from '../reader';
import type { Recipe } from '../recipe';

/** What a base is, for the shelf it stands on. */
export const BASE_FAMILIES = [
  'stock',
  'broth',
  'concentrate',
  'purée',
  'sauce',
  'binder',
  'aromatics',
] as const;
export type BaseFamily = (typeof BASE_FAMILIES)[number];

/** A rule of the trade and why it holds. */
export interface BaseRule {
  rule: string;
  reason: string;
}

/** A kind of base the house can make: its proportions, times, rules, and what may be expected of it. */
export interface BaseKind {
  id: string;
  name: string;
  family: BaseFamily;
  /** row of the table it stands for in recipes that name it so; none for what only its own recipe names */
  satisfies?: string;
  /** by weight, in the order it is spoken */
  parts: readonly { name: string; parts: number }[];
  partsSource: string;
  /** °Brix of the strained liquid at the usual strength, what “one times” means: what its own recipe comes to in a pot that
   * suits it, a first guess the kitchen’s readings replace; none where it is no liquid */
  standardBrix?: number;
  /** minutes it draws for; null for what is not simmered */
  simmerMin: { from: number; to: number } | null;
  timeSource: string;
  rules: readonly BaseRule[];
  /** for how many months its taste holds when frozen; 0 for what does not freeze well */
  frozenMonths: number;
  /** days on the shelf where it is no food that spoils in the cold within the date mark: roux, dry spices */
  dryDays?: number;
  /** trimmings of these kinds go into it */
  takes: readonly IngredientKind[];
  recipe: Omit<Recipe, 'version' | 'lines' | 'written' | 'bowl' | 'base' | 'stocksAs'>;
  paper: readonly PaperLine[];
  /** rows of the paper that are other bases, by kind */
  standsOn?: readonly string[];
}
