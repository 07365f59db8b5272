import { SPOON_LOOKS } from '../../../core/thickness';
import { colour, FOOD } from '../../theme/tokens';

/** The back of a spoon as it is lifted out: bare, filmed, coated, with a line drawn across, heaped. */
export function SpoonPicture({ look }: { look: number }) {
  const food = FOOD.veloute!;
  const { look: name } = SPOON_LOOKS[look]!;
  const depth = [0, 2, 5, 6, 9][look]!;
  return (
    <svg viewBox="0 0 64 44" width={64} height={44} aria-hidden="true">
      <ellipse cx={26} cy={22} rx={20} ry={13} fill={colour.hollow} stroke={colour.iron} strokeWidth={2} />
      <path d="M46 21 L63 14" stroke={colour.iron} strokeWidth={4} strokeLinecap="round" />
      {depth > 0 && (
        <ellipse
          cx={26}
          cy={22 - (name === 'mounds' ? 4 : 0)}
          rx={18}
          ry={name === 'mounds' ? 13 : 11}
          fill={food.deep}
          opacity={name === 'thinFilm' ? 0.45 : 1}
        />
      )}
      {name === 'runsOff' && (
        <path d="M14 34 v7 M22 36 v7 M32 36 v6" stroke={food.deep} strokeWidth={2} strokeLinecap="round" />
      )}
      {name === 'drawnLine' && <path d="M10 26 L42 17" stroke={colour.hollow} strokeWidth={5} />}
    </svg>
  );
}

/** A puddle on a plate, as wide as 50 mL of this band would spread, seen from the side. */
export function PuddlePicture({
  radiusCm,
  food,
}: {
  radiusCm: number;
  food: { fill: string; deep: string };
}) {
  const half = Math.min(104, radiusCm * 8);
  // a puddle of a set volume is the higher the less it spreads
  const height = Math.max(4, Math.min(46, 2800 / (radiusCm * radiusCm)));
  return (
    <svg viewBox="0 0 240 84" width="100%" style={{ maxWidth: 240 }} aria-hidden="true">
      <path
        d={`M${120 - half} 60 C ${120 - half * 0.8} ${60 - height * 1.3}, ${120 + half * 0.8} ${60 - height * 1.3}, ${120 + half} 60 Z`}
        fill={food.fill}
        stroke={food.deep}
        strokeWidth={2}
      />
      <rect x={8} y={60} width={224} height={6} rx={2} fill={colour.iron} />
      <path d={`M120 74 H${120 + half}`} stroke={colour.soft} strokeWidth={2} />
      <path d={`M120 70 v8 M${120 + half} 70 v8`} stroke={colour.soft} strokeWidth={2} />
    </svg>
  );
}
