import type { KitchenView } from '../../../contract';
import { altitude, kitchenWords } from '../../words';

/** The parts of a kitchen, in the order a newcomer fills them, with what is known of each and the minutes it takes. */
export interface KitchenSection {
  id: string;
  title: string;
  /** what is known, short; null where nothing is */
  known: (kitchen: KitchenView, recipes: number) => string | null;
  /** minutes of a slow cook */
  minutes: number;
}

const count = (n: number, one: string, many: string): string | null =>
  n === 0 ? null : `${n} ${n === 1 ? one : many}`;

export const SECTIONS: readonly KitchenSection[] = [
  {
    id: 'place',
    title: kitchenWords.place,
    known: (kitchen) => (kitchen.name ? altitude(kitchen.altitudeM) : null),
    minutes: 1,
  },
  {
    id: 'pots',
    title: kitchenWords.pots,
    known: (kitchen) => count(kitchen.pots.length, 'pot', 'pots'),
    minutes: 3,
  },
  {
    id: 'heat',
    title: kitchenWords.heat,
    known: (kitchen) => count(kitchen.burners.length, 'burner', 'burners'),
    minutes: 2,
  },
  {
    id: 'service',
    title: kitchenWords.service,
    known: (kitchen) => count(kitchen.services.length, 'service', 'services'),
    minutes: 2,
  },
  {
    id: 'cold',
    title: kitchenWords.coldAndIce,
    known: (kitchen) => count(kitchen.colds.length, 'place', 'places'),
    minutes: 1,
  },
  {
    id: 'tools',
    title: kitchenWords.tools,
    known: (kitchen) => count(kitchen.instruments.length, 'instrument', 'instruments'),
    minutes: 2,
  },
  {
    id: 'people',
    title: kitchenWords.people,
    known: (kitchen) => count(kitchen.people.length, 'person', 'people'),
    minutes: 1,
  },
  {
    id: 'limits',
    title: kitchenWords.limits,
    known: (kitchen) =>
      Object.keys(kitchen.limitReasons).length > 0 ? kitchenWords.withReasons : kitchenWords.asTheCode,
    minutes: 0,
  },
  {
    id: 'recipes',
    title: kitchenWords.firstRecipes,
    known: (_kitchen, recipes) => count(recipes, 'recipe', 'recipes'),
    minutes: 3,
  },
];

/** A kitchen can cook once it has a pot, and heat under it. */
export const canCook = (kitchen: KitchenView): boolean =>
  kitchen.name !== '' &&
  kitchen.burners.some((one) => kitchen.pots.some((pot) => one.potIds.includes(pot.id)));
