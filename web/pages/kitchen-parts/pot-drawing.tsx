import { useId } from 'react';
import styled from 'styled-components';

import {
  depthAtLitres,
  litresAtDepth,
  type Vessel,
  type WaterLevel,
  workingFillLitres,
} from '../../../core/vessel';
import { layOut } from '../../components/pot-section/geometry';
import { colour } from '../../theme/tokens';
import { fieldUnit, litres, potsWords, stick, writeTenths } from '../../words';

const Drawing = styled.svg`
  width: 100%;
  max-width: 430px;
  height: auto;
  text {
    font-size: 14px;
    fill: ${colour.soft};
  }
  .most {
    fill: ${colour.danger};
  }
  .now {
    fill: ${colour.iron};
    font-weight: 700;
  }
`;

const BOX = { x: 20, y: 34, width: 270, height: 380 };
const STICK_X = 330;
/** Two labels nearer than this stand on one another. */
const LABEL_APART = 30;

/** A pot in section as it is known so far: its levels, how far it may be filled, and a stick beside it. */
export function PotDrawing({ vessel, levels = [] }: { vessel: Vessel; levels?: readonly WaterLevel[] }) {
  const clipId = useId();
  const layout = layOut(vessel, BOX);
  const most = workingFillLitres(vessel, false);
  const mostY = layout.yAtLitres(most);
  const fullest = levels.at(-1);
  const fullY = fullest && layout.yAtDepth(fullest.depthCm);
  const { unitCm, unit } = stick();
  const step = vessel.heightCm / unitCm > 24 ? 10 : 5;
  const ticks = Array.from({ length: Math.floor(vessel.heightCm / unitCm / step) }, (_, i) => (i + 1) * step);
  const left = layout.centreX - layout.halfWidth;
  const right = layout.centreX + layout.halfWidth;
  return (
    <Drawing
      viewBox={`0 ${(layout.topY - 30).toFixed(0)} 400 ${(470 - layout.topY).toFixed(0)}`}
      role="img"
      aria-label={potsWords.thePotInSectionBrims(litres(brim(vessel)))}
    >
      <clipPath id={clipId}>
        <path d={layout.inside} />
      </clipPath>
      {fullY !== undefined && (
        <rect
          clipPath={`url(#${clipId})`}
          x={left}
          y={fullY}
          width={right - left}
          height={layout.bottomY - fullY}
          fill={colour.water}
        />
      )}
      {levels.slice(0, -1).map((level) => (
        <g key={level.litres} clipPath={`url(#${clipId})`}>
          <line
            x1={left}
            x2={right}
            y1={layout.yAtDepth(level.depthCm)}
            y2={layout.yAtDepth(level.depthCm)}
            stroke={colour.edge}
            strokeDasharray="6 5"
          />
        </g>
      ))}
      {fullest && fullY !== undefined && (
        <>
          <line
            clipPath={`url(#${clipId})`}
            x1={left}
            x2={right}
            y1={fullY}
            y2={fullY}
            stroke={colour.act}
            strokeWidth="3"
          />
          <text
            className="now"
            x={layout.centreX}
            y={Math.abs(fullY - mostY) < LABEL_APART ? fullY + 22 : fullY - 9}
            textAnchor="middle"
          >
            {potsWords.pouredIn(litres(fullest.litres))}
          </text>
        </>
      )}
      <line
        clipPath={`url(#${clipId})`}
        x1={left}
        x2={right}
        y1={mostY}
        y2={mostY}
        stroke={colour.danger}
        strokeWidth="2"
        strokeDasharray="7 5"
      />
      <text className="most" x={layout.centreX} y={mostY - 8} textAnchor="middle">
        {potsWords.fillNoHigherThan(litres(most))}
      </text>
      <path d={layout.inside} fill="none" stroke={colour.iron} strokeWidth="9" strokeLinejoin="round" />
      {[left - 12, right - 18].map((x) => (
        <rect key={x} x={x} y={layout.topY - 6} width="30" height="10" rx="5" fill={colour.iron} />
      ))}
      <rect
        x={STICK_X}
        y={layout.topY}
        width="18"
        height={layout.bottomY - layout.topY}
        rx="3"
        fill="none"
        stroke={colour.iron}
        strokeWidth="2.5"
      />
      <text x={STICK_X - 4} y={layout.topY - 10}>
        {unit}
      </text>
      {ticks.map((mark) => (
        <g key={mark}>
          <line
            x1={STICK_X}
            x2={STICK_X + 9}
            y1={layout.yAtDepth(mark * unitCm)}
            y2={layout.yAtDepth(mark * unitCm)}
            stroke={colour.iron}
            strokeWidth="2"
          />
          <text x={STICK_X + 24} y={layout.yAtDepth(mark * unitCm) + 5}>
            {mark}
          </text>
        </g>
      ))}
    </Drawing>
  );
}

const brim = (vessel: Vessel): number => litresAtDepth(vessel, vessel.heightCm);

const Chart = styled.table`
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
  td,
  th {
    padding: 2px 18px 2px 0;
    text-align: right;
    border-bottom: 1px solid ${colour.line};
  }
`;

/** What is in the pot for each mark of the stick: to be printed and hung by it. */
export function DipChart({ name, vessel }: { name: string; vessel: Vessel }) {
  const { unitCm, unit } = stick();
  const high = vessel.heightCm / unitCm;
  const step = high > 45 ? 2 : high > 20 ? 1 : 0.5;
  const depths = Array.from({ length: Math.floor(high / step) }, (_, i) => (i + 1) * step);
  const rows = Math.ceil(depths.length / 3);
  return (
    <Chart>
      <caption>{potsWords.volumeByTheStick(name)}</caption>
      <thead>
        <tr>
          {[0, 1, 2].map((column) => [
            <th key={`${column}c`}>{unit}</th>,
            <th key={`${column}l`}>{fieldUnit('L')}</th>,
          ])}
        </tr>
      </thead>
      <tbody>
        {Array.from({ length: rows }, (_, row) => (
          <tr key={depths[row]}>
            {[0, 1, 2].map((column) => {
              const depth = depths[row + column * rows];
              return [
                <td key={`${column}c`}>{depth ?? ''}</td>,
                <td key={`${column}l`}>
                  <strong>
                    {depth === undefined ? '' : writeTenths(litresAtDepth(vessel, depth * unitCm))}
                  </strong>
                </td>,
              ];
            })}
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={6}>
            {potsWords.brimsAtBoilNoMore(
              litres(brim(vessel)),
              litres(workingFillLitres(vessel, false)),
              litres(workingFillLitres(vessel, true)),
              depthAtLitres(vessel, workingFillLitres(vessel, true)),
            )}
          </td>
        </tr>
      </tfoot>
    </Chart>
  );
}
