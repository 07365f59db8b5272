import type { KitchenView } from '../../../contract';
import { baseKind, SETS_FROM_GELATIN_PERCENT } from '../../../core/bases';
import type { LotView } from '../../../core/views';
import { Figure } from '../../components/figure';
import type { WorkingWords } from '../../words';
import {
  allergenNames,
  bestWords,
  dateWords,
  day,
  dayAndHour,
  decimal,
  dietWords,
  isPouredLot,
  lotAmount,
  lotPrice,
  lotWords,
  percent,
  pricePerWeight,
  useByWords,
} from '../../words';

/** What a lot is, each figure with the way it came about. */
export function LotFigures({ lot, kitchen, nowMs }: { lot: LotView; kitchen: KitchenView; nowMs: number }) {
  const { zone, currency } = kitchen;
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
        label={lotWords.left}
        value={lotAmount(lot, lot.leftKg)}
        note={lotWords.of(lotAmount(lot, lot.bornKg))}
        working={working(
          [
            lotWords.kgWhenItCameTo(lot.bornKg, lot.leftKg),
            ...(poured ? [lotWords.kgL(decimal(lot.contents.densityKgPerL, 3))] : []),
          ],
          'the logs of the batches and of the larder',
          'as sure as what was said; a count mends it',
        )}
      />
      <Figure
        label={isDated ? lotWords.useBy : lotWords.frozen}
        value={isDated ? useByWords(lot, zone) : day(lot.frozenSinceMs!, zone)}
        note={date.left}
        working={dateWorking(lot, kitchen)}
      />
      {lot.best && (
        <Figure
          label={lotWords.atItsBest}
          value={bestWords(lot)}
          long
          working={working(
            [
              lotWords.fromTo(dayAndHour(lot.best.fromMs, zone), dayAndHour(lot.best.untilMs, zone)),
              lotWords.thisIsAboutTasteHow,
            ],
            'the recipe',
            'by the palate of the house',
          )}
        />
      )}
      {lot.strength !== null && kind && (
        <Figure
          label={lotWords.strength}
          value={`${decimal(lot.strength, 1)} ×`}
          note={lotWords.brixRead(decimal(lot.brix, 1), lot.isBrixRead)}
          working={working(
            [
              lot.isBrixRead
                ? lotWords.brixByTheRefractometer(decimal(lot.brix, 2))
                : lotWords.gDissolvedIn100G(decimal(dissolved, 2), decimal(lot.brix, 2)),
              `÷ ${kind.standardBrix} °Brix, the usual for ${kind.name.toLowerCase()}`,
            ],
            'what the water drew by the rate law of each food, docs/model.md § 13',
            lot.isBrixRead ? lotWords.n02Brix : lotWords.aFirstGuessAQuarter,
          )}
        />
      )}
      <Figure
        label={lotWords.salt}
        value={percent(lot.saltPercent)}
        working={working(
          [lotWords.gInAKilogramFrom(decimal(10 * lot.saltPercent, 2))],
          'the table’s salt of each food, through the pot',
          'a meter corrects it',
        )}
      />
      {kind && lot.gelatinPercent > 0.01 && (
        <Figure
          label={lotWords.inTheCold}
          value={lot.sets.value ? lotWords.sets : lotWords.staysLiquid}
          note={lot.sets.isSeen ? lotWords.seen : lotWords.expected}
          working={working(
            [
              lotWords.gelatinSetsFromAbout(decimal(lot.gelatinPercent, 2), SETS_FROM_GELATIN_PERCENT),
              lotWords.fat(
                decimal(lot.fatPercent, 2),
                lot.fatLiftedKg > 0 ? lotWords.kgLifted(lot.fatLiftedKg) : '',
              ),
            ],
            'the collagen of the bones, by their rate law; from memory',
            'a first guess',
          )}
        />
      )}
      {lot.umami > 0.005 && (
        <Figure
          label={lotWords.umami}
          value={lotWords.asG(decimal(lot.umami, 2))}
          note={lotWords.glutamateIn100G}
          working={umamiWorking(lot)}
        />
      )}
      <Figure
        label={poured ? lotWords.aVolumeCosts() : lotWords.aWeightCosts()}
        value={lotPrice(lot, currency)}
        working={working(
          [lotWords.aKgWhatWentInto(pricePerWeight(lot.centsPerKg, currency))],
          'the prices of the day it was made',
          'trim included; fuel and hands are not',
        )}
      />
      <Figure
        label={lotWords.contains}
        value={allergenNames(lot.contents.allergens) || lotWords.noneOfTheFourteenAllergens}
        note={dietWords(lot.contents.diet)}
        long
        working={working(
          [lotWords.ofEverythingThatWentInto],
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
      lotWords.madeWhichIsDay1(made, days),
      ...(lot.datedMs < lot.bornAtMs - 43_200_000 ? [lotWords.itsDateIsThatOf] : []),
    ],
    days: [lotWords.madeDaysDryOrFat(made, lot.life.rule === 'days' ? lot.life.days : '')],
    hours: [`${lot.life.rule === 'hours' ? `${lot.life.hours} h: ${lot.life.advisory}` : ''}`],
    given: [lotWords.theDateItsSupplierGave],
    none: [lotWords.noDateWasGiven],
  }[lot.life.rule];
  return {
    lines: [...lines, ...(lot.frozenSinceMs !== null ? [lotWords.aDayOnWhichIt] : [])],
    source: lotWords.fdaFoodCode20223,
    sureness: lotWords.theLocalCodeAndThe,
  };
}

function umamiWorking(lot: LotView): WorkingWords {
  const per = lot.contents.savourPerKg;
  const g = (share: number) => decimal(100 * share, 3);
  return {
    lines: [
      lotWords.aminoAcidsGlutamate0077(g(per.glutamate), g(per.aspartate)),
      lotWords.nucleotidesInosinate23Guanylate(g(per.imp), g(per.gmp)),
      `amino + 1218 × amino × nucleotide = ${decimal(lot.umami, 3)}`,
    ],
    source: 'Yamaguchi 1971',
    sureness: lotWords.toCompareBasesWithNo,
  };
}
