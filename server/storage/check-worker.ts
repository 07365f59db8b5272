import { parentPort, workerData } from 'node:worker_threads';
import Database from 'better-sqlite3';
import { quickCheck } from './open-storage';

/** Checks a large file beside the work, with a connection of its own. */
const client = new Database(workerData as string, { readonly: true });
parentPort?.postMessage(quickCheck(client));
client.close();
