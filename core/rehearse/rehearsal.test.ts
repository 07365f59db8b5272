import { describe, expect, it } from 'vitest';
import { boilOffKgPerHour } from '../evaporation';
import { fullKW, openPot, potLitres, variance } from '../pot';

import { orderOf, snapshotOf } from '../testing/broth';
import { callsFor, eyePrior, eyeScore, rehearsalAt, scoreCalls, startRehearsal } from './rehearsal';

const snapshot = snapshotOf();

describe('a rehearsal', () => {
  it('begins where the recipe falls, with all of its lines in, on a burner that is hidden', () => {
    const weak = startRehearsal(snapshot, 0);
    const strong = startRehearsal(snapshot, 1);
    expect(weak.stage.id).toBe('fall');
    expect(weak.markGone).toBe(0.2);
    expect(potLitres(weak.begun.pot)).toBeCloseTo(potLitres(strong.begun.pot), -0.5);
    expect(rehearsalAt(strong, 20).gone).toBeGreaterThan(rehearsalAt(weak, 20).gone);
    expect(rehearsalAt(weak, 0).gone).toBe(0);
  });
  it('falls by the boil-off law of its hidden burner: 20 min against the hand formula', () => {
    const here = startRehearsal(snapshot, 1);
    const { pot, setup } = here.begun;
    const netPowerW = fullKW(setup) * 1000 * pot.heatFraction * here.snapshot.input.burner.heatFactor.mean;
    const boiledKg = boilOffKgPerHour({ netPowerW, tempC: 95.85 }) / 3;
    const lost = rehearsalAt(here, 20).pot.evaporatedKg - pot.evaporatedKg;
    // less what the wall gives off and what brings it the last degrees up
    expect(lost).toBeLessThan(boiledKg);
    expect(lost).toBeGreaterThan(0.55 * boiledKg);
  });
  it('scores each call by what was really so at its minute', () => {
    const here = startRehearsal(snapshot, 0.5);
    const minute = 25;
    const really = rehearsalAt(here, minute).gone;
    const [mark, half] = scoreCalls(here, [
      { call: 'atTheMark', minute },
      { call: 'halfGone', minute },
    ]);
    expect(mark!.off).toBeCloseTo(100 * (0.2 - really), 9);
    expect(half!.off).toBeCloseTo(100 * (0.5 - really), 9);
    const score = eyeScore([{ off: 10 }, { off: -4 }])!;
    expect([score.leans, score.off, score.calls]).toEqual([3, 7, 2]);
    expect(eyeScore([])).toBeNull();
  });
  it('an eye that calls a fifth too early is read so, the surer the oftener it was tried', () => {
    const call = (really: number) => ({ call: 'thirdGone' as const, called: 1.2 * really, really });
    expect(eyePrior([])).toBeNull();
    expect(eyePrior([{ call: 'coatsTheSpoon', called: 3, really: 2 }])).toBeNull();
    const once = eyePrior([call(0.3)])!;
    const often = eyePrior(Array.from({ length: 20 }, () => call(0.3)))!;
    expect(once.mean).toBeGreaterThan(0.05);
    expect(once.mean).toBeLessThan(0.2);
    expect(once.sd).toBeLessThan(0.25);
    expect(often.mean).toBeCloseTo(0.2, 1);
    expect(often.sd).toBeLessThan(once.sd);
    expect(often.sd).toBeGreaterThan(0.08);
    // a third called where a quarter had gone: the pot takes the next call down by as much
    const pot = openPot({ atMs: 0, tempC: 20, heatFactor: { mean: 1, sd: 0.1 }, eye: often });
    expect(pot.bias.eye).toBe(often.mean);
    expect(Math.sqrt(variance(pot.covariance, 'eye'))).toBeCloseTo(often.sd, 12);
  });
  it('offers only the calls that make sense', () => {
    expect(callsFor(startRehearsal(snapshot, 0.5))).toContain('atTheMark');
    const clear = {
      ...snapshot.input.recipe,
      stages: snapshot.input.recipe.stages.map((stage) =>
        stage.id === 'fall' ? { ...stage, ends: { rule: 'minutes' as const, minutes: 30 } } : stage,
      ),
      lines: snapshot.input.recipe.lines.filter((line) => line.id !== 'flour' && line.id !== 'butter'),
    };
    const calls = callsFor(startRehearsal(snapshotOf(orderOf({ recipe: clear })), 0.5));
    expect(calls).not.toContain('atTheMark');
    expect(calls).not.toContain('coatsTheSpoon');
  });
});
