import { useState } from 'react';
import { type ItemKind, type ItemOf, type KitchenView, MARKS } from '../../../contract';
import { thermometerVerdict } from '../../../core/kitchen';
import { Button } from '../../components/button';
import { Sheet } from '../../components/sheet';
import {
  hourMinute,
  KIND_WORDS,
  kitchenWords,
  MARK_WORDS,
  portion,
  temperature,
  weekdayWords,
} from '../../words';
import { type FieldSpec, ItemForm } from './item-form';
import { ItemList } from './item-list';
import { ThermometerCheckSheet } from './thermometer-check';

/** Things that are asked for by their fields alone: services, bowls, cold places, instruments, people. */
const FIELDS: Readonly<Partial<Record<ItemKind, readonly FieldSpec[]>>> = {
  service: [
    { name: 'name', label: kitchenWords.name, as: 'text' },
    { name: 'time', label: kitchenWords.hourAs1230, as: 'text' },
    { name: 'covers', label: kitchenWords.usualCovers, as: 'figure', unit: 'bowls' },
    { name: 'weekdays', label: kitchenWords.on, as: 'days' },
    { name: 'lastsMin', label: kitchenWords.lasts, as: 'figure', unit: 'min', isOptional: true },
    {
      name: 'arrival',
      label: kitchenWords.theyCome,
      as: 'choice',
      first: 'steady',
      options: [
        { value: 'together', text: kitchenWords.allAtOnce },
        { value: 'steady', text: kitchenWords.steadily },
        { value: 'peaked', text: kitchenWords.inAPeak },
      ],
    },
  ],
  bowl: [
    { name: 'name', label: kitchenWords.name, as: 'text' },
    {
      name: 'ml',
      label: kitchenWords.holdsToTheRimFill,
      as: 'figure',
      unit: 'mL',
    },
    {
      name: 'headspaceMl',
      label: kitchenWords.leftFreeUnderTheRim,
      as: 'figure',
      unit: 'mL',
      isOptional: true,
    },
    { name: 'isOvenProof', label: kitchenWords.mayGoUnderTheGrill, as: 'flag' },
  ],
  ladle: [
    { name: 'name', label: kitchenWords.name, as: 'text' },
    { name: 'ml', label: kitchenWords.trulyHoldsTenLadlesOf, as: 'figure', unit: 'mL' },
  ],
  cold: [
    { name: 'name', label: kitchenWords.name, as: 'text' },
    {
      name: 'kind',
      label: kitchenWords.itIs,
      as: 'choice',
      first: 'walkIn',
      options: [
        { value: 'walkIn', text: kitchenWords.aWalkIn },
        { value: 'blast', text: kitchenWords.aBlastChiller },
        { value: 'freezer', text: kitchenWords.aFreezer },
        { value: 'ice', text: kitchenWords.ice },
      ],
    },
    { name: 'airC', label: kitchenWords.itsAir, as: 'figure', unit: '°C', first: '4' },
    {
      name: 'air',
      label: kitchenWords.itsAir,
      as: 'choice',
      first: 'still',
      options: [
        { value: 'still', text: kitchenWords.standsStill },
        { value: 'fan', text: kitchenWords.isMovedByAFan },
        { value: 'blast', text: kitchenWords.blasts },
      ],
    },
    { name: 'kg', label: kitchenWords.takesInOneGoOr, as: 'figure', unit: 'kg', isOptional: true },
  ],
  instrument: [
    { name: 'name', label: kitchenWords.name, as: 'text' },
    {
      name: 'kind',
      label: kitchenWords.itIs,
      as: 'choice',
      first: 'scale',
      options: [
        { value: 'scale', text: kitchenWords.aScale },
        { value: 'thermometer', text: kitchenWords.aThermometer },
        { value: 'refractometer', text: kitchenWords.aRefractometer },
        { value: 'ph', text: kitchenWords.aPhMeter },
        { value: 'salinity', text: kitchenWords.aSalinityMeter },
        { value: 'stick', text: kitchenWords.aStick },
      ],
    },
    { name: 'mostKg', label: kitchenWords.weighsAtMost, as: 'figure', unit: 'kg', isOptional: true },
    { name: 'stepG', label: kitchenWords.inStepsOf, as: 'figure', unit: 'g', isOptional: true },
  ],
  person: [
    { name: 'name', label: kitchenWords.name, as: 'text' },
    {
      name: 'role',
      label: kitchenWords.may,
      as: 'choice',
      first: 'cook',
      options: [
        { value: 'inCharge', text: kitchenWords.beInCharge },
        { value: 'cook', text: kitchenWords.cook },
        { value: 'helper', text: kitchenWords.help },
      ],
    },
    {
      name: 'mark',
      label: kitchenWords.colour,
      as: 'choice',
      first: 'leek',
      options: MARKS.map((one) => ({ value: one, text: MARK_WORDS[one] })),
    },
  ],
  supplier: [{ name: 'name', label: kitchenWords.name, as: 'text' }],
  storePlace: [{ name: 'name', label: kitchenWords.name, as: 'text' }],
};

interface Of {
  kitchen: KitchenView;
}

/** A list of things of one kind with the form to add one, beside it in a sheet. */
function Things<K extends ItemKind>(of: {
  kind: K;
  title: string;
  empty: string;
  items: readonly ItemOf<K>[];
  kitchen: KitchenView;
  about: (item: ItemOf<K>) => string;
  more?: (item: ItemOf<K>) => React.ReactNode;
}) {
  const [edited, setEdited] = useState<ItemOf<K> | 'new' | null>(null);
  const { kind, kitchen } = of;
  const close = () => setEdited(null);
  return (
    <>
      <ItemList {...of} onEdit={(item) => setEdited(item ?? 'new')} />
      {edited && (
        <Sheet
          title={edited === 'new' ? KIND_WORDS[kind].add : kitchenWords.edit(edited.name)}
          isOpen
          onClose={close}
        >
          <ItemForm
            kind={kind}
            fields={FIELDS[kind]!}
            item={edited === 'new' ? null : edited}
            locale={kitchen.locale}
            onDone={close}
          />
        </Sheet>
      )}
    </>
  );
}

