import { span, thePot } from '../../../contract';
import {
  type Asking,
  type BatchEvent,
  type BatchSnapshot,
  type Fate,
  lookFromMs,
  type NextAction,
  type Question,
  type Slip,
  type Trouble,
  type YieldReason,
} from '../../../core/batch';
import { type Dial, markNear } from '../../../core/kitchen';
import { kindsOf, type PortionKind } from '../../../core/portions';
import type { FallTarget } from '../../../core/pot';
import { bandName } from '../../../core/thickness';
import { decimal, depth, hourMinute, litres, percent, portion, temperature, weight } from '../amounts';
import { heldHotWords } from './hold';
import { allergenNames } from './holds';
import { askedWords, DISCARD_WORDS } from './portions';
import { tasteWords, testWords } from './taste';

/** A reading the pot cannot explain: what was read, what was expected, and what is asked. */
export function questionWords({ why, read, expected }: Question): string {
  const words = (of: Question['read']) =>
    'tempC' in of ? `${temperature(of.tempC)}` : `${litres(of.litres)}`;
  const about = 'tempC' in expected ? words(expected) : `about ${words(expected)}`;
  return why === 'gained'
    ? `${words(read)} is more than has gone in; ${about} was expected. Was something added, or is it a mistake?`
    : `${words(read)} is far from the rest; ${about} was expected. Is it right?`;
}

/** Where the litres of a closed batch went, a part of a sentence each. */
export function reasonWords(reason: YieldReason): string {
  if (reason.code === 'asSaid') return reason.text;
  const much = `${litres(Math.abs(reason.litres))} ${reason.litres < 0 ? 'short' : 'over'}`;
  const isMore = reason.litres > 0;
  switch (reason.code) {
    case 'steam':
      return `${much} because ${isMore ? 'less boiled away than planned' : 'it boiled harder or longer than planned'}`;
    case 'amounts':
      return `${much} because ${isMore ? 'more' : 'less'} went in than planned`;
    case 'handling':
      return `${much} ${isMore ? 'more in the pot than its readings showed' : 'left in the pot, tastings, over-pouring'}`;
  }
}

/** Words for what happened and for what is wanted, the same on every screen. */

/** A share of full heat as the cook sets it: by the burner's own marks, or in percent. */
export function heatWords(fraction: number, dial?: Dial): string {
  if (fraction === 0) return 'off';
  const mark = dial && markNear(dial, fraction);
  if (!mark) return `${Math.round(fraction * 100)} %`;
  return Math.abs(mark.share - fraction) < 0.005 ? mark.word : `about ${mark.word}`;
}

