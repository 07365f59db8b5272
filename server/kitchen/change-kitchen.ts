import {
  CODE_LIMITS,
  dayBounds,
  dayOf,
  ITEM_KINDS,
  type ItemKind,
  isLaxer,
  type KeepingLimits,
  type KitchenChange,
  type KitchenFile,
  type KitchenView,
  LIMIT_NAMES,
} from '../../contract';
import {
  type Decision,
  decideHeatTest,
  decideMerge,
  decideRestore,
  decideRetire,
  decideSave,
  decideSigning,
  type ItemFacts,
  type Refusal,
} from '../../core/rules';
import { type Measures, measuresOf } from '../../core/units';
import type { CommandContext } from '../command-context';
import { refusedBy } from '../problem';
import { isSaidAgain } from '../said-before';
import {
  allItemRows,
  chainHead,
  insertKitchenLog,
  itemRow,
  itemRows,
  type KitchenRow,
  kitchenLogRow,
  learnTest,
  mergeLearned,
  openPlaces,
  putItem,
  setItem,
  startRatesAnew,
  type Tx,
  unlearn,
  updateKitchen,
} from '../storage';
import { kitchenFile } from './kitchen-file';
import { kitchenView, saidIn, settingsOf } from './kitchen-view';

/** The version of a change in the kitchen's log. */
const VERSION = 1;

/**
 * Changes the kitchen, one thing at a time, and keeps in its log what was said and what stood there before. The same said
 * again changes nothing.
 *
 * @throws ProblemError 422 with each reason, 409 for an id that said something else
 */
export function changeKitchen(context: CommandContext, said: KitchenChange): KitchenView {
  const { storage, clock, live } = context;
  const { id, by, ...change } = said;
  const nowMs = clock.nowMs();
  const isNew = storage.transact((tx) => {
    const stands = kitchenLogRow(tx, id);
    if (isSaidAgain('A change', id, stands && asSaid(stands.payload), change)) return false;
    const done = made(tx, said, nowMs);
    if (!done.ok) throw refusedBy(done.refusals, saidIn(tx));
    insertKitchenLog(tx, {
      id,
      type: change.change,
      v: VERSION,
      payload: { ...change, ...done.result },
      before: done.before ?? null,
      actedAtMs: nowMs,
      by: by ?? null,
    });
    return true;
  });
  if (isNew) live.publish({ kind: 'kitchen', part: 'settings' });
  return kitchenView(context);
}

/** What a row of the log was asked for: what it came to is the log's own. */
function asSaid(payload: unknown): object {
  const { result: _result, ...change } = payload as { result?: unknown };
  return change;
}

/** What was made of it: what stood there before, and what it came to. */
type Made = Decision<{ before?: unknown; result?: { result: unknown } }>;

function made(tx: Tx, said: KitchenChange, nowMs: number): Made {
  switch (said.change) {
    case 'place': {
      const before = settingsOf(tx);
      const settings = settingsOfPlace(said.place, before.measures);
      if (Object.keys(settings).length > 0) updateKitchen(tx, settings as Partial<typeof before>);
      return { ok: true, before };
    }
    case 'equipment': {
      const { equipment } = settingsOf(tx);
      updateKitchen(tx, { equipment: said.equipment });
      return { ok: true, before: equipment };
    }
    case 'limits':
      return limitsSet(tx, said, nowMs);
    case 'save':
      return saved(tx, said, nowMs);
    case 'order':
      return ordered(tx, said);
    case 'retire':
      return ifSo(decideRetire(itemFacts(tx), said.kind, said.itemId), () =>
        setItem(tx, said.kind, said.itemId, { retiredAtMs: nowMs }),
      );
    case 'restore':
      return ifSo(decideRestore(itemFacts(tx), said.kind, said.itemId), () =>
        setItem(tx, said.kind, said.itemId, { retiredAtMs: null }),
      );
    case 'merge':
      return ifSo(decideMerge(itemFacts(tx), said.kind, said), () => {
        setItem(tx, said.kind, said.itemId, { retiredAtMs: nowMs, mergedInto: said.intoId });
        mergeLearned(tx, said.itemId, said.intoId);
      });
    case 'heatTest':
      return tested(tx, said, nowMs);
    case 'forgetHeatTest':
      return forgotten(tx, said.testId);
    case 'import':
      return imported(tx, said.file as KitchenFile);
    case 'checked':
      return checkedThermometer(tx, said);
    case 'daySigned':
      return signed(tx, said, nowMs);
  }
}

