import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import styled from 'styled-components';
import { v7 as uuid } from 'uuid';

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
import {
  basesWords,
  containsWords,
  decimal,
  isPouredLot,
  larderWords,
  litres,
  percent,
  pricePerWeight,
  weight,
} from '../words';
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
        name: basesWords.blendOf([...new Set(names)].join(' and ')).slice(0, 60),
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
      <Title>{basesWords.blend}</Title>
      {there.length === 0 ? (
        <Empty title={basesWords.nothingToBlend}>
          <Soft>{basesWords.twoStocksOfDifferentStrength}</Soft>
        </Empty>
      ) : (
        <Halves>
          <section>
            <PouredFrom lots={there} ticked={ticked} onChange={setPicked} />
            <Fields>
              <SmallField label={basesWords.make} unit="L" value={typed.litres} onChange={set('litres')} />
              <SmallField
                label={basesWords.saltAtMost}
                unit="%"
                value={typed.saltMax}
                onChange={set('saltMax')}
              />
              <SmallField
                label={basesWords.strengthAtLeast}
                unit="°Brix"
                value={typed.brixMin}
                onChange={set('brixMin')}
              />
              <SmallField
                label={basesWords.umamiAtLeast}
                unit={larderWords.gIn100G}
                value={typed.umamiMin}
                onChange={set('umamiMin')}
              />
              <SmallField
                label={basesWords.aWeightAtMost()}
                unit={kitchen.currency}
                value={typed.priceMax}
                onChange={set('priceMax')}
              />
            </Fields>
            <Over>{basesWords.aFieldLeftEmptySets}</Over>
            <Errors sentences={[...wrong, ...refusals]} />
          </section>
          <section aria-label={basesWords.theBlend} aria-live="polite">
            {blend?.kind === 'blend' && (
              <>
                <Subtitle>{basesWords.pourTogether}</Subtitle>
                <Poured>
                  {chosen
                    .filter((lot) => (blend.kgById[lot.id] ?? 0) > 0.0005)
                    .map((lot) => (
                      <li key={lot.id}>
                        <span>
                          {lot.name}, <Link to={`/larder/lots/${lot.id}`}>{basesWords.lot(lot.number)}</Link>
                        </span>
                        <strong>{litres(blend.kgById[lot.id]! / lot.contents.densityKgPerL)}</strong>
                      </li>
                    ))}
                  {blend.waterKg > 0.0005 && (
                    <li>
                      <span>{basesWords.water}</span>
                      <strong>{weight(blend.waterKg)}</strong>
                    </li>
                  )}
                </Poured>
                <p>
                  {basesWords.comesToSaltBrixUmami(
                    percent(blend.outcome.saltPercent),
                    decimal(blend.outcome.brix, 1),
                    decimal(blend.outcome.umami, 2),
                    pricePerWeight(blend.outcome.centsPerKg, kitchen.currency),
                  )}
                </p>
                <Over>
                  {basesWords.itKeepsTheEarliestDate(
                    containsWords(
                      holdsOf(chosen.filter((lot) => blend.kgById[lot.id]).map((lot) => lot.contents)),
                    ),
                  )}
                </Over>
                <Button kind="main" onPress={() => pourOnce(blend)}>
                  {basesWords.blendedLogIt}
                </Button>
              </>
            )}
            {blend?.kind === 'none' && (
              <>
                <Subtitle>{basesWords.noBlendOfTheseKeeps}</Subtitle>
                <Over>
                  {blend.either.length > 1 ? basesWords.anyOneOfTheseIs : basesWords.itWouldHaveToBe}
                </Over>
                <ul>
                  {[...blend.either, ...blend.together].map((one) => (
                    <li key={one.limit}>{loosenWords(one, kitchen.currency)}</li>
                  ))}
                </ul>
                <Soft>{basesWords.loosenThatOrTickAnother}</Soft>
              </>
            )}
            {blend?.kind === 'contradiction' && <Errors sentences={[contradictionWords(blend)]} />}
            {blend?.kind === 'onlyWater' && <Soft>{basesWords.waterAloneWouldDoSay}</Soft>}
            {chosen.length === 0 && <Soft>{basesWords.tickWhatMayGoIn}</Soft>}
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
