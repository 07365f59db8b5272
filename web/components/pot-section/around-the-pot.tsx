import type { Vessel } from '../../../core/vessel';
import { colour } from '../../theme/tokens';
import { commonWords, stick } from '../../words';
import type { Layout } from './geometry';

/* What stands around a pot: its steam, lid and fire, the stick beside it, the tags on its handle. */

/** Three curls, stronger and darker the more is leaving; under a lid they creep out at the side. */
export function Steam({
  layout,
  kgPerHour,
  lid,
}: {
  layout: Layout;
  kgPerHour: number;
  lid: 'off' | 'ajar' | 'on';
}) {
  if (kgPerHour < 0.05) return null;
  const strength = Math.min(1, kgPerHour / 4);
  const spread = lid === 'off' ? [-0.5, 0, 0.5] : [0.78, 0.9, 1.02];
  const y = layout.topY - (lid === 'off' ? 12 : 24);
  const tall = 18 + 26 * strength;
  return (
    <g
      className="steam"
      fill="none"
      stroke={colour.steam}
      strokeWidth={2 + 2.5 * strength}
      strokeLinecap="round"
    >
      {spread.map((at) => {
        const x = layout.centreX + layout.halfWidth * at;
        return (
          <path key={at} d={`M${x},${y} q-9,${-tall / 3} 0,${-tall / 2} q9,${-tall / 3} 0,${-tall / 2}`} />
        );
      })}
    </g>
  );
}

export function LidPlate({ layout, isAjar }: { layout: Layout; isAjar: boolean }) {
  const half = layout.halfWidth + 14;
  const y = layout.topY - 13;
  return (
    <g transform={isAjar ? `rotate(-5 ${layout.centreX - half} ${y})` : undefined}>
      <rect x={layout.centreX - half} y={y - 5} width={half * 2} height="10" rx="5" fill={colour.iron} />
      <rect x={layout.centreX - 20} y={y - 16} width="40" height="9" rx="4.5" fill={colour.iron} />
    </g>
  );
}

export function Flames({ layout, fraction }: { layout: Layout; fraction: number }) {
  const y = layout.bottomY + 16;
  const tall = 10 + 24 * fraction;
  return (
    <g fill="none" stroke={colour.danger} strokeWidth="3" strokeLinecap="round">
      {[-0.5, -0.17, 0.17, 0.5].map((at) => {
        const x = layout.centreX + layout.halfWidth * at;
        return (
          <path
            key={at}
            d={`M${x},${y + tall} q-6,${-tall / 3} 0,${-tall / 2} q6,${-tall / 4} 0,${-tall / 2}`}
          />
        );
      })}
    </g>
  );
}

export function Stick({
  layout,
  vessel,
  surfaceY,
}: {
  layout: Layout;
  vessel: Vessel;
  surfaceY: number | null;
}) {
  const x = layout.centreX + layout.halfWidth + 46;
  const { unitCm, unit, shown } = stick();
  const step = vessel.heightCm / unitCm > 24 ? 5 : vessel.heightCm / unitCm > 12 ? 2 : 1;
  const isHidden = (cm: number) => surfaceY !== null && Math.abs(layout.yAtDepth(cm) - surfaceY) < 20;
  const ticks = Array.from({ length: Math.floor(vessel.heightCm / unitCm / step) }, (_, i) => (i + 1) * step);
  return (
    <g>
      <rect
        x={x - 12}
        y={layout.topY}
        width="24"
        height={layout.bottomY - layout.topY}
        rx="3"
        fill={colour.sheet}
        stroke={colour.iron}
        strokeWidth="2"
      />
      {ticks.map((mark, i) => (
        <g key={mark}>
          <line
            x1={x - 12}
            x2={x - (i % 2 ? 2 : 6)}
            y1={layout.yAtDepth(mark * unitCm)}
            y2={layout.yAtDepth(mark * unitCm)}
            stroke={colour.iron}
            strokeWidth="2"
          />
          {i % 2 === 1 && !isHidden(mark * unitCm) && (
            <text x={x + 18} y={layout.yAtDepth(mark * unitCm) + 5} fontSize="14" fill={colour.soft}>
              {mark}
            </text>
          )}
        </g>
      ))}
      <text x={x} y={layout.topY - 8} fontSize="14" textAnchor="middle" fill={colour.soft}>
        {unit}
      </text>
      {surfaceY !== null && (
        <g>
          <rect x={x - 27} y={surfaceY - 14} width="54" height="28" rx="5" fill={colour.act} />
          <text x={x} y={surfaceY + 6} fontSize="17" fontWeight="700" textAnchor="middle" fill={colour.onAct}>
            {shown(layout.depthAtY(surfaceY))}
          </text>
        </g>
      )}
    </g>
  );
}

/** What must come out, tied to the handle. */
export function Tags({ layout, words }: { layout: Layout; words: readonly string[] }) {
  const handleX = layout.centreX - layout.halfWidth - 12;
  const top = layout.topY + 34;
  return (
    <g fontSize="14">
      <path
        d={`M${handleX + 6},${top - 14} h-16 v28 h16`}
        fill="none"
        stroke={colour.iron}
        strokeWidth="9"
        strokeLinejoin="round"
      />
      {words.map((word, i) => {
        const y = top + 30 + i * 36;
        const wide = Math.max(56, word.length * 7.6 + 22);
        const x = Math.max(2, handleX - wide - 4);
        return (
          <g key={word}>
            <path
              d={`M${handleX - 6},${top + 8} Q${handleX - 2},${y - 6} ${x + wide - 4},${y + 13}`}
              fill="none"
              stroke={colour.soft}
              strokeWidth="2"
            />
            <path
              d={`M${x},${y} h${wide - 12} l12,13 l-12,13 h-${wide - 12} z`}
              fill={colour.sheet}
              stroke={colour.iron}
              strokeWidth="2"
            />
            <text x={x + 8} y={y + 18} fontWeight="700" fill={colour.iron}>
              {word}
            </text>
          </g>
        );
      })}
      <text x={Math.max(2, handleX - 84)} y={top + 46 + words.length * 36} fill={colour.soft}>
        {commonWords.toComeOut}
      </text>
    </g>
  );
}
