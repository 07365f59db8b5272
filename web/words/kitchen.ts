import { type ItemKind, type ItemOf, type KitchenView, litres, sentenceCase } from '../../contract';
import { boilingPointC } from '../../core/heat';
import { litresAtDepth, type ShapeFit, type Vessel } from '../../core/vessel';

/** What a kitchen has, in words. */

export const HEAT_WORDS: Readonly<Record<ItemOf<'burner'>['kind'], string>> = {
  gas: 'gas',
  electric: 'electric plate',
  induction: 'induction',
  steam: 'steam jacket',
  oven: 'oven',
};

export const SHAPE_WORDS: Readonly<Record<Vessel['shape'], string>> = {
  cylinder: 'straight',
  tapered: 'tapered',
  kettle: 'round bottom',
  box: 'with corners',
  measured: 'measured',
};

/** Inside measures of a pot, as they were typed or found. */
export function sizeWords(vessel: Vessel): string {
  const cm = (value: number) => String(Math.round(value * 10) / 10);
  switch (vessel.shape) {
    case 'cylinder':
      return `straight, ${cm(vessel.diameterCm)} cm across, ${cm(vessel.heightCm)} high`;
    case 'tapered':
      return `tapered, ${cm(vessel.bottomDiameterCm)} to ${cm(vessel.topDiameterCm)} cm across, ${cm(vessel.heightCm)} high`;
    case 'kettle':
      return `round bottom, ${cm(vessel.diameterCm)} cm across, ${cm(vessel.heightCm)} high`;
    case 'box':
      return `${cm(vessel.lengthCm)} × ${cm(vessel.widthCm)} cm, ${cm(vessel.heightCm)} high`;
    case 'measured':
      return `measured by water at ${vessel.levels.length} levels, ${cm(vessel.heightCm)} cm to the rim`;
  }
}

export const brimLitres = (vessel: Vessel): number => litresAtDepth(vessel, vessel.heightCm);

/** Which days of the week a service is on. */
export function weekdayWords(weekdays: readonly number[] | undefined, locale: string): string {
  if (!weekdays || weekdays.length === 7) return 'every day';
  return new Intl.ListFormat(locale, { type: 'conjunction' }).format(
    weekdays.map((day) => dayName(day, locale)),
  );
}

/** A day of the week by its number, 1 for Monday, short. */
export function dayName(day: number, locale: string): string {
  // the 5th of January 2026 was a Monday
  return new Intl.DateTimeFormat(locale, { weekday: 'short', timeZone: 'UTC' }).format(
    Date.UTC(2026, 0, 4 + day),
  );
}

/** Where water boils here. */
export function boilWords(altitudeM: number): string {
  return `Water boils at ${boilingPointC({ altitudeM }).toFixed(1)} °C here.`;
}

/** How a level came out beside what the stick showed. */
export function levelWords(fit: ShapeFit, straight: ShapeFit, i: number, shownCm: number): string {
  if (fit.vessel.shape === 'measured') {
    const expected = shownCm - straight.missesCm[i]!;
    return Math.abs(straight.missesCm[i]!) < 0.15
      ? 'as a straight pot would show'
      : `a straight pot would show ${expected.toFixed(1)}`;
  }
  const off = Math.abs(fit.missesCm[i]!);
  return off < 0.05 ? 'fits' : `fits within ${off.toFixed(1)} cm`;
}

/** Names of the parts of a kitchen, for headings and buttons. */
export const KIND_WORDS: Readonly<Record<ItemKind, { one: string; add: string }>> = {
  pot: { one: 'pot', add: 'Add a pot' },
  burner: { one: 'burner', add: 'Add a burner' },
  service: { one: 'service', add: 'Add a service' },
  bowl: { one: 'bowl', add: 'Add a bowl' },
  ladle: { one: 'ladle', add: 'Add a ladle' },
  cold: { one: 'cold place', add: 'Add a cold place' },
  instrument: { one: 'instrument', add: 'Add an instrument' },
  person: { one: 'person', add: 'Add a person' },
  supplier: { one: 'supplier', add: 'Add a supplier' },
  storePlace: { one: 'place', add: 'Add a place' },
};

/** What a pot or a burner still lacks before anything can be cooked; null where nothing does. */
export function missingWords(kitchen: KitchenView): string | null {
  if (kitchen.pots.length === 0) return 'Add a pot first: then a batch can be planned in it.';
  if (kitchen.burners.length === 0) return 'Add a burner first: then a batch can be planned on it.';
  return null;
}

export const litresWords = (value: number): string => litres(value);

/** What a change of a thing leaves as it is, and what it plans anew; null where nothing names it. */
export function touchedWords(
  kind: ItemKind,
  { cooking, planned }: { cooking: readonly string[]; planned: number },
): string | null {
  const one = planned === 1;
  const goesOn =
    cooking.length > 0 &&
    `${cooking.join(' and ')} ${cooking.length === 1 ? 'goes on as it began' : 'go on as they began'}`;
  const isPlanned =
    planned > 0 &&
    (kind === 'service'
      ? `${planned} planned ${one ? 'order is for it and keeps its hour' : 'orders are for it and keep their hour'}`
      : `${planned} planned ${one ? 'order names it and is' : 'orders name it and are'} planned anew when opened`);
  const parts = [goesOn, isPlanned].filter((part) => part !== false);
  return parts.length > 0 ? `${sentenceCase(parts.join('; '))}.` : null;
}
