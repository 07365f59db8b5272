import type { APIRequestContext } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import type { BatchView, KitchenView } from '../contract';

/**
 * A pot filled hot and stored hot, to be cooled.
 *
 * @param of litres stored, of a pot of so many portions
 */
export async function hotLot(
  request: APIRequestContext,
  url: string,
  of: { portions: number; litres: number; potId?: string; burnerId?: string },
): Promise<{ lotId: string; batchId: string }> {
  const kitchen: KitchenView = await (await request.get(`${url}/api/kitchen`)).json();
  const said = async (path: string, data: object) => {
    const answer = await request.post(`${url}/api${path}`, { data });
    if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
    return answer.json();
  };
  const batch: BatchView = await said('/batches', {
    id: uuid(),
    recipeId: 'beetroot-barley-broth',
    portions: of.portions,
    portionMl: 300,
    saltPercent: 0.85,
    band: 0,
    serviceAtMs: kitchen.clock.kitchenFromMs + 3 * 3_600_000,
    potId: of.potId ?? 'stockpot-40',
    burnerId: of.burnerId ?? 'gas-2',
    overrideReason: 'from another kitchen',
  });
  const items = batch.snapshot.plan.lines
    .filter((line) => !line.perBowl)
    .map(({ ingredientId, lineId, edibleKg }) => ({ ingredientId, lineId, kg: edibleKg, tempC: 88 }));
  const events = `/batches/${batch.id}/events`;
  await said(events, { id: uuid(), type: 'added', v: 3, payload: { items } });
  const lotId = uuid();
  const payload = {
    lotId,
    litres: of.litres,
    place: 'walk-in',
    storage: 'chilled',
    overrideReason: 'for tomorrow',
  };
  await said(events, { id: uuid(), type: 'stored', v: 2, payload });
  return { lotId, batchId: batch.id };
}

/** A lot that is being cooled in too few pans: it stands on the page with its warning. */
export async function coolingLot(request: APIRequestContext, url: string): Promise<string> {
  const { lotId } = await hotLot(request, url, {
    portions: 30,
    litres: 8,
    potId: 'kettle-60',
    burnerId: 'jacket',
  });
  const how = {
    pans: 1,
    areaM2: 0.17225,
    depthCm: 4.6,
    air: 'fan',
    airC: 4,
    placeId: 'walk-in',
    place: 'Walk-in',
  };
  const answer = await request.post(`${url}/api/larder/events`, {
    data: { id: uuid(), type: 'coolingSet', v: 1, payload: { lotId, how } },
  });
  if (!answer.ok()) throw new Error(await answer.text());
  return lotId;
}
