import { Link } from 'react-router';
import styled from 'styled-components';
import { minutes } from '../../../contract';
import type { AdjustWay } from '../../../core/adjust';
import type { AddedItem } from '../../../core/batch';
import { itemsFromLots } from '../../../core/larder';
import { holdsOf } from '../../../core/matter';
import { flourPerLitre, liquidLitres } from '../../../core/pot';
import type { BatchCommand } from '../../../core/rules';
import { thicknessBand } from '../../../core/thickness';
import { Button } from '../../components/button';
import { useOneAtATime } from '../../components/form';
import { Caution, Errors, Over } from '../../components/text';
import { useLots } from '../../data/queries';
import { colour, media, size, space } from '../../theme/tokens';
import {
  adjustHowWords,
  adjustWarningWords,
  adjustWords,
  hourMinute,
  money,
  percent,
  rouxWords,
  weight,
} from '../../words';
import type { BatchHere } from '../batch-frame';
import { useSubmit } from '../pot-parts/use-submit';

const Rows = styled.ul`
  display: grid;
  > li {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: ${space.xs} ${space.m};
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
    align-items: center;
  }
  li[data-hindered='true'] strong {
    color: ${colour.soft};
  }
  dl {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 2px ${space.m};
    font-size: ${size.small};
  }
  dl div {
    display: flex;
    gap: 5px;
  }
  dt {
    color: ${colour.soft};
  }
  .warns {
    grid-column: 1 / -1;
    display: grid;
    gap: ${space.xs};
  }
  ${media.narrow} {
    > li > button {
      justify-self: start;
    }
  }
`;

/** Of what is wanted first so much: too thick is only mended by thinning. Common practice. */
const FIRST_SHARE = 2 / 3;

/** The ways to the mark, one under the other, each with what it leads to; one press says that its first part is in. */
export function Ways({
  ways,
  here,
  wantedBand,
}: {
  ways: readonly AdjustWay[];
  here: BatchHere;
  wantedBand: number;
}) {
  return (
    <Rows>
      {ways.map((way) => (
        <Way key={way.id} way={way} here={here} wantedBand={wantedBand} />
      ))}
    </Rows>
  );
}

function Way({ way, here, wantedBand }: { way: AdjustWay; here: BatchHere; wantedBand: number }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { data: lots = [] } = useLots();
  const { input } = here.batch.snapshot;
  const { title, how } = adjustHowWords(way.how);
  const { after } = way;
  const nameOf = (id: string) => input.ingredients[id]?.name.toLowerCase() ?? '';
  const amounts = way.items.map((item) => `${weight(item.kg)} ${nameOf(item.ingredientId)}`).join(', ');
  const judgedMs = here.pot.nowMs + after.minutes * 60_000;
  const isLate = judgedMs > input.serviceAtMs && input.serviceAtMs > here.pot.nowMs;
  const isFirstPart = way.isAddition && way.how.code !== 'loosen';
  const fromLots = (share: number): AddedItem[] =>
    itemsFromLots(
      way.items.map((item): AddedItem => ({ ...item, kg: Math.round(item.kg * share * 1e4) / 1e4 })),
      lots,
      here.pot.nowMs,
      (id) => holdsOf([here.holds, input.ingredients[id]!]),
    );
  const drawn = fromLots(1).filter((item) => item.lotId !== undefined);
  const put = useOneAtATime((share: number) => {
    const wholeKg = way.items.reduce((sum, item) => sum + item.kg, 0);
    const body: BatchCommand = {
      type: 'added',
      payload: {
        items: fromLots(share),
        purpose: { for: 'thickness', wayId: way.id, wholeKg: Math.round(wholeKg * 1e4) / 1e4 },
      },
    };
    return tell(body);
  });
  const blend = useOneAtATime((share: number) => tell({ type: 'pureed', payload: { share } }));
  const { how: of } = way;
  return (
    <li data-hindered={way.warns.length > 0 || isLate}>
      <div>
        <strong>{title}</strong>
        <Over>
          {how}{' '}
          {of.code === 'roux' && <Link to={rouxAddress(of.colour, here, wantedBand)}>{rouxWords.toIt}</Link>}
        </Over>
      </div>
      {way.isAddition && (
        <Button onPress={() => put(isFirstPart ? FIRST_SHARE : 1)} aria-label={adjustWords.itIsIn2(title)}>
          {isFirstPart ? adjustWords.twoThirdsIn : adjustWords.itIsIn}
        </Button>
      )}
      {of.code === 'puree' && (
        <Button
          onPress={() => blend(Math.round(of.share * 100) / 100)}
          aria-label={adjustWords.itIsBlended(title)}
        >
          {adjustWords.blendedNow}
        </Button>
      )}
      <dl>
        {amounts && <Fact name={adjustWords.amount} value={amounts} />}
        {isFirstPart && (
          <Fact
            name={adjustWords.first}
            value={weight(way.items.reduce((sum, item) => sum + item.kg * FIRST_SHARE, 0))}
          />
        )}
        {drawn.map((item) => (
          <Fact
            key={item.lotId}
            name={adjustWords.offTheShelf}
            value={adjustWords.kgOfLot(
              weight(item.kg),
              lots.find((lot) => lot.id === item.lotId)?.number ?? 0,
            )}
          />
        ))}
        <Fact
          name={adjustWords.judgeAt}
          value={`${hourMinute(judgedMs, here.kitchen.zone)} (${minutes(after.minutes)})`}
        />
        <Fact name={adjustWords.salt.toLowerCase()} value={percent(after.saltPercent)} />
        <Fact name={adjustWords.bowls} value={String(Math.floor(after.portions))} />
        {after.costCents >= 0.5 && (
          <Fact name={adjustWords.costs} value={money(after.costCents, here.kitchen.currency)} />
        )}
        {after.ownTaste < 0.985 && (
          <Fact name={adjustWords.ownTaste} value={`${Math.round(100 * after.ownTaste)} %`} />
        )}
      </dl>
      <div className="warns">
        {isLate && (
          <Caution>{adjustWords.tooLateFor(hourMinute(input.serviceAtMs, here.kitchen.zone))}</Caution>
        )}
        {way.warns.map((warn) => (
          <Caution key={`${warn.code} ${'name' in warn ? warn.name : ''}`}>
            {adjustWarningWords(warn)}
          </Caution>
        ))}
        <Errors sentences={refusals} />
      </div>
    </li>
  );
}

/** The same roux as a page of weights and minutes. */
function rouxAddress(colourOf: string, { pot }: BatchHere, wantedBand: number): string {
  const now = thicknessBand({ flourEquivalentGPerL: flourPerLitre(pot.state.pot) });
  const of = new URLSearchParams({
    litres: liquidLitres(pot.state.pot).toFixed(1),
    from: now.toFixed(1),
    band: wantedBand.toFixed(1),
    colour: colourOf,
    liquidC: Math.round(pot.state.pot.tempC).toString(),
    rouxC: '20',
  });
  return `/larder/roux?${of}`;
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{value}</dd>
    </div>
  );
}
