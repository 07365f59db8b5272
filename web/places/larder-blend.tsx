import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import type { LotView } from '../../contract';
import { type Blend, type BlendLimit, type BlendWanted, blendLots } from '../../core';
import { litres, money, percent, typedNumber, weight } from '../data/format';
import { isPouredLot } from '../data/lot-words';
import { useLots } from '../data/queries';
import { Button } from '../parts/button';
import { Empty, Halves, Page, Waiting } from '../parts/page';
import { SmallField } from '../parts/small-field';
import { Errors, Over, Soft, Subtitle, Title } from '../parts/text';
import { Ticks } from '../parts/ticks';
import { colour, space } from '../theme/tokens';
import { LarderNav } from './larder-parts/larder-nav';
import { useShelf } from './larder-parts/use-shelf';
import { useKitchenHere } from './use-kitchen-here';

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: ${space.s} ${space.m};
`;

const Poured = styled.ul`
  li {
    display: flex;
    justify-content: space-between;
    gap: ${space.m};
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

type Key = 'litres' | 'saltMax' | 'brixMin' | 'umamiMin' | 'priceMax';

/** Lots poured together to a wanted salt, strength, umami and price, the cheapest way; or which limit is in the way. */
export function LarderBlend() {
  const kitchen = useKitchenHere();
  const navigate = useNavigate();
  const { data: lots, error, refetch } = useLots();
  const { tell, refusals } = useShelf();
  const [picked, setPicked] = useState<string[] | null>(null);
  const [water, setWater] = useState<string[]>(['water']);
  const [typed, setTyped] = useState<Record<Key, string>>({
    litres: '5',
    saltMax: '',
    brixMin: '',
    umamiMin: '',
    priceMax: '',
  });
  if (!lots) return <Waiting error={error} onRetry={refetch} />;
  const there = lots.filter((lot) => isPouredLot(lot) && lot.leftKg > 0.05 && lot.storage !== 'frozen');
  const chosen = there.filter((lot) => (picked ?? firstTwo(there)).includes(lot.id));
  const { wanted, wrong } = wantedOf(typed, water.length > 0, chosen);
  const blend = wanted && chosen.length > 0 ? blendOf(chosen, wanted) : null;
  const set = (key: Key) => (text: string) => setTyped({ ...typed, [key]: text });

  async function pour(of: Extract<Blend, { kind: 'blend' }>) {
    const toLotId = uuid();
    const parts = Object.entries(of.kgById).map(([lotId, kg]) => ({
      lotId,
      kg: Math.round(kg * 1000) / 1000,
    }));
    const names = chosen.filter((lot) => of.kgById[lot.id]).map((lot) => lot.name.toLowerCase());
    const done = await tell({
      type: 'blended',
      v: 1,
      payload: {
        toLotId,
        name: `Blend of ${[...new Set(names)].join(' and ')}`.slice(0, 60),
        parts: parts.filter((part) => part.kg >= 0.001),
        waterKg: Math.round(of.waterKg * 1000) / 1000,
        place: chosen[0]!.place,
        storage: 'chilled',
      },
    });
    if (done) navigate(`/larder/lots/${toLotId}`);
  }

  return (
    <Page>
      <Title>Blend</Title>
      <LarderNav />
      {there.length === 0 ? (
        <Empty title="Nothing to blend">
          <Soft>Two stocks of different strength make a third here.</Soft>
        </Empty>
      ) : (
        <Halves>
          <section>
            <Ticks
              label="From these"
              value={chosen.map((lot) => lot.id)}
              options={there.map((lot) => ({
                id: lot.id,
                text: `${lot.name}, lot ${lot.number}: ${litres(lot.leftLitres)}, ${lot.brix.toFixed(1)} °Brix, ${percent(lot.saltPercent)} salt`,
              }))}
              onChange={setPicked}
            />
            <Ticks
              label="And"
              value={water}
              options={[{ id: 'water', text: 'water, if it serves' }]}
              onChange={setWater}
            />
            <Fields>
              <SmallField
                label="Make"
                unit="L"
                inputMode="decimal"
                value={typed.litres}
                onChange={set('litres')}
              />
              <SmallField
                label="Salt at most"
                unit="%"
                inputMode="decimal"
                value={typed.saltMax}
                onChange={set('saltMax')}
              />
              <SmallField
                label="Strength at least"
                unit="°Brix"
                inputMode="decimal"
                value={typed.brixMin}
                onChange={set('brixMin')}
              />
              <SmallField
                label="Umami at least"
                unit="g/100 g"
                inputMode="decimal"
                value={typed.umamiMin}
                onChange={set('umamiMin')}
              />
              <SmallField
                label="A kilo at most"
                unit={kitchen.currency}
                inputMode="decimal"
                value={typed.priceMax}
                onChange={set('priceMax')}
              />
            </Fields>
            <Over>A field left empty sets no limit. The cheapest blend that keeps the others is found.</Over>
            <Errors sentences={[...wrong, ...refusals]} />
          </section>
          <section aria-label="The blend" aria-live="polite">
            {blend?.kind === 'blend' && (
              <>
                <Subtitle>Pour together</Subtitle>
                <Poured>
                  {chosen
                    .filter((lot) => (blend.kgById[lot.id] ?? 0) > 0.0005)
                    .map((lot) => (
                      <li key={lot.id}>
                        <span>
                          {lot.name}, <Link to={`/larder/lots/${lot.id}`}>lot {lot.number}</Link>
                        </span>
                        <strong>{litres(blend.kgById[lot.id]! / lot.contents.densityKgPerL)}</strong>
                      </li>
                    ))}
                  {blend.waterKg > 0.0005 && (
                    <li>
                      <span>Water</span>
                      <strong>{weight(blend.waterKg, kitchen.units)}</strong>
                    </li>
                  )}
                </Poured>
                <p>
                  Comes to {percent(blend.outcome.saltPercent)} salt, {blend.outcome.brix.toFixed(1)} °Brix,
                  umami as {blend.outcome.umami.toFixed(2)} g in 100 g,{' '}
                  {money(blend.outcome.centsPerKg, kitchen.currency)} a kilo.
                </p>
                <Over>It keeps the earliest date of what is poured into it, and every allergen.</Over>
                <Button kind="main" onPress={() => pour(blend)}>
                  It is poured together
                </Button>
              </>
            )}
            {blend?.kind === 'none' && (
              <>
                <Subtitle>No blend of these keeps every limit</Subtitle>
                <ul>
                  {blend.loosen.map((one) => (
                    <li key={one.limit}>{loosenWords(one, kitchen.currency)}</li>
                  ))}
                </ul>
                <Soft>Loosen that, or tick another lot.</Soft>
              </>
            )}
            {chosen.length === 0 && <Soft>Tick what may go in.</Soft>}
          </section>
        </Halves>
      )}
    </Page>
  );
}

const firstTwo = (lots: readonly LotView[]) => lots.slice(0, 2).map((lot) => lot.id);

function blendOf(lots: readonly LotView[], wanted: BlendWanted): Blend {
  return blendLots(
    lots.map(({ id, contents, leftKg, centsPerKg }) => ({ id, contents, leftKg, centsPerKg })),
    wanted,
  );
}

const NAMES: Record<Key, string> = {
  litres: 'Litres',
  saltMax: 'Salt',
  brixMin: 'Strength',
  umamiMin: 'Umami',
  priceMax: 'The price',
};

function wantedOf(
  typed: Record<Key, string>,
  mayHaveWater: boolean,
  lots: readonly LotView[],
): { wanted: BlendWanted | null; wrong: string[] } {
  const values = Object.fromEntries(
    Object.entries(typed).map(([key, text]) => [key, text.trim() === '' ? undefined : typedNumber(text)]),
  ) as Record<Key, number | null | undefined>;
  const wrong = (Object.keys(NAMES) as Key[])
    .filter((key) => values[key] === null || (values[key] ?? 0) < 0)
    .map((key) => `${NAMES[key]} must be a number, 0 or more, not “${typed[key]}”.`);
  if (!values.litres || values.litres <= 0) wrong.push('Say how many litres, above 0.');
  if (wrong.length > 0) return { wanted: null, wrong };
  const density = lots[0]?.contents.densityKgPerL ?? 1;
  return {
    wrong: [],
    wanted: {
      kg: values.litres! * density,
      mayHaveWater,
      ...(values.saltMax == null ? {} : { saltMax: values.saltMax }),
      ...(values.brixMin == null ? {} : { brixMin: values.brixMin }),
      ...(values.umamiMin == null ? {} : { umamiMin: values.umamiMin }),
      ...(values.priceMax == null ? {} : { centsPerKgMax: values.priceMax * 100 }),
    },
  };
}

function loosenWords(
  one: { limit: BlendLimit; wanted: number; reachable: number },
  currency: string,
): string {
  const to = (value: number, digits: number) => value.toFixed(digits);
  switch (one.limit) {
    case 'kg':
      return `${to(one.wanted, 1)} kg: there are ${to(one.reachable, 1)} kg of them.`;
    case 'saltMax':
      return `Salt at most ${to(one.wanted, 2)} %: the least they come to is ${to(one.reachable, 2)} %.`;
    case 'saltMin':
      return `Salt at least ${to(one.wanted, 2)} %: the most they come to is ${to(one.reachable, 2)} %.`;
    case 'brixMin':
      return `Strength at least ${to(one.wanted, 1)} °Brix: the most they come to is ${to(one.reachable, 1)}.`;
    case 'brixMax':
      return `Strength at most ${to(one.wanted, 1)} °Brix: the least they come to is ${to(one.reachable, 1)}.`;
    case 'umamiMin':
      return `Umami at least ${to(one.wanted, 2)} g: the most they come to is ${to(one.reachable, 2)} g in 100 g.`;
    case 'centsPerKgMax':
      return `A kilo at most ${money(one.wanted, currency)}: the least they come to is ${money(one.reachable, currency)}.`;
  }
}
