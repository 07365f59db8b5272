import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import type { BatchView, DeviceView, KitchenView, LiveMessage } from '../../contract';
import { onPosition } from './api';
import { remember, withEvents } from './caught-up';
import { newBuild } from './new-build';
import { LARDER, onKept, tryNow } from './outbox';
import { KEYS } from './queries';

/**
 * Keeps the page and the server the same by one stream. It is opened with the position of the first answer: whatever is
 * said after that is heard, and what a query brings that was asked before is corrected.
 */
export function useLive(): void {
  const client = useQueryClient();
  useEffect(() => {
    let stream: EventSource | null = null;
    let position: string | null = null;
    const begin = () => {
      stream?.close();
      stream = new EventSource(`/api/live?after=${encodeURIComponent(position ?? '')}`);
      stream.onmessage = ({ data, lastEventId }) => {
        if (lastEventId) position = lastEventId;
        hear(client, JSON.parse(data) as LiveMessage);
      };
      stream.onopen = () => void tryNow();
    };
    const stopPosition = onPosition((at) => {
      if (position !== null) return;
      position = at;
      begin();
    });
    /** A line that slept is a dead one; a new one says what was missed. */
    const wake = () => {
      if (document.visibilityState !== 'visible' || position === null) return;
      begin();
      void tryNow();
    };
    document.addEventListener('visibilitychange', wake);
    window.addEventListener('online', wake);
    const stopKept = onKept((batchId, event) => {
      if (batchId === LARDER) void client.invalidateQueries({ queryKey: KEYS.lots });
      else hear(client, { kind: 'event', batchId, event });
    });
    void tryNow();
    return () => {
      stream?.close();
      stopPosition();
      stopKept();
      document.removeEventListener('visibilitychange', wake);
      window.removeEventListener('online', wake);
    };
  }, [client]);
}

/** Puts what was heard where it belongs: what changed, and no more, is asked for again. */
export function hear(client: QueryClient, message: LiveMessage): void {
  const again = (...keys: readonly (readonly unknown[])[]) => {
    for (const queryKey of keys) void client.invalidateQueries({ queryKey });
  };
  // every entry is of the record of its day: a page that shows one asks again
  if (RECORDED.has(message.kind)) again(KEYS.record);
  switch (message.kind) {
    case 'event': {
      const { batchId, event } = message;
      remember(batchId, event);
      client.setQueryData<BatchView>(KEYS.batch(batchId), (batch) => batch && withEvents(batch, [event]));
      client.setQueryData<BatchView[]>(KEYS.open, (open) =>
        open?.map((batch) => (batch.id === batchId ? withEvents(batch, [event]) : batch)),
      );
      return;
    }
    case 'batch':
      again(KEYS.batch(message.batchId), KEYS.open);
      if (message.change === 'closed' || message.change === 'reopened') again(KEYS.closed, KEYS.kitchen);
      return;
    case 'clock':
      client.setQueryData<KitchenView>(
        KEYS.kitchen,
        (kitchen) => kitchen && { ...kitchen, clock: message.clock },
      );
      return;
    case 'photos':
      again(KEYS.photos(message.batchId));
      return;
    case 'lots':
      again(KEYS.lots);
      return;
    case 'order':
      again(KEYS.orders);
      return;
    case 'recipes':
      again(KEYS.recipes);
      return;
    case 'rehearsals':
      again(KEYS.rehearsals);
      return;
    case 'device': {
      const { device } = message;
      client.setQueryData<DeviceView[]>(
        KEYS.devices,
        (all) =>
          all &&
          [...all.filter((one) => one.id !== device.id), device].sort((a, b) => (a.id < b.id ? -1 : 1)),
      );
      return;
    }
    case 'deviceGone':
      client.setQueryData<DeviceView[]>(KEYS.devices, (all) =>
        all?.filter((one) => one.id !== message.deviceId),
      );
      return;
    case 'kitchen':
      again(PART_KEYS[message.part]);
      return;
    case 'resync':
      void client.invalidateQueries();
      return;
    case 'build':
      newBuild(message.id);
      return;
    case 'here':
      return;
  }
}

/** What may be a line of the record, or move one. */
const RECORDED: ReadonlySet<LiveMessage['kind']> = new Set(['event', 'batch', 'lots', 'kitchen']);

const PART_KEYS = { settings: KEYS.kitchen, foods: KEYS.foods, learned: KEYS.learned } as const;
