import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { CoolingWay } from '../../../core/cooling';
import { Over } from '../../components/text';
import { colour, media, space } from '../../theme/tokens';
import { coolingWords, hourMinute } from '../../words';

const Way = styled.li`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: ${space.xs} ${space.m};
  align-items: center;
  padding: ${space.s} 0;
  border-top: 1px solid ${colour.line};
  .late {
    color: ${colour.danger};
    font-weight: 700;
  }
  .well {
    color: ${colour.onTarget};
    font-weight: 700;
  }
  ${media.narrow} {
    grid-template-columns: minmax(0, 1fr);
  }
`;

/** One way to cool something: in how many pans, how deep, where; when it is cold, and whether that is in time. */
export function WayToCool({
  way,
  zone,
  children,
}: {
  way: CoolingWay;
  zone: string;
  /** what can be done with it */
  children?: ReactNode;
}) {
  const { how, first, cold, iceKg, isInTime, loads, mayMiss, handsMin } = way;
  const at = (ms: number | null) => (ms === null ? coolingWords.neverCold : hourMinute(ms, zone));
  const late = loads > 1 ? coolingWords.loadsOf(loads) : coolingWords.mayMiss(mayMiss);
  return (
    <Way>
      <div>
        <strong>{coolingWords.wayOf(how)}</strong>
        <div>{coolingWords.inPlace(how.place, how.air, how.airC)}</div>
        <Over>{coolingWords.coldBy(at(first.p50Ms), at(cold.p50Ms))}</Over>
        <Over as="div">
          <span className={isInTime ? 'well' : 'late'}>{isInTime ? coolingWords.inTime : late}</span>
          {iceKg !== null && `, ${coolingWords.iceOf(iceKg)}`}
          {`, ${coolingWords.handsOf(handsMin)}`}
        </Over>
      </div>
      {children}
    </Way>
  );
}
