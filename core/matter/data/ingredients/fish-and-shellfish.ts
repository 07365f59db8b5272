import type { Ingredient } from '../../ingredient';
import { row } from './row';

/** Fish and shellfish. Sources: see `row`. */
export const FISH_AND_SHELLFISH: readonly Ingredient[] = [
  row(
    'smoked-trout',
    'Smoked trout, flaked',
    'fish',
    { water: 69, fat: 6.5, protein: 21.4, salt: 1.9 },
    { densityKgPerL: 1.06, looseKgPerL: 0.65, yield: 0.92, allergens: ['fish'], diet: 'fish', checks: ['pinBones'], aliases: ['smoked trout', 'hot-smoked trout', 'smoked trout fillet'], umami: { glutamate: 0.01, imp: 0.12 } },
  ),
  row(
    'white-fish',
    'White fish fillet',
    'fish',
    { water: 81.2, fat: 0.7, protein: 17.5, salt: 0.15 },
    { densityKgPerL: 1.05, looseKgPerL: 0.75, yield: 0.95, allergens: ['fish'], diet: 'fish', checks: ['pinBones'], aliases: ['white fish', 'cod', 'haddock', 'hake', 'coley', 'cod fillet', 'haddock fillet'], umami: { glutamate: 0.01, imp: 0.17 } },
  ),
  row('prawn', 'Prawns, peeled', 'shellfish', { water: 78.5, fat: 0.8, protein: 19, salt: 0.6 }, { densityKgPerL: 1.05, looseKgPerL: 0.65, allergens: ['crustaceans'], diet: 'fish', aliases: ['prawn', 'shrimp', 'peeled prawn', 'raw prawn', 'peeled shrimp'], umami: { glutamate: 0.04, amp: 0.09 } }),
  row(
    'mussel',
    'Mussel meat',
    'shellfish',
    { water: 80.6, fat: 2.2, protein: 11.9, sugars: 3.7, salt: 0.73 },
    { densityKgPerL: 1.04, looseKgPerL: 0.65, yield: 0.27, wholeInPot: true, allergens: ['molluscs'], diet: 'fish', checks: ['shell'], pieceG: 16, aliases: ['mussel', 'live mussel', 'mussel in the shell'], umami: { glutamate: 0.1 } },
  ),
  row('trout', 'Trout fillet', 'fish', { water: 73.6, fat: 6, protein: 20, salt: 0.13 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, yield: 0.95, allergens: ['fish'], diet: 'fish', checks: ['pinBones'], softenMin: 4, aliases: ['trout', 'trout fillet', 'fresh trout'], umami: { imp: 0.12 } }),
  row('salmon', 'Salmon fillet', 'fish', { water: 65, fat: 13.4, protein: 20.4, salt: 0.15 }, { densityKgPerL: 1.04, looseKgPerL: 0.75, yield: 0.95, allergens: ['fish'], diet: 'fish', checks: ['pinBones'], softenMin: 5, aliases: ['salmon', 'salmon fillet'], umami: { imp: 0.15 } }),
  row('smoked-haddock', 'Smoked white fish', 'fish', { water: 76, fat: 0.9, protein: 21, salt: 1.9 }, { densityKgPerL: 1.06, looseKgPerL: 0.7, yield: 0.9, allergens: ['fish'], diet: 'fish', checks: ['pinBones'], softenMin: 5, aliases: ['smoked haddock', 'smoked white fish', 'smoked cod'], umami: { imp: 0.15 } }),
  row('smoked-mackerel', 'Smoked mackerel', 'fish', { water: 48.8, fat: 30, protein: 19, salt: 1.9 }, { densityKgPerL: 1.03, looseKgPerL: 0.65, yield: 0.9, allergens: ['fish'], diet: 'fish', checks: ['pinBones'], aliases: ['smoked mackerel fillet'], umami: { imp: 0.2 } }),
  row('salt-cod', 'Salt cod, dry', 'fish', { water: 45, fat: 1, protein: 36, salt: 18 }, { densityKgPerL: 1.15, looseKgPerL: 0.7, yield: 0.85, allergens: ['fish'], diet: 'fish', checks: ['pinBones'], soakH: 24, aliases: ['salted cod', 'dried salt cod'] }),
  row('fish-bones', 'White-fish bones', 'fish', { water: 78, fat: 2, protein: 15, salt: 0.3 }, { densityKgPerL: 1.1, looseKgPerL: 0.5, allergens: ['fish'], diet: 'fish', out: 'bones', pieceG: 200, aliases: ['fish bone', 'white-fish bone', 'fish frame', 'fish head'], umami: { glutamate: 0.02, imp: 0.04 } }),
  row(
    'anchovy',
    'Anchovy, salted',
    'fish',
    { water: 48, fat: 10, protein: 29, salt: 12 },
    { densityKgPerL: 1.1, looseKgPerL: 0.8, allergens: ['fish'], diet: 'fish', pieceG: 4, measures: { fillet: 4, tin: 50, jar: 100 }, store: 'walk-in', aliases: ['anchovy', 'anchovy fillet', 'salted anchovy'], umami: { glutamate: 0.63, imp: 0.3 } },
  ),
  row(
    'fish-flakes',
    'Dried fish flakes',
    'fish',
    { water: 15, fat: 3, protein: 77, salt: 0.8 },
    { densityKgPerL: 1.2, looseKgPerL: 0.06, allergens: ['fish'], diet: 'fish', store: 'dry store', pieceG: 15, measures: { handful: 5 }, aliases: ['dried fish flake', 'bonito flake', 'fish flake', 'dried bonito flake', 'katsuobushi'], umami: { glutamate: 0.04, imp: 0.7 }, drinks: 3 },
  ),
  row(
    'prawn-shell-on',
    'Prawns, shell on',
    'shellfish',
    { water: 78, fat: 0.8, protein: 18.5, salt: 0.6 },
    { densityKgPerL: 1.05, looseKgPerL: 0.55, yield: 0.55, wholeInPot: true, allergens: ['crustaceans'], diet: 'fish', checks: ['shell'], pieceG: 20, aliases: ['shell-on prawn', 'whole prawn', 'head-on prawn'], umami: { glutamate: 0.04, amp: 0.09 } },
  ),
  row('brown-shrimp', 'Small shrimps, peeled', 'shellfish', { water: 75, fat: 1, protein: 22, salt: 1.5 }, { densityKgPerL: 1.05, looseKgPerL: 0.6, allergens: ['crustaceans'], diet: 'fish', aliases: ['brown shrimp', 'potted shrimp'], umami: { glutamate: 0.04 } }),
  row('crab', 'Crab meat', 'shellfish', { water: 77, fat: 1.5, protein: 19.5, salt: 0.9 }, { densityKgPerL: 1.05, looseKgPerL: 0.65, allergens: ['crustaceans'], diet: 'fish', checks: ['shell'], aliases: ['crab', 'crabmeat', 'crab meat', 'white crab meat', 'brown crab meat'], umami: { glutamate: 0.04, amp: 0.03 } }),
  row('lobster', 'Lobster, cooked in shell', 'shellfish', { water: 77, fat: 0.9, protein: 19, salt: 1 }, { densityKgPerL: 1.05, looseKgPerL: 0.6, yield: 0.3, wholeInPot: true, allergens: ['crustaceans'], diet: 'fish', checks: ['shell'], pieceG: 600 }),
  row(
    'clam',
    'Clams, in the shell',
    'shellfish',
    { water: 79.9, fat: 1, protein: 14.7, sugars: 2.6, salt: 1.5 },
    { densityKgPerL: 1.05, looseKgPerL: 0.65, yield: 0.2, wholeInPot: true, allergens: ['molluscs'], diet: 'fish', checks: ['shell'], pieceG: 20, rinse: 'two hours in cold salt water, lift out', aliases: ['clam', 'live clam', 'cockle'], umami: { glutamate: 0.14 } },
  ),
  row('clam-liquor', 'Shellfish liquor', 'stock', { water: 95.5, fat: 0.1, protein: 1, sugars: 0.5, salt: 2.4 }, { share: 'liquid', densityKgPerL: 1.02, allergens: ['molluscs'], diet: 'fish', aliases: ['clam juice', 'mussel liquor', 'clam liquor', 'clam broth', 'shellfish liquor'], umami: { glutamate: 0.1 } }),
  row('squid', 'Squid, cleaned', 'shellfish', { water: 78.5, fat: 1.4, protein: 15.6, sugars: 3, salt: 0.11 }, { densityKgPerL: 1.05, looseKgPerL: 0.7, allergens: ['molluscs'], diet: 'fish', softenMin: 35, aliases: ['squid', 'cleaned squid', 'calamari'] }),
  row('scallop', 'Scallops, shelled', 'shellfish', { water: 82.5, fat: 0.5, protein: 12, sugars: 3.2, salt: 1 }, { densityKgPerL: 1.05, looseKgPerL: 0.75, allergens: ['molluscs'], diet: 'fish', pieceG: 25, aliases: ['scallop', 'king scallop', 'queen scallop'], umami: { glutamate: 0.14, amp: 0.17 } }),
  row('oyster', 'Oysters, shucked', 'shellfish', { water: 85, fat: 2, protein: 7, sugars: 4, salt: 1 }, { densityKgPerL: 1.03, looseKgPerL: 0.9, allergens: ['molluscs'], diet: 'fish', checks: ['shell'], pieceG: 15, aliases: ['oyster', 'shucked oyster'], umami: { glutamate: 0.15 } }),
];
