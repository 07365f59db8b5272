import type { Diet } from '../../../core/matter';
import type { Substitution, SubstitutionNote } from '../../../core/substitute';
import { decimal, dose, litres, weight } from '../amounts';

/** A substitution that is offered, by the names of what it takes out and puts in. */
export function swapTitle(change: Substitution, names: { of: string; by: string }, avoids?: Diet): string {
  const of = names.of.toLowerCase();
  switch (change.kind) {
    case 'swap':
      if (change.share < 1) return `Half of the ${of} as ${names.by.toLowerCase()}`;
      return `${names.by} for the ${of}${KEPT[change.keep]}${avoids ? `, no ${avoids}` : ''}`;
    case 'aromatics':
      return `Water for the ${of}, its aromatics in the pot`;
    case 'bouillon':
      return `${change.share < 1 ? 'Half' : 'All'} of the ${of} as bouillon`;
    case 'dairyFat':
      return `Milk and cream to ${change.fatPercent} % fat`;
    case 'makeUp':
      return `${names.by} to make up the amount`;
  }
}

const KEPT = { weight: '', strength: ', by strength', solids: ', by solids', dried: '', umami: ', by taste' };

/** What to know about a substitution before it is taken. */
export function swapNote(note: SubstitutionNote): string {
  switch (note.code) {
    case 'rouxFatGoes':
      return 'Stirred in cold water, and in at the end: the fat of the roux is left out too.';
    case 'makesUp':
      return `${note.name} makes up the amount.`;
    case 'binds':
      return `${note.name} binds ${decimal(note.times, 1)} times as hard, weight for weight.`;
    case 'bySolids': {
      const water = `${weight(Math.abs(note.waterKgPerKg))} ${note.waterKgPerKg > 0 ? 'more' : 'less'} water`;
      return `By solids, ${decimal(note.kgPerKg, 2)} times the weight. It brings ${water} to each ${weight(1)}.`;
    }
    case 'freshForDried':
      return 'Three of fresh for one of dried. In late, or it cooks away.';
    case 'driedForFresh':
      return 'One of dried for three of fresh. In early: it needs time.';
    case 'keepsUmami':
      return `${dose(note.gPerKg)} for each ${weight(1)} keeps the umami where it was, each tasted alone.`;
    case 'bouillonSalt':
      return `Brings ${dose(note.saltG)} of salt to ${litres(note.litres)}. The salt line gives that much up.`;
    case 'bouillonCapped':
      return `${dose(note.askedGPerL)} to ${litres(1)} is past ${note.saltPercent} % salt by itself: ${dose(note.gPerL)}, and no salt.`;
    case 'aromatics':
      return 'Big pieces, tied or in a basket. They give what they have in an hour, then come out.';
    case 'dairyFat':
      return `${decimal(note.creamPercent, 0)} parts cream to ${decimal(100 - note.creamPercent, 0)} of milk is ${decimal(note.fatPercent, 1)} % fat.`;
  }
}
