import {
  QueryClient,
  useInfiniteQuery,
  useMutation,
  useQueries,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { v7 as uuid } from 'uuid';
import type {
  BatchView,
  BookTaken,
  ClockChange,
  ClockView,
  CopyFound,
  DeviceStand,
  DeviceView,
  DrawPart,
  Fault,
  FileReading,
  FileToRead,
  FoodsView,
  KeepOrder,
  KeepRehearsal,
  KitchenChange,
  KitchenView,
  LarderStray,
  LearnedView,
  LotDetail,
  LotLabel,
  OrdersRead,
  OrderView,
  PageOf,
  PriceChange,
  RecipeVersionView,
  RecipeView,
  RecordView,
  RehearsalView,
  SaveRecipe,
  StartBatch,
  TakeBook,
  WholeKitchen,
  WrittenEventView,
} from '../../contract';
import type { KeptForecast } from '../../core/batch';
import type { DeviceKind } from '../../core/devices';
import type { Ingredient, OwnFood } from '../../core/matter';
import type { Recipe } from '../../core/recipe';
import type { BatchHead, LotView } from '../../core/views';
import { commonWords } from '../words';
import { ApiError, ask } from './api';
import { caughtUp } from './caught-up';

/** Everything the browser knows of the server, by key. */
export const KEYS = {
  kitchen: ['kitchen'],
  learned: ['learned'],
  foods: ['foods'],
  recipes: ['recipes'],
  lots: ['lots'],
  shelf: ['lots', 'shelf'],
  coolings: ['lots', 'coolings'],
  finished: ['lots', 'finished'],
  lot: (id: string) => ['lots', 'one', id],
  lotsOf: (batchId: string) => ['lots', 'of', batchId],
  strays: ['lots', 'strays'],
  orders: ['orders'],
  devices: ['devices'],
  rehearsals: ['rehearsals'],
  open: ['batches', 'open'],
  closed: ['batches', 'closed'],
  last: (recipeId: string | null) => ['batches', 'closed', 'last', recipeId],
  usual: ['batches', 'closed', 'usual'],
  forecasts: ['batches', 'closed', 'forecasts'],
  batch: (id: string) => ['batch', id],
  photos: (id: string) => ['batch', id, 'photos'],
  written: (id: string) => ['batch', id, 'written'],
  versions: (id: string) => ['recipes', id, 'versions'],
  record: ['record'],
} as const;

export function createQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        staleTime: 30_000,
        retry: (count, error) => error instanceof ApiError && !error.isRefusal && count < 60,
        retryDelay: (count) => Math.min(1000 * 1.5 ** count, 15_000),
      },
    },
  });
}

const KITCHEN = { queryKey: KEYS.kitchen, queryFn: () => ask<KitchenView>('GET', '/kitchen') };

export const useKitchen = () => useQuery(KITCHEN);

export const useRecipes = () =>
  useQuery({ queryKey: KEYS.recipes, queryFn: () => ask<RecipeView[]>('GET', '/recipes') });

export const useFoods = () =>
  useQuery({ queryKey: KEYS.foods, queryFn: () => ask<FoodsView>('GET', '/foods') });

export const useLearned = () =>
  useQuery({ queryKey: KEYS.learned, queryFn: () => ask<LearnedView>('GET', '/kitchen/learned') });

/** The kitchen with all that a plan turns on; null while any of it is fetched. */
export function useWholeKitchen(kitchen: KitchenView): WholeKitchen | null {
  const { data: foods } = useFoods();
  const { data: learned } = useLearned();
  return useMemo(
    () => (foods && learned ? { ...kitchen, ...foods, learned } : null),
    [kitchen, foods, learned],
  );
}

/** The record of a day, or of a lot: read off all logs, so that it is asked again whenever it is looked at. */
export const useRecord = (of: { day: string } | { lotId: string }) => {
  const path = 'day' in of ? `/record/days/${of.day}` : `/record/lots/${of.lotId}`;
  return useQuery({
    queryKey: [...KEYS.record, path],
    queryFn: () => ask<RecordView>('GET', path),
    staleTime: 0,
  });
};

