import { useId } from 'react';
import styled, { keyframes } from 'styled-components';
import type { Vessel } from '../../../core/vessel';
import { colour, FOOD, font } from '../../theme/tokens';
import { Flames, LidPlate, Steam, Stick, Tags } from './around-the-pot';
import { type Layout, layOut, scatter } from './geometry';

/** A line on the pot's wall. */
export interface WallMark {
  litres: number;
  text: string;
  kind: 'limit' | 'fullest' | 'started' | 'target';
}

export interface PotSectionProps {
  vessel: Vessel;
  litres: number;
  food: string;
  /** share of what is in it that is pieces, 0..1 */
  pieces?: number;
  marks?: readonly WallMark[];
  /** kg/h leaving as steam */
  steamKgPerHour?: number;
  heatFraction?: number;
  tags?: readonly string[];
  hasLid?: 'off' | 'ajar' | 'on';
  stick?: boolean;
  label?: string;
  description: string;
  /** called with a depth in cm when the cook points at the wall */
  onPoint?: (depthCm: number) => void;
}

const BOX = { x: 96, y: 78, width: 300, height: 338 };
const WALL = 11;

const rise = keyframes`
  from { transform: translateY(6px); opacity: 0; }
  40% { opacity: 1; }
  to { transform: translateY(-10px); opacity: 0; }
`;

const Drawing = styled.svg`
  display: block;
  width: 100%;
  height: 100%;
  max-height: 100%;
  font-family: ${font.text};
  .steam path {
    animation: ${rise} 3.2s ease-in-out infinite;
  }
  .steam path:nth-child(2) {
    animation-delay: -1.1s;
  }
  .steam path:nth-child(3) {
    animation-delay: -2.2s;
  }
`;

