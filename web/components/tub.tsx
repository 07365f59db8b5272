import { useId } from 'react';
import { colour, FOOD } from '../theme/tokens';

/** A vessel of the larder cut open: a tub with its level, frost on what is frozen; a crate for raw goods. */
export function Tub({
  share,
  food,
  isFrozen = false,
  isCrate = false,
  size = 60,
}: {
  /** of what it held, 0..1 */
  share: number;
  food: string | undefined;
  isFrozen?: boolean;
  isCrate?: boolean;
  size?: number;
}) {
  const clipId = useId();
  const ink = colour.iron;
  const fill = (FOOD[food ?? ''] ?? FOOD.broth!).fill;
  const level = Math.min(1, Math.max(0, share));
  const [top, bottom] = [12, 56];
  const y = bottom - (bottom - top - 4) * level;
  const wall = isCrate ? 'M6 14 V56 H58 V14' : 'M8 12 L12 56 H52 L56 12';
  return (
    <svg viewBox="0 0 64 64" width={size} height={size} aria-hidden="true">
      <clipPath id={clipId}>
        <path d={`${wall} Z`} />
      </clipPath>
      <rect clipPath={`url(#${clipId})`} x="0" y={y} width="64" height={bottom - y} fill={fill} />
      {isFrozen &&
        [18, 28, 38, 48].map((x) => (
          <line
            key={x}
            clipPath={`url(#${clipId})`}
            x1={x}
            y1={bottom}
            x2={x + 10}
            y2={y}
            stroke={colour.sheet}
            strokeWidth="2.5"
          />
        ))}
      {isCrate && <path d="M6 28 H58 M6 42 H58" stroke={ink} strokeWidth="2" opacity="0.55" />}
      <path d={wall} fill="none" stroke={ink} strokeWidth="4" strokeLinejoin="round" strokeLinecap="round" />
      {!isCrate && <path d="M4 10 H60" stroke={ink} strokeWidth="4" strokeLinecap="round" />}
    </svg>
  );
}