export function describeEvent(event: BatchEvent, snapshot: BatchSnapshot): string {
  const { recipe, ingredients } = snapshot.input;
  const food = (id: string) => ingredients[id]?.name.toLowerCase() ?? id;
  const title = (stageId: string) => recipe.stages.find((stage) => stage.id === stageId)?.title ?? stageId;
  switch (event.type) {
    case 'stageBegun':
      return `Began: ${title(event.payload.stageId)}`;
    case 'stageDone':
      return `Done: ${title(event.payload.stageId)}`;
    case 'added':
      return `In: ${event.payload.items
        .map((item) => `${weight(item.kg)} ${food(item.ingredientId)}`)
        .join(', ')}`;
    case 'heatSet':
      return `Heat ${heatWords(event.payload.fraction, snapshot.input.burner.dial)}`;
    case 'lidSet':
      return `Lid ${event.payload.lid}`;
    case 'reading':
      return `Read ${readWords(event.payload.kind, event.payload.value)}`;
    case 'tested':
      return `Tested: ${testWords(event.payload)}`;
    case 'tasted':
      return `Tasted: ${tasteWords(event.payload)}`;
    case 'metered':
      return event.payload.meter === 'ph'
        ? `Measured: pH ${decimal(event.payload.value, 1)}`
        : `Measured: ${percent(event.payload.value)} salt`;
    case 'pureed':
      return `Blended ${Math.round(100 * event.payload.share)} % of the pieces`;
    case 'looked':
      return `Looked in: ${title(event.payload.stageId)}`;
    case 'snoozed':
      return `Call put off ${event.payload.minutes} min`;
    case 'targetSet':
      return `Mark set: ${targetWords(event.payload.target)}`;
    case 'lifted':
      return `Lifted out: ${weight(event.payload.kg)} ${food(event.payload.ingredientId)}${fateWords(event.payload)}`;
    case 'returned':
      return `Back in: ${weight(event.payload.kg)}`;
    case 'pouredOff':
      return `Poured off: ${weight(event.payload.kg)} ${event.payload.what}`;
    case 'slip':
      return slipWords(event.payload, snapshot);
    case 'moved':
      return `Moved to ${thePot(event.payload.pot.name)}, ${event.payload.burner.name}`;
    case 'answered':
      return event.payload.believed ? 'Confirmed a reading' : 'Ignored a reading';
    case 'removed':
      return `Out: ${event.payload.count} ${event.payload.word}${fateWords(event.payload)}`;
    case 'portioned':
      return portionedWords(event.payload, kindsOf(snapshot.input));
    case 'drawnOff':
      return `Drawn off: ${litres(event.payload.litres)} for ${event.payload.name.toLowerCase()}`;
    case 'takenBack':
      return `${event.payload.portions} of them never left`;
    case 'turnedAway':
      return `Turned away: ${event.payload.portions} guests`;
    case 'coversSet':
      return `Covers now: ${askedWords([event.payload], kindsOf(snapshot.input))}`;
    case 'sizeSet':
      return `Portions from now: ${portion(event.payload.ml)}`;
    case 'asked':
      return `Order: ${askingWords(event.payload, kindsOf(snapshot.input))}`;
    case 'askedAnew':
      return event.payload.items.length === 0
        ? 'Order taken off'
        : `Order changed: ${askingWords(event.payload, kindsOf(snapshot.input))}`;
    case 'garnishReady': {
      const { lineId, kg } = event.payload;
      const line = snapshot.plan.lines.find((one) => one.lineId === lineId);
      return `Ready: ${weight(kg)} ${line?.name.toLowerCase() ?? lineId}`;
    }
    case 'grilled':
      return `Under the grill: ${event.payload.portions}, ${event.payload.minutes} min`;
    case 'heldHot':
      return heldHotWords(event.payload);
    case 'reheated':
      return `Reheated to ${temperature(event.payload.tempC)}: ${event.payload.by}`;
    case 'stored':
      return `Stored: ${litres(event.payload.litres)}, ${event.payload.place}`;
    case 'note':
      return `Note: ${event.payload.text}`;
    case 'closed':
      return `Closed with ${litres(event.payload.leftLitres)} left`;
    case 'undone':
      return 'Undid something';
  }
}

type PortionedPayload = Extract<BatchEvent, { type: 'portioned' }>['payload'];

function portionedWords(of: PortionedPayload, kinds: readonly PortionKind[]): string {
  const { portions, fate, kindId = kinds[0]!.id, reason, isOut, overrideReason } = of;
  const what = kinds.length > 1 ? askedWords([{ kindId, count: portions }], kinds) : `${portions}`;
  const why = [reason && DISCARD_WORDS[reason], isOut && 'counted as served before', overrideReason]
    .filter(Boolean)
    .join(', ');
  return `${fate === 'served' ? 'Served' : 'Discarded'} ${what}${why ? ` (${why})` : ''}`;
}

function askingWords({ items, freeOf, words }: Asking, kinds: readonly PortionKind[]): string {
  const free = freeOf?.length ? `, without ${allergenNames(freeOf)}` : '';
  return `${askedWords(items, kinds)}${free}${words ? ` (${words})` : ''}`;
}

/** A reading as the kitchen's own instruments show it. */
function readWords(kind: keyof typeof READING_UNIT, value: number): string {
  switch (kind) {
    case 'depth':
      return depth(value);
    case 'litres':
      return litres(value);
    case 'weight':
      return weight(value);
    case 'temperature':
      return temperature(value, Number.isInteger(value) ? 0 : 1);
    default:
      return `${value} ${READING_UNIT[kind]}`;
  }
}

/** What a reading is typed in: the model's own units, shown and read in the kitchen's. */
export const READING_UNIT = {
  depth: 'cm',
  litres: 'L',
  weight: 'kg',
  brix: '°Brix',
  eye: '% gone',
  temperature: '°C',
} as const;

function fateWords(fate: Partial<Fate>): string {
  const place = fate.place ? `, ${fate.place}` : '';
  if (fate.fate === 'parked') return `, parked${place}`;
  return fate.fate === 'salvaged' ? `, kept for another use${place}` : '';
}

