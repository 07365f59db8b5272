import { type HeatTest, type HeatTestResult, heatTestResult } from '../kitchen';
import type { Pot } from '../plan';
import { type Decision, refused } from './decision';
import type { Refusal } from './refusal';
import { refuseNobody } from './refuse-signed';

/** A thing of the kitchen as the rules see it. */
export interface KnownItem {
  id: string;
  name: string;
  isRetired: boolean;
  /** the one it was merged with; null for none */
  mergedInto: string | null;
}

/** What the rules ask of the kitchen before it is changed. */
export interface ItemFacts {
  /** all of a kind, retired or not */
  items: (kind: string) => readonly KnownItem[];
  /** what is cooking in a pot or on a burner, by id */
  busyPots: ReadonlyMap<string, string>;
  busyBurners: ReadonlyMap<string, string>;
}

/**
 * Whether a thing may be saved: under a name that no other of its kind has, a burner with pots that are there.
 *
 * @param item of a kind; new, or in the place of the one with its id
 */
export function decideSave(
  facts: ItemFacts,
  kind: string,
  item: { id: string; name: string; potIds?: readonly string[] },
): Decision<object> {
  const merged = mergedOf(facts, kind, item.id);
  if (merged) return refused({ field: 'item.id', ...merged });
  const refusals: Refusal[] = [];
  if (isNameTaken(facts, kind, item))
    refusals.push({ field: 'item.name', code: 'itemNameTaken', kind, name: item.name });
  const pots = new Set(facts.items('pot').map((one) => one.id));
  const strange = item.potIds?.find((id) => !pots.has(id));
  if (strange !== undefined)
    refusals.push({ field: 'item.potIds', code: 'unknownItem', kind: 'pot', itemId: strange });
  return refusals.length > 0 ? refused(...refusals) : { ok: true };
}

/** Whether a thing may be retired: not while something cooks in it or on it. */
export function decideRetire(facts: ItemFacts, kind: string, itemId: string): Decision<object> {
  const item = standing(facts, kind, itemId);
  if (!item) return refused({ field: 'itemId', code: 'unknownItem', kind, itemId });
  const by = busyWith(facts, kind, itemId);
  return by === undefined
    ? { ok: true }
    : refused({ field: 'itemId', code: 'itemBusy', name: item.name, by });
}

/** Whether a retired thing may be used again: under its name, unless another has it now. */
export function decideRestore(facts: ItemFacts, kind: string, itemId: string): Decision<object> {
  const item = facts.items(kind).find((one) => one.id === itemId && one.isRetired);
  if (!item) return refused({ field: 'itemId', code: 'unknownItem', kind, itemId });
  const merged = mergedOf(facts, kind, itemId);
  if (merged) return refused({ field: 'itemId', ...merged });
  if (isNameTaken(facts, kind, item))
    return refused({ field: 'itemId', code: 'itemNameTaken', kind, name: item.name });
  return { ok: true };
}

/** Whether two things that are one may be merged: both there, neither with something on it. */
export function decideMerge(
  facts: ItemFacts,
  kind: string,
  { itemId, intoId }: { itemId: string; intoId: string },
): Decision<object> {
  const into = standing(facts, kind, intoId);
  if (!into) return refused({ field: 'intoId', code: 'unknownItem', kind, itemId: intoId });
  if (itemId === intoId) return refused({ field: 'intoId', code: 'mergedWithItself', name: into.name });
  return decideRetire(facts, kind, itemId);
}

/** A burner's rating, a pot and the kitchen's air: what a test with water is held against. */
export interface TestFacts {
  pot: Pot | undefined;
  burner: { powerW: number; efficiency: number } | undefined;
  kitchen: { altitudeM: number; airTempC: number; relativeHumidity: number };
}

/** More than this share of the rating cannot arrive, and less than that is a slip: as a share. Common practice. */
const ARRIVES = { most: 1.05, least: 0.02 } as const;

/** What a test with water has shown, or why it cannot have been so. */
export function decideHeatTest(
  { pot, burner, kitchen }: TestFacts,
  test: HeatTest & { potId: string; burnerId: string },
): Decision<{ result: HeatTestResult }> {
  const unknown = (kind: string, itemId: string) =>
    refused({ field: `test.${kind}Id`, code: 'unknownItem', kind, itemId });
  if (!pot) return unknown('pot', test.potId);
  if (!burner) return unknown('burner', test.burnerId);
  try {
    const { vessel, emptyMassKg } = pot;
    const result = heatTestResult(test, { vessel, emptyMassKg, burner, kitchen });
    const kW = result.waterKW + result.potKW + result.lostKW;
    const ratedKW = (burner.powerW * test.fraction) / 1000;
    if (kW > ARRIVES.most * ratedKW || kW < ARRIVES.least * ratedKW)
      return refused({ field: 'test.minutes', code: 'testFarOff', kW, ratedKW });
    return { ok: true, result };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    const argument = /^\w+/.exec(error.message)?.[0] ?? '';
    return refused({ field: `test.${argument}`, code: 'testCannotBe', argument, why: error.message });
  }
}

/** Who works here, and which day it is, as the kitchen's calendar writes it. */
export interface SigningFacts {
  people: readonly { name: string; role: string }[];
  today: string;
  /** it is in the calendar */
  isDay: boolean;
}

/** Whether a day may be signed: by who is in charge, where the kitchen says who is, and not before it has come. */
export function decideSigning(
  { people, today, isDay }: SigningFacts,
  { day, by }: { day: string; by: string },
): Decision<object> {
  if (!isDay) return refused({ field: 'day', code: 'noDay', day });
  if (day > today) return refused({ field: 'day', code: 'dayToCome', day });
  const inCharge = people.flatMap(({ name, role }) => (role === 'inCharge' ? [name] : []));
  const stranger = refuseNobody(
    people.map((one) => one.name),
    'by',
    by,
  );
  if (stranger) return refused(stranger);
  return inCharge.length === 0 || inCharge.includes(by)
    ? { ok: true }
    : refused({ field: 'by', code: 'notInCharge', by, people: inCharge });
}

function standing(facts: ItemFacts, kind: string, itemId: string): KnownItem | undefined {
  return facts.items(kind).find((one) => one.id === itemId && !one.isRetired);
}

/** Merged with another it is no thing of its own any more: what it has shown is counted as the other's. */
function mergedOf(facts: ItemFacts, kind: string, itemId: string) {
  const items = facts.items(kind);
  const item = items.find((one) => one.id === itemId);
  const into = item && items.find((one) => one.id === item.mergedInto);
  return into ? { code: 'itemMerged' as const, name: item.name, into: into.name } : null;
}

function busyWith(facts: ItemFacts, kind: string, itemId: string): string | undefined {
  if (kind === 'pot') return facts.busyPots.get(itemId);
  if (kind === 'burner') return facts.busyBurners.get(itemId);
  return undefined;
}

function isNameTaken(facts: ItemFacts, kind: string, item: { id: string; name: string }): boolean {
  const same = (name: string) => name.trim().toLowerCase() === item.name.trim().toLowerCase();
  return facts.items(kind).some((one) => one.id !== item.id && !one.isRetired && same(one.name));
}
