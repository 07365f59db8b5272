import type { LarderStray, LotStory } from '../../../contract';
import { baseKind } from '../../../core/bases';
import type { LarderEventBody } from '../../../core/larder';
import { bringsTo, type Holds } from '../../../core/matter';
import { recipeRowId } from '../../../core/recipe';
import type { LotView } from '../../../core/views';
import {
  day,
  dayAndHour,
  decimal,
  depth,
  pricePerVolume,
  pricePerWeight,
  temperature,
  volume,
  weight,
} from '../amounts';
import { bringsWords } from './holds';

/** Words for a lot, the same on every screen. */

const DAY_MS = 86_400_000;

/** What clings to the wall of an empty tub, kg. */
const NOTHING_KG = 0.01;

/** Less salt than this is none to a cook. */
const WORTH_SAYING_PERCENT = 0.05;

/** A lot by its number and place, with what it would bring to a dish. */
export function lotAsChoice(
  lot: Pick<LotView, 'number' | 'place' | 'contents' | 'useByMs' | 'mayBePast'>,
  dish: Holds,
  nowMs: number,
): string {
  const brings = bringsTo(lot.contents, dish);
  const isPast = lot.useByMs !== null && lot.useByMs < nowMs && !lot.mayBePast;
  const words = `lot ${lot.number}, ${lot.place}${isPast ? ', past its date' : ''}`;
  return brings ? `${words}: brings ${bringsWords(brings)}` : words;
}

/** Liquids by volume; crates, roux in its blocks and tied bundles by weight. */
export function isPouredLot(lot: Pick<LotView, 'contents' | 'origin'>): boolean {
  const family = baseKind(lot.contents.base)?.family;
  if (family === 'binder' || family === 'aromatics') return false;
  return lot.contents.share === 'liquid' && lot.origin.kind !== 'delivery';
}

export function lotAmount(lot: Pick<LotView, 'contents' | 'origin'>, kg: number): string {
  if (kg < NOTHING_KG) return 'none';
  return isPouredLot(lot) ? volume(kg / lot.contents.densityKgPerL) : weight(kg);
}

/** The date of a lot: the day, and of what keeps hours the hour. */
export function useByWords({ useByMs, life }: Pick<LotView, 'useByMs' | 'life'>, zone: string): string {
  if (useByMs === null) return 'no date';
  return life.rule === 'hours' ? dayAndHour(useByMs, zone) : day(useByMs, zone);
}

/** Until when, how long that is, and whether it presses. What was past its date stays so in the freezer. */
export function dateWords(
  lot: Pick<LotView, 'useByMs' | 'life' | 'frozenSinceMs' | 'frozenMonths' | 'mayBePast'>,
  nowMs: number,
  zone: string,
): { date: string; left: string; tone: 'calm' | 'soon' | 'past' } {
  const isPast = lot.useByMs !== null && lot.useByMs < nowMs;
  if (lot.frozenSinceMs !== null && !isPast) {
    const months = Math.floor((nowMs - lot.frozenSinceMs) / (30.4 * DAY_MS));
    const stale = months >= lot.frozenMonths;
    return {
      date: `frozen ${day(lot.frozenSinceMs, zone)}`,
      left: stale ? `past its ${lot.frozenMonths} months of taste` : `its days stop while frozen`,
      tone: stale ? 'soon' : 'calm',
    };
  }
  if (lot.useByMs === null) return { date: 'no date', left: 'by eye and nose', tone: 'calm' };
  const date = `use by ${useByWords(lot, zone)}`;
  if (isPast) return { date, left: lot.mayBePast ? 'past, allowed' : 'past its date', tone: 'past' };
  const isToday = day(lot.useByMs, zone) === day(nowMs, zone);
  if (isToday) return { date, left: 'its last day', tone: 'soon' };
  const days = Math.ceil((lot.useByMs - nowMs) / DAY_MS);
  return {
    date,
    left: days === 1 ? 'until tomorrow' : `${days} days left`,
    tone: days <= 2 ? 'soon' : 'calm',
  };
}

/** Strength against the usual, set or not, salt, quality: what a cook asks of a base. */
export function standingWords(lot: LotView): string[] {
  const kind = baseKind(lot.contents.base);
  const isStock = kind?.family === 'stock' || kind?.family === 'broth' || kind?.family === 'concentrate';
  return [
    lot.strength === null ? '' : `${decimal(lot.strength, 1)} × the usual strength`,
    isStock && (lot.sets.value || lot.sets.isSeen)
      ? lot.sets.value
        ? lot.sets.isSeen
          ? 'set'
          : 'will set'
        : 'does not set'
      : '',
    lot.origin.kind !== 'delivery' && lot.saltPercent >= WORTH_SAYING_PERCENT
      ? `${decimal(lot.saltPercent, 2)} % salt`
      : '',
    lot.fatLiftedKg > 0 ? 'fat lifted' : '',
    lot.best && lot.best.stands !== 'best' ? bestWords(lot) : '',
  ].filter(Boolean);
}