export const TROUBLE_WORDS: Readonly<Record<Trouble, string>> = {
  scorched: 'it caught on the bottom',
  curdled: 'it curdled',
  lumps: 'lumps',
  burntRoux: 'the roux burnt',
  boiledOver: 'it boiled over',
  grainy: 'the cheese turned grainy',
  scrambled: 'the egg scrambled',
  split: 'the fat split out',
};

function slipWords(slip: Slip, snapshot: BatchSnapshot): string {
  switch (slip.kind) {
    case 'trouble':
      return `Mistake: ${TROUBLE_WORDS[slip.trouble]}`;
    case 'forgot': {
      const line = snapshot.plan.lines.find((one) => one.lineId === slip.lineId);
      return `Mistake: ${line?.name.toLowerCase() ?? slip.lineId} was forgotten`;
    }
    default: {
      const name = snapshot.input.ingredients[slip.ingredientId]?.name.toLowerCase() ?? slip.ingredientId;
      return `Mistake: ${weight(slip.kg)} ${name} ${slip.kind === 'tooMuch' ? 'too much' : 'of another pot'}`;
    }
  }
}

/** A mark in words: what a pot is let fall to. */
export function targetWords(target: FallTarget): string {
  switch (target.kind) {
    case 'gone':
      return `${Math.round(target.fraction * 100)} % gone`;
    case 'litres':
      return `down to ${litres(target.litres)}`;
    case 'depth':
      return `down to ${depth(target.cm)}`;
    case 'weight':
      return `down to ${weight(target.kg)}`;
    case 'brix':
      return `${target.brix} °Brix`;
    case 'salt':
      return `${target.percent} % salt`;
    case 'band':
      return bandName(target.band);
  }
}

/** One line for the range: what a pot wants, and whether it is pressing. */
export function nextActionWords(
  next: NextAction,
  nowMs: number,
  zone: string,
  dial?: Dial,
): { text: string; isPressing: boolean } {
  switch (next.kind) {
    case 'closed':
      return { text: 'closed', isPressing: false };
    case 'answer':
      return { text: 'a reading to settle', isPressing: true };
    case 'begin': {
      const isAhead = next.dueMs !== null && next.dueMs > nowMs + 60_000;
      return isAhead
        ? { text: `light it at ${hourMinute(next.dueMs!, zone)}`, isPressing: false }
        : { text: `begin: ${next.stage.title.toLowerCase()}`, isPressing: true };
    }
    case 'cool':
      return { text: `too hot: under ${temperature(next.top.tempC)}`, isPressing: true };
    case 'losing':
      return { text: `boiling away: heat to ${heatWords(next.fraction, dial)}`, isPressing: true };
    case 'giveBack':
      return { text: `back in: ${next.parked[0]?.name ?? 'what was parked'}`, isPressing: true };
    case 'add': {
      const inMs = next.dueMs - nowMs;
      const what = next.lines.map((line) => line.name.toLowerCase()).join(', ');
      return { text: `${inMs > 20_000 ? 'soon in' : 'in now'}: ${what}`, isPressing: true };
    }
    case 'heat':
      return { text: `heat to ${heatWords(next.fraction, dial)}`, isPressing: true };
    case 'finish':
      return { text: 'look: it should be done', isPressing: true };
    case 'handsOn':
      return { text: 'stay with it', isPressing: true };
    case 'lookIn': {
      return nowMs > lookFromMs(next)
        ? { text: 'look in now', isPressing: true }
        : { text: `look in, ${span(next.dueMs - nowMs)}`, isPressing: false };
    }
    case 'leave':
      return next.dueMs === null
        ? { text: 'leave it', isPressing: false }
        : { text: `nothing until ${hourMinute(next.dueMs, zone)}`, isPressing: false };
    case 'check':
      return { text: 'take its temperature', isPressing: true };
    case 'tooCold':
      return next.below.canReheat
        ? { text: `too cold: reheat by ${hourMinute(next.below.reheatByMs, zone)}`, isPressing: true }
        : { text: `too cold: away by ${hourMinute(next.below.throwByMs, zone)}`, isPressing: true };
    case 'serve':
      return next.dueMs > nowMs
        ? { text: `hold for ${hourMinute(next.dueMs, zone)}`, isPressing: false }
        : { text: 'serving', isPressing: true };
  }
}
