import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import * as schema from './schema';

export type Database = ReturnType<typeof drizzle<typeof schema>>;

export interface OpenDatabase {
  db: Database;
  client: Client;
  close(): void;
}

/** Opens the kitchen's file in a folder (made if missing), sets its pragmas, brings its tables up to date. */
export async function openDatabase(folder: string, migrationsFolder: string): Promise<OpenDatabase> {
  mkdirSync(folder, { recursive: true });
  const client = createClient({ url: `file:${join(folder, 'slow-pot.db')}` });
  for (const pragma of [
    'journal_mode = WAL',
    'synchronous = FULL',
    'foreign_keys = ON',
    'busy_timeout = 200',
  ]) {
    await client.execute(`PRAGMA ${pragma}`);
  }
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder });
  return { db, client, close: () => client.close() };
}
