import type { BatchView, KitchenView } from '../../contract';
import { chowderOrder, said, saidOfShelf } from './say';

/** Every door of the server: a method, a path under /api, and a body as it should be. */
export function doors(
  batch: BatchView,
  kitchen: KitchenView,
  lotId: string,
): [method: string, path: string, body: object | null][] {
  const events = `/batches/${batch.id}/events`;
  const pot = (type: string, payload: object): [string, string, object] => [
    'POST',
    events,
    said(type, payload),
  ];
  const shelf = (type: string, payload: object): [string, string, object] => [
    'POST',
    '/larder/events',
    saidOfShelf(type, payload),
  ];
  const changed = (change: object): [string, string, object] => [
    'POST',
    '/kitchen/changes',
    { id: chowderOrder(kitchen, 0).id, ...change },
  ];
  const get = (path: string): [string, string, null] => ['GET', path, null];
  return [
    ...[
      '/health',
      '/kitchen',
      '/foods',
      '/kitchen/learned',
      '/batches',
      '/batches/open',
      '/batches/last',
    ].map(get),
    ...['/batches/usual', '/lots', '/lots/finished', '/larder/strays', '/orders', '/recipes', '/devices'].map(
      get,
    ),
    ...['/rehearsals', '/log/forecasts', '/prices.csv', '/book.json'].map(get),
    get(`/batches/${batch.id}`),
    get(`/batches/${batch.id}/log`),
    get(`/batches/${batch.id}/lots`),
    get(`/batches/${batch.id}/photos`),
    ['POST', `/batches/${batch.id}/photos/${chowderOrder(kitchen, 0).id}`, {}],
    get(`/lots/${lotId}`),
    get('/recipes/trout-chowder/versions'),
    get('/recipes/trout-chowder/export/jsonld'),
    changed({ change: 'place', place: { altitudeM: 1240, units: 'metric' } }),
    changed({ change: 'save', kind: 'bowl', item: { id: 'b', name: 'b', ml: 400, isOvenProof: false } }),
    changed({ change: 'limits', limits: { ...kitchen.limits, dateMarkDays: 6 } }),
    changed({ change: 'equipment', equipment: { ...kitchen.equipment } }),
    changed({ change: 'order', kind: 'pot', itemIds: [kitchen.pots[0]!.id] }),
    changed({
      change: 'heatTest',
      test: {
        burnerId: kitchen.burners[0]!.id,
        potId: kitchen.burners[0]!.potIds[0]!,
        litres: 3,
        fromC: 15,
        toC: 60,
        minutes: 4,
        fraction: 1,
        lid: 'on',
      },
    }),
    ['PATCH', '/prices', { prices: [{ ingredientId: 'onion', centsPerKg: 95 }] }],
    ['POST', '/clock', { change: 'speed', speed: 1 }],
    ['POST', '/ingredients', { id: 'house-bacon', name: 'Bacon', like: 'bacon', saltPercent: 3 }],
    ['POST', '/batches', chowderOrder(kitchen, 1)],
    ['POST', '/orders', chowderOrder(kitchen, 2)],
    ['POST', '/orders/none/cancel', {}],
    ['POST', '/recipes', { basedOn: 1, recipe: { ...batch.snapshot.input.recipe } }],
    ['POST', '/files/read', { name: 'a.txt', text: 'Soup\n2 leeks' }],
    ['POST', '/files/book', { name: 'a.json', text: '{"format":"slow-pot-book","version":1,"recipes":[]}' }],
    ['POST', '/rehearsals', { id: chowderOrder(kitchen, 0).id, recipeId: 'trout-chowder', calls: [] }],
    ['POST', '/devices', { id: 'p', kind: 'probe', name: 'p', batchId: batch.id }],
    ['DELETE', '/devices/p', null],
    ['POST', '/devices/p/samples', { kind: 'temperature', value: 20 }],
    ['POST', '/simulated-devices', { kind: 'probe', batchId: batch.id, fault: 'none' }],
    pot('added', { items: [{ ingredientId: 'water', kg: 0.1, tempC: 20 }] }),
    pot('heatSet', { fraction: 0.5 }),
    pot('reading', { kind: 'depth', value: 5 }),
    pot('targetSet', { target: { kind: 'litres', litres: 3 } }),
    pot('lifted', { ingredientId: 'potato', kg: 0.1, fate: 'parked' }),
    pot('slip', { kind: 'tooMuch', ingredientId: 'salt', kg: 0.01, tempC: 20 }),
    pot('moved', { potId: 'stockpot-40', burnerId: 'gas-2' }),
    pot('portioned', { portions: 1, fate: 'served', overrideReason: 'x' }),
    pot('stored', {
      lotId: chowderOrder(kitchen, 0).id,
      litres: 0.2,
      place: 'x',
      storage: 'chilled',
      overrideReason: 'x',
    }),
    pot('undone', { eventId: 'none' }),
    pot('answered', { eventId: 'none', believed: true }),
    shelf('moved', { lotId, place: 'x' }),
    shelf('counted', { lotId, kg: 1, note: 'x' }),
    shelf('discarded', { lotId, kg: 0.01, reason: 'x' }),
    shelf('blended', {
      toLotId: chowderOrder(kitchen, 0).id,
      name: 'x',
      parts: [{ lotId, kg: 0.01 }],
      waterKg: 0,
      place: 'x',
      storage: 'chilled',
    }),
  ];
}
