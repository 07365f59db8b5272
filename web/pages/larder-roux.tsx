import { useSearchParams } from 'react-router';
import styled from 'styled-components';
import * as v from 'valibot';
import { numberField, typedNumber } from '../../contract';
import {
  ROUX_COLOURS,
  ROUX_MINUTES,
  type Roux,
  type RouxAsked,
  type RouxColour,
  rouxFor,
  WATER_OF,
} from '../../core/roux';
import { BANDS } from '../../core/thickness';
import { Choice } from '../components/choice';
import { PickOne } from '../components/menu';
import { Halves, Page } from '../components/page';
import { SmallField } from '../components/small-field';
import { Caution, Errors, Over, Soft, Subtitle, Title } from '../components/text';
import { useLots } from '../data/queries';
import { colour, size, space, target } from '../theme/tokens';
import {
  depth,
  joinedWords,
  ROUX_COLOUR_WORDS,
  ROUX_CUES,
  ROUX_FAT_WORDS,
  rouxWords,
  weight,
} from '../words';
import { LarderNav } from './larder-parts/larder-nav';
import { useKitchenHere } from './use-kitchen-here';

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: ${space.s} ${space.m};
`;

const Colours = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
  th,
  td {
    padding: 6px 8px;
    text-align: right;
    border-bottom: 1px solid ${colour.line};
  }
  thead th {
    font-weight: 400;
    font-size: ${size.small};
    color: ${colour.soft};
  }
  th:first-child {
    text-align: left;
  }
  button {
    min-height: ${target.anywhere};
    padding: 0;
    border: 0;
    background: none;
    font: inherit;
    text-decoration: underline;
    text-underline-offset: 4px;
    cursor: pointer;
  }
  tr[data-chosen='true'] {
    background: ${colour.sheet};
    box-shadow: inset 4px 0 0 ${colour.act};
    font-weight: 700;
    button {
      text-decoration: none;
      font-weight: 700;
    }
  }
`;

