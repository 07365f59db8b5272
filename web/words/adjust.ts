import { litres } from '../../contract';
import type { AdjustWarning } from '../../core/adjust';
import { ALLERGENS } from '../../core/matter';

/** What speaks against a way of adjusting a pot. */
export function adjustWarningWords(warning: AdjustWarning): string {
  switch (warning.code) {
    case 'addsAllergen':
      return `brings ${ALLERGENS[warning.name].name}, which is not in it.`;
    case 'breaksDiet':
      return `with ${warning.name.toLowerCase()} it is no longer ${warning.diet}.`;
    case 'noRoom':
      return `does not fit: ${litres(warning.litres)} in a pot that brims at ${litres(warning.brimLitres)}.`;
  }
}
