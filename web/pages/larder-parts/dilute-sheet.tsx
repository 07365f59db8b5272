import { useState } from 'react';
import { Link } from 'react-router';
import { v7 as uuid } from 'uuid';
import { type KitchenView, minutes, typedNumber } from '../../../contract';
import { baseKind } from '../../../core/bases';
import { boilOffKgPerHour } from '../../../core/evaporation';
import { concentrate, letDown, type Strengthened } from '../../../core/larder';
import type { LotView } from '../../../core/views';
import { Button } from '../../components/button';
import { useOneAtATime } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { SmallField } from '../../components/small-field';
import { Caution, Errors, Soft } from '../../components/text';

import { useRecipes } from '../../data/queries';
import { decimal, larderWords, litres, percent } from '../../words';
import { useShelf } from './use-shelf';

/** Stronger by the pot, or weaker with water: what it becomes, before it is done. */
export function DiluteSheet({
  lot,
  kitchen,
  onClose,
}: {
  lot: LotView;
  kitchen: KitchenView;
  onClose: () => void;
}) {
  const { tell, refusals } = useShelf();
  const { data: book = [] } = useRecipes();
  const usual = baseKind(lot.contents.base)?.standardBrix ?? lot.brix;
  const isGlaze = baseKind(lot.contents.base)?.family === 'concentrate';
  const [amount, setAmount] = useState(lot.leftLitres.toFixed(1));
  const [brix, setBrix] = useState(String(isGlaze ? 3 : Math.round(usual * 10)));
  const typedLitres = typedNumber(amount);
  const typedBrix = typedNumber(brix);
  const kg = (typedLitres ?? 0) * lot.contents.densityKgPerL;
  const found = strengthened(lot, kg, typedBrix);
  const isDown = typedBrix !== null && typedBrix < lot.brix;
  const glaze = book.find(
    (one) =>
      baseKind(one.base)?.family === 'concentrate' &&
      one.lines.some((line) => lot.contents.satisfies.includes(line.ingredientId)),
  );
  const tooMuch = kg > lot.leftKg + 0.05;
  const keep = useOneAtATime(async () => {
    if (typeof found === 'string') return;
    const done = await tell({
      type: 'blended',
      payload: {
        toLotId: uuid(),
        name: larderWords.diluted(lot.name),
        parts: [{ lotId: lot.id, kg: Math.round(kg * 1000) / 1000 }],
        waterKg: Math.round(-found.waterOffKg * 1000) / 1000,
        place: lot.place,
        storage: 'chilled',
      },
    });
    if (done) onClose();
  });
  return (
    <Sheet title={larderWords.diluteOrReduce} isOpen onClose={onClose}>
      <Soft>{larderWords.lotAtBrix(lot.name, lot.number, litres(lot.leftLitres), decimal(lot.brix, 1))}</Soft>
      <SmallField
        label={larderWords.thisMuchOfIt}
        unit="L"
        value={amount}
        onChange={setAmount}
        error={
          typedLitres === null || typedLitres <= 0
            ? larderWords.isNoAmount(amount)
            : tooMuch
              ? larderWords.thereAreLeft(litres(lot.leftLitres))
              : null
        }
      />
      <SmallField
        label={larderWords.toThisStrengthTheUsual(decimal(usual, 1))}
        unit="°Brix"
        value={brix}
        onChange={setBrix}
        error={typeof found === 'string' ? found : null}
      />
      {typeof found !== 'string' && (
        <div role="status">
          <p>
            <strong>
              {isDown
                ? larderWords.kgOfWaterGives(-found.waterOffKg, litres(found.litres))
                : larderWords.kgOfSteamLeaves(found.waterOffKg, litres(found.litres))}
            </strong>
            {larderWords.atSalt(percent(100 * found.contents.perKg.salt))}
          </p>
          {!isDown && (
            <Soft>
              {kitchen.burners
                .slice(0, 3)
                .map((burner) => {
                  const netPowerW = burner.powerW * burner.efficiency * burner.heatFactor.mean;
                  const hours = found.waterOffKg / boilOffKgPerHour({ netPowerW, tempC: 100 });
                  return larderWords.atTheLeast(burner.name, minutes(hours * 60));
                })
                .join('; ')}
              .
            </Soft>
          )}
        </div>
      )}
      {!isDown && <Caution>{larderWords.lowAtTheEndAnd}</Caution>}
      <Errors sentences={refusals} />
      {isDown ? (
        <Button kind="main" isDisabled={typeof found === 'string' || tooMuch} onPress={keep}>
          {larderWords.dilutedLogIt}
        </Button>
      ) : glaze ? (
        <Link
          to={`/plan?recipe=${glaze.id}&amountBy=litres&portions=${typeof found === 'string' ? 1 : found.litres.toFixed(1)}&lots=${lot.id}`}
        >
          {larderWords.planFromThisLot(glaze.name.toLowerCase())}
        </Link>
      ) : (
        <Soft>{larderWords.noRecipeOfTheBook}</Soft>
      )}
    </Sheet>
  );
}

function strengthened(lot: LotView, kg: number, toBrix: number | null): Strengthened | string {
  if (toBrix === null || toBrix <= 0) return larderWords.aStrengthIsANumber;
  if (kg <= 0) return larderWords.sayHowMuchFirst;
  try {
    const of = { contents: lot.contents, kg, toBrix };
    return toBrix < lot.brix ? letDown(of) : concentrate(of);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return larderWords.thatStrengthCannotBeHad;
  }
}
