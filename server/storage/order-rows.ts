import { and, asc, eq, gt, isNull } from 'drizzle-orm';
import { renamed } from '../../core/log';
import type { OrderRequest } from '../../core/order';
import { orders } from './schema';
import type { Db, Tx } from './storage';

/** The version an order is written in. */
const ORDER_VERSION = 2;

export interface OrderRow {
  id: string;
  request: OrderRequest;
  createdAtMs: number;
  batchId: string | null;
  cancelledAtMs: number | null;
}

/** 1 → 2: `despite` became `overrideReason`. */
const withReason = renamed({ despite: 'overrideReason' });

function orderOf({ v, request, ...row }: typeof orders.$inferSelect): OrderRow {
  const today = v === 1 ? withReason(request as object) : request;
  return { ...row, request: today as OrderRequest };
}

/** Orders for after a moment, not cooked and not cancelled yet, the next first. */
export function openOrderRows(db: Db, afterMs: number): OrderRow[] {
  return db
    .select()
    .from(orders)
    .where(and(isNull(orders.batchId), isNull(orders.cancelledAtMs), gt(orders.serviceAtMs, afterMs)))
    .orderBy(asc(orders.serviceAtMs), asc(orders.id))
    .all()
    .map(orderOf);
}

export function orderRow(db: Db, id: string): OrderRow | undefined {
  const row = db.select().from(orders).where(eq(orders.id, id)).get();
  return row && orderOf(row);
}

export function insertOrder(tx: Tx, order: { id: string; request: OrderRequest; createdAtMs: number }): void {
  tx.insert(orders)
    .values({ ...order, serviceAtMs: order.request.serviceAtMs, v: ORDER_VERSION })
    .run();
}

export function cancelOrder(tx: Tx, id: string, cancelledAtMs: number): void {
  tx.update(orders).set({ cancelledAtMs }).where(eq(orders.id, id)).run();
}

export function orderCookedAs(tx: Tx, id: string, batchId: string): void {
  tx.update(orders).set({ batchId }).where(eq(orders.id, id)).run();
}
