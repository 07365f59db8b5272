import { colour, FOOD } from '../theme/tokens';

/** A pan cut open, as wide as it is long and to the same scale deep, with the probe in its middle. */
export function PanSection({
  depthCm,
  food,
  isHot,
  description,
}: {
  depthCm: number;
  food: string | undefined;
  /** above the limit of the first step: drawn darker */
  isHot: boolean;
  description: string;
}) {
  const { fill, deep } = FOOD[food ?? ''] ?? FOOD.broth!;
  // 1/1 pan: 53 cm long; the wall stands a little over the soup
  const wallCm = Math.max(6.5, depthCm + 1.5);
  const [left, right, floor] = [2, 55, wallCm + 3];
  const top = floor - depthCm;
  return (
    <svg viewBox={`0 0 57 ${wallCm + 5}`} width="100%" role="img" aria-label={description}>
      <rect x={left} y={top} width={right - left} height={depthCm} fill={isHot ? deep : fill} />
      <path
        d={`M1 ${floor - wallCm} H${left} V${floor} H${right} V${floor - wallCm} H56`}
        fill="none"
        stroke={colour.iron}
        strokeWidth="0.9"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
      <line
        x1="34"
        x2="34"
        y1="0.5"
        y2={floor - depthCm / 2}
        stroke={colour.iron}
        strokeWidth="0.6"
        strokeLinecap="round"
      />
      <circle
        cx="34"
        cy={floor - depthCm / 2}
        r="0.9"
        fill={colour.sheet}
        stroke={colour.iron}
        strokeWidth="0.5"
      />
    </svg>
  );
}
