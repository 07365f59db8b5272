import type { BatchEvent, BatchSnapshot, Want } from '../../core';
import { hourMinute, span, weight } from './format';

/** Words for what happened and for what is wanted, the same on every screen. */

export function heatWords(fraction: number): string {
  return fraction === 0 ? 'off' : `${Math.round(fraction * 100)} %`;
}

export function describeEvent(event: BatchEvent, snapshot: BatchSnapshot): string {
  const { recipe, ingredients } = snapshot.input;
  const title = (stageId: string) => recipe.stages.find((stage) => stage.id === stageId)?.title ?? stageId;
  switch (event.type) {
    case 'stageBegun':
      return `Began: ${title(event.payload.stageId)}`;
    case 'stageDone':
      return `Done: ${title(event.payload.stageId)}`;
    case 'added':
      return `In: ${event.payload.items
        .map(
          (item) =>
            `${weight(item.kg)} ${ingredients[item.ingredientId]?.name.toLowerCase() ?? item.ingredientId}`,
        )
        .join(', ')}`;
    case 'heatSet':
      return `Heat ${heatWords(event.payload.fraction)}`;
    case 'lidSet':
      return `Lid ${event.payload.lid}`;
    case 'reading':
      return `Read ${event.payload.value} ${READING_UNIT[event.payload.kind]}`;
    case 'answered':
      return event.payload.believed ? 'Stood by a reading' : 'Set a reading aside';
    case 'removed':
      return `Out: ${event.payload.count} ${event.payload.word}`;
    case 'portioned':
      return `${event.payload.fate === 'served' ? 'Served' : 'Discarded'} ${event.payload.portions}${
        event.payload.despite ? ` (${event.payload.despite})` : ''
      }`;
    case 'putBy':
      return `Put by: ${event.payload.litres} L, ${event.payload.place}`;
    case 'note':
      return `Note: ${event.payload.text}`;
    case 'closed':
      return `Closed with ${event.payload.leftLitres} L left`;
    case 'undone':
      return 'Took something back';
  }
}

export const READING_UNIT = { depth: 'cm', litres: 'L', weight: 'kg', temperature: '°C' } as const;

/** One line for the range: what a pot wants, and whether it is pressing. */
export function wantWords(want: Want, nowMs: number, zone: string): { text: string; isPressing: boolean } {
  switch (want.kind) {
    case 'closed':
      return { text: 'closed', isPressing: false };
    case 'answer':
      return { text: 'a reading to settle', isPressing: true };
    case 'begin': {
      const isAhead = want.dueMs !== null && want.dueMs > nowMs + 60_000;
      return isAhead
        ? { text: `light it at ${hourMinute(want.dueMs!, zone)}`, isPressing: false }
        : { text: `begin: ${want.stage.title.toLowerCase()}`, isPressing: true };
    }
    case 'heat':
      return { text: `heat to ${heatWords(want.fraction)}`, isPressing: true };
    case 'finish':
      return { text: 'look: it should be done', isPressing: true };
    case 'handsOn':
      return { text: 'stay with it', isPressing: true };
    case 'lookIn': {
      const inMs = want.dueMs - nowMs;
      return inMs < 45_000
        ? { text: 'look in now', isPressing: true }
        : { text: `look in, ${span(inMs)}`, isPressing: false };
    }
    case 'leave':
      return want.dueMs === null
        ? { text: 'leave it', isPressing: false }
        : { text: `nothing until ${hourMinute(want.dueMs, zone)}`, isPressing: false };
    case 'serve':
      return want.dueMs > nowMs
        ? { text: `hold for ${hourMinute(want.dueMs, zone)}`, isPressing: false }
        : { text: 'serving', isPressing: true };
  }
}
