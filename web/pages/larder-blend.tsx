import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';
import { litres, money, percent, weight } from '../../contract';
import { type BaseFamily, baseKind } from '../../core/bases';
import { type Blend, type BlendWanted, blendLots } from '../../core/larder';
import { holdsOf } from '../../core/matter';
import type { LotView } from '../../core/views';
import { Button } from '../components/button';
import { useOneAtATime } from '../components/form';
import { Empty, Halves, Page, Waiting } from '../components/page';
import { SmallField } from '../components/small-field';
import { Errors, Over, Soft, Subtitle, Title } from '../components/text';
import { useMinuteMs } from '../data/clock';
import { useLots } from '../data/queries';
import { colour, space } from '../theme/tokens';
import { containsWords } from '../words/holds';
import { isPouredLot } from '../words/lots';
import { type BlendField, contradictionWords, loosenWords, wantedOf } from './larder-parts/blend-wanted';
import { LarderNav } from './larder-parts/larder-nav';
import { PouredFrom, WATER } from './larder-parts/poured-from';
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

/** Lots poured together to a wanted salt, strength, umami and price, the cheapest way; or which limit is in the way. */
export function LarderBlend() {
  const kitchen = useKitchenHere();
  const navigate = useNavigate();
  const nowMs = useMinuteMs();
  const { data: lots, error, refetch } = useLots();
  const { tell, refusals } = useShelf();
  const [picked, setPicked] = useState<string[] | null>(null);
  const [typed, setTyped] = useState<Record<BlendField, string>>({
    litres: '5',
    saltMax: '',
    brixMin: '2',
    umamiMin: '',
    priceMax: '',
  });
  const pourOnce = useOneAtATime(pour);
  if (!lots) return <Waiting error={error} onRetry={refetch} />;
  const there = lots.filter((lot) => mayBePoured(lot, nowMs)).sort((a, b) => b.leftLitres - a.leftLitres);
  const ticked = picked ?? [...firstTwo(there), WATER];
  const chosen = there.filter((lot) => ticked.includes(lot.id));
  const { wanted, wrong } = wantedOf(typed, ticked.includes(WATER), chosen);
  const blend = wanted && chosen.length > 0 ? blendOf(chosen, wanted) : null;
  const set = (key: BlendField) => (text: string) => setTyped({ ...typed, [key]: text });

  async function pour(of: Extract<Blend, { kind: 'blend' }>) {
    const toLotId = uuid();
    const parts = Object.entries(of.kgById).map(([lotId, kg]) => ({
      lotId,
      kg: Math.round(kg * 1000) / 1000,
    }));
    const names = chosen.filter((lot) => of.kgById[lot.id]).map((lot) => lot.name.toLowerCase());
    const done = await tell({
      type: 'blended',
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
      <LarderNav />
      <Title>Blend</Title>
      {there.length === 0 ? (
        <Empty title="Nothing to blend">
          <Soft>Two stocks of different strength make a third here.</Soft>
        </Empty>
      ) : (
        <Halves>
          <section>
            <PouredFrom lots={there} ticked={ticked} onChange={setPicked} />
            <Fields>
              <SmallField label="Make" unit="L" value={typed.litres} onChange={set('litres')} />
              <SmallField label="Salt at most" unit="%" value={typed.saltMax} onChange={set('saltMax')} />
              <SmallField
                label="Strength at least"
                unit="°Brix"
                value={typed.brixMin}
                onChange={set('brixMin')}
              />
              <SmallField
                label="Umami at least, in 100 g"
                unit="g"
                value={typed.umamiMin}
                onChange={set('umamiMin')}
              />
              <SmallField
                label="A kilo at most"
                unit={kitchen.currency}
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
                <Over>
                  It keeps the earliest date of what is poured into it.{' '}
                  {containsWords(
                    holdsOf(chosen.filter((lot) => blend.kgById[lot.id]).map((lot) => lot.contents)),
                  )}
                  .
                </Over>
                <Button kind="main" onPress={() => pourOnce(blend)}>
                  It is poured together
                </Button>
              </>
            )}
            {blend?.kind === 'none' && (
              <>
                <Subtitle>No blend of these keeps every limit</Subtitle>
                <Over>{blend.either.length > 1 ? 'Any one of these is enough' : 'It would have to be'}</Over>
                <ul>
                  {[...blend.either, ...blend.together].map((one) => (
                    <li key={one.limit}>{loosenWords(one, kitchen.currency)}</li>
                  ))}
                </ul>
                <Soft>Loosen that, or tick another lot.</Soft>
              </>
            )}
            {blend?.kind === 'contradiction' && <Errors sentences={[contradictionWords(blend)]} />}
            {blend?.kind === 'onlyWater' && (
              <Soft>Water alone would do: say a least strength, salt or umami, or leave the water out.</Soft>
            )}
            {chosen.length === 0 && <Soft>Tick what may go in.</Soft>}
          </section>
        </Halves>
      )}
    </Page>
  );
}

/** The two stocks there is most of. */
const firstTwo = (lots: readonly LotView[]) =>
  lots
    .filter((lot) => baseKind(lot.contents.base)?.family === 'stock')
    .slice(0, 2)
    .map((lot) => lot.id);

const POURED: readonly BaseFamily[] = ['stock', 'broth', 'concentrate', 'sauce'];

/** Stocks, broths and sauces that stand cold and within their date. */
function mayBePoured(lot: LotView, nowMs: number): boolean {
  const family = baseKind(lot.contents.base)?.family;
  const isPast = lot.useByMs !== null && lot.useByMs < nowMs && !lot.mayBePast;
  const isThere = lot.leftKg > 0.05 && lot.storage !== 'frozen' && !isPast;
  return isThere && isPouredLot(lot) && family !== undefined && POURED.includes(family);
}

function blendOf(lots: readonly LotView[], wanted: BlendWanted): Blend {
  return blendLots(
    lots.map(({ id, contents, leftKg, centsPerKg }) => ({ id, contents, leftKg, centsPerKg })),
    wanted,
  );
}
