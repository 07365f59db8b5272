import styled from 'styled-components';
import type { DayCosts } from '../../../core/batch';
import { Subtitle } from '../../components/text';
import { colour, media, size, space } from '../../theme/tokens';
import { money, recordWords, wasteWords, weight } from '../../words';

const Section = styled.section`
  max-width: 640px;
  display: grid;
  gap: ${space.s};
  /* an inspector asks for no prices */
  ${media.paper} {
    display: none;
  }
`;

const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  th,
  td {
    padding: 6px 0;
    border-bottom: 1px solid ${colour.line};
    text-align: right;
    font-weight: 400;
  }
  th {
    text-align: left;
  }
  tr[data-sum='true'] > * {
    font-weight: 700;
  }
  tr[data-part='true'] > * {
    font-size: ${size.small};
    color: ${colour.soft};
  }
  tr[data-part='true'] > th {
    padding-left: ${space.m};
  }
`;

/** What the food of a day cost: to guests, to staff, kept, and wasted, with what became of it. */
export function DayMoney({ costs, currency }: { costs: DayCosts; currency: string }) {
  const { potsCents, guestsCents, staffCents, keptCents, waste } = costs;
  const wastedCents = waste.reduce((sum, one) => sum + one.cents, 0);
  const row = (name: string, cents: number) => (
    <tr key={name}>
      <th scope="row">{name}</th>
      <td />
      <td>{money(cents, currency)}</td>
    </tr>
  );
  return (
    <Section aria-label={recordWords.whatItCost}>
      <Subtitle>{recordWords.whatItCost}</Subtitle>
      <Table>
        <tbody>
          <tr data-sum="true">
            <th scope="row">{recordWords.costOfPots}</th>
            <td />
            <td>{money(potsCents, currency)}</td>
          </tr>
          {row(recordWords.toGuests, guestsCents)}
          {staffCents > 0 && row(recordWords.toStaff, staffCents)}
          {keptCents > 0 && row(recordWords.kept, keptCents)}
          <tr data-sum="true">
            <th scope="row">{recordWords.wasted}</th>
            <td />
            <td>{money(wastedCents, currency)}</td>
          </tr>
          {waste.map((one) => (
            <tr key={wasteWords(one)} data-part="true">
              <th scope="row">{wasteWords(one)}</th>
              <td>{weight(one.kg)}</td>
              <td>{money(one.cents, currency)}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Section>
  );
}