const Stages = styled.ol`
  li {
    display: grid;
    grid-template-columns: 7.5em minmax(0, 1fr);
    gap: ${space.m};
    padding: ${space.s} 0;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** What is typed, in the address: a link opens the same roux again. */
const TYPED = {
  litres: { first: '10', schema: numberField(rouxWords.forLiquid, 0.05, 500, 'L') },
  rendered: { first: '0', schema: numberField(rouxWords.rendered, 0, 100_000, 'g') },
  pan: { first: '32', schema: numberField(rouxWords.pan, 10, 120, 'cm') },
  rouxC: { first: '100', schema: numberField(rouxWords.rouxAt, -5, 200, '°C') },
  liquidC: { first: '10', schema: numberField(rouxWords.liquidAt, -5, 105, '°C') },
} as const;
type TypedName = keyof typeof TYPED;

/** A roux by colour for so much liquid: weights, pan, minutes and smells, and how it is joined without lumps. */
export function LarderRoux() {
  const kitchen = useKitchenHere();
  const [search, setSearch] = useSearchParams();
  const said = (name: string, first: string) => search.get(name) ?? first;
  const set = (name: string) => (text: string) =>
    setSearch(
      (before) => {
        before.set(name, text);
        return before;
      },
      { replace: true },
    );
  const burner = kitchen.burners.find((one) => one.id === search.get('burner')) ?? kitchen.burners[0];
  const choice = <T extends string>(name: string, all: readonly T[], first: T): T =>
    all.find((one) => one === search.get(name)) ?? first;
  const fat = choice('fat', Object.keys(WATER_OF) as (keyof typeof WATER_OF)[], 'butter');
  const where = choice('where', ['flame', 'oven'], 'flame');
  const chosen = choice('colour', ROUX_COLOURS, 'rouxBlond');
  const band = bandSaid(said('band', '3'));
  const fromBand = bandSaid(said('from', '0'));

  const wrong: string[] = [];
  const figure = (name: TypedName): number => {
    const read = v.safeParse(
      TYPED[name].schema,
      typedNumber(said(name, TYPED[name].first)) ?? said(name, ''),
    );
    if (read.success) return read.output;
    wrong.push(read.issues[0].message);
    return Number.NaN;
  };
  const asked = {
    litres: figure('litres'),
    fromBand,
    band,
    fat,
    renderedKg: figure('rendered') / 1000,
    panCm: figure('pan'),
    burnerKW: burner ? (burner.powerW / 1000) * burner.efficiency * burner.heatFactor.mean : 1,
    where,
    rouxC: figure('rouxC'),
    liquidC: figure('liquidC'),
  };
  if (band <= fromBand) wrong.push(rouxWords.mustBeThicker);
  const all = wrong.length > 0 ? [] : ROUX_COLOURS.map((one) => ({ colour: one, roux: madeIn(asked, one) }));
  const made = all.find((one) => one.colour === chosen)?.roux;
  const bands = BANDS.map((one, i) => ({ id: String(i), text: one.name }));
  const typed = (name: TypedName, label: string, unit: string) => (
    <SmallField label={label} unit={unit} value={said(name, TYPED[name].first)} onChange={set(name)} />
  );
  return (
    <Page>
      <LarderNav />
      <Title>{made ? rouxWords.of(weight(made.rouxKg), ROUX_COLOUR_WORDS[chosen]) : rouxWords.roux}</Title>
      <Halves>
        <section>
          <Fields>
            {typed('litres', rouxWords.forLiquid, 'L')}
            <PickOne
              label={rouxWords.nowIsIt}
              value={String(Math.round(fromBand))}
              options={bands}
              onChange={set('from')}
            />
            <PickOne
              label={rouxWords.wanted}
              value={String(Math.round(band))}
              options={bands}
              onChange={set('band')}
            />
            <PickOne
              label={rouxWords.fat}
              value={fat}
              options={Object.entries(ROUX_FAT_WORDS).map(([id, text]) => ({ id, text }))}
              onChange={set('fat')}
            />
            {typed('rendered', rouxWords.rendered, 'g')}
            {typed('pan', rouxWords.pan, 'cm')}
            {burner && (
              <PickOne
                label={rouxWords.burner}
                value={burner.id}
                options={kitchen.burners.map((one) => ({ id: one.id, text: one.name }))}
                onChange={set('burner')}
              />
            )}
            {typed('rouxC', rouxWords.rouxAt, '°C')}
            {typed('liquidC', rouxWords.liquidAt, '°C')}
          </Fields>
          <Choice
            label={rouxWords.where}
            value={where}
            options={[
              { value: 'flame', text: rouxWords.onTheFlame },
              { value: 'oven', text: rouxWords.inTheOven() },
            ]}
            onChange={set('where')}
          />
          <Errors sentences={wrong} />
        </section>
        <section aria-label={rouxWords.roux}>
          {all.length > 0 && (
            <Colours>
              <thead>
                <tr>
                  <th scope="col">{rouxWords.colour}</th>
                  <th scope="col">{rouxWords.flour}</th>
                  <th scope="col">{rouxWords.fatToAdd}</th>
                  <th scope="col">{rouxWords.lost}</th>
                  <th scope="col">{rouxWords.ready}</th>
                </tr>
              </thead>
              <tbody>
                {all.map((one) => (
                  <tr key={one.colour} data-chosen={one.colour === chosen}>
                    <th scope="row">
                      <button
                        type="button"
                        aria-pressed={one.colour === chosen}
                        onClick={() => set('colour')(one.colour)}
                      >
                        {ROUX_COLOUR_WORDS[one.colour]}
                      </button>
                    </th>
                    {one.roux ? (
                      <>
                        <td>{weight(one.roux.flourKg)}</td>
                        <td>{weight(one.roux.fatToAddKg)}</td>
                        <td>{Math.round(100 * one.roux.lost)} %</td>
                        <td>{minutesOf(one.roux)}</td>
                      </>
                    ) : (
                      <td colSpan={4}>{rouxWords.whiteInOven}</td>
                    )}
                  </tr>
                ))}
              </tbody>
            </Colours>
          )}
          {made && <Made roux={made} where={where} colourOf={chosen} />}
        </section>
      </Halves>
    </Page>
  );
}

/** The one that is chosen: its pan, its stages with their smells, how it is joined, and what stands on the shelf. */
function Made({ roux, where, colourOf }: { roux: Roux; where: 'flame' | 'oven'; colourOf: RouxColour }) {
  return (
    <>
      <Soft>
        {rouxWords.panOf(depth(roux.depthCm), roux.pans)}{' '}
        {roux.pourOffKg > 0.005 && rouxWords.pourOff(weight(roux.pourOffKg))}{' '}
        {roux.fatToAddKg === 0 && rouxWords.allRendered}
      </Soft>
      <Caution>{rouxWords.hotFat}</Caution>
      <Subtitle>{rouxWords.stages}</Subtitle>
      <Over>{where === 'oven' ? rouxWords.stirEach : rouxWords.hotAfter(Math.ceil(roux.warmMin))}</Over>
      <Stages>
        {roux.stages.map((stage) => (
          <li key={stage.colour}>
            <strong>{rouxWords.minutes(Math.round(stage.fromMin), Math.round(stage.toMin))}</strong>
            <span>
              {ROUX_COLOUR_WORDS[stage.colour]}: {ROUX_CUES[stage.colour]}
            </span>
          </li>
        ))}
      </Stages>
      <Soft>{rouxWords.burnt}</Soft>
      <Subtitle>{rouxWords.joining}</Subtitle>
      {roux.joined.how === 'bothHot' ? (
        <Caution>{joinedWords(roux)}</Caution>
      ) : (
        <Soft>{joinedWords(roux)}</Soft>
      )}
      <Soft>{rouxWords.lumps}</Soft>
      <OnTheShelf roux={roux} colourOf={colourOf} />
    </>
  );
}

/** Blocks of it made ahead: by weight, off a lot. */
function OnTheShelf({ roux, colourOf }: { roux: Roux; colourOf: RouxColour }) {
  const { data: lots = [] } = useLots();
  const own = lots.filter(
    (lot) => lot.contents.base === `${ROUX_COLOUR_WORDS[colourOf]}-roux` && lot.leftKg > 0,
  );
  if (own.length === 0) return null;
  return (
    <>
      <Subtitle>{rouxWords.onTheShelf}</Subtitle>
      <Soft>{rouxWords.takeOf(weight(roux.rouxKg))}</Soft>
      <ul>
        {own.map((lot) => (
          <li key={lot.id}>
            {rouxWords.lotLeft(lot.name, lot.number, weight(lot.leftKg))}{' '}
            {lot.leftKg < roux.rouxKg && rouxWords.notSoMuch(weight(lot.leftKg))}
          </li>
        ))}
      </ul>
    </>
  );
}

function madeIn(asked: Omit<RouxAsked, 'colour'>, colourOf: RouxColour): Roux | null {
  if (asked.where === 'oven' && ROUX_MINUTES[colourOf].oven === null) return null;
  return rouxFor({ ...asked, colour: colourOf });
}

function minutesOf({ stages }: Roux): string {
  const last = stages.at(-1)!;
  return rouxWords.minutes(Math.round(last.fromMin), Math.round(last.toMin));
}

/** A band as it stands in an address; coats the spoon where it is none. */
function bandSaid(text: string): number {
  const band = Number(text);
  return Number.isFinite(band) && band >= 0 && band <= 6 ? band : 3;
}