export function bestWords(lot: LotView): string {
  if (!lot.best) return '';
  return lot.best.stands === 'not yet'
    ? `better later: ${lot.best.words}`
    : lot.best.stands === 'best'
      ? lot.best.words
      : `past its best (${lot.best.words})`;
}

/** What was done to a lot, as one sentence. */
export function storyWords(line: LotStory): string {
  const kg = (value: number) => weight(value);
  switch (line.kind) {
    case 'drawn':
      return `${kg(line.kg)} used for ${line.batchName.toLowerCase()}`;
    case 'stored':
      return `Stored from ${line.batchName}`;
    case 'shelf':
      return shelfWords(line.event, line.numbers);
  }
}

function shelfWords(event: LarderEventBody, numbers: Readonly<Record<string, number>>): string {
  const kg = (value: number) => weight(value);
  const lotName = (id: string) =>
    Object.hasOwn(numbers, id) ? `lot ${numbers[id]}` : 'a lot that was undone';
  switch (event.type) {
    case 'delivered': {
      const { supplier, arrivedC, tag } = event.payload;
      const warm = arrivedC === undefined ? '' : ` at ${temperature(arrivedC)}`;
      return `${kg(event.payload.kg)} delivered by ${supplier}${warm}${tag ? `, tag ${tag}` : ''}`;
    }
    case 'found':
      return `${kg(event.payload.kg)} found on the shelf: ${event.payload.note}`;
    case 'moved':
      return `Moved to ${event.payload.place}`;
    case 'frozen':
      return `Frozen, ${event.payload.place}: its days stop`;
    case 'thawed':
      return `Thawed, ${event.payload.place}: its days count again`;
    case 'split':
      return `${kg(event.payload.kg)} split off as ${lotName(event.payload.toLotId)}, ${event.payload.place}`;
    case 'blended': {
      const { parts, waterKg, toLotId } = event.payload;
      const poured = parts.map((part) => `${kg(part.kg)} of ${lotName(part.lotId)}`).join(', ');
      return `${poured}${waterKg > 0 ? `, ${kg(waterKg)} water` : ''} blended as ${lotName(toLotId)}`;
    }
    case 'fatLifted':
      return `${kg(event.payload.kg)} of set fat lifted`;
    case 'lotRead':
      return lotReadWords(event.payload);
    case 'coolingSet': {
      const { pans, depthCm, place } = event.payload.how;
      return `Cooling in ${place}: ${pans} ${pans === 1 ? 'pan' : 'pans'}, ${depth(depthCm)} deep`;
    }
    case 'lotReheated':
      return `Reheated to ${temperature(event.payload.tempC)} and cooled again (${event.payload.by})`;
    case 'discarded': {
      const { by, reason } = event.payload;
      return `${kg(event.payload.kg)} thrown away: ${reason}${by ? ` (${by})` : ''}`;
    }
    case 'counted':
      return `Counted: ${kg(event.payload.kg)} there. ${event.payload.note}`;
    case 'usePast':
      return `May be used past its date: ${event.payload.reason} (${event.payload.by})`;
    case 'undone':
      return 'Undid something';
  }
}

function lotReadWords(payload: Extract<LarderEventBody, { type: 'lotRead' }>['payload']): string {
  switch (payload.kind) {
    case 'brix':
      return `Read ${payload.value} °Brix`;
    case 'salt':
      return `Read ${payload.value} % salt`;
    case 'temperature':
      return `Read ${temperature(payload.value)}`;
    case 'set':
      return payload.sets ? 'Set when cold' : 'Stayed liquid when cold';
  }
}

/** An entry that names a lot which is not there any more. */
export function strayWords(stray: LarderStray): string {
  return stray.batchId === null
    ? 'Something was done to a lot whose making was undone.'
    : 'A batch used a lot whose making was undone.';
}

/** The colour of what is in it, by the recipe that made it. */
export function lotColour(
  lot: Pick<LotView, 'contents'>,
  recipes: readonly { id: string; colour: string }[] | undefined,
): string | undefined {
  return recipes?.find((one) => recipeRowId(one.id) === lot.contents.ingredientId)?.colour;
}

/** What a litre of a lot that is poured costs, or a kilogram of one that is weighed, in the kitchen's measures. */
export const lotPrice = (lot: LotView, currency: string): string =>
  isPouredLot(lot) ? pricePerVolume(lot.centsPerLitre, currency) : pricePerWeight(lot.centsPerKg, currency);
