import { Link, useParams } from 'react-router';
import styled from 'styled-components';
import { renderSVG } from 'uqr';

import { Button } from '../components/button';
import { Page, Waiting } from '../components/page';
import { Soft } from '../components/text';
import { useLot } from '../data/queries';
import { colour, font, media, PRINT, space } from '../theme/tokens';
import { allergenNames, dayAndHour, decimal, lotAmount, lotWords, useByWords } from '../words';
import { useKitchenHere } from './use-kitchen-here';

const Bar = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: ${space.m};
  align-items: center;
  ${media.paper} {
    display: none;
  }
`;

/** 100 × 60 mm, black on white: it is read in a walk-in, in both lights. */
const Paper = styled.article`
  width: min(100mm, 100%);
  min-height: 60mm;
  padding: 4mm;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 30mm;
  gap: 2mm 4mm;
  background: ${PRINT.paper};
  color: ${PRINT.ink};
  border: 1px solid ${colour.edge};
  h1 {
    grid-column: 1 / -1;
    font: 700 6.4mm / 1.1 ${font.title};
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 0.6mm 2mm;
    align-content: start;
    font-size: 3.4mm;
    line-height: 1.25;
  }
  dt {
    color: ${PRINT.soft};
  }
  dd {
    font-weight: 700;
  }
  dd.mind {
    grid-column: 1 / -1;
  }
  dd.use {
    font-size: 5.2mm;
  }
  figure {
    display: grid;
    gap: 1mm;
    justify-items: center;
    font-size: 3mm;
  }
  svg {
    width: 30mm;
    height: 30mm;
  }
  ${media.paper} {
    width: 100mm;
    border: 0;
  }
`;

/** The label of a lot, to print: what, when, until when, what it holds; its square opens the lot. */
export function LotLabel() {
  const { id = '' } = useParams();
  const kitchen = useKitchenHere();
  const { data, error, refetch } = useLot(id);
  if (!data) return <Waiting error={error} onRetry={refetch} />;
  const { lot } = data;
  const address = `${location.origin}/larder/lots/${lot.id}`;
  return (
    <Page>
      <Bar>
        <Button kind="main" onPress={() => window.print()}>
          {lotWords.print}
        </Button>
        <Link to={`/larder/lots/${lot.id}`}>{lotWords.backToTheLot}</Link>
        <Soft>{lotWords.aLabelOf100By}</Soft>
      </Bar>
      <Paper aria-label={lotWords.labelOfLot(lot.number)}>
        <h1>{lotWords.lot2(lot.name, lot.number)}</h1>
        <dl>
          <dt>{lotWords.useBy}</dt>
          <dd className="use">
            {lot.frozenSinceMs !== null && lot.useByMs === null
              ? lotWords.frozen2
              : useByWords(lot, kitchen.zone)}
          </dd>
          <dt>{lotWords.made}</dt>
          <dd>{dayAndHour(lot.madeAtMs, kitchen.zone)}</dd>
          <dt>{lotWords.contains}</dt>
          <dd>{allergenNames(lot.contents.allergens) || lotWords.noneOfTheFourteenAllergens}</dd>
          <dt>{lotWords.amount}</dt>
          <dd>{lotAmount(lot, lot.leftKg)}</dd>
          <dt>{lotWords.salt}</dt>
          <dd>{decimal(lot.saltPercent, 2)} %</dd>
          {lot.strength !== null && (
            <>
              <dt>{lotWords.strength}</dt>
              <dd>{decimal(lot.strength, 1)} ×</dd>
            </>
          )}
          {lot.tags.length > 0 && (
            <>
              <dt>{lotWords.tag2}</dt>
              <dd>{lot.tags.join(', ')}</dd>
            </>
          )}
          {lot.advisories.map((advisory) => (
            <dd key={advisory} className="mind">
              {advisory}
            </dd>
          ))}
          <dt>{lotWords.keep}</dt>
          <dd>
            {lot.storage === 'frozen'
              ? lotWords.frozen2
              : lot.storage === 'dry'
                ? lotWords.dry
                : lotWords.orColder(5)}
          </dd>
        </dl>
        <figure>
          <span
            role="img"
            aria-label={lotWords.squareCode(address)}
            dangerouslySetInnerHTML={{ __html: renderSVG(address, { border: 2 }) }}
          />
          <figcaption>{kitchen.name}</figcaption>
        </figure>
      </Paper>
    </Page>
  );
}
