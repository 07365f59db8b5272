import { and, eq, isNull, ne } from 'drizzle-orm';
import type { BatchEvent, BatchEventBody, BatchSnapshot } from '../../core/batch';
import { activeEvents } from '../../core/log';
import { impossible } from '../problem';
import type { ServerContext } from '../server-context';
import { batches, burners, pots } from '../storage/schema';

type Move = Extract<BatchEventBody, { type: 'moved' }>['payload'];

/** Refuses a move to a pot or burner this kitchen has not, or on which another batch stands. */
export async function refuseTaken(context: ServerContext, batchId: string, move: Move): Promise<void> {
  const [pot] = await context.db.select().from(pots).where(eq(pots.id, move.pot.id));
  if (!pot) throw impossible('payload.pot', `There is no pot “${move.pot.id}” in this kitchen.`);
  const [burner] = await context.db.select().from(burners).where(eq(burners.id, move.burner.id));
  if (!burner) throw impossible('payload.burner', `There is no burner “${move.burner.id}” in this kitchen.`);
  if (!burner.potIds.includes(pot.id))
    throw impossible('payload.burner', `The ${pot.name} does not go on ${burner.name}.`);
  const others = await context.db
    .select()
    .from(batches)
    .where(and(isNull(batches.closedAtMs), ne(batches.id, batchId)));
  if (others.some((one) => one.potId === pot.id))
    throw impossible('payload.pot', `The ${pot.name} is in use.`);
  if (others.some((one) => one.burnerId === burner.id))
    throw impossible(
      'payload.burner',
      `${burner.name} is in use.`.replace(/^./, (c) => c.toUpperCase()),
    );
}

/** The batch stands there from now on. */
export async function moveOver(
  context: ServerContext,
  batchId: string,
  move: Pick<Move, 'pot' | 'burner'>,
): Promise<void> {
  const there = { potId: move.pot.id, burnerId: move.burner.id };
  await context.db.update(batches).set(there).where(eq(batches.id, batchId));
}

/** After an undo the batch stands where the moves that still hold have put it. */
export async function putBack(
  context: ServerContext,
  batchId: string,
  snapshot: BatchSnapshot,
  log: readonly BatchEvent[],
): Promise<void> {
  if (!log.some((event) => event.type === 'moved')) return;
  const last = activeEvents(log).findLast((event) => event.type === 'moved');
  await moveOver(context, batchId, last ? last.payload : snapshot.input);
}
