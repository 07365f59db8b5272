import { day, dayAndHour, type KitchenView, money, percent } from '../../../contract';
import { baseKind, SETS_FROM_GELATIN_PERCENT } from '../../../core/bases';
import type { LotView } from '../../../core/views';
import { Figure } from '../../components/figure';

import { allergenNames, dietWords } from '../../words/holds';
import { bestWords, dateWords, isPouredLot, lotAmount, useByWords } from '../../words/lots';
import type { WorkingWords } from '../../words/workings';

/** What a lot is, each figure with the way it came about. */
export function LotFigures({ lot, kitchen, nowMs }: { lot: LotView; kitchen: KitchenView; nowMs: number }) {
  const { zone, units, currency } = kitchen;
  const kind = baseKind(lot.contents.base);
  const date = dateWords(lot, nowMs, zone);
  const isDated = lot.frozenSinceMs === null || lot.useByMs !== null;
  const perKg = lot.contents.perKg;
  const dissolved = 100 * (perKg.protein + perKg.sugars + perKg.other + perKg.salt);
  const poured = isPouredLot(lot);
  const working = (lines: string[], source: string, sureness: string): WorkingWords => ({
    lines,
    source,
    sureness,
  });
  return (
    <div>
      <Figure
        label="Left"
        value={lotAmount(lot, lot.leftKg, units)}
        note={`of ${lotAmount(lot, lot.bornKg, units)}`}
        working={working(
          [
            `${lot.bornKg.toFixed(2)} kg when it came to be, less what its story says was drawn, parted, lifted or thrown away: ${lot.leftKg.toFixed(2)} kg`,
            ...(poured ? [`÷ ${lot.contents.densityKgPerL.toFixed(3)} kg/L`] : []),
          ],
          'the logs of the batches and of the larder',
          'as sure as what was said; a count mends it',
        )}
      />
      <Figure
        label={isDated ? 'Use by' : 'Frozen'}
        value={isDated ? useByWords(lot, zone) : day(lot.frozenSinceMs!, zone)}
        note={date.left}
        working={dateWorking(lot, kitchen)}
      />
      {lot.best && (
        <Figure
          label="At its best"
          value={bestWords(lot)}
          long
          working={working(
            [
              `from ${dayAndHour(lot.best.fromMs, zone)} to ${dayAndHour(lot.best.untilMs, zone)}`,
              'Its taste is one matter, how long it may be kept another.',
            ],
            'the recipe',
            'by the palate of the house',
          )}
        />
      )}
      {lot.strength !== null && kind && (
        <Figure
          label="Strength"
          value={`${lot.strength.toFixed(1)} ×`}
          note={`${lot.brix.toFixed(1)} °Brix ${lot.isBrixRead ? 'read' : 'calculated'}`}
          working={working(
            [
              lot.isBrixRead
                ? `${lot.brix.toFixed(2)} °Brix by the refractometer`
                : `${dissolved.toFixed(2)} g dissolved in 100 g, fat left out: ${lot.brix.toFixed(2)} °Brix`,
              `÷ ${kind.standardBrix} °Brix, the usual for ${kind.name.toLowerCase()}`,
            ],
            'what the water drew by the rate law of each food, docs/model.md § 13',
            lot.isBrixRead ? '± 0.2 °Brix' : 'a first guess, ± a quarter; a reading replaces it',
          )}
        />
      )}
      <Figure
        label="Salt"
        value={percent(lot.saltPercent)}
        working={working(
          [`${(10 * lot.saltPercent).toFixed(2)} g in a kilogram, from what went in`],
          'the table’s salt of each food, through the pot',
          'a meter corrects it',
        )}
      />
      {kind && lot.gelatinPercent > 0.01 && (
        <Figure
          label="In the cold"
          value={lot.sets.value ? 'sets' : 'stays liquid'}
          note={lot.sets.isSeen ? 'seen' : 'expected'}
          working={working(
            [
              `${lot.gelatinPercent.toFixed(2)} % gelatin; sets from about ${SETS_FROM_GELATIN_PERCENT} %`,
              `${lot.fatPercent.toFixed(2)} % fat${lot.fatLiftedKg > 0 ? `, ${lot.fatLiftedKg} kg lifted` : ''}`,
            ],
            'the collagen of the bones, by their rate law; from memory',
            'a first guess',
          )}
        />
      )}
      {lot.umami > 0.005 && (
        <Figure
          label="Umami"
          value={`as ${lot.umami.toFixed(2)} g`}
          note="glutamate in 100 g"
          working={umamiWorking(lot)}
        />
      )}
      <Figure
        label={poured ? 'A litre costs' : 'A kilo costs'}
        value={money(poured ? lot.centsPerLitre : lot.centsPerKg, currency)}
        working={working(
          [`${money(lot.centsPerKg, currency)} a kg: what went into its pot, shared over what came out`],
          'the prices of the day it was made',
          'trim included; fuel and hands are not',
        )}
      />
      <Figure
        label="Contains"
        value={allergenNames(lot.contents.allergens) || 'none of the fourteen allergens'}
        note={dietWords(lot.contents.diet)}
        long
        working={working(
          ['Of everything that went into its pot, lifted out or not.'],
          'the European list of fourteen and the US list of nine',
          'as sure as the labels',
        )}
      />
    </div>
  );
}

function dateWorking(lot: LotView, kitchen: KitchenView): WorkingWords {
  const made = day(lot.datedMs, kitchen.zone);
  const days = kitchen.limits.dateMarkDays;
  const lines = {
    dateMark: [
      `made ${made}, which is day 1; ${days} days at 5 °C or colder`,
      ...(lot.datedMs < lot.bornAtMs - 43_200_000 ? ['its date is that of the oldest thing in it'] : []),
    ],
    days: [
      `made ${made}; ${lot.life.rule === 'days' ? lot.life.days : ''} days: dry or fat, it does not spoil in the cold within the date mark`,
    ],
    hours: [`${lot.life.rule === 'hours' ? `${lot.life.hours} h: ${lot.life.advisory}` : ''}`],
    given: ['the date its supplier gave'],
    none: ['no date was given'],
  }[lot.life.rule];
  return {
    lines: [
      ...lines,
      ...(lot.frozenSinceMs !== null
        ? ['a day on which it stood unfrozen counts; days in the freezer do not']
        : []),
    ],
    source: 'FDA Food Code 2022 § 3-501.17, § 3-501.18, and the kitchen’s own limits',
    sureness: 'the local code and the licensed person in charge decide',
  };
}

function umamiWorking(lot: LotView): WorkingWords {
  const per = lot.contents.savourPerKg;
  const g = (share: number) => (100 * share).toFixed(3);
  return {
    lines: [
      `amino acids: glutamate ${g(per.glutamate)} + 0.077 × aspartate ${g(per.aspartate)} g in 100 g`,
      `nucleotides: inosinate ${g(per.imp)} + 2.3 × guanylate ${g(per.gmp)} g in 100 g`,
      `amino + 1218 × amino × nucleotide = ${lot.umami.toFixed(3)}`,
    ],
    source: 'Yamaguchi 1971',
    sureness: 'to compare bases with, no score; contents from memory',
  };
}
