import { said, twentyPots } from './twenty-pots';

/**
 * Twenty tablets and fifty entries a second for a minute, one in ten pressed twice: each is in its log once, every other
 * tablet sees it, 95 of 100 within 150 ms, and the server holds no more at the end than at the beginning. Fails where a
 * bound is missed.
 */
const TABLETS = 20;
const ENTRIES_A_SECOND = 50;
const SECONDS = 60;
const SEEN_WITHIN_MS = 150;
/** More than this beside a quarter of the way is no more the collector's mood. */
const MOST_GROWTH = 1.3;

const { address, ask, batches, heldBytes, end } = await twentyPots();

/** When each entry was said, and by which tablets it was seen, ms later. */
const saidAt = new Map<string, number>();
const seenMs: number[] = [];
const seen = Array.from({ length: TABLETS }, () => new Map<string, number>());
const stop = new AbortController();

async function watch(tablet: number): Promise<void> {
  const answer = await fetch(`${address}/api/live`, { signal: stop.signal });
  const text = new TextDecoder();
  let rest = '';
  for await (const part of answer.body as unknown as AsyncIterable<Uint8Array>) {
    const frames = (rest + text.decode(part, { stream: true })).split('\n\n');
    rest = frames.pop()!;
    for (const frame of frames) {
      const data = /^data: (.*)$/m.exec(frame)?.[1];
      const message = data && JSON.parse(data);
      if (message?.kind !== 'event') continue;
      const { id } = message.event;
      seen[tablet]!.set(id, (seen[tablet]!.get(id) ?? 0) + 1);
      const at = saidAt.get(id);
      if (at !== undefined) seenMs.push(performance.now() - at);
    }
  }
}
for (let tablet = 0; tablet < TABLETS; tablet++) watch(tablet).catch(() => {});
await new Promise((resolve) => setTimeout(resolve, 1000));

const sent: Promise<unknown>[] = [];
const idsOf = new Map(batches.map((batch) => [batch.id, [] as string[]]));
let quarterBytes = 0;
const startMs = performance.now();
for (let n = 0; n < ENTRIES_A_SECOND * SECONDS; n++) {
  const waitMs = startMs + (1000 * n) / ENTRIES_A_SECOND - performance.now();
  if (waitMs > 0) await new Promise((resolve) => setTimeout(resolve, waitMs));
  if (n === (ENTRIES_A_SECOND * SECONDS) / 4) quarterBytes = await heldBytes();
  const { id: batchId } = batches[n % batches.length]!;
  const entry = n % 3 === 0 ? said('looked', { stageId: 'reduce' }) : said('note', { text: `entry ${n}` });
  idsOf.get(batchId)!.push(entry.id);
  saidAt.set(entry.id, performance.now());
  const press = () => ask('POST', `/batches/${batchId}/events`, entry);
  sent.push(press());
  if (n % 10 === 0) sent.push(press());
}
await Promise.all(sent);
await new Promise((resolve) => setTimeout(resolve, 1500));
const endBytes = await heldBytes();
stop.abort();

let lost = 0;
let doubled = 0;
for (const [batchId, ids] of idsOf) {
  const { events } = await ask('GET', `/batches/${batchId}`);
  const times = new Map<string, number>();
  for (const { id } of events as { id: string }[]) times.set(id, (times.get(id) ?? 0) + 1);
  for (const id of ids) {
    if (!times.has(id)) lost += 1;
    if ((times.get(id) ?? 0) > 1) doubled += 1;
  }
}
const unseen = seen.reduce(
  (sum, one) => sum + [...saidAt.keys()].filter((id) => one.get(id) !== 1).length,
  0,
);
end();

const p95 = seenMs.sort((a, b) => a - b)[Math.floor(seenMs.length * 0.95)]!;
const growth = endBytes / quarterBytes;
const failures = [
  [lost > 0, `${lost} of ${saidAt.size} entries lost (wanted none)`],
  [doubled > 0, `${doubled} doubled (wanted none)`],
  [unseen > 0, `${unseen} not seen once by a tablet (wanted none)`],
  [p95 > SEEN_WITHIN_MS, `seen after ${p95.toFixed(0)} ms at p95 (at most ${SEEN_WITHIN_MS})`],
  [
    growth > MOST_GROWTH,
    `memory ${(endBytes / 1e6).toFixed(0)} MB, ${growth.toFixed(2)} times that of a quarter of the way (at most ${MOST_GROWTH})`,
  ],
] as const;
console.log(`${TABLETS} tablets, ${ENTRIES_A_SECOND} entries a second for ${SECONDS} s`);
for (const [isMissed, what] of failures) console.log(`${isMissed ? '✕' : ' '} ${what}`);
if (failures.some(([isMissed]) => isMissed)) process.exit(1);
