import { useId } from 'react';
import type { Vessel } from '../../../core/vessel';
import { FOOD } from '../../theme/tokens';
import { layOut } from './geometry';

/** The same section, the size of a thumb: for the range and for lists. Decorative beside its words. */
export function PotThumb(of: {
  vessel: Vessel | null;
  litres?: number;
  food?: string;
  markLitres?: number | null;
  ink: string;
}) {
  const clipId = useId();
  if (!of.vessel) {
    return (
      <svg viewBox="0 0 64 64" width="56" height="56" aria-hidden="true">
        <path
          d="M8 8 V52 Q8 58 14 58 H50 Q56 58 56 52 V8"
          fill="none"
          stroke={of.ink}
          strokeWidth="4"
          strokeDasharray="6 5"
          opacity="0.6"
        />
      </svg>
    );
  }
  const layout = layOut(of.vessel, { x: 5, y: 5, width: 54, height: 54 });
  const food = FOOD[of.food ?? ''] ?? FOOD.broth!;
  const y = layout.yAtLitres(of.litres ?? 0);
  return (
    <svg viewBox="0 0 64 64" width="56" height="56" aria-hidden="true">
      <clipPath id={clipId}>
        <path d={layout.inside} />
      </clipPath>
      <rect
        clipPath={`url(#${clipId})`}
        x="0"
        y={y}
        width="64"
        height={Math.max(0, layout.bottomY - y)}
        fill={food.fill}
      />
      {of.markLitres != null && (
        <line
          clipPath={`url(#${clipId})`}
          x1="6"
          x2="58"
          y1={layout.yAtLitres(of.markLitres)}
          y2={layout.yAtLitres(of.markLitres)}
          stroke={food.on}
          strokeWidth="2"
          strokeDasharray="4 3"
        />
      )}
      <path
        d={layout.inside}
        fill="none"
        stroke={of.ink}
        strokeWidth="4"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  );
}
