import {
  holdsOf,
  type LotContents,
  mapMasses,
  NO_MASSES,
  NO_SAVOUR,
  plusSavour,
  waterDensityKgPerL,
} from '../matter';

/** Some kilograms of a lot that go into a mixture. */
export interface ContentsPart {
  contents: LotContents;
  kg: number;
}

/**
 * What lots poured together are, with water if any: masses, savour and body add up; every allergen goes in; the diet is
 * the strictest's; the volumes add.
 *
 * @param name of the mixture
 * @param parts at least one, kg above 0; the heaviest says what row it is
 * @param waterKg 0 or more
 * @throws RangeError for no parts
 */
export function mixContents(name: string, parts: readonly ContentsPart[], waterKg = 0): LotContents {
  const heaviest = [...parts].sort((a, b) => b.kg - a.kg)[0];
  if (!heaviest) throw new RangeError('parts must hold at least one lot, got none');
  const partsKg = parts.reduce((sum, part) => sum + part.kg, 0);
  const kg = partsKg + waterKg;
  const litres = parts.reduce((sum, part) => sum + part.kg / part.contents.densityKgPerL, 0);
  const masses = mapMasses(
    (component) =>
      parts.reduce(
        (sum, part) => sum + part.kg * part.contents.perKg[component],
        component === 'water' ? waterKg : 0,
      ) / kg,
  );
  return {
    ...heaviest.contents,
    name,
    perKg: kg > 0 ? masses : NO_MASSES,
    densityKgPerL: kg / (litres + waterKg / waterDensityKgPerL({ tempC: 20 })),
    savourPerKg: parts.reduce(
      (sum, part) => plusSavour(sum, part.contents.savourPerKg, part.kg / kg),
      NO_SAVOUR,
    ),
    bodyGPerKg: parts.reduce((sum, part) => sum + part.kg * part.contents.bodyGPerKg, 0) / kg,
    ...holdsOf(parts.map((part) => part.contents)),
  };
}
