import { useState } from 'react';
import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import * as v from 'valibot';
import { minutes, numberField } from '../../contract';
import { type Adjustments, type AdjustWay, adjustments } from '../../core/adjust';
import { loadStillToAdd } from '../../core/batch';
import { itemsFromLots } from '../../core/larder';
import { holdsOf, massKg } from '../../core/matter';
import { BANDS, bandName } from '../../core/thickness';
import { Button } from '../components/button';
import { figure, TypedForm, useTypedForm } from '../components/form';
import { Empty, Halves, Page } from '../components/page';
import { Caution, Errors, FigureText, Over, Soft, Subtitle } from '../components/text';
import { useLots } from '../data/queries';
import { colour, size, space, target } from '../theme/tokens';
import {
  adjustHowWords,
  adjustWarningWords,
  adjustWords,
  decimal,
  hourMinute,
  money,
  percent,
  weight,
} from '../words';
import type { BatchHere } from './batch-frame';
import { useSubmit } from './pot-parts/use-submit';

const Facts = styled.dl`
  div {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    padding: 6px 0;
    border-bottom: 1px solid ${colour.line};
  }
  dt {
    color: ${colour.soft};
  }
`;

const Scale = styled.ol`
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 3px;
  font-size: ${size.small};
  li {
    display: grid;
    align-content: end;
    gap: 4px;
    text-align: center;
    line-height: 1.15;
    color: ${colour.soft};
    min-height: 62px;
    padding-bottom: 4px;
    border-bottom: 6px solid ${colour.line};
  }
  li[data-now='true'] {
    color: ${colour.iron};
    font-weight: 700;
    border-bottom-color: ${colour.iron};
  }
  li[data-target='true'] {
    border-bottom-color: ${colour.onTarget};
  }
  b {
    color: ${colour.onTarget};
  }
  button {
    min-height: ${target.anywhere};
    padding: 2px;
    border: 0;
    background: none;
    font-weight: inherit;
    line-height: 1.15;
    cursor: pointer;
  }
`;

const Table = styled.div`
  overflow-x: auto;
  table {
    width: 100%;
    border-collapse: collapse;
  }
  th,
  td {
    padding: 10px ${space.s};
    text-align: right;
    white-space: nowrap;
    border-bottom: 1px solid ${colour.line};
    vertical-align: top;
  }
  th:first-child,
  td:first-child {
    text-align: left;
    white-space: normal;
    padding-left: 0;
    min-width: 210px;
  }
  thead th {
    font-weight: 400;
    color: ${colour.soft};
    font-size: ${size.small};
  }
`;

const Row = styled.div`
  display: flex;
  gap: ${space.s};
  align-items: end;
  button {
    flex: none;
    min-height: ${target.atPot};
  }
`;

/** Judgement with numbers: salt and thickness now and to come, and what each way to mend them leads to. */
export function AdjustPage() {
  const here = useOutletContext<BatchHere>();
  const { state } = here.pot;
  const { input } = here.batch.snapshot;
  const [wanted, setWanted] = useState(input.band);
  if (massKg(state.pot.mixture) < 0.05) {
    return (
      <Page>
        <Empty title={adjustWords.nothingInThePotYet}>
          <Soft>{adjustWords.saltAndThicknessAreWorked}</Soft>
        </Empty>
      </Page>
    );
  }
  const figures = adjustments(here.batch.snapshot, state, wanted);
  const isAtTarget = figures.ways.length === 0;
  return (
    <Page>
      <Halves $columns="minmax(300px, 1fr) minmax(0, 2fr)">
        <section>
          <Subtitle>{adjustWords.salt}</Subtitle>
          <Facts>
            <Fact name={adjustWords.inTheLiquidNow} value={percent(figures.saltPercentLiquid)} />
            <Fact name={adjustWords.inTheWholePotOnce} value={percent(figures.saltPercentAll)} />
            <Fact name={adjustWords.atTheEndIfNone} value={percent(figures.saltPercentAtEnd)} />
            <Fact name={adjustWords.wantedAtTheEnd} value={percent(input.saltPercent)} />
          </Facts>
          <SaltForm here={here} figures={figures} />
        </section>
        <section>
          <Subtitle>{adjustWords.thickness}</Subtitle>
          <Scale aria-label={adjustWords.thickness}>
            {BANDS.map((band, i) => {
              const isNow = Math.round(figures.band) === i;
              const isEnd = Math.round(figures.bandAtEnd) === i;
              const isTarget = Math.round(figures.targetBand) === i;
              return (
                <li key={band.name} data-now={isNow} data-target={isTarget}>
                  {isNow && <span>{adjustWords.now}</span>}
                  {isEnd && !isNow && <span>{adjustWords.atTheEnd}</span>}
                  {isTarget && <b>{adjustWords.wanted}</b>}
                  <button type="button" aria-pressed={isTarget} onClick={() => setWanted(i)}>
                    {band.name}
                  </button>
                </li>
              );
            })}
          </Scale>
          <Soft>
            {adjustWords.nowItWithGOf(
              verb(figures.band),
              figures.flourEquivalentGPerL,
              decimal(figures.bandAtEnd, 1),
              figures.targetBand,
              comingWords(here),
            )}
          </Soft>
          {isAtTarget ? (
            <Soft>{adjustWords.itWillBeThereNothing}</Soft>
          ) : (
            <Table tabIndex={0} role="region" aria-label={adjustWords.waysToTheThicknessWanted}>
              <table>
                <thead>
                  <tr>
                    <th scope="col">{adjustWords.aWayThereAndWhat}</th>
                    <th scope="col">{adjustWords.amount}</th>
                    <th scope="col">{adjustWords.readyIn}</th>
                    <th scope="col">{adjustWords.salt}</th>
                    <th scope="col">{adjustWords.bowls}</th>
                    <th scope="col">{adjustWords.costs}</th>
                    <td />
                  </tr>
                </thead>
                <tbody>
                  {figures.ways.map((way) => (
                    <WayRow key={way.id} way={way} here={here} />
                  ))}
                </tbody>
              </table>
            </Table>
          )}
          <Over>{adjustWords.twoThirdsFirstLetIt}</Over>
        </section>
      </Halves>
    </Page>
  );
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>
        <FigureText>{value}</FigureText>
      </dd>
    </div>
  );
}