/** A file held against its own hashes and against this kitchen. */
export const useRecordCheck = () =>
  useMutation({ mutationFn: (file: string) => ask<CopyFound>('POST', '/record/check', { file }) });

/** What was stored hot and is not cold yet. */
export const useCoolings = () =>
  useQuery({ queryKey: KEYS.coolings, queryFn: () => ask<LotView[]>('GET', '/coolings') });

/** The shelf: what there is some of, and what has to be counted. */
export const useLots = () =>
  useQuery({ queryKey: KEYS.shelf, queryFn: () => ask<LotView[]>('GET', '/lots') });

/** Lots that are finished, the newest first, as many pages as were asked for. */
export const useFinishedLots = () => usePages<LotView>(KEYS.finished, '/lots/finished');

/** A list by the page, the newest first. */
function usePages<T>(queryKey: readonly unknown[], path: string) {
  return useInfiniteQuery({
    queryKey,
    queryFn: ({ pageParam }) =>
      ask<PageOf<T>>('GET', pageParam === null ? path : `${path}?before=${pageParam}`),
    initialPageParam: null as string | null,
    getNextPageParam: (last) => last.next,
    select: ({ pages }) => pages.flatMap((page) => page.rows),
  });
}

/** Lots that a batch drew from or stored, by their labels. */
export const useLotsOf = (batchId: string) => useQuery(lotsOf(batchId));

/** Of each batch the lots it drew from or stored, in the batches' order; undefined where they are not known yet. */
export const useLotsOfEach = (batchIds: readonly string[]) =>
  useQueries({ queries: batchIds.map(lotsOf), combine: dataOfEach });

const lotsOf = (batchId: string) => ({
  queryKey: KEYS.lotsOf(batchId),
  queryFn: () => ask<LotLabel[]>('GET', `/batches/${encodeURIComponent(batchId)}/lots`),
});
const dataOfEach = (answers: readonly { data: LotLabel[] | undefined }[]) => answers.map(({ data }) => data);

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

/** What stands at one pot, or in one lot; the others' readings are no news to it. */
export function useDevicesAt(id: string): DeviceView[] {
  const own = useCallback(
    (all: DeviceView[]) => all.filter((one) => one.batchId === id || one.lotId === id),
    [id],
  );
  const { data = [] } = useQuery({ ...DEVICES, select: own });
  return data;
}

/** Sets a simulated probe or scale at a pot. */
export function useStartSimulatedDevice() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (of: Partial<DeviceStand> & { kind: DeviceKind; fault: Fault }) =>
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

const OPEN = {
  queryKey: KEYS.open,
  queryFn: async () => (await ask<BatchView[]>('GET', '/batches/open')).map(caughtUp),
};

export const useOpenBatches = () => useQuery(OPEN);

/** Asks for what every page shows, before there is one. */
export function askAhead(client: QueryClient): void {
  void client.prefetchQuery(KITCHEN);
  void client.prefetchQuery(OPEN);
}

/** Closed batches, the newest first, as many pages as were asked for. */
export const useClosedBatches = () => usePages<BatchHead>(KEYS.closed, '/batches');

/** The last batch that was served; null where none was. */
export const useLastServed = () =>
  useQuery({ queryKey: KEYS.last(null), queryFn: () => ask<BatchHead | null>('GET', '/batches/last') });

/** The recipe that is cooked most. */
export const useUsualRecipe = () =>
  useQuery({
    queryKey: KEYS.usual,
    queryFn: () => ask<{ recipeId: string | null }>('GET', '/batches/usual'),
  });

/** The last forecasts that were shown, with what came true. */
export const useForecasts = () =>
  useQuery({ queryKey: KEYS.forecasts, queryFn: () => ask<KeptForecast[]>('GET', '/log/forecasts') });

