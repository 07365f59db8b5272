import { v5 as uuidOf } from 'uuid';
import { type BatchSnapshot, EVENT_VERSIONS } from '../../core/batch';
import { LARDER_EVENT_VERSIONS } from '../../core/larder';
import type { Chance } from '../../core/testing/chance';
import { isAside } from '../batches/batch-logs';
import { startBatch } from '../batches/start-batch';
import { startPart } from '../batches/start-part';
import { submitEvent } from '../batches/submit-event';
import { shelfView } from '../larder/lot-views';
import { submitLarderEvent } from '../larder/submit-larder-event';
import { ProblemError } from '../problem';
import { openBatchIds } from '../storage';
import type { CommandKitchen } from './command-kitchen';

const NAMESPACE = '018f0000-0000-7000-8000-000000000000';

/** A cook who does anything that a cook may do, in any order, on time or late, and takes things back. */
export class RandomCook {
  readonly said: string[] = [];
  readonly saidOfLarder: string[] = [];
  readonly lots: string[] = [];
  accepted = 0;
  refused = 0;
  #ids = 0;

  constructor(
    readonly kitchen: CommandKitchen,
    readonly chance: Chance,
    readonly name: string,
  ) {}

  id(): string {
    this.#ids += 1;
    return uuidOf(`${this.name} ${this.#ids}`, NAMESPACE);
  }

