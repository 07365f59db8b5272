import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import * as v from 'valibot';
import { numberField } from '../../../contract';
import { thawHours } from '../../../core/cooling';
import { type LarderEventBody, readingFarOff } from '../../../core/larder';
import type { LotStorage } from '../../../core/matter';
import type { LotView } from '../../../core/views';
import { Button } from '../../components/button';
import { Choice } from '../../components/choice';
import { figure, TypedForm, useTypedForm } from '../../components/form';
import { Sheet } from '../../components/sheet';
import { StorageChoice } from '../../components/storage-choice';
import { Caution, Errors, Soft } from '../../components/text';

import { useMinuteMs } from '../../data/clock';
import { dayAndHour, isPouredLot, lotWords } from '../../words';
import { useKitchenHere } from '../use-kitchen-here';
import { useShelf } from './use-shelf';

/** What can be done to a lot, by name. */
export type LotActId =
  | 'count'
  | 'move'
  | 'split'
  | 'freeze'
  | 'thaw'
  | 'discard'
  | 'brix'
  | 'salt'
  | 'set'
  | 'fat'
  | 'usePast';

interface FieldOf {
  key: string;
  label: string;
  /** an amount of the lot, in its own measure; a figure with its unit; or words */
  kind: 'amount' | 'figure' | 'words';
  unit?: string;
  first?: string;
}

interface LotAct {
  button: string;
  title: string;
  fields: readonly FieldOf[];
  asksStorage?: boolean;
  asksSet?: boolean;
  caution?: string;
  done: string;
  body: (lot: LotView, typed: Typed) => LarderEventBody;
}

interface Typed {
  kg: number;
  figure: number;
  words: Record<string, string>;
  storage: LotStorage;
  sets: boolean;
}

const PLACE = (first: string): FieldOf => ({
  key: 'place',
  label: lotWords.whereItGoes,
  kind: 'words',
  first,
});
const REASON: FieldOf = { key: 'reason', label: lotWords.why, kind: 'words' };
const AMOUNT = (label: string): FieldOf => ({ key: 'kg', label, kind: 'amount' });

