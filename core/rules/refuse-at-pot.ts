import type { BatchEvent, BatchEventBody, BatchSnapshot, BatchState } from '../batch';
import { hasGoneIn, kindNow, rowGoingIn, rowsInPot, toComeOut } from '../batch';
import { massesOf, volumeLitres } from '../matter';
import { own } from '../own';
import { kindsOf } from '../portions';
import { type FallTarget, fallTo, liquidLitres, potLitres } from '../pot';
import { purees } from '../recipe';
import { CODE_HOT_LIMITS } from '../safety';
import { litresAtDepth } from '../vessel';
import type { Refusal } from './refusal';

/** The level is an estimate: a hand that measures tubs may find so much more, as a share. */
const HAND_SHARE = 1.15;
/** And so much whatever the level, kg or L. */
const HAND_FAT_KG = 0.1;
const HAND_LITRES = 0.2;
/** Nothing that is cooked here is denser, kg/L. source: from memory: saturated brine 1.2, syrup 1.4 */
const DENSEST_KG_PER_L = 1.4;
/** Less liquid than this and there is nothing to taste or to test, L. */
const A_SPOONFUL_L = 0.02;
/** What goes in is measured at this, °C. */
const MEASURED_AT_C = 20;

/**
 * Why something cannot have happened in this pot; null where it can. What is merely surprising is not refused: it is
 * kept and asked about.
 *
 * @param log the batch's events so far
 * @param state the batch at the moment it is said to have happened
 */
