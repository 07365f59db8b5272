import { money, percent } from '../../../contract';
import { SETS_FROM_GELATIN_PERCENT } from '../../../core/bases';
import type { Plan, PlannedBase } from '../../../core/plan';
import { bandName } from '../../../core/thickness';
import { Figure } from '../../components/figure';
import { workingWords } from '../../words/workings';
import { useKitchenHere } from '../use-kitchen-here';

/** What the bowl is: its salt, its body, its price. */
export function BowlFigures({ plan }: { plan: Plan }) {
  const { currency } = useKitchenHere();
  return (
    <>
      <Figure
        label="Salt at the end"
        value={percent(plan.saltPercent)}
        note={`add ${Math.round(plan.saltToAddG)} g`}
        working={workingWords(plan, 'salt', currency)}
      />
      <Figure
        label="Body"
        value={bandName(plan.band)}
        note={`${Math.round(plan.flourEquivalentGPerL)} g/L`}
        working={workingWords(plan, 'body', currency)}
      />
      <Figure
        label={plan.unpriced ? 'A bowl costs at least' : 'A bowl costs'}
        value={money(plan.costPerPortionCents, currency)}
        {...(plan.unpriced ? { note: `${plan.unpriced.length} without a price` } : {})}
        working={workingWords(plan, 'cost', currency)}
      />
    </>
  );
}

/** What the base is: its strength against the usual, whether it sets, its price. */
export function BaseFigures({ plan, base }: { plan: Plan; base: PlannedBase }) {
  const { currency } = useKitchenHere();
  const sets = base.gelatinPercent >= SETS_FROM_GELATIN_PERCENT;
  const source = 'the rate law of each food in this pot’s heat, docs/model.md § 13';
  return (
    <>
      {base.strength !== null && (
        <Figure
          label="Strength"
          value={`${base.strength.toFixed(1)} ×`}
          note={`${base.brix.toFixed(1)} °Brix`}
          working={{
            lines: [
              `what the water draws, over what is left of it: ${base.brix.toFixed(2)} g dissolved in 100 g`,
              `${base.fatPercent.toFixed(1)} % fat beside it, to be lifted when it has set`,
            ],
            source,
            sureness: 'a first guess, ± a quarter; read it when it is cold',
          }}
        />
      )}
      {base.gelatinPercent > 0.05 && (
        <Figure
          label="In the cold"
          value={sets ? 'sets' : 'stays liquid'}
          working={{
            lines: [
              `${base.gelatinPercent.toFixed(2)} % gelatin; sets from about ${SETS_FROM_GELATIN_PERCENT} %`,
            ],
            source,
            sureness: 'a first guess',
          }}
        />
      )}
      <Figure
        label="A litre costs"
        value={money(plan.costCents / plan.yieldLitres, currency)}
        working={workingWords(plan, 'cost', currency)}
      />
    </>
  );
}
