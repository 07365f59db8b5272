import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { FieldError } from '../../../contract';

/** An event on its way to the server. It stays here, through reloads, until the server has answered for it. */
export interface Waiting {
  /** the order in which things were said, over all tabs */
  n: number;
  id: string;
  /** the batch it was said of, or `LARDER` */
  batchId: string;
  type: string;
  /** the version its type had when it was said */
  v: number;
  payload: unknown;
  /** when it happened, by this browser's clock */
  actedBrowserMs: number;
  /** what was said in one go shares this */
  groupId: string;
  /** a person has confirmed that it was so long ago */
  isConfirmed: boolean;
  /** the server's no, shown in the tray; it does not hold up the others */
  refused: FieldError[] | null;
}

export type NewWaiting = Omit<Waiting, 'n'>;

interface OutboxSchema extends DBSchema {
  waiting: { key: number; value: Waiting; indexes: { id: string } };
}

/** What waits, over all tabs of this browser, in the order it was said. */
export interface OutboxStore {
  all(): Promise<Waiting[]>;
  add(items: readonly NewWaiting[]): Promise<void>;
  /** sets fields of one that is there still */
  change(id: string, part: Partial<Waiting>): Promise<void>;
  remove(ids: readonly string[]): Promise<void>;
}

/** In IndexedDB; in memory where a browser has none, as in a private window: then a reload loses what waits. */
export async function openOutboxStore(): Promise<OutboxStore> {
  try {
    return inIndexedDb(
      await openDB<OutboxSchema>('slow-pot', 1, {
        upgrade(db) {
          const store = db.createObjectStore('waiting', { keyPath: 'n', autoIncrement: true });
          store.createIndex('id', 'id', { unique: true });
        },
      }),
    );
  } catch {
    return inMemory();
  }
}

function inIndexedDb(db: IDBPDatabase<OutboxSchema>): OutboxStore {
  return {
    all: () => db.getAll('waiting'),
    async add(items) {
      const turn = db.transaction('waiting', 'readwrite', { durability: 'strict' });
      for (const item of items) await turn.store.add(item as Waiting);
      await turn.done;
    },
    async change(id, part) {
      const turn = db.transaction('waiting', 'readwrite');
      const item = await turn.store.index('id').get(id);
      if (item) await turn.store.put({ ...item, ...part });
      await turn.done;
    },
    async remove(ids) {
      const turn = db.transaction('waiting', 'readwrite');
      for (const id of ids) {
        const n = await turn.store.index('id').getKey(id);
        if (n !== undefined) await turn.store.delete(n);
      }
      await turn.done;
    },
  };
}

function inMemory(): OutboxStore {
  let items: Waiting[] = [];
  let last = 0;
  return {
    all: async () => items,
    async add(more) {
      for (const item of more) {
        last += 1;
        items = [...items, { ...item, n: last }];
      }
    },
    async change(id, part) {
      items = items.map((item) => (item.id === id ? { ...item, ...part } : item));
    },
    async remove(ids) {
      items = items.filter((item) => !ids.includes(item.id));
    },
  };
}
