import { useState } from 'react';
import type { OrdersRead } from '../../../contract';
import { kindsOf } from '../../../core/portions';
import { Button } from '../../components/button';
import { FilePick } from '../../components/file-pick';
import { Sheet } from '../../components/sheet';
import { Errors, Over, Soft } from '../../components/text';
import { ApiError } from '../../data/api';
import { useReadOrders, useSimulatedTill } from '../../data/queries';
import { allergenNames, askedWords, passWords } from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

/** Orders out of a file, looked at before they are taken in; in the demo a till that sends them by itself. */
export function OrdersIn({ here }: { here: BatchHere }) {
  const { id, snapshot } = here.batch;
  const read = useReadOrders(id);
  const { isRunning, toggle } = useSimulatedTill(id);
  const { tell, refusals } = useSubmit(id);
  const [found, setFound] = useState<OrdersRead['orders'] | null>(null);
  const [errors, setErrors] = useState<string[]>([]);
  const kinds = kindsOf(snapshot.input);
  const pick = async (text: string) => {
    setErrors([]);
    try {
      setFound((await read.mutateAsync(text)).orders);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      setErrors(error.errors.length > 0 ? error.errors.map((one) => one.sentence) : [error.message]);
    }
  };
  const take = async () => {
    const said = await tell(
      ...(found ?? []).map((order) => ({
        type: 'asked' as const,
        payload: { ...order, via: 'file' as const },
      })),
    );
    if (said) setFound(null);
  };
  return (
    <>
      <FilePick
        label={passWords.readOrders}
        kind="quiet"
        accept=".csv,text/csv"
        onText={(_name, text) => void pick(text)}
      />
      {here.kitchen.isDemo && (
        <Button kind="quiet" onPress={() => toggle.mutate()}>
          {isRunning ? passWords.stopTill : passWords.startTill}
        </Button>
      )}
      {isRunning && <Over role="status">{passWords.tillRuns}</Over>}
      <Errors sentences={errors} />
      <Sheet title={passWords.ordersFromFile} isOpen={found !== null} onClose={() => setFound(null)}>
        {(found ?? []).slice(0, SHOWN).map((order, line) => (
          <p key={`line ${line}`}>
            {askedWords(order.items, kinds)}
            {order.freeOf ? `, ${passWords.without(allergenNames(order.freeOf))}` : ''}
            {order.words ? ` (${order.words})` : ''}
          </p>
        ))}
        {(found?.length ?? 0) > SHOWN && <Soft>{passWords.andMore((found?.length ?? 0) - SHOWN)}</Soft>}
        <Errors sentences={refusals} />
        <Button kind="main" onPress={() => void take()}>
          {passWords.takeThemIn(found?.length ?? 0)}
        </Button>
      </Sheet>
    </>
  );
}

/** So many of a file are shown before they are taken in. */
const SHOWN = 12;
