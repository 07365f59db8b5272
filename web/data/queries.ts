import { QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type {
  BatchSummary,
  BatchView,
  ClockChange,
  ClockView,
  DeviceView,
  Fault,
  FileReading,
  FileToRead,
  KeepOrder,
  KeepRehearsal,
  KitchenSettings,
  KitchenView,
  LarderStray,
  LotDetail,
  LotView,
  OrderView,
  PriceChange,
  RecipeVersionView,
  RecipeView,
  RehearsalView,
  SaveRecipe,
  StartBatch,
} from '../../contract';
import type { DeviceKind } from '../../core/devices';
import type { Ingredient, OwnFood } from '../../core/matter';
import { ApiError, ask } from './api';

/** Everything the browser knows of the server, by key. */
export const KEYS = {
  kitchen: ['kitchen'],
  recipes: ['recipes'],
  lots: ['lots'],
  lot: (id: string) => ['lots', id],
  strays: ['lots', 'strays'],
  orders: ['orders'],
  devices: ['devices'],
  rehearsals: ['rehearsals'],
  open: ['batches', 'open'],
  summaries: ['batches', 'all'],
  batch: (id: string) => ['batch', id],
  versions: (id: string) => ['recipes', id, 'versions'],
} as const;

export function createQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 30_000,
        retry: (count, error) => error instanceof ApiError && error.isOffline && count < 60,
        retryDelay: 1000,
      },
    },
  });
}

export const useKitchen = () =>
  useQuery({ queryKey: KEYS.kitchen, queryFn: () => ask<KitchenView>('GET', '/kitchen') });

export const useRecipes = () =>
  useQuery({ queryKey: KEYS.recipes, queryFn: () => ask<RecipeView[]>('GET', '/recipes') });

export const useLots = () => useQuery({ queryKey: KEYS.lots, queryFn: () => ask<LotView[]>('GET', '/lots') });

export const useLot = (id: string) =>
  useQuery({
    queryKey: KEYS.lot(id),
    queryFn: () => ask<LotDetail>('GET', `/lots/${encodeURIComponent(id)}`),
  });

export const useStrays = () =>
  useQuery({ queryKey: KEYS.strays, queryFn: () => ask<LarderStray[]>('GET', '/larder/strays') });

export const useOrders = () =>
  useQuery({ queryKey: KEYS.orders, queryFn: () => ask<OrderView[]>('GET', '/orders') });

const DEVICES = { queryKey: KEYS.devices, queryFn: () => ask<DeviceView[]>('GET', '/devices') };

export const useDevices = () => useQuery(DEVICES);

/** What stands at one pot; the others' readings are no news to it. */
export function useDevicesAt(batchId: string): DeviceView[] {
  const own = useCallback((all: DeviceView[]) => all.filter((one) => one.batchId === batchId), [batchId]);
  const { data = [] } = useQuery({ ...DEVICES, select: own });
  return data;
}

/** Sets a simulated probe or scale at a pot. */
export function useStartSimulatedDevice() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (of: { kind: DeviceKind; batchId: string; fault: Fault }) =>
      ask<DeviceView>('POST', '/simulated-devices', of),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.devices }),
  });
}

/** Takes a device away from its pot. */
export function useRemoveDevice() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<void>('DELETE', `/devices/${encodeURIComponent(id)}`),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.devices }),
  });
}

export const useRehearsals = () =>
  useQuery({ queryKey: KEYS.rehearsals, queryFn: () => ask<RehearsalView[]>('GET', '/rehearsals') });

/** Keeps what was called in a rehearsal. */
export function useKeepRehearsal() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (of: KeepRehearsal) => ask<KeepRehearsal>('POST', '/rehearsals', of),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.rehearsals }),
  });
}

/** Keeps an order for a day to come. */
export function useKeepOrder() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (order: KeepOrder) => ask<OrderView>('POST', '/orders', order),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.orders }),
  });
}

export function useCancelOrder() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => ask<OrderView>('POST', `/orders/${encodeURIComponent(id)}/cancel`),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.orders }),
  });
}

export const useOpenBatches = () =>
  useQuery({ queryKey: KEYS.open, queryFn: () => ask<BatchView[]>('GET', '/batches/open') });

export const useSummaries = () =>
  useQuery({ queryKey: KEYS.summaries, queryFn: () => ask<BatchSummary[]>('GET', '/batches') });

export const useBatch = (id: string) =>
  useQuery({
    queryKey: KEYS.batch(id),
    queryFn: () => ask<BatchView>('GET', `/batches/${encodeURIComponent(id)}`),
  });

export function useStartBatch() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (start: StartBatch) => ask<BatchView>('POST', '/batches', start),
    onSuccess: (batch) => {
      client.setQueryData(KEYS.batch(batch.id), batch);
      return client.invalidateQueries({ queryKey: KEYS.open });
    },
  });
}

export function useKitchenSettings() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (settings: KitchenSettings) => ask<KitchenView>('PATCH', '/kitchen', settings),
    onSuccess: (kitchen) => client.setQueryData(KEYS.kitchen, kitchen),
  });
}

export function useClockChange() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (change: ClockChange) => ask<ClockView>('POST', '/clock', change),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.kitchen }),
  });
}

/** Every saved version of a recipe, oldest first. */
export const useVersions = (id: string) =>
  useQuery({
    queryKey: KEYS.versions(id),
    queryFn: () => ask<RecipeVersionView[]>('GET', `/recipes/${encodeURIComponent(id)}/versions`),
  });

export function useSaveRecipe() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (save: SaveRecipe) => ask<RecipeView>('POST', '/recipes', save),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.recipes }),
  });
}

/** Has a file read; nothing is kept. */
export const useReadFile = () =>
  useMutation({ mutationFn: (file: FileToRead) => ask<FileReading>('POST', '/files/read', file) });

/** Takes a book of recipes in, whole or not at all. */
export function useBringIn() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (file: FileToRead) =>
      ask<{ added: string[]; newVersions: string[]; same: string[] }>('POST', '/files/book', file),
    onSuccess: () => client.invalidateQueries(),
  });
}

export function useOwnFood() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (food: OwnFood) => ask<Ingredient>('POST', '/ingredients', food),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.kitchen }),
  });
}

export function usePriceChange() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (change: PriceChange) => ask<KitchenView>('PATCH', '/prices', change),
    onSuccess: (kitchen) => client.setQueryData(KEYS.kitchen, kitchen),
  });
}