export function refuseAtPot(
  snapshot: BatchSnapshot,
  log: readonly BatchEvent[],
  state: BatchState,
  event: BatchEventBody,
): Refusal | null {
  const { input } = snapshot;
  const { vessel, name: potName } = state.inPot;
  const brimLitres = litresAtDepth(vessel, vessel.heightCm);
  const isOpen = state.closed === null;
  const hasStage = (stageId: string) => input.recipe.stages.some((stage) => stage.id === stageId);
  const rows = rowsInPot(snapshot, state);
  const unknownFood = (field: string, ingredientId: string): Refusal => ({
    field,
    code: 'unknownFood',
    ingredientId,
  });

  switch (event.type) {
    case 'stageBegun':
    case 'stageDone': {
      const { stageId } = event.payload;
      const stage = input.recipe.stages.find((one) => one.id === stageId);
      if (!stage) return { field: 'payload.stageId', code: 'unknownStage', stageId };
      return event.type === 'stageBegun' && isOpen && purees(stage)
        ? refuseHanging(state, event.payload.overrideReason, 'blending')
        : null;
    }
    case 'added': {
      let litres = isOpen ? potLitres(state.pot) : 0;
      for (const [i, item] of event.payload.items.entries()) {
        const ingredient = own(rows, item.ingredientId) ?? item.row;
        if (!ingredient) return unknownFood(`payload.items.${i}.ingredientId`, item.ingredientId);
        litres += volumeLitres(massesOf(rowGoingIn(snapshot, item), item.kg), MEASURED_AT_C);
        if (litres > brimLitres)
          return { field: `payload.items.${i}.kg`, code: 'overTheBrim', litres, brimLitres, potName };
      }
      return null;
    }
    case 'reading':
      return refuseReading(event.payload, { brimLitres, heightCm: vessel.heightCm, potName });
    case 'tested':
    case 'tasted':
    case 'metered':
    case 'pureed':
      return isOpen && liquidLitres(state.pot) < A_SPOONFUL_L
        ? { field: 'payload', code: 'nothingToTaste' }
        : null;
    case 'looked': {
      const { stageId } = event.payload;
      return hasStage(stageId) ? null : { field: 'payload.stageId', code: 'unknownStage', stageId };
    }
    case 'targetSet':
      return isOpen ? refuseTarget(state, event.payload.target) : null;
    case 'lifted':
      return own(rows, event.payload.ingredientId)
        ? null
        : unknownFood('payload.ingredientId', event.payload.ingredientId);
    case 'returned':
      return isOpen && !state.parked.some((one) => one.liftedId === event.payload.liftedId)
        ? { field: 'payload.liftedId', code: 'notParked' }
        : null;
    case 'pouredOff': {
      const { what, kg } = event.payload;
      const thereKg = state.pot.mixture.liquid.fat;
      return what === 'fat' && isOpen && kg > thereKg * HAND_SHARE + HAND_FAT_KG
        ? { field: 'payload.kg', code: 'moreFatThanThere', kg, thereKg }
        : null;
    }
    case 'slip': {
      const slip = event.payload;
      if ('ingredientId' in slip)
        return own(rows, slip.ingredientId) || slip.row
          ? null
          : unknownFood('payload.ingredientId', slip.ingredientId);
      return slip.kind === 'forgot' && isOpen && !hasGoneIn(state, slip.lineId)
        ? { field: 'payload.lineId', code: 'notIn', lineId: slip.lineId }
        : null;
    }
    case 'moved': {
      const { pot } = event.payload;
      const litres = isOpen ? potLitres(state.pot) : 0;
      const holds = litresAtDepth(pot.vessel, pot.vessel.heightCm);
      return litres > holds
        ? { field: 'payload.potId', code: 'doesNotHold', litres, brimLitres: holds, potName: pot.name }
        : null;
    }
    case 'removed': {
      const { word } = event.payload;
      return isOpen && !toComeOut(state).some((one) => one.word === word)
        ? { field: 'payload.word', code: 'nothingToTakeOut', word }
        : null;
    }
    case 'portioned': {
      const { portions, fate, kindId, isOut, overrideReason } = event.payload;
      const noKind = refuseKind(snapshot, 'payload.kindId', kindId);
      if (noKind) return noKind;
      if (isOut)
        return isOpen && portions > state.served
          ? { field: 'payload.portions', code: 'moreThanServed', portions, served: state.served }
          : null;
      const litres = (portions * kindNow(input, state.service, kindId).ml) / 1000;
      if (litres > brimLitres)
        return {
          field: 'payload.portions',
          code: 'bowlsOverTheBrim',
          portions,
          litres,
          brimLitres,
          potName,
        };
      return fate === 'served' ? refuseHanging(state, overrideReason, 'serving') : null;
    }
    case 'drawnOff':
      return isOpen ? null : { field: 'type', code: 'nothingToDraw' };
    case 'takenBack': {
      const { eventId, portions } = event.payload;
      const target = log.find((one) => one.id === eventId);
      if (target?.type !== 'portioned') return { field: 'payload.eventId', code: 'unknownEvent', eventId };
      const stands = state.service.outs.find((one) => one.eventId === eventId)?.portions ?? 0;
      return isOpen && portions > stands
        ? { field: 'payload.portions', code: 'moreThanServed', portions, served: stands }
        : null;
    }
    case 'coversSet':
    case 'sizeSet':
      return refuseKind(snapshot, 'payload.kindId', event.payload.kindId);
    case 'asked':
    case 'askedAnew': {
      for (const [i, { kindId }] of event.payload.items.entries()) {
        const noKind = refuseKind(snapshot, `payload.items.${i}.kindId`, kindId);
        if (noKind) return noKind;
      }
      if (event.type === 'asked') return null;
      const { orderId } = event.payload;
      const isKnown = log.some((one) => one.id === orderId && one.type === 'asked');
      return isKnown ? null : { field: 'payload.orderId', code: 'unknownOrder', orderId };
    }
    case 'garnishReady': {
      const { lineId } = event.payload;
      const isGarnish = input.recipe.lines.some((line) => line.id === lineId && line.scaling === 'perBowl');
      return isGarnish ? null : { field: 'payload.lineId', code: 'unknownLine', lineId };
    }
    case 'stored': {
      if (input.recipe.reheats) return { field: 'type', code: 'reheatedNotKept' };
      const { litres, overrideReason } = event.payload;
      const thereLitres = isOpen ? potLitres(state.pot) : brimLitres;
      if (litres > thereLitres * HAND_SHARE + HAND_LITRES)
        return { field: 'payload.litres', code: 'moreThanThere', litres, thereLitres, potName };
      return refuseHanging(state, overrideReason, 'storing');
    }
    case 'heldHot': {
      const { keptC, holder } = event.payload;
      if (!isOpen) return null;
      const litres = potLitres(state.pot);
      if (litres <= 0) return { field: 'payload', code: 'nothingToHold' };
      const stage = input.recipe.stages.find((one) => one.id === state.currentStageId);
      if (stage?.ends.rule !== 'served') return { field: 'payload', code: 'notServed' };
      const { hotHoldingC } = input.limits ?? CODE_HOT_LIMITS;
      if (keptC !== null && keptC < hotHoldingC)
        return { field: 'payload.keptC', code: 'keptTooCold', keptC, leastC: hotHoldingC };
      const holds = holder ? litresAtDepth(holder.pot.vessel, holder.pot.vessel.heightCm) : litres;
      return litres > holds
        ? {
            field: event.payload.in === 'pans' ? 'payload.pans' : 'payload.litres',
            code: 'doesNotHold',
            litres,
            brimLitres: holds,
            potName: holder?.pot.name ?? potName,
          }
        : null;
    }
    case 'reheated': {
      const { tempC } = event.payload;
      const { reheatC } = input.limits ?? CODE_HOT_LIMITS;
      return tempC < reheatC
        ? { field: 'payload.tempC', code: 'notHotEnough', tempC, leastC: reheatC }
        : null;
    }
    case 'closed': {
      const litres = event.payload.leftLitres;
      return litres > brimLitres
        ? { field: 'payload.leftLitres', code: 'leftOverTheBrim', litres, brimLitres, potName }
        : null;
    }
    case 'answered':
    case 'undone': {
      const { eventId } = event.payload;
      const target = log.find((one) => one.id === eventId);
      if (!target) return { field: 'payload.eventId', code: 'unknownEvent', eventId };
      return event.type === 'answered' && target.type !== 'reading'
        ? { field: 'payload.eventId', code: 'notAReading' }
        : null;
    }
    case 'heatSet':
    case 'lidSet':
    case 'snoozed':
    case 'turnedAway':
    case 'grilled':
    case 'note':
      return null;
  }
}