export const LOT_ACTS: Readonly<Record<LotActId, LotAct>> = {
  count: {
    button: lotWords.count,
    title: lotWords.whatIsReallyThere,
    fields: [
      AMOUNT(lotWords.thereIs),
      { key: 'note', label: lotWords.aNote, kind: 'words', first: lotWords.stockCount },
    ],
    done: lotWords.saveTheCount,
    body: (lot, { kg, words }) => ({
      type: 'counted',
      payload: { lotId: lot.id, kg, note: words.note! },
    }),
  },
  move: {
    button: lotWords.move,
    title: lotWords.moveIt,
    fields: [PLACE('walk-in')],
    done: lotWords.moveIt,
    body: (lot, { words }) => ({ type: 'moved', payload: { lotId: lot.id, place: words.place! } }),
  },
  split: {
    button: lotWords.splitOff,
    title: lotWords.splitOff,
    fields: [AMOUNT(lotWords.howMuch), PLACE('freezer')],
    asksStorage: true,
    done: lotWords.splitItOff,
    body: (lot, { kg, words, storage }) => ({
      type: 'split',
      payload: { lotId: lot.id, toLotId: uuid(), kg, place: words.place!, storage },
    }),
  },
  freeze: {
    button: lotWords.freeze,
    title: lotWords.freezeIt,
    fields: [PLACE('freezer')],
    caution: lotWords.itsDaysStandStillWhile,
    done: lotWords.freezeIt,
    body: (lot, { words }) => ({ type: 'frozen', payload: { lotId: lot.id, place: words.place! } }),
  },
  thaw: {
    button: lotWords.thaw,
    title: lotWords.thawIt,
    fields: [PLACE('walk-in')],
    caution: lotWords.inTheWalkInNot,
    done: lotWords.thawIt,
    body: (lot, { words }) => ({ type: 'thawed', payload: { lotId: lot.id, place: words.place! } }),
  },
  discard: {
    button: lotWords.throwAway,
    title: lotWords.throwAway,
    fields: [AMOUNT(lotWords.howMuch), REASON],
    done: lotWords.throwItAway,
    body: (lot, { kg, words }) => ({
      type: 'discarded',
      payload: { lotId: lot.id, kg, reason: words.reason! },
    }),
  },
  brix: {
    button: lotWords.readBrix,
    title: lotWords.readItsStrength,
    fields: [{ key: 'figure', label: lotWords.strainedCooledWithoutFat, kind: 'figure', unit: '°Brix' }],
    done: lotWords.saveTheReading,
    body: (lot, { figure }) => ({
      type: 'lotRead',
      payload: { lotId: lot.id, kind: 'brix', value: figure },
    }),
  },
  salt: {
    button: lotWords.readSalt,
    title: lotWords.readItsSalt,
    fields: [{ key: 'figure', label: lotWords.byTheMeter, kind: 'figure', unit: '%' }],
    done: lotWords.saveTheReading,
    body: (lot, { figure }) => ({
      type: 'lotRead',
      payload: { lotId: lot.id, kind: 'salt', value: figure },
    }),
  },
  set: {
    button: lotWords.hasItSet,
    title: lotWords.hasItSetInThe,
    fields: [],
    asksSet: true,
    done: lotWords.save,
    body: (lot, { sets }) => ({ type: 'lotRead', payload: { lotId: lot.id, kind: 'set', sets } }),
  },
  fat: {
    button: lotWords.liftTheFat,
    title: lotWords.liftTheSetFat,
    fields: [{ key: 'figure', label: lotWords.fatLiftedByWeight, kind: 'figure', unit: 'kg' }],
    done: lotWords.save,
    body: (lot, { figure }) => ({ type: 'fatLifted', payload: { lotId: lot.id, kg: figure } }),
  },
  usePast: {
    button: lotWords.useItPastItsDate,
    title: lotWords.useItPastItsDate2,
    fields: [REASON, { key: 'by', label: lotWords.thePersonInChargeWho, kind: 'words' }],
    caution: lotWords.theCodeDoesNotAllow,
    done: lotWords.allowItsUse,
    body: (lot, { words }) => ({
      type: 'usePast',
      payload: { lotId: lot.id, reason: words.reason!, by: words.by! },
    }),
  },
};

/** One act on a lot: its fields, its caution, and what the server says to it. */
export function LotActSheet({ lot, act, onClose }: { lot: LotView; act: LotActId; onClose: () => void }) {
  const of = LOT_ACTS[act];
  const { tell, refusals } = useShelf();
  const [storage, setStorage] = useState<LotStorage>('frozen');
  const [sets, setSets] = useState(true);
  /** a reading that was far from what was expected, to be confirmed */
  const [asked, setAsked] = useState<FigureRead | null>(null);
  const poured = isPouredLot(lot);
  const unit = poured ? 'L' : 'kg';
  const form = useTypedForm({
    first: Object.fromEntries(of.fields.map((field) => [field.key, field.first ?? ''])),
    schema: schemaOf(of.fields, unit),
    keep: async (meant) => {
      const typed: Typed = { kg: 0, figure: 0, words: {}, storage, sets };
      for (const { key, kind } of of.fields) {
        const value = meant[key]!;
        if (typeof value === 'string') typed.words[key] = value;
        else if (kind === 'amount') typed.kg = round(poured ? value * lot.contents.densityKgPerL : value);
        else typed.figure = value;
      }
      const body = of.body(lot, typed);
      if (await tell(body)) onClose();
      else setAsked(farOff(lot, body));
    },
  });
  return (
    <Sheet title={of.title} isOpen onClose={onClose}>
      <TypedForm form={form}>
        <Soft>
          {lotWords.lotLeftByTheLog(
            lot.name,
            lot.number,
            (poured ? lot.leftLitres : lot.leftKg).toFixed(2),
            unit,
          )}
        </Soft>
        {of.fields.map(({ key, label, kind, unit: own = unit }) => (
          <form.AppField key={key} name={key}>
            {(field) => (
              <field.InOffice
                label={label}
                inputMode={kind === 'words' ? 'text' : 'decimal'}
                {...(kind === 'words' ? {} : { unit: own })}
              />
            )}
          </form.AppField>
        ))}
        {of.asksStorage && <StorageChoice value={storage} onChange={setStorage} />}
        {of.asksSet && (
          <Choice
            label={lotWords.inTheCold}
            value={sets ? 'yes' : 'no'}
            options={[
              { value: 'yes', text: lotWords.itHasSet },
              { value: 'no', text: lotWords.itIsStillLiquid },
            ]}
            onChange={(answer) => setSets(answer === 'yes')}
          />
        )}
        {act === 'fat' && <Soft>{lotWords.fatInIt(lot.contents.perKg.fat * lot.leftKg)}</Soft>}
        {act === 'thaw' && <ThawedAbout lot={lot} />}
        {of.caution && <Caution>{of.caution}</Caution>}
        <Errors sentences={refusals} />
        <Button kind="main" type="submit">
          {of.done}
        </Button>
        {asked && (
          <Button
            onPress={async () => {
              if (await tell({ type: 'lotRead', payload: { ...asked, sure: true } })) onClose();
            }}
          >
            {lotWords.itIsRightSaveIt}
          </Button>
        )}
      </TypedForm>
    </Sheet>
  );
}

