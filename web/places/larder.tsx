import { addDays } from 'date-fns';
import styled from 'styled-components';
import { FOOD_CODE, INGREDIENT_BY_ID } from '../../core';
import { useNowMs } from '../data/clock';
import { day, dayAndHour, litres } from '../data/format';
import { useLots } from '../data/queries';
import { Empty, Page, Waiting } from '../parts/page';
import { Caution, FigureText, Over, Soft, Subtitle, Title } from '../parts/text';
import { colour, media, space } from '../theme/tokens';
import { Foods } from './larder-parts/foods';
import { useKitchenHere } from './use-kitchen-here';

const Row = styled.li`
  display: grid;
  grid-template-columns: 1fr 220px 150px;
  gap: ${space.l};
  align-items: center;
  padding: ${space.m} 0;
  border-bottom: 1px solid ${colour.line};
  > :last-child {
    text-align: right;
  }
  ${media.narrow} {
    grid-template-columns: 1fr;
    > :last-child {
      text-align: left;
    }
  }
`;

const Gauge = styled.div`
  height: 18px;
  border: 2px solid ${colour.iron};
  border-radius: 4px;
  background: ${colour.hollow};
  overflow: hidden;
  i {
    display: block;
    height: 100%;
    background: ${colour.act};
  }
`;

/** What there is to cook from: each lot with its age, its salt and what is left of it. */
export function Larder() {
  const kitchen = useKitchenHere();
  const nowMs = useNowMs();
  const { data: lots, error, refetch } = useLots();
  if (!lots) return <Waiting error={error} onRetry={refetch} />;
  return (
    <Page>
      <Title>Larder</Title>
      {lots.length === 0 && (
        <Empty title="Nothing made ahead">
          <Soft>Stocks and purées stand here with their dates once they are made.</Soft>
        </Empty>
      )}
      <ul>
        {lots.map((lot) => {
          const useBy = addDays(lot.madeAtMs, FOOD_CODE.dateMarkDays.value);
          const isPast = useBy.getTime() < nowMs;
          return (
            <Row key={lot.id}>
              <div>
                <Subtitle>
                  {INGREDIENT_BY_ID[lot.ingredientId]?.name}, lot {lot.number}
                </Subtitle>
                <Over>
                  {lot.place}; made {dayAndHour(lot.madeAtMs, kitchen.zone)}; {lot.saltPercent} % salt; use by{' '}
                  {day(useBy.getTime(), kitchen.zone)} at 5 °C or colder
                </Over>
                {lot.countIt && <Caution>more was drawn than there was: count it.</Caution>}
                {isPast && <Caution>past its date; the licensed person in charge decides.</Caution>}
              </div>
              <Gauge role="img" aria-label={`${litres(lot.leftLitres)} of ${litres(lot.litres)} left`}>
                <i style={{ width: `${(100 * lot.leftLitres) / lot.litres}%` }} />
              </Gauge>
              <p>
                <FigureText>{litres(lot.leftLitres)}</FigureText>
                <Over>of {litres(lot.litres)} left</Over>
              </p>
            </Row>
          );
        })}
      </ul>
      <Soft>
        Seven days at 5 °C: FDA Food Code 2022, § {FOOD_CODE.dateMarkDays.section}. The local code and the
        licensed person in charge decide.
      </Soft>
      <Foods />
    </Page>
  );
}
