import { saltPercent, totalKg } from '../../matter';
import { bodyOfPot, drawFromPot, foodLitres, liquidLitres, type PotState, readBody } from '../../pot';
import { measuredBody, type ThicknessTest } from '../../thickness';

import { acidIn, leftShare } from '../acid-in';
import type { BatchState } from '../batch-state';
import { yetToSwellG } from '../dosed';
import type { EventOf, FoldContext } from '../fold-context';

/** Thickened less than this nothing is told by a test, g of flour or the like to a litre. */
const LEAST_G_PER_L = 4;

/** A test of thickness: the pot’s body follows it, as far as both are sure. */
export function testThickness(context: FoldContext, state: BatchState, event: EventOf<'tested'>): BatchState {
  const { test, value, tempC, sure } = event.payload;
  const said: ThicknessTest = { test, value, tempC };
  const measured = measuredBody(said);
  const litres = liquidLitres(state.pot);
  const expectedGPerL =
    litres > 0
      ? Math.max(LEAST_G_PER_L, (bodyOfPot(state.pot) - yetToSwellG(state)) / litres)
      : LEAST_G_PER_L;
  const isBare = state.pot.mixture.flourEquivalentG <= 0 || litres <= 0;
  const read = isBare ? null : readBody(state.pot, measured, expectedGPerL, sure);
  const isTaken = read !== null && !read.isFar;
  state.tests = context.append(state.tests, {
    ...said,
    eventId: event.id,
    atMs: event.actedAtMs,
    band: measured.band,
    gPerL: measured.gPerL,
    expectedGPerL,
    status: isTaken ? 'accepted' : 'set aside',
  });
  if (!isTaken) return state;
  state.pot = read.pot;
  const isMended = state.dosed.some((dose) => dose.for === 'thickness' && dose.bodyG > 0);
  const { body } = state.pot;
  if (!isMended && body) state.bodyShown = { mean: Math.log(body.factor), sd: body.sd };
  return state;
}

/** A clean spoon takes so much, kg. source: common practice, a spoonful */
const SPOONFUL_KG = 0.012;

/** What a mouth said; the spoonful has left the pot. */
export function taste(context: FoldContext, state: BatchState, event: EventOf<'tasted'>): BatchState {
  const { says, isFlat, by } = event.payload;
  state.tastings = context.append(state.tastings, {
    eventId: event.id,
    atMs: event.actedAtMs,
    says,
    isFlat: isFlat === true,
    by: by ?? null,
  });
  const isThere = totalKg(state.pot.mixture.liquid) > SPOONFUL_KG;
  if (isThere) state.pot = drawFromPot(state.pot, SPOONFUL_KG).pot;
  return state;
}

/** A salinity meter is off by so much, percent absolute, one standard deviation. source: common practice, ±0.1 */
const METER_SD = 0.06;
/** What is weighed in and stands in the table is off by so much of it, and by so much at least. From memory. */
const LEDGER_SD = 0.1;
const LEDGER_LEAST_SD = 0.05;
const ASKED_FROM_Z = 4;

/**
 * Acid that a pH shows, g/L as citric: a soup takes up so much for each whole step under neutral. From memory, of broths
 * at pH 6 and tomato soups at 4.3: within a third.
 */
const ACID_PER_PH = 1.3;
const PH_OF_NO_ACID = 7;
const PH_SHARE_SD = 0.35;
/** What foods bring is known by half of it, and by so much at least, g/L. From memory. */
const ACID_SHARE_SD = 0.4;
const ACID_LEAST_SD = 0.35;
/** So far from what its foods brought the meter is asked about, g/L: more than lemon by the ladle. Ours. */
const ASKED_FROM_ACID = 3;

/** A meter’s word: salt and acid follow it as far as both are sure. */
export function readMeter(context: FoldContext, state: BatchState, event: EventOf<'metered'>): BatchState {
  const { meter, value, sure } = event.payload;
  const keep = (status: 'accepted' | 'set aside', expected: number | null): BatchState => {
    const one = { meter, value, eventId: event.id, atMs: event.actedAtMs, expected, status };
    state.meters = context.append(state.meters, one);
    return state;
  };
  const liquidKg = totalKg(state.pot.mixture.liquid);
  if (liquidKg === 0) return keep('set aside', null);
  if (meter === 'ph') {
    const litres = foodLitres(state.pot);
    const expected = acidIn(context.snapshot, state) / litres;
    const shown = ACID_PER_PH * Math.max(0, PH_OF_NO_ACID - value);
    const knownSd = Math.max(ACID_LEAST_SD, ACID_SHARE_SD * expected);
    const shownSd = Math.max(ACID_LEAST_SD, PH_SHARE_SD * shown);
    const expectedPh = PH_OF_NO_ACID - expected / ACID_PER_PH;
    if (Math.abs(shown - expected) > ASKED_FROM_ACID && !sure) return keep('set aside', expectedPh);
    const share = sure ? 1 : knownSd ** 2 / (knownSd ** 2 + shownSd ** 2);
    // of all that went in, of which a part may have been ladled out since
    state.acidOffG += (share * (shown - expected) * litres) / leftShare(state);
    return keep('accepted', expectedPh);
  }
  const expected = saltPercent(state.pot.mixture, 'liquid');
  const ledgerSd = Math.max(LEDGER_LEAST_SD, LEDGER_SD * expected);
  const variance = ledgerSd ** 2 + METER_SD ** 2;
  if (Math.abs(value - expected) / Math.sqrt(variance) > ASKED_FROM_Z && !sure)
    return keep('set aside', expected);
  const share = sure ? 1 : ledgerSd ** 2 / variance;
  state.pot = withSaltMoved(state.pot, (share * (value - expected)) / 100);
  return keep('accepted', expected);
}

/** So much more salt in each kilogram of liquid, for as much less water: a meter finds salt, it weighs nothing. */
function withSaltMoved(pot: PotState, shareMore: number): PotState {
  const { liquid } = pot.mixture;
  const kg = Math.max(-liquid.salt, shareMore * totalKg(liquid));
  const moved = { ...liquid, salt: liquid.salt + kg, water: liquid.water - kg };
  return { ...pot, mixture: { ...pot.mixture, liquid: moved } };
}