const ARRIVAL_WORDS = {
  together: kitchenWords.allAtOnce,
  steady: 'steadily',
  peaked: kitchenWords.inAPeak,
} as const;

export function ServiceSection({ kitchen }: Of) {
  return (
    <>
      <Things
        kind="service"
        title={kitchenWords.services}
        empty={kitchenWords.aServiceIsTheHour}
        items={kitchen.services}
        kitchen={kitchen}
        about={(one) =>
          [
            one.time,
            kitchenWords.covers(one.covers),
            weekdayWords(one.weekdays, kitchen.locale),
            ...(one.lastsMin ? [kitchenWords.min(one.lastsMin)] : []),
            ...(one.arrival ? [ARRIVAL_WORDS[one.arrival]] : []),
          ].join(', ')
        }
      />
      <Things
        kind="bowl"
        title={kitchenWords.bowlsAndCups}
        empty={kitchenWords.whatABowlTrulyHolds}
        items={kitchen.bowls}
        kitchen={kitchen}
        about={(one) =>
          kitchenWords.mlToTheRimOven(
            one.ml,
            one.headspaceMl ? kitchenWords.mlFilled(one.ml - one.headspaceMl) : '',
            one.isOvenProof,
          )
        }
      />
      <Things
        kind="ladle"
        title={kitchenWords.ladles}
        empty={kitchenWords.mostLadlesHoldALittle}
        items={kitchen.ladles}
        kitchen={kitchen}
        about={(one) => portion(one.ml)}
      />
    </>
  );
}

const COLD_WORDS = {
  walkIn: 'walk-in',
  blast: kitchenWords.blastChiller,
  freezer: 'freezer',
  ice: 'ice',
} as const;
const AIR_WORDS = {
  still: kitchenWords.stillAir,
  fan: kitchenWords.aFan,
  blast: kitchenWords.blastingAir,
} as const;

export function ColdSection({ kitchen }: Of) {
  return (
    <Things
      kind="cold"
      title={kitchenWords.coldAndIce}
      empty={kitchenWords.whereFoodIsCooledAnd}
      items={kitchen.colds}
      kitchen={kitchen}
      about={(one) =>
        `${COLD_WORDS[one.kind]}, ${temperature(one.airC)}, ${AIR_WORDS[one.air]}${one.kg ? kitchenWords.kg2(one.kg) : ''}`
      }
    />
  );
}

export function PeopleSection({ kitchen }: Of) {
  const roles = {
    inCharge: kitchenWords.inCharge,
    cook: kitchenWords.cooks,
    helper: kitchenWords.helps,
  } as const;
  return (
    <>
      <Things
        kind="person"
        title={kitchenWords.people}
        empty={kitchenWords.theLogNamesWhoTakes}
        items={kitchen.people}
        kitchen={kitchen}
        about={(one) => `${roles[one.role]}, ${MARK_WORDS[one.mark]}`}
      />
      <Things
        kind="supplier"
        title={kitchenWords.suppliers}
        empty={kitchenWords.namedOnceHereTheyNeed}
        items={kitchen.supplierList}
        kitchen={kitchen}
        about={() => ''}
      />
      <Things
        kind="storePlace"
        title={kitchenWords.placesInTheStore}
        empty={kitchenWords.shelvesBasketsTheDryStore}
        items={kitchen.storePlaces}
        kitchen={kitchen}
        about={() => ''}
      />
    </>
  );
}

export function InstrumentList({ kitchen }: Of) {
  const [checking, setChecking] = useState<KitchenView['instruments'][number] | null>(null);
  return (
    <>
      <Things
        kind="instrument"
        title={kitchenWords.scalesThermometersMeters}
        empty={kitchenWords.aReadingIsOnlyAs}
        items={kitchen.instruments}
        kitchen={kitchen}
        about={(one) => instrumentWords(kitchen, one)}
        more={(one) =>
          one.kind === 'thermometer' && (
            <Button
              kind="quiet"
              onPress={() => setChecking(kitchen.instruments.find((two) => two.id === one.id) ?? null)}
              aria-label={kitchenWords.check(one.name)}
            >
              {kitchenWords.check2}
            </Button>
          )
        }
      />
      {checking && (
        <ThermometerCheckSheet instrument={checking} kitchen={kitchen} onClose={() => setChecking(null)} />
      )}
    </>
  );
}

function instrumentWords(kitchen: KitchenView, one: ItemOf<'instrument'>): string {
  if (one.kind !== 'thermometer') {
    const parts = [
      one.kind === 'ph' ? kitchenWords.phMeter : one.kind,
      one.mostKg ? kitchenWords.toKg(one.mostKg) : '',
    ];
    return [...parts, one.stepG ? kitchenWords.inStepsOfG(one.stepG) : ''].filter(Boolean).join(', ');
  }
  const checked = kitchen.instruments.find((two) => two.id === one.id)?.checked;
  if (!checked) return kitchenWords.thermometerNotCheckedYetNot;
  const verdict = thermometerVerdict(checked, kitchen.altitudeM);
  const when = new Intl.DateTimeFormat(kitchen.locale, { dateStyle: 'medium', timeZone: kitchen.zone });
  return kitchenWords.thermometerCheckedGoodForThe(
    when.format(checked.atMs),
    hourMinute(checked.atMs, kitchen.zone),
    verdict.isForRecords,
  );
}
