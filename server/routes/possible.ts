import type { BatchEvent, BatchEventBody, BatchSnapshot, BatchState } from '../../core/batch';
import { massesOf, volumeLitres } from '../../core/matter';
import { type FallTarget, fallTo, potLitres } from '../../core/pot';
import { purees } from '../../core/recipe';
import { litresAtDepth } from '../../core/vessel';
import { impossible } from '../problem';

/** The level is an estimate: a hand that measures tubs may find so much more, as a share. */
const HAND_SHARE = 1.15;

/**
 * Refuses what cannot have happened in this pot, with the reason; says nothing about what is merely surprising, which
 * is kept and asked about. `state` is the batch at the moment the event happened.
 */
export function refuseImpossible(
  snapshot: BatchSnapshot,
  log: readonly BatchEvent[],
  state: BatchState,
  event: BatchEventBody,
): void {
  const { input } = snapshot;
  const { vessel, name: potName } = state.inPot;
  const brimLitres = litresAtDepth(vessel, vessel.heightCm);
  switch (event.type) {
    case 'stageBegun':
    case 'stageDone': {
      const stage = input.recipe.stages.find((one) => one.id === event.payload.stageId);
      if (!stage) throw impossible('payload.stageId', `The recipe has no stage “${event.payload.stageId}”.`);
      if (event.type === 'stageBegun' && !state.closed && purees(stage))
        refuseHanging(state, event.payload.overrideReason, 'puréed');
      return;
    }
    case 'added': {
      let litres = state.closed ? 0 : potLitres(state.pot);
      event.payload.items.forEach((item, i) => {
        const ingredient = input.ingredients[item.ingredientId];
        if (!ingredient) {
          const sentence = `“${item.ingredientId}” is not among this batch’s ingredients.`;
          throw impossible(`payload.items.${i}.ingredientId`, sentence);
        }
        litres += volumeLitres(massesOf(ingredient, item.kg), 20);
        if (litres > brimLitres) {
          const sentence = `That would make ${litres.toFixed(1)} L; the ${potName} brims at ${brimLitres.toFixed(1)} L.`;
          throw impossible(`payload.items.${i}.kg`, sentence);
        }
      });
      return;
    }
    case 'reading':
      if (event.payload.kind === 'depth' && event.payload.value > vessel.heightCm) {
        const sentence = `${event.payload.value} cm is above the brim: the ${potName} is ${vessel.heightCm} cm deep.`;
        throw impossible('payload.value', sentence);
      }
      if (event.payload.kind === 'litres' && event.payload.value > brimLitres) {
        const sentence = `${event.payload.value} L is more than the ${potName} holds: it brims at ${brimLitres.toFixed(1)} L.`;
        throw impossible('payload.value', sentence);
      }
      if (event.payload.kind === 'weight' && event.payload.value > brimLitres * 1.4) {
        const sentence = `${event.payload.value} kg is more than the ${potName} can hold, without the pot’s own weight.`;
        throw impossible('payload.value', sentence);
      }
      return;
    case 'looked':
      if (!input.recipe.stages.some((stage) => stage.id === event.payload.stageId))
        throw impossible('payload.stageId', `The recipe has no stage “${event.payload.stageId}”.`);
      return;
    case 'targetSet':
      refuseTarget(state, event.payload.target);
      return;
    case 'lifted':
      refuseFood(snapshot, event.payload.ingredientId);
      return;
    case 'returned':
      if (!state.closed && !state.parked.some((one) => one.liftedId === event.payload.liftedId))
        throw impossible(
          'payload.liftedId',
          'Nothing of that name lies parked: it is back already, or was taken back.',
        );
      return;
    case 'pouredOff':
      if (event.payload.what === 'fat' && !state.closed) {
        const floats = state.pot.mixture.liquid.fat;
        if (event.payload.kg > floats * HAND_SHARE + 0.1) {
          const sentence = `${event.payload.kg} kg of fat cannot be poured off: about ${floats.toFixed(2)} kg is in the liquid.`;
          throw impossible('payload.kg', sentence);
        }
      }
      return;
    case 'slip':
      if ('ingredientId' in event.payload) refuseFood(snapshot, event.payload.ingredientId);
      if (event.payload.kind === 'forgot') {
        const { lineId } = event.payload;
        if (!state.closed && !state.addedLineIds.includes(lineId))
          throw impossible(
            'payload.lineId',
            'The log does not say that it is in: there is nothing to put right.',
          );
      }
      return;
    case 'moved': {
      const litres = state.closed ? 0 : potLitres(state.pot);
      const holds = litresAtDepth(event.payload.pot.vessel, event.payload.pot.vessel.heightCm);
      if (litres > holds) {
        const sentence = `${litres.toFixed(1)} L does not go into the ${event.payload.pot.name}: it brims at ${holds.toFixed(1)} L.`;
        throw impossible('payload.pot', sentence);
      }
      return;
    }
    case 'removed':
      if (!state.closed && !state.toComeOut.some((one) => one.word === event.payload.word)) {
        throw impossible('payload.word', `There is no ${event.payload.word} left in the pot to take out.`);
      }
      return;
    case 'portioned': {
      const litres = (event.payload.portions * input.portionMl) / 1000;
      if (litres > brimLitres) {
        const sentence = `${event.payload.portions} bowls are ${litres.toFixed(1)} L, more than the ${potName} holds.`;
        throw impossible('payload.portions', sentence);
      }
      if (event.payload.fate === 'served') refuseHanging(state, event.payload.overrideReason, 'served');
      return;
    }
    case 'stored': {
      const litres = state.closed ? brimLitres : potLitres(state.pot);
      if (event.payload.litres > litres * HAND_SHARE + 0.2) {
        const sentence = `${event.payload.litres} L cannot be put by: the ${potName} holds ${litres.toFixed(1)} L.`;
        throw impossible('payload.litres', sentence);
      }
      refuseHanging(state, event.payload.overrideReason, 'put by');
      return;
    }
    case 'closed':
      if (event.payload.leftLitres > brimLitres) {
        const sentence = `${event.payload.leftLitres} L is more than the ${potName} holds: ${brimLitres.toFixed(1)} L.`;
        throw impossible('payload.leftLitres', sentence);
      }
      return;
    case 'answered':
    case 'undone': {
      const target = log.find((one) => one.id === event.payload.eventId);
      if (!target) {
        throw impossible('payload.eventId', `There is no event “${event.payload.eventId}” in this batch.`);
      }
      if (event.type === 'answered' && target.type !== 'reading') {
        throw impossible('payload.eventId', 'Only a reading can be answered for.');
      }
      return;
    }
    case 'heatSet':
    case 'lidSet':
    case 'snoozed':
    case 'note':
      return;
  }
}

