import { useState } from 'react';
import { hourMinute, type ItemKind, type ItemOf, type KitchenView } from '../../../contract';
import { thermometerVerdict } from '../../../core/kitchen';
import { Button } from '../../components/button';
import { Sheet } from '../../components/sheet';
import { KIND_WORDS, weekdayWords } from '../../words/kitchen';
import { type FieldSpec, ItemForm } from './item-form';
import { ItemList } from './item-list';
import { ThermometerCheckSheet } from './thermometer-check';

/** Things that are asked for by their fields alone: services, bowls, cold places, instruments, people. */
const FIELDS: Readonly<Partial<Record<ItemKind, readonly FieldSpec[]>>> = {
  service: [
    { name: 'name', label: 'Name', as: 'text' },
    { name: 'time', label: 'Hour, as 12:30', as: 'text' },
    { name: 'covers', label: 'Usual covers', as: 'figure', unit: 'bowls' },
    { name: 'weekdays', label: 'On', as: 'days' },
    { name: 'lastsMin', label: 'Lasts', as: 'figure', unit: 'min', isOptional: true },
    {
      name: 'arrival',
      label: 'They come',
      as: 'choice',
      first: 'steady',
      options: [
        { value: 'together', text: 'all at once' },
        { value: 'steady', text: 'steadily' },
        { value: 'peaked', text: 'in a peak' },
      ],
    },
  ],
  bowl: [
    { name: 'name', label: 'Name', as: 'text' },
    {
      name: 'ml',
      label: 'Holds to the rim (fill it with water on a scale: 1 g is 1 mL)',
      as: 'figure',
      unit: 'mL',
    },
    { name: 'headspaceMl', label: 'Left free under the rim', as: 'figure', unit: 'mL', isOptional: true },
    { name: 'isOvenProof', label: 'May go under the grill', as: 'flag' },
  ],
  ladle: [
    { name: 'name', label: 'Name', as: 'text' },
    { name: 'ml', label: 'Truly holds (ten ladles of water on a scale, over ten)', as: 'figure', unit: 'mL' },
  ],
  cold: [
    { name: 'name', label: 'Name', as: 'text' },
    {
      name: 'kind',
      label: 'It is',
      as: 'choice',
      first: 'walkIn',
      options: [
        { value: 'walkIn', text: 'a walk-in' },
        { value: 'blast', text: 'a blast chiller' },
        { value: 'freezer', text: 'a freezer' },
        { value: 'ice', text: 'ice' },
      ],
    },
    { name: 'airC', label: 'Its air', as: 'figure', unit: '°C', first: '4' },
    {
      name: 'air',
      label: 'Its air',
      as: 'choice',
      first: 'still',
      options: [
        { value: 'still', text: 'stands still' },
        { value: 'fan', text: 'is moved by a fan' },
        { value: 'blast', text: 'blasts' },
      ],
    },
    { name: 'kg', label: 'Takes in one go, or ice on hand', as: 'figure', unit: 'kg', isOptional: true },
  ],
  instrument: [
    { name: 'name', label: 'Name', as: 'text' },
    {
      name: 'kind',
      label: 'It is',
      as: 'choice',
      first: 'scale',
      options: [
        { value: 'scale', text: 'a scale' },
        { value: 'thermometer', text: 'a thermometer' },
        { value: 'refractometer', text: 'a refractometer' },
        { value: 'ph', text: 'a pH meter' },
        { value: 'salinity', text: 'a salinity meter' },
        { value: 'stick', text: 'a stick' },
      ],
    },
    { name: 'mostKg', label: 'Weighs at most', as: 'figure', unit: 'kg', isOptional: true },
    { name: 'stepG', label: 'In steps of', as: 'figure', unit: 'g', isOptional: true },
  ],
  person: [
    { name: 'name', label: 'Name', as: 'text' },
    {
      name: 'role',
      label: 'May',
      as: 'choice',
      first: 'cook',
      options: [
        { value: 'inCharge', text: 'be in charge' },
        { value: 'cook', text: 'cook' },
        { value: 'helper', text: 'help' },
      ],
    },
    {
      name: 'mark',
      label: 'Colour',
      as: 'choice',
      first: 'leek',
      options: ['clay', 'mustard', 'leek', 'slate', 'plum', 'rust', 'sand', 'ink'].map((one) => ({
        value: one,
        text: one,
      })),
    },
  ],
  supplier: [{ name: 'name', label: 'Name', as: 'text' }],
  storePlace: [{ name: 'name', label: 'Name', as: 'text' }],
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
        <Sheet title={edited === 'new' ? KIND_WORDS[kind].add : `Edit ${edited.name}`} isOpen onClose={close}>
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

const ARRIVAL_WORDS = { together: 'all at once', steady: 'steadily', peaked: 'in a peak' } as const;

export function ServiceSection({ kitchen }: Of) {
  return (
    <>
      <Things
        kind="service"
        title="Services"
        empty="A service is an hour that bowls must be ready by: plans are worked back from it."
        items={kitchen.services}
        kitchen={kitchen}
        about={(one) =>
          [
            one.time,
            `${one.covers} covers`,
            weekdayWords(one.weekdays, kitchen.locale),
            ...(one.lastsMin ? [`${one.lastsMin} min`] : []),
            ...(one.arrival ? [ARRIVAL_WORDS[one.arrival]] : []),
          ].join(', ')
        }
      />
      <Things
        kind="bowl"
        title="Bowls and cups"
        empty="What a bowl truly holds decides how many come out of a pot."
        items={kitchen.bowls}
        kitchen={kitchen}
        about={(one) =>
          `${one.ml} mL to the rim${one.headspaceMl ? `, ${one.ml - one.headspaceMl} mL filled` : ''}${one.isOvenProof ? ', oven-proof' : ''}`
        }
      />
      <Things
        kind="ladle"
        title="Ladles"
        empty="Most ladles hold a little more than they say."
        items={kitchen.ladles}
        kitchen={kitchen}
        about={(one) => `${one.ml} mL`}
      />
    </>
  );
}

const COLD_WORDS = { walkIn: 'walk-in', blast: 'blast chiller', freezer: 'freezer', ice: 'ice' } as const;
const AIR_WORDS = { still: 'still air', fan: 'a fan', blast: 'blasting air' } as const;

export function ColdSection({ kitchen }: Of) {
  return (
    <Things
      kind="cold"
      title="Cold and ice"
      empty="Where food is cooled and kept: its air decides how fast a pan cools."
      items={kitchen.colds}
      kitchen={kitchen}
      about={(one) =>
        `${COLD_WORDS[one.kind]}, ${one.airC} °C, ${AIR_WORDS[one.air]}${one.kg ? `, ${one.kg} kg` : ''}`
      }
    />
  );
}

export function PeopleSection({ kitchen }: Of) {
  const roles = { inCharge: 'in charge', cook: 'cooks', helper: 'helps' } as const;
  return (
    <>
      <Things
        kind="person"
        title="People"
        empty="Whoever takes a reading or answers for a limit is named in the log."
        items={kitchen.people}
        kitchen={kitchen}
        about={(one) => `${roles[one.role]}, ${one.mark}`}
      />
      <Things
        kind="supplier"
        title="Suppliers"
        empty="Named once here, they need not be typed at each delivery."
        items={kitchen.supplierList}
        kitchen={kitchen}
        about={() => ''}
      />
      <Things
        kind="storePlace"
        title="Places in the store"
        empty="Shelves, baskets, the dry store: where a lot is put."
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
        title="Scales, thermometers, meters"
        empty="A reading is as good as what it is read with."
        items={kitchen.instruments}
        kitchen={kitchen}
        about={(one) => instrumentWords(kitchen, one)}
        more={(one) =>
          one.kind === 'thermometer' && (
            <Button
              kind="quiet"
              onPress={() => setChecking(kitchen.instruments.find((two) => two.id === one.id) ?? null)}
              aria-label={`Check ${one.name}`}
            >
              Check
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
    const parts = [one.kind === 'ph' ? 'pH meter' : one.kind, one.mostKg ? `to ${one.mostKg} kg` : ''];
    return [...parts, one.stepG ? `in steps of ${one.stepG} g` : ''].filter(Boolean).join(', ');
  }
  const checked = kitchen.instruments.find((two) => two.id === one.id)?.checked;
  if (!checked) return 'thermometer, not checked yet: not for the record';
  const verdict = thermometerVerdict(checked, kitchen.altitudeM);
  const when = new Intl.DateTimeFormat(kitchen.locale, { dateStyle: 'medium', timeZone: kitchen.zone });
  return `thermometer, checked ${when.format(checked.atMs)} ${hourMinute(checked.atMs, kitchen.zone)}: ${
    verdict.isForRecords ? 'good for the record' : 'out of use for the record'
  }`;
}