/** Begun now, when it will have thawed: the smaller the tubs, the sooner. */
function ThawedAbout({ lot }: { lot: LotView }) {
  const kitchen = useKitchenHere();
  const nowMs = useMinuteMs();
  const place = kitchen.colds.find((one) => one.kind === 'walkIn' && one.airC > -1);
  if (!place || !isPouredLot(lot) || lot.leftLitres <= 0) return null;
  const { airC, air } = place;
  const at = (litres: number) => {
    const hours = thawHours({ litres, waterShare: Math.min(1, lot.contents.perKg.water), airC, air });
    return dayAndHour(nowMs + hours * 3_600_000, kitchen.zone);
  };
  const whole = Math.min(lot.leftLitres, MOST_TUB_L);
  return <Soft>{lotWords.thawedAbout(place.name, whole, at(whole), at(Math.min(1, whole)))}</Soft>;
}

/** Nobody freezes more in one tub, L. Common practice. */
const MOST_TUB_L = 10;

type FigureRead = Extract<
  Extract<LarderEventBody, { type: 'lotRead' }>['payload'],
  { kind: 'brix' | 'salt' | 'temperature' }
>;

/** A reading that was asked about; null for anything else. */
function farOff(lot: LotView, body: LarderEventBody): FigureRead | null {
  if (body.type !== 'lotRead' || body.payload.kind === 'set' || body.payload.kind === 'temperature')
    return null;
  const { kind, value } = body.payload;
  return readingFarOff(lot.contents, kind, value) === null ? null : body.payload;
}

/** Fields of an act, as they are typed and as they are meant. */
function schemaOf(fields: readonly FieldOf[], unit: string) {
  return v.object(
    Object.fromEntries(
      fields.map(({ key, label, kind, unit: own = unit }) => [
        key,
        kind === 'words' ? v.pipe(v.string(), v.trim()) : figure(numberField(label, 0, 100_000, own)),
      ]),
    ),
  ) as v.GenericSchema<Record<string, string>, Record<string, string | number>>;
}

const round = (kg: number) => Math.round(kg * 1000) / 1000;

/** An empty tub can only be counted again, kg. */
const EMPTY_KG = 0.01;

/** The acts a lot is open to as it stands. */
export function actsFor(lot: LotView, nowMs: number): LotActId[] {
  const isMade = lot.origin.kind !== 'delivery';
  const isFrozen = lot.storage === 'frozen';
  const isPast = lot.useByMs !== null && lot.useByMs < nowMs && !lot.mayBePast;
  if (lot.leftKg < EMPTY_KG) return ['count'];
  const all: [LotActId, boolean][] = [
    ['count', true],
    ['move', true],
    ['split', true],
    ['freeze', !isFrozen],
    ['thaw', isFrozen],
    ['brix', isMade],
    ['salt', isMade],
    ['set', isMade && Boolean(lot.contents.base)],
    ['fat', isMade && lot.fatPercent > 0.05],
    ['discard', true],
    ['usePast', isPast],
  ];
  return all.flatMap(([id, is]) => (is ? [id] : []));
}