function ifSo(decision: Decision<object>, work: () => void): Made {
  if (decision.ok) work();
  return decision;
}

/** The things of the kitchen and what is cooking, read as far as they are asked for. */
function itemFacts(tx: Tx): ItemFacts {
  return {
    items: (kind) =>
      allItemRows(tx, kind as ItemKind).map(({ id, doc, retiredAtMs, mergedInto }) => ({
        id,
        name: doc.name,
        isRetired: retiredAtMs !== null,
        mergedInto,
      })),
    get busyPots() {
      return new Map(openPlaces(tx, '').map((one) => [one.potId, one.name ?? 'a batch']));
    },
    get busyBurners() {
      return new Map(openPlaces(tx, '').map((one) => [one.burnerId, one.name ?? 'a batch']));
    },
  };
}

function saved(tx: Tx, said: Extract<KitchenChange, { change: 'save' }>, nowMs: number): Made {
  const { kind, item } = said;
  const decision = decideSave(itemFacts(tx), kind, item);
  if (!decision.ok) return decision;
  const before = itemRow(tx, kind, item.id)?.doc;
  putItem(tx, kind, item);
  if (kind === 'pot' && said.learned === 'anew') {
    setItem(tx, kind, item.id, { learnsFromMs: nowMs });
    startRatesAnew(tx, item.id);
  }
  if (kind === 'pot') standOn(tx, item.id, said.burnerIds, before === undefined);
  return { ok: true, before };
}

/** On the burners that are named; a new pot of which none are, on every burner but a jacket, which is of one pot. */
function standOn(tx: Tx, potId: string, burnerIds: readonly string[] | undefined, isNew: boolean): void {
  for (const burner of itemRows(tx, 'burner')) {
    const others = burner.potIds.filter((id) => id !== potId);
    const stands = burnerIds?.includes(burner.id) ?? (isNew ? burner.kind !== 'steam' : null);
    if (stands === null) continue;
    putItem(tx, 'burner', { ...burner, potIds: stands ? [...others, potId] : others });
  }
}

function ordered(tx: Tx, { kind, itemIds }: Extract<KitchenChange, { change: 'order' }>): Made {
  const before = itemRows(tx, kind).map((one) => one.id);
  const strange = itemIds.find((id) => !before.includes(id));
  if (strange !== undefined)
    return { ok: false, refusals: [{ field: 'itemIds', code: 'unknownItem', kind, itemId: strange }] };
  const all = [...new Set([...itemIds, ...before])];
  for (const [position, id] of all.entries()) setItem(tx, kind, id, { position });
  return { ok: true, before };
}

/** Laxer than the code only with a reason, and by name. */
function limitsSet(tx: Tx, said: Extract<KitchenChange, { change: 'limits' }>, nowMs: number): Made {
  const { limits: before, limitReasons } = settingsOf(tx);
  const { limits, reason, by } = said;
  const laxer = LIMIT_NAMES.filter((name) => isLaxer(name, limits[name]));
  const unanswered = laxer.filter((name) => {
    const stands = limitReasons[name] && before[name] === limits[name];
    return !stands && !(reason && by);
  });
  if (unanswered.length > 0)
    return { ok: false, refusals: unanswered.map((name) => laxerLimit(name, limits)) };
  const reasons = Object.fromEntries(
    laxer.map((name) => {
      const isSame = limitReasons[name] && before[name] === limits[name];
      return [name, isSame ? limitReasons[name] : { reason: reason!, by: by!, atMs: nowMs }];
    }),
  );
  updateKitchen(tx, { limits, limitReasons: reasons });
  return { ok: true, before };
}