  /** One thing more; time goes by before it. */
  step(): void {
    const { chance, kitchen } = this;
    kitchen.pass(Math.round(chance.between(1000, chance.isOneIn(12) ? 40 * 60_000 : 6 * 60_000)));
    const open = openBatchIds(kitchen.storage.db);
    this.#tried(() => {
      if (open.length === 0 || (open.length < 2 && chance.isOneIn(6))) this.#start();
      else if (chance.isOneIn(4)) this.#onShelf();
      else this.#atPot(chance.pick(open));
    });
  }

  /** Every batch and the shelf, closed or not, is gone back to now and then. */
  #tried(act: () => void): void {
    try {
      act();
      this.accepted += 1;
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      this.refused += 1;
    }
  }

  #start(): void {
    const { chance, kitchen } = this;
    const id = this.id();
    startBatch(kitchen, {
      id,
      recipeId: 'broth',
      portions: 1 + chance.below(60),
      portionMl: 250,
      saltPercent: 0.8,
      band: 2,
      serviceAtMs: kitchen.clock.nowMs() + 4 * 3_600_000,
      potId: chance.pick(['pot', 'pan']),
      burnerId: chance.pick(['ring', 'plate']),
      overrideReason: 'from the hotel',
    });
  }

  #atPot(batchId: string): void {
    const { chance } = this;
    const batch = this.kitchen.logs.of(batchId);
    if (isAside(batch)) throw new Error(`batch ${batchId} is set aside: ${batch.broken.why}`);
    if (chance.isOneIn(24)) {
      this.#drawPart(batchId);
      return;
    }
    const body = this.#body(batch.row.snapshot, batch.events);
    const ageMs = chance.isOneIn(5) ? Math.round(chance.between(0, 90 * 60_000)) : 0;
    const id = this.id();
    const v = EVENT_VERSIONS.get(body.type)!;
    submitEvent(this.kitchen, batchId, { id, v, ...body, ageMs });
    this.said.push(id);
  }

  #body(
    snapshot: BatchSnapshot,
    events: readonly { id: string; type: string }[],
  ): { type: string; payload: object } {
    const { chance } = this;
    const stageId = () => chance.pick(snapshot.input.recipe.stages).id;
    const food = () => chance.pick(['vegetable-stock', 'carrot', 'flour', 'salt', 'milk', 'butter', 'water']);
    const any = () => chance.pick(events)?.id ?? 'none';
    const readings = () => events.filter((event) => event.type === 'reading');
    const lotId = () => chance.pick(this.lots) ?? 'none';
    const say = (type: string, payload: object) => ({ type, payload });
    switch (chance.below(29)) {
      case 0:
      case 1:
        return say('stageBegun', { stageId: stageId() });
      case 2:
        return say('stageDone', { stageId: stageId() });
      case 3:
      case 4:
      case 5: {
        const line = chance.pick(snapshot.plan.lines);
        const kg = chance.between(0.01, chance.isOneIn(8) ? 30 : 4);
        // what comes out of a freezer goes in first as often as not
        const tempC = chance.isOneIn(4) ? chance.between(-25, -5) : chance.between(2, 90);
        const isLine = chance.isOneIn(2);
        const item = { ingredientId: isLine ? line.ingredientId : food(), kg, tempC };
        const ofLine = isLine
          ? { lineId: line.lineId, ...(line.comesOut ? { comesOut: line.comesOut } : {}) }
          : {};
        const ofLot = chance.isOneIn(2) && this.lots.length > 0 ? { lotId: lotId() } : {};
        return say('added', { items: [{ ...item, ...ofLine, ...ofLot }] });
      }
      case 6:
        return say('heatSet', { fraction: Math.round(chance.uniform() * 10) / 10 });
      case 7:
        return say('lidSet', { lid: chance.pick(['off', 'ajar', 'on']) });
      case 8:
      case 9:
      case 10:
        return say('reading', this.#reading());
      case 11:
        return say('answered', {
          eventId: chance.pick(readings())?.id ?? any(),
          believed: chance.isOneIn(2),
        });
      case 12:
        if (chance.isOneIn(3))
          return say('tested', { test: 'spoon', value: chance.below(5), tempC: chance.between(40, 95) });
        if (chance.isOneIn(3))
          return say('tasted', {
            says: { [chance.pick(['salt', 'acid', 'umami'])]: chance.pick(['more', 'right', 'tooMuch']) },
          });
        if (chance.isOneIn(4)) return say('pureed', { share: chance.between(0.05, 1) });
        if (chance.isOneIn(3)) return say('metered', { meter: 'salinity', value: chance.between(0.1, 3) });
        return say('looked', { stageId: stageId() });
      case 13:
        return chance.isOneIn(2) ? say('snoozed', { minutes: 2 }) : say('note', { text: 'smells of leek' });
      case 14:
        return say('targetSet', {
          target: chance.pick([
            { kind: 'litres', litres: chance.between(1, 12) },
            { kind: 'gone', fraction: chance.between(0.05, 0.9) },
            { kind: 'brix', brix: chance.between(1, 30) },
            { kind: 'salt', percent: chance.between(0.2, 4) },
            { kind: 'band', band: chance.between(1, 6) },
          ]),
        });
      case 15:
        return say('removed', { word: 'bay', count: 1, fate: chance.pick(['thrown', 'parked']) });
      case 16:
        return say('lifted', { ingredientId: 'carrot', kg: chance.between(0.05, 2), fate: 'parked' });
      case 17: {
        const lifted = events.filter((event) => event.type === 'lifted' || event.type === 'removed');
        return say('returned', {
          liftedId: chance.pick(lifted)?.id ?? any(),
          kg: chance.between(0.05, 2),
          tempC: 20,
        });
      }
      case 18:
        return say('pouredOff', { what: chance.pick(['fat', 'liquid']), kg: chance.between(0.01, 3) });
      case 19:
        return say(
          'slip',
          chance.pick([
            { kind: 'tooMuch', ingredientId: 'salt', kg: chance.between(0.01, 0.3), tempC: 18 },
            { kind: 'wrongPot', ingredientId: 'milk', kg: chance.between(0.1, 2), tempC: 5 },
            { kind: 'forgot', lineId: chance.pick(snapshot.plan.lines).lineId },
            { kind: 'trouble', trouble: 'boiledOver', lostKg: chance.between(0, 3) },
          ]),
        );
      case 20:
        return say('moved', { potId: chance.pick(['pot', 'pan']), burnerId: chance.pick(['ring', 'plate']) });
      case 21:
        return chance.isOneIn(2)
          ? this.#atPass(events)
          : say('portioned', {
              portions: 1 + chance.below(30),
              fate: chance.pick(['served', 'discarded']),
              overrideReason: 'said why',
            });
      case 22: {
        if (chance.isOneIn(3)) return say('closed', { leftLitres: chance.between(0, 5) });
        const lot = this.id();
        this.lots.push(lot);
        return say('stored', {
          lotId: lot,
          litres: chance.between(0.1, 6),
          place: 'walk-in',
          storage: chance.pick(['chilled', 'frozen']),
          overrideReason: 'said why',
        });
      }
      case 23:
      case 24:
      case 25:
        return this.#atPass(events);
      case 26:
      case 27:
        return chance.isOneIn(3)
          ? say('stageBegun', { stageId: snapshot.input.recipe.stages.at(-1)!.id, overrideReason: 'x' })
          : this.#held();
      default:
        return say('undone', { eventId: chance.isOneIn(3) ? (chance.pick(this.said) ?? any()) : any() });
    }
  }

  #atPass(events: readonly { id: string; type: string }[]): { type: string; payload: object } {
    const { chance } = this;
    const kindId = 'bowl';
    const some = (type: string) => chance.pick(events.filter((event) => event.type === type))?.id ?? 'none';
    const items = [{ kindId, count: 1 + chance.below(6) }];
    const orderId = some('asked');
    if (orderId !== 'none' && chance.isOneIn(4))
      return { type: 'askedAnew', payload: { orderId, items: chance.isOneIn(2) ? [] : items } };
    const { type, ...payload } = chance.pick([
      { type: 'takenBack', eventId: some('portioned'), portions: 1 + chance.below(3) },
      { type: 'turnedAway', portions: 1 + chance.below(9) },
      { type: 'coversSet', kindId, count: chance.below(80) },
      { type: 'sizeSet', kindId, ml: 150 + chance.below(200) },
      { type: 'asked', items, freeOf: [chance.pick(['milk', 'celery', 'wheat'])], words: 'table 2' },
      { type: 'garnishReady', lineId: 'cheese', kg: chance.between(0, 2) },
      { type: 'grilled', portions: 1 + chance.below(6), minutes: 4 },
      { type: 'portioned', portions: 1, fate: 'served', orderId, overrideReason: 'x' },
      { type: 'portioned', portions: 1, fate: 'discarded', reason: 'spilled', isOut: true },
    ]);
    return { type, payload };
  }

  /** What is served is held hot, in this or that, or brought back to heat. */
  #held(): { type: string; payload: object } {
    const { chance } = this;
    const { type, ...payload } = chance.pick([
      { type: 'heldHot', in: 'pans', pans: 1 + chance.below(4), keptC: chance.between(50, 90), lid: 'ajar' },
      { type: 'heldHot', in: 'thermos', litres: 1 + chance.below(60), keptC: null, lid: 'on' },
      { type: 'heldHot', in: 'pot', keptC: chance.between(57, 95), lid: 'on' },
      { type: 'reheated', tempC: chance.between(60, 96), by: 'Isla' },
    ]);
    return { type, payload };
  }

  /** Some of a pot into the other one, where that is free. */
  #drawPart(batchId: string): void {
    const { chance, kitchen } = this;
    const eventId = this.id();
    startPart(kitchen, batchId, {
      id: this.id(),
      eventId,
      litres: chance.between(0.2, 6),
      name: 'a part',
      potId: chance.pick(['pot', 'pan']),
      burnerId: chance.pick(['ring', 'plate']),
      kinds: [],
      leaveOut: chance.isOneIn(2) ? ['salt'] : [],
    });
    this.said.push(eventId);
  }

  #reading(): object {
    const { chance } = this;
    return chance.pick([
      { kind: 'depth', value: chance.between(0, 28) },
      { kind: 'litres', value: chance.between(0, 19) },
      { kind: 'temperature', value: chance.between(-5, 103) },
      { kind: 'weight', value: chance.between(0, 25) },
      { kind: 'brix', value: chance.between(0.2, 40) },
      { kind: 'eye', value: chance.between(0, 95) },
    ]);
  }

  #onShelf(): void {
    const [type, payload] = this.#entryOnShelf();
    const { chance, kitchen } = this;
    const id = this.id();
    const ageMs = chance.isOneIn(5) ? Math.round(chance.between(0, 3 * 3_600_000)) : 0;
    submitLarderEvent(kitchen, { id, type, v: LARDER_EVENT_VERSIONS.get(type)!, payload, ageMs });
    this.saidOfLarder.push(id);
  }

  #entryOnShelf(): [type: string, payload: object] {
    const { chance, kitchen } = this;
    const shelf = shelfView(kitchen.storage.db, kitchen.clock.nowMs());
    const lot = shelf.length > 0 ? chance.pick(shelf) : null;
    const lotId = lot?.id ?? 'none';
    const some = chance.between(0.05, Math.max(0.1, lot?.leftKg ?? 1));
    const newLot = () => {
      const id = this.id();
      this.lots.push(id);
      return id;
    };
    const place = chance.pick(['walk-in', 'shelf 2', 'freezer']);
    const storage = chance.pick(['chilled', 'frozen']);
    switch (chance.below(14)) {
      case 0:
      case 1:
      case 2:
        return [
          'delivered',
          {
            lotId: newLot(),
            ingredientId: chance.pick(['vegetable-stock', 'carrot', 'milk', 'mussel']),
            kg: chance.between(0.5, 20),
            supplier: 'Somebody',
            arrivedC: chance.between(-2, 9),
            tag: 'T 1',
            place,
            storage,
          },
        ];
      case 3:
        return [
          'found',
          {
            lotId: newLot(),
            ingredientId: 'vegetable-stock',
            kg: chance.between(0.5, 9),
            madeAtMs: kitchen.clock.nowMs() - 86_400_000,
            place,
            storage,
            note: 'behind the milk',
          },
        ];
      case 4:
        return ['moved', { lotId, place }];
      case 5:
        return [chance.pick(['frozen', 'thawed']), { lotId, place }];
      case 6:
        return ['split', { lotId, toLotId: newLot(), kg: some, place, storage }];
      case 7: {
        const others = shelf.filter((one) => one.id !== lotId).slice(0, 1 + chance.below(3));
        const parts = [...(lot ? [lot] : []), ...others].map((one) => ({
          lotId: one.id,
          kg: Math.max(0.001, one.leftKg * chance.between(0.1, 1)),
        }));
        return [
          'blended',
          {
            toLotId: newLot(),
            name: 'Blend',
            parts,
            waterKg: chance.between(0, 3),
            place,
            storage: 'chilled',
          },
        ];
      }
      case 8:
        return ['fatLifted', { lotId, kg: Math.min(some, 0.2) }];
      case 9:
        return [
          'lotRead',
          chance.pick([
            { lotId, kind: 'brix', value: chance.between(1, 30) },
            { lotId, kind: 'salt', value: chance.between(0, 5) },
            { lotId, kind: 'set', sets: chance.isOneIn(2) },
            { lotId, kind: 'temperature', value: chance.between(-5, 90), sure: true },
          ]),
        ];
      case 10:
        return ['discarded', { lotId, kg: some, reason: 'smells' }];
      case 11:
        return chance.isOneIn(2)
          ? ['lotReheated', { lotId, tempC: chance.between(70, 95), by: 'Isla' }]
          : [
              'coolingSet',
              {
                lotId,
                how: {
                  pans: 1 + chance.below(6),
                  areaM2: 0.172,
                  depthCm: chance.between(1, 9),
                  air: chance.pick(['still', 'fan', 'ice']),
                  airC: chance.between(0, 5),
                  placeId: chance.pick(['walk-in', 'ice']),
                  place,
                },
              },
            ];
      case 12:
        return ['counted', { lotId, kg: chance.between(0, 12), note: 'by eye' }];
      default:
        return chance.isOneIn(3)
          ? ['usePast', { lotId, reason: 'boiled', by: 'Isla' }]
          : ['undone', { eventId: chance.pick(this.saidOfLarder) ?? 'none' }];
    }
  }
}
