import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import express from 'express';

/** The least a kept entry can cost: Express reads it, the driver writes its row, and it is on the disk. */
const folder = mkdtempSync(join(tmpdir(), 'slow-pot-floor-'));
const db = new Database(join(folder, 'floor.db'));
db.exec(
  'PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; CREATE TABLE events (seq INTEGER PRIMARY KEY AUTOINCREMENT, id TEXT UNIQUE, batchId TEXT, type TEXT, v INTEGER, payload TEXT, actedAtMs INTEGER, receivedAtMs INTEGER, clientAtMs INTEGER, by TEXT, device TEXT, flag TEXT); CREATE INDEX by_batch ON events (batchId, seq)',
);
const insert = db.prepare(
  'INSERT INTO events (id, batchId, type, v, payload, actedAtMs, receivedAtMs, clientAtMs, by, device, flag) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
);
const app = express();
app.use(express.json({ limit: '200kb' }));
app.post('/api/batches/:id/events', (request, response) => {
  const { id, type, v, payload } = request.body;
  const now = Date.now();
  db.exec('BEGIN IMMEDIATE');
  insert.run(id, request.params.id, type, v, JSON.stringify(payload), now, now, now, null, null, null);
  db.exec('COMMIT');
  response.status(201).json({ id, type, v, payload, actedAtMs: now });
});
const server = app.listen(0, '127.0.0.1', () => {
  const at = server.address();
  process.send?.({ address: `http://127.0.0.1:${typeof at === 'object' && at ? at.port : 0}` });
});
process.on('message', () => {
  server.closeAllConnections();
  server.close();
  db.close();
  rmSync(folder, { recursive: true });
  process.exit(0);
});