function refuseFood(snapshot: BatchSnapshot, ingredientId: string): void {
  if (snapshot.input.ingredients[ingredientId]) return;
  throw impossible('payload.ingredientId', `“${ingredientId}” is not among this batch’s ingredients.`);
}

/** A mark that no loss of water comes to: over what is there, or of what is not in it. */
function refuseTarget(state: BatchState, target: FallTarget): void {
  if (state.closed) return;
  if (state.currentStageId === null)
    throw impossible('payload.target', 'No stage is running that could fall to a mark.');
  const from = state.stages.find((one) => one.stageId === state.currentStageId)?.fromLitres;
  try {
    const mark = fallTo(state.setup, state.pot, target, from ?? potLitres(state.pot));
    if (mark.kind === 'mass' && mark.kg > 0) return;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  const sentence = {
    gone: 'So much cannot steam away.',
    litres: 'That level is not in this pot.',
    depth: 'That depth is not in this pot.',
    weight: 'That weight is not in this pot.',
    brix: 'Nothing is dissolved in it yet that a refractometer could show.',
    salt: 'There is no salt in it yet.',
    band: 'Nothing in it binds yet.',
  }[target.kind];
  throw impossible('payload.target', sentence);
}

/** What has to come out is asked for before anything leaves the pot, and overridden only with a reason. */
function refuseHanging(
  state: BatchState,
  overrideReason: string | undefined,
  done: 'served' | 'put by' | 'puréed',
): void {
  const hanging = state.toComeOut.map((one) => `${one.count} ${one.word}`).join(', ');
  if (!hanging || overrideReason) return;
  const sentence = `Still in the pot: ${hanging}. Take it out first, or say why it is ${done} all the same.`;
  throw impossible('payload.overrideReason', sentence);
}
