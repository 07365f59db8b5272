import { describe, expect, it } from 'vitest';
import type { BatchEventBody, NextAction } from '../../../core/batch';
import { INGREDIENT_BY_ID } from '../../../core/matter';
import { planBatch } from '../../../core/plan';
import { TROUT_CHOWDER } from '../../../demo/dishes/trout-chowder';
import { BURNERS, KITCHEN, POTS, PRICES_CENTS_PER_KG } from '../../../demo/kitchen';
import { describeEvent, heatWords, nextActionWords } from './batch';

const input = {
  recipe: TROUT_CHOWDER,
  ingredients: INGREDIENT_BY_ID,
  pricesCentsPerKg: PRICES_CENTS_PER_KG,
  kitchen: KITCHEN,
  pot: POTS[1]!,
  burner: { ...BURNERS[1], heatFactor: { mean: 1, sd: 0.2, batches: 0 } },
  portions: 60,
  portionMl: 250,
  saltPercent: 0.9,
  band: 3,
  serviceAtMs: Date.UTC(2026, 2, 10, 13, 10),
};
const snapshot = { input, plan: planBatch(input) };
const now = Date.UTC(2026, 2, 10, 12, 0);
const [stage] = TROUT_CHOWDER.stages;

describe('what happened, in words', () => {
  const said: [BatchEventBody, string][] = [
    [{ type: 'stageBegun', payload: { stageId: 'fall' } }, 'Began: Reduce to the mark'],
    [{ type: 'stageDone', payload: { stageId: 'gone' } }, 'Done: gone'],
    [
      { type: 'added', payload: { items: [{ ingredientId: 'salt', kg: 0.09, tempC: 18 }] } },
      'In: 90 g fine salt',
    ],
    [{ type: 'heatSet', payload: { fraction: 0.45 } }, 'Heat 45 %'],
    [{ type: 'heatSet', payload: { fraction: 0 } }, 'Heat off'],
    [{ type: 'lidSet', payload: { lid: 'ajar' } }, 'Lid ajar'],
    [{ type: 'reading', payload: { kind: 'depth', value: 8.4 } }, 'Read 8.4 cm'],
    [{ type: 'reading', payload: { kind: 'temperature', value: 94 } }, 'Read 94 °C'],
    [{ type: 'answered', payload: { eventId: 'e', believed: true } }, 'Confirmed a reading'],
    [{ type: 'answered', payload: { eventId: 'e', believed: false } }, 'Ignored a reading'],
    [{ type: 'removed', payload: { word: 'bay', count: 3 } }, 'Out: 3 bay'],
    [{ type: 'portioned', payload: { portions: 4, fate: 'served' } }, 'Served 4'],
    [
      { type: 'portioned', payload: { portions: 2, fate: 'served', overrideReason: 'train leaving' } },
      'Served 2 (train leaving)',
    ],
    [{ type: 'portioned', payload: { portions: 1, fate: 'discarded' } }, 'Discarded 1'],
    [{ type: 'note', payload: { text: 'sweet leeks' } }, 'Note: sweet leeks'],
    [{ type: 'closed', payload: { leftLitres: 0.6 } }, 'Closed with 0.6 L left'],
    [{ type: 'undone', payload: { eventId: 'e' } }, 'Undid something'],
  ];
  it.each(said)('%j', (body, words) => {
    expect(describeEvent({ ...body, id: 'x', seq: 1, actedAtMs: now }, snapshot)).toBe(words);
  });
  it('heat', () => expect([heatWords(0), heatWords(0.25), heatWords(1)]).toEqual(['off', '25 %', '100 %']));
});

describe('what a pot wants, in words', () => {
  const minute = 60_000;
  const wants: [NextAction, string, boolean][] = [
    [{ kind: 'closed' }, 'closed', false],
    [{ kind: 'answer', dueMs: null }, 'a reading to settle', true],
    [
      { kind: 'begin', stage: stage!, lines: [], later: [], dueMs: null },
      'begin: sweat the vegetables',
      true,
    ],
    [
      { kind: 'begin', stage: stage!, lines: [], later: [], dueMs: now + 30 * minute },
      'light it at 12:30',
      false,
    ],
    [{ kind: 'heat', stage: stage!, fraction: 0.3, dueMs: null }, 'heat to 30 %', true],
    [{ kind: 'finish', stage: stage!, dueMs: null }, 'look: it should be done', true],
    [{ kind: 'handsOn', stage: stage!, dueMs: null }, 'stay with it', true],
    [{ kind: 'lookIn', stage: stage!, everyMin: 5, dueMs: now + 4 * minute }, 'look in, 4 min', false],
    [{ kind: 'lookIn', stage: stage!, everyMin: 5, dueMs: now + 20_000 }, 'look in now', true],
    [{ kind: 'leave', stage: stage!, dueMs: now + 15 * minute }, 'nothing until 12:15', false],
    [{ kind: 'leave', stage: stage!, dueMs: null }, 'leave it', false],
    [{ kind: 'serve', stage: stage!, dueMs: now + 70 * minute }, 'hold for 13:10', false],
    [{ kind: 'serve', stage: stage!, dueMs: now - minute }, 'serving', true],
  ];
  it.each(wants)('%#', (want, text, isPressing) => {
    expect(nextActionWords(want, now, KITCHEN.zone)).toEqual({ text, isPressing });
  });
});