const SALT = v.object({ grams: figure(numberField(adjustWords.salt, 0.1, 5000, 'g')) });

function SaltForm({ here, figures }: { here: BatchHere; figures: Adjustments }) {
  const { saltToAddG: grams, saltPercentAtEnd: percentAtEnd, toDiluteKg } = figures;
  const { tell, refusals } = useSubmit(here.batch.id);
  const { input } = here.batch.snapshot;
  const form = useTypedForm({
    first: { grams: '' },
    schema: SALT,
    keep: async (typed) => {
      const item = { ingredientId: 'salt', kg: typed.grams / 1000, tempC: 18 };
      if (await tell({ type: 'added', payload: { items: [item] } })) form.reset();
    },
  });
  const twoThirds = Math.round((grams * 2) / 3);
  if (percentAtEnd > input.saltPercent + 0.005) {
    return <Soft>{adjustWords.addNoSaltItWill(weight(toDiluteKg))}</Soft>;
  }
  return (
    <TypedForm form={form}>
      <Soft>
        <strong>{adjustWords.g(Math.round(grams))}</strong>
        {adjustWords.toAddInAllLast(twoThirds)}
      </Soft>
      <Row>
        <form.AppField name="grams">
          {(field) => <field.AtPot label={adjustWords.saltPutIn} unit="g" refused={refusals[0] ?? null} />}
        </form.AppField>
        <Button type="submit">{adjustWords.itIsIn}</Button>
      </Row>
    </TypedForm>
  );
}

function WayRow({ way, here }: { way: AdjustWay; here: BatchHere }) {
  const { tell, refusals } = useSubmit(here.batch.id);
  const { data: lots = [] } = useLots();
  const { after } = way;
  const { title, how } = adjustHowWords(way.how);
  const { input } = here.batch.snapshot;
  return (
    <tr>
      <td>
        <strong>{title}</strong>
        <Over>{how}</Over>
        {way.warns.map((warn) => (
          <Caution key={`${warn.code} ${'name' in warn ? warn.name : ''}`}>
            {adjustWarningWords(warn)}
          </Caution>
        ))}
        <Errors sentences={refusals} />
      </td>
      <td>
        {way.items.length === 0
          ? adjustWords.nothing
          : way.items.map((item) => (
              <div key={item.ingredientId}>
                {weight(item.kg)}{' '}
                <Over as="span">{input.ingredients[item.ingredientId]?.name.toLowerCase()}</Over>
              </div>
            ))}
      </td>
      <td>
        {minutes(after.minutes)}
        <Over>{hourMinute(here.pot.nowMs + after.minutes * 60_000, here.kitchen.zone)}</Over>
      </td>
      <td>{percent(after.saltPercent)}</td>
      <td>{Math.floor(after.portions)}</td>
      <td>{money(after.costCents, here.kitchen.currency)}</td>
      <td>
        {way.isAddition && (
          <Button
            onPress={() =>
              tell({
                type: 'added',
                payload: {
                  items: itemsFromLots(rounded(way), lots, here.pot.nowMs, (id) =>
                    holdsOf([here.holds, input.ingredients[id]!]),
                  ),
                },
              })
            }
            aria-label={adjustWords.itIsIn2(title)}
          >
            {adjustWords.itIsIn}
          </Button>
        )}
      </td>
    </tr>
  );
}

/** “coats the spoon”, “has a little body”. */
function verb(band: number): string {
  const name = bandName(band);
  if (name === 'thin as water') return adjustWords.isThinAsWater;
  return name === 'a little body' ? adjustWords.hasALittleBody : name;
}

function rounded(way: AdjustWay) {
  return way.items.map((item) => ({ ...item, kg: Math.round(item.kg * 1e4) / 1e4 }));
}

function comingWords(here: BatchHere): string {
  const { snapshot } = here.batch;
  // the salt to come is what is asked about, and is not counted in
  const load = loadStillToAdd(snapshot, here.pot.state, ['toSalt']);
  const left = snapshot.plan.lines.filter((line) => (load[line.lineId] ?? 0) > 0.1);
  if (left.length === 0) return '';
  return adjustWords.stillToComeTheyAre(left.map((line) => line.name.toLowerCase()).join(', '));
}