/** A pot cut open, true to its geometry: what is in it, its marks, its stick, its steam and its fire. */
export function PotSection(props: PotSectionProps) {
  const clipId = useId();
  const layout = layOut(props.vessel, BOX);
  const food = FOOD[props.food] ?? FOOD.broth!;
  const surfaceY = layout.yAtLitres(props.litres);
  const isFull = props.litres > 0.05;
  const onPoint = props.onPoint;
  return (
    <Drawing
      viewBox={frameOf(props)}
      role="img"
      aria-label={props.description}
      onClick={
        onPoint &&
        ((event) => {
          const toScreen = event.currentTarget.getScreenCTM();
          if (!toScreen) return;
          const { y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(toScreen.inverse());
          onPoint(Math.round(layout.depthAtY(y) * 10) / 10);
        })
      }
      style={onPoint ? { cursor: 'crosshair' } : undefined}
    >
      <clipPath id={clipId}>
        <path d={layout.inside} />
      </clipPath>
      <path d={layout.inside} fill={colour.hollow} />
      {isFull && (
        <g clipPath={`url(#${clipId})`}>
          <Soup
            layout={layout}
            surfaceY={surfaceY}
            food={food}
            pieces={props.pieces ?? 0}
            vessel={props.vessel}
          />
        </g>
      )}
      <path
        d={layout.inside}
        fill="none"
        stroke={colour.iron}
        strokeWidth={WALL}
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <Rim layout={layout} vessel={props.vessel} />
      {props.marks?.map((mark) => (
        <Mark
          key={mark.kind}
          layout={layout}
          mark={mark}
          surfaceY={surfaceY}
          onFood={food.on}
          vessel={props.vessel}
        />
      ))}
      {props.label && (
        <text
          x={layout.centreX}
          y={Math.min(surfaceY + 30, layout.bottomY - 14)}
          textAnchor="middle"
          fontSize="17"
          fontWeight="700"
          fill={isFull && layout.bottomY - surfaceY > 34 ? food.on : colour.iron}
        >
          {props.label}
        </text>
      )}
      <Steam layout={layout} kgPerHour={props.steamKgPerHour ?? 0} lid={props.hasLid ?? 'off'} />
      {props.hasLid && props.hasLid !== 'off' && (
        <LidPlate layout={layout} isAjar={props.hasLid === 'ajar'} />
      )}
      {(props.heatFraction ?? 0) > 0 && <Flames layout={layout} fraction={props.heatFraction ?? 0} />}
      {props.stick && <Stick layout={layout} vessel={props.vessel} surfaceY={isFull ? surfaceY : null} />}
      {props.tags && props.tags.length > 0 && <Tags layout={layout} words={props.tags} />}
    </Drawing>
  );
}

/** The part of the drawing that is used: tags, stick, steam and fire take room only when they are there. */
function frameOf(props: PotSectionProps): string {
  const left = props.tags?.length ? 0 : 66;
  const right = props.stick ? 492 : 426;
  const top = props.steamKgPerHour || (props.hasLid && props.hasLid !== 'off') ? 14 : 50;
  const bottom = props.heatFraction ? 474 : 432;
  return `${left} ${top} ${right - left} ${bottom - top}`;
}

function Soup(of: {
  layout: Layout;
  surfaceY: number;
  food: (typeof FOOD)[string];
  pieces: number;
  vessel: Vessel;
}) {
  const { layout, surfaceY, food } = of;
  const left = layout.centreX - layout.halfWidth - 4;
  const right = layout.centreX + layout.halfWidth + 4;
  const wave = Array.from(
    { length: 6 },
    (_, i) => `q${(right - left) / 12},${i % 2 ? 4 : -4} ${(right - left) / 6},0`,
  );
  const deep = layout.bottomY - surfaceY;
  return (
    <>
      <path d={`M${left},${surfaceY} ${wave.join(' ')} V${layout.bottomY} H${left} Z`} fill={food.fill} />
      <rect
        x={left}
        y={layout.bottomY - deep * 0.22}
        width={right - left}
        height={deep * 0.22}
        fill={food.deep}
        opacity="0.55"
      />
      {deep > 26 &&
        scatter(Math.round(of.pieces * 34)).map((piece, i) => {
          const y = surfaceY + 12 + piece.y * (deep - 26);
          const half = layout.halfWidthAt((layout.bottomY - y) / layout.scale) - 12;
          const x = layout.centreX + piece.x * half;
          return (
            <rect
              // The scatter is the same each time, so a place is an identity.
              key={`${piece.x}-${piece.y}`}
              x={x - 8}
              y={y - 8}
              width={i % 3 === 0 ? 9 : 17}
              height={i % 3 === 0 ? 9 : 15}
              rx="4"
              fill={food.piece}
              transform={`rotate(${piece.turn} ${x} ${y})`}
            />
          );
        })}
    </>
  );
}

function Rim({ layout, vessel }: { layout: Layout; vessel: Vessel }) {
  const half = layout.halfWidthAt(vessel.heightCm);
  return (
    <>
      {[-1, 1].map((side) => (
        <rect
          key={side}
          x={layout.centreX + side * (half + 6) - 19}
          y={layout.topY - 6}
          width="38"
          height="12"
          rx="6"
          fill={colour.iron}
        />
      ))}
    </>
  );
}

const MARK_DASH = { limit: '9 6', fullest: '2 5', started: '3 5', target: '11 6' } as const;

function Mark(of: { layout: Layout; mark: WallMark; surfaceY: number; onFood: string; vessel: Vessel }) {
  const { layout, mark } = of;
  const y = layout.yAtLitres(mark.litres);
  const half = layout.halfWidthAt((layout.bottomY - y) / layout.scale) - 5;
  const isUnder = y > of.surfaceY - 2 && mark.kind === 'target';
  const textY = mark.kind === 'target' ? y + 19 : y - 8;
  const stroke = isUnder ? of.onFood : mark.kind === 'limit' ? colour.danger : colour.iron;
  return (
    <g>
      <line
        x1={layout.centreX - half}
        x2={layout.centreX + half}
        y1={y}
        y2={y}
        stroke={stroke}
        strokeWidth="2.5"
        strokeDasharray={MARK_DASH[mark.kind]}
      />
      <text
        x={layout.centreX}
        y={textY}
        textAnchor="middle"
        fontSize="15"
        fill={stroke}
        fontWeight={mark.kind === 'target' ? 700 : 400}
      >
        {mark.text}
      </text>
    </g>
  );
}