function laxerLimit(name: keyof KeepingLimits, limits: KeepingLimits): Refusal {
  const { value: allowed, section } = CODE_LIMITS[name];
  return {
    field: `limits.${name}`,
    code: 'laxerThanCode',
    limit: name,
    value: limits[name],
    allowed,
    section,
  };
}

/** What is kept of a place: a system of measures, as older pages and files name it, is its three choices. */
function settingsOfPlace({ units, measures, ...place }: KitchenFile['place'], now: Measures) {
  if (!units && !measures) return place;
  return { ...place, measures: { ...now, ...(units ? measuresOf(units) : {}), ...measures } };
}

/** A kitchen's file, whole or not at all: what has an id here is as the file says, the rest is added. */
function imported(tx: Tx, file: KitchenFile): Made {
  const before = kitchenFile(tx);
  for (const kind of ITEM_KINDS)
    for (const item of file.items[kind] ?? []) {
      const decision = decideSave(itemFacts(tx), kind, item);
      if (!decision.ok) return decision;
      putItem(tx, kind, item);
      setItem(tx, kind, item.id, { retiredAtMs: null });
    }
  const { place, equipment, limits, limitReasons } = file;
  updateKitchen(tx, {
    ...settingsOfPlace(place, settingsOf(tx).measures),
    equipment,
    limits,
    limitReasons,
  } as Partial<KitchenRow>);
  return { ok: true, before };
}

function tested(tx: Tx, { id, test }: Extract<KitchenChange, { change: 'heatTest' }>, nowMs: number): Made {
  const pot = itemRows(tx, 'pot').find((one) => one.id === test.potId);
  const burner = itemRows(tx, 'burner').find((one) => one.id === test.burnerId);
  const decision = decideHeatTest({ pot, burner, kitchen: settingsOf(tx) }, test);
  if (!decision.ok) return decision;
  const { result } = decision;
  learnTest(tx, { id, burnerId: test.burnerId, atMs: nowMs, heatFactor: result.heatFactor });
  return { ok: true, result: { result } };
}

function forgotten(tx: Tx, testId: string): Made {
  const row = kitchenLogRow(tx, testId);
  if (row?.type !== 'heatTest')
    return { ok: false, refusals: [{ field: 'testId', code: 'unknownTest', testId }] };
  unlearn(tx, testId);
  return { ok: true };
}

function checkedThermometer(tx: Tx, said: Extract<KitchenChange, { change: 'checked' }>): Made {
  const { instrumentId, iceC, boilC } = said;
  const found = itemRows(tx, 'instrument').find((one) => one.id === instrumentId);
  const no = (refusal: Refusal): Made => ({ ok: false, refusals: [refusal] });
  if (!found)
    return no({ field: 'instrumentId', code: 'unknownItem', kind: 'instrument', itemId: instrumentId });
  if (found.kind !== 'thermometer')
    return no({ field: 'instrumentId', code: 'notAThermometer', name: found.name });
  if (iceC === undefined && boilC === undefined) return no({ field: 'iceC', code: 'nothingChecked' });
  return { ok: true };
}

/** Signed with what the log came to at that moment: what comes in later, or is changed, shows against it. */
function signed(tx: Tx, said: Extract<KitchenChange, { change: 'daySigned' }>, nowMs: number): Made {
  const { zone } = settingsOf(tx);
  const facts = {
    people: itemRows(tx, 'person'),
    today: dayOf(nowMs, zone),
    isDay: dayBounds(said.day, zone) !== null,
  };
  const decision = decideSigning(facts, said);
  return decision.ok ? { ok: true, result: { result: chainHead(tx) } } : decision;
}
