import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { BatchView, DeviceView, KitchenView, LiveMessage, LoggedEvent } from '../../contract';
import { flush, LARDER, onKept } from './outbox';
import { KEYS } from './queries';

/** Keeps the page and the server the same: one stream, resynced after a silence or a sleep. */
export function useLive(): void {
  const client = useQueryClient();
  useEffect(() => {
    let buildId: string | null = null;
    let wasOpen = false;
    const stream = new EventSource('/api/live');
    const resync = () => {
      void client.invalidateQueries();
      void flush();
    };
    stream.onopen = () => {
      if (wasOpen) resync();
      wasOpen = true;
    };
    stream.onmessage = ({ data }) => {
      const message = JSON.parse(data) as LiveMessage;
      if (message.kind === 'build') {
        if (buildId && buildId !== message.id) location.reload();
        buildId = message.id;
      } else hear(client, message);
    };
    const onWake = () => document.visibilityState === 'visible' && resync();
    document.addEventListener('visibilitychange', onWake);
    window.addEventListener('online', resync);
    const stopKept = onKept((batchId, event) =>
      hear(client, batchId === LARDER ? { kind: 'larder' } : { kind: 'event', batchId, event }),
    );
    void flush();
    return () => {
      stream.close();
      stopKept();
      document.removeEventListener('visibilitychange', onWake);
      window.removeEventListener('online', resync);
    };
  }, [client]);
}

function hear(client: QueryClient, message: Exclude<LiveMessage, { kind: 'build' }>): void {
  switch (message.kind) {
    case 'event': {
      const { batchId, event } = message;
      client.setQueryData<BatchView>(KEYS.batch(batchId), (batch) => batch && withEvent(batch, event));
      client.setQueryData<BatchView[]>(KEYS.open, (open) =>
        open?.map((batch) => (batch.id === batchId ? withEvent(batch, event) : batch)),
      );
      return;
    }
    case 'batch':
      for (const queryKey of [
        KEYS.batch(message.batchId),
        KEYS.open,
        KEYS.summaries,
        KEYS.kitchen,
        KEYS.lots,
      ]) {
        void client.invalidateQueries({ queryKey });
      }
      return;
    case 'clock':
      client.setQueryData<KitchenView>(
        KEYS.kitchen,
        (kitchen) => kitchen && { ...kitchen, clock: message.clock },
      );
      return;
    case 'larder':
      void client.invalidateQueries({ queryKey: KEYS.lots });
      return;
    case 'orders':
      void client.invalidateQueries({ queryKey: KEYS.orders });
      return;
    case 'recipes':
      void client.invalidateQueries({ queryKey: KEYS.recipes });
      return;
    case 'device': {
      const { device } = message;
      client.setQueryData<DeviceView[]>(KEYS.devices, (all) =>
        all?.some((one) => one.id === device.id)
          ? all.map((one) => (one.id === device.id ? device : one))
          : [...(all ?? []), device],
      );
      return;
    }
    case 'devices':
      void client.invalidateQueries({ queryKey: KEYS.devices });
      return;
    case 'kitchen':
      void client.invalidateQueries({ queryKey: KEYS.kitchen });
  }
}

function withEvent(batch: BatchView, event: LoggedEvent): BatchView {
  return batch.events.some((one) => one.id === event.id)
    ? batch
    : { ...batch, events: [...batch.events, event] };
}