/** A batch's log as it was written, for one that cannot be folded. */
export const useWrittenLog = (id: string) =>
  useQuery({
    queryKey: KEYS.written(id),
    queryFn: () => ask<WrittenEventView[]>('GET', `/batches/${encodeURIComponent(id)}/log`),
  });

const batchOf = (id: string) => ({
  queryKey: KEYS.batch(id),
  queryFn: async () => caughtUp(await ask<BatchView>('GET', `/batches/${encodeURIComponent(id)}`)),
});

export const useBatch = (id: string) => useQuery(batchOf(id));

/** Several batches, open or closed; those that are not fetched yet are left out. */
export const useBatches = (ids: readonly string[]) =>
  useQueries({ queries: ids.map(batchOf), combine: thoseThere });

const thoseThere = (answers: readonly { data: BatchView | undefined }[]) =>
  answers.flatMap(({ data }) => data ?? []);

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

/** Whether the simulated till sends orders to a batch, and a switch for it. */
export function useSimulatedTill(batchId: string) {
  const client = useQueryClient();
  const queryKey = ['till', batchId];
  const { data } = useQuery({
    queryKey,
    queryFn: () => ask<{ isRunning: boolean }>('GET', `/simulated-till/${encodeURIComponent(batchId)}`),
  });
  const toggle = useMutation({
    mutationFn: () => ask<{ isRunning: boolean }>('POST', '/simulated-till', { batchId }),
    onSuccess: (state) => client.setQueryData(queryKey, state),
  });
  return { isRunning: data?.isRunning ?? false, toggle };
}

/** Reads a file of orders; nothing is taken in by that. */
export function useReadOrders(batchId: string) {
  return useMutation({
    mutationFn: (text: string) =>
      ask<OrdersRead>('POST', `/batches/${encodeURIComponent(batchId)}/read-orders`, { text }),
  });
}

/** Draws some of a pot off into another, where it goes on by itself. */
export function useDrawPart(parentId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (part: DrawPart) =>
      ask<BatchView>('POST', `/batches/${encodeURIComponent(parentId)}/parts`, part),
    onSuccess: (batch) => {
      client.setQueryData(KEYS.batch(batch.id), batch);
      void client.invalidateQueries({ queryKey: KEYS.batch(parentId) });
      return client.invalidateQueries({ queryKey: KEYS.open });
    },
  });
}

/** A change of the kitchen as it is said. What may be said once only brings its id; else one is made here. */
export type KitchenChangeBody = KitchenChange extends infer C
  ? C extends KitchenChange
    ? Omit<C, 'id'> & { id?: string }
    : never
  : never;

export function useKitchenChange() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (change: KitchenChangeBody) =>
      ask<KitchenView>('POST', '/kitchen/changes', { id: uuid(), ...change }),
    onSuccess: (kitchen, change) => {
      client.setQueryData(KEYS.kitchen, kitchen);
      if (change.change === 'save' || change.change === 'merge')
        void client.invalidateQueries({ queryKey: KEYS.learned });
    },
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
    mutationFn: (book: TakeBook) => ask<BookTaken>('POST', '/files/book', book),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** The book that ships with Slow Pot to begin with: a file beside the pages. */
export function useStarterBook() {
  return useQuery({
    queryKey: [commonWords.starterBook],
    staleTime: Number.POSITIVE_INFINITY,
    queryFn: async (): Promise<Recipe[]> => {
      const answer = await fetch('/starter-book.json');
      if (!answer.ok) throw new Error('The starter book is not there: build Slow Pot anew.');
      return ((await answer.json()) as { recipes: Recipe[] }).recipes;
    },
  });
}

export function useOwnFood() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (food: OwnFood) => ask<Ingredient>('POST', '/ingredients', food),
    onSuccess: () => client.invalidateQueries({ queryKey: KEYS.foods }),
  });
}

export function usePriceChange() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (change: PriceChange) => ask<FoodsView>('PATCH', '/prices', change),
    onSuccess: (foods) => client.setQueryData(KEYS.foods, foods),
  });
}