function refuseKind({ input }: BatchSnapshot, field: string, kindId: string | undefined): Refusal | null {
  return kindId === undefined || kindsOf(input).some((one) => one.id === kindId)
    ? null
    : { field, code: 'unknownKind', kindId };
}

function refuseReading(
  { kind, value }: Extract<BatchEventBody, { type: 'reading' }>['payload'],
  pot: { brimLitres: number; heightCm: number; potName: string },
): Refusal | null {
  const field = 'payload.value';
  const { brimLitres, heightCm, potName } = pot;
  const mostKg = brimLitres * DENSEST_KG_PER_L;
  if (kind === 'depth' && value > heightCm)
    return { field, code: 'depthOverTheBrim', cm: value, heightCm, potName };
  if (kind === 'litres' && value > brimLitres)
    return { field, code: 'levelOverTheBrim', litres: value, brimLitres, potName };
  if (kind === 'weight' && value > mostKg)
    return { field, code: 'weightOverTheBrim', kg: value, mostKg, potName };
  return null;
}

/** A mark that no loss of water comes to: over what is there, or of what is not in it. */
function refuseTarget(state: BatchState, target: FallTarget): Refusal | null {
  const field = 'payload.target';
  if (state.currentStageId === null) return { field, code: 'noStageRunning' };
  const from = state.stages.find((one) => one.stageId === state.currentStageId)?.fromLitres;
  try {
    const mark = fallTo(state.setup, state.pot, target, from ?? potLitres(state.pot));
    if (mark.kind === 'mass' && mark.kg > 0) return null;
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
  }
  return { field, code: 'markOutOfReach', mark: target.kind };
}

/** What has to come out is asked for before anything leaves the pot, and overridden only with a reason. */
function refuseHanging(
  state: BatchState,
  overrideReason: string | undefined,
  before: 'serving' | 'storing' | 'blending',
): Refusal | null {
  if (toComeOut(state).length === 0 || overrideReason) return null;
  const items = toComeOut(state).map(({ word, count }) => ({ word, count }));
  return { field: 'payload.overrideReason', code: 'stillInThePot', items, before };
}
