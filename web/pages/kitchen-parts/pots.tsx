import { useState } from 'react';
import type { KitchenPot, KitchenView } from '../../../contract';
import { workingFillLitres } from '../../../core/vessel';
import { Button } from '../../components/button';
import { PotThumb } from '../../components/pot-section/pot-thumb';
import { Sheet } from '../../components/sheet';
import { colour } from '../../theme/tokens';
import { brimLitres, litres, potsWords, sizeWords } from '../../words';
import { ItemList } from './item-list';
import { DipChart } from './pot-drawing';
import { PotForm } from './pot-form';

/** The pots: each drawn in section, with what it holds. */
export function PotsSection({ kitchen }: { kitchen: KitchenView }) {
  const [edited, setEdited] = useState<KitchenPot | 'new' | null>(kitchen.pots.length === 0 ? 'new' : null);
  const [charted, setCharted] = useState<KitchenPot | null>(null);
  if (edited)
    return (
      <PotForm
        key={edited === 'new' ? 'new' : edited.id}
        pot={edited === 'new' ? null : edited}
        kitchen={kitchen}
        onDone={() => setEdited(null)}
      />
    );
  return (
    <>
      <ItemList
        kind="pot"
        title={potsWords.pots}
        items={kitchen.pots}
        kitchen={kitchen}
        empty={potsWords.aPotByItsInside}
        about={(pot) =>
          potsWords.brimsAtBoilNoMoreThan(
            sizeWords(pot.vessel),
            litres(brimLitres(pot.vessel)),
            litres(workingFillLitres(pot.vessel, false)),
            pot.emptyMassKg,
            burnersOf(kitchen, pot.id),
          )
        }
        picture={(pot) => <PotThumb vessel={pot.vessel} litres={0} ink={colour.iron} />}
        more={(pot) => (
          <Button kind="quiet" onPress={() => setCharted(pot)} aria-label={potsWords.dipChartOf(pot.name)}>
            {potsWords.dipChart}
          </Button>
        )}
        onEdit={(pot) => setEdited(pot ?? 'new')}
      />
      {charted && (
        <Sheet title={potsWords.dipChart2(charted.name)} isOpen onClose={() => setCharted(null)}>
          <DipChart name={charted.name} vessel={charted.vessel} />
          <Button onPress={() => window.print()}>{potsWords.print}</Button>
        </Sheet>
      )}
    </>
  );
}

function burnersOf(kitchen: KitchenView, potId: string): string {
  const names = kitchen.burners.filter((one) => one.potIds.includes(potId)).map((one) => one.name);
  return names.length > 0 ? names.join(', ') : potsWords.noBurnerYet;
}
