import { SETS_FROM_GELATIN_PERCENT } from '../../../core/bases';
import type { Plan, PlannedBase } from '../../../core/plan';
import { bandName } from '../../../core/thickness';
import { Figure } from '../../components/figure';
import { decimal, money, percent, planWords, pricePerVolume, workingWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';

/** What the bowl is: its salt, its body, its price. */
export function BowlFigures({ plan }: { plan: Plan }) {
  const { currency } = useKitchenHere();
  return (
    <>
      <Figure
        label={planWords.saltAtTheEnd}
        value={percent(plan.saltPercent)}
        note={planWords.addG(Math.round(plan.saltToAddG))}
        working={workingWords(plan, 'salt', currency)}
      />
      <Figure
        label={planWords.thickness}
        value={bandName(plan.band)}
        note={planWords.flourLike(plan.flourEquivalentGPerL)}
        working={workingWords(plan, 'body', currency)}
      />
      <Figure
        label={
          plan.unpriced
            ? planWords.aBowlCostsAtLeast
            : plan.guessed
              ? planWords.aBowlCostsAbout
              : planWords.aBowlCosts
        }
        value={money(plan.costPerPortionCents, currency)}
        {...(plan.unpriced
          ? { note: planWords.withoutAPrice(plan.unpriced.length) }
          : plan.guessed
            ? { note: planWords.atAGuess(plan.guessed.length) }
            : {})}
        working={workingWords(plan, 'cost', currency)}
      />
    </>
  );
}

/** What the base is: its strength against the usual, whether it sets, its price. */
export function BaseFigures({ plan, base }: { plan: Plan; base: PlannedBase }) {
  const { currency } = useKitchenHere();
  const sets = base.gelatinPercent >= SETS_FROM_GELATIN_PERCENT;
  const source = planWords.theRateLawOfEach;
  return (
    <>
      {base.strength !== null && (
        <Figure
          label={planWords.strength}
          value={`${decimal(base.strength, 1)} ×`}
          note={planWords.brix(decimal(base.brix, 1))}
          working={{
            lines: [
              planWords.whatTheWaterDrawsOver(decimal(base.brix, 2)),
              planWords.fatBesideItToBe(decimal(base.fatPercent, 1)),
            ],
            source,
            sureness: planWords.aFirstGuessAQuarter,
          }}
        />
      )}
      {base.gelatinPercent > 0.05 && (
        <Figure
          label={planWords.inTheCold}
          value={sets ? planWords.sets : planWords.staysLiquid}
          working={{
            lines: [
              planWords.gelatinSetsFromAbout(decimal(base.gelatinPercent, 2), SETS_FROM_GELATIN_PERCENT),
            ],
            source,
            sureness: planWords.aFirstGuess,
          }}
        />
      )}
      <Figure
        label={planWords.aVolumeCosts()}
        value={pricePerVolume(plan.costCents / plan.yieldLitres, currency)}
        working={workingWords(plan, 'cost', currency)}
      />
    </>
  );
}
