import { depthAtLitres, litresAtDepth, surfaceM2, type Vessel } from '../../../core/vessel';

/** A pot's section laid out on paper: centimetres of the real pot to units of the drawing. */
export interface Layout {
  /** drawing units a centimetre */
  scale: number;
  centreX: number;
  bottomY: number;
  topY: number;
  /** widest inside half width, units */
  halfWidth: number;
  /** the inside wall from left rim round the bottom to right rim, as a path */
  inside: string;
  yAtDepth(depthCm: number): number;
  yAtLitres(litres: number): number;
  halfWidthAt(depthCm: number): number;
  depthAtY(y: number): number;
}

const PROFILE_POINTS = 24;

/** Fits a vessel's section into a box of the drawing, true to its geometry. */
export function layOut(vessel: Vessel, box: { x: number; y: number; width: number; height: number }): Layout {
  const halfCm = (depthCm: number) =>
    vessel.shape === 'box'
      ? vessel.lengthCm / 2
      : Math.sqrt((surfaceM2(vessel, Math.min(vessel.heightCm, Math.max(0, depthCm))) * 1e4) / Math.PI);
  const depths = Array.from({ length: PROFILE_POINTS + 1 }, (_, i) => {
    const part = i / PROFILE_POINTS;
    return vessel.heightCm * part * part;
  });
  const widestCm = Math.max(...depths.map(halfCm));
  const scale = Math.min(box.width / (2 * widestCm), box.height / vessel.heightCm);
  const centreX = box.x + box.width / 2;
  const bottomY = box.y + box.height;
  const yAtDepth = (depthCm: number) => bottomY - depthCm * scale;
  const brim = litresAtDepth(vessel, vessel.heightCm);
  const right = depths.map((depth) => `${point(centreX + halfCm(depth) * scale)},${point(yAtDepth(depth))}`);
  const left = depths.map((depth) => `${point(centreX - halfCm(depth) * scale)},${point(yAtDepth(depth))}`);
  return {
    scale,
    centreX,
    bottomY,
    topY: yAtDepth(vessel.heightCm),
    halfWidth: widestCm * scale,
    inside: `M${left.reverse().join(' L')} L${right.join(' L')}`,
    yAtDepth,
    yAtLitres: (litres) => yAtDepth(depthAtLitres(vessel, Math.min(brim, Math.max(0, litres)))),
    halfWidthAt: (depthCm) => halfCm(depthCm) * scale,
    depthAtY: (y) => Math.min(vessel.heightCm, Math.max(0, (bottomY - y) / scale)),
  };
}

function point(value: number): string {
  return value.toFixed(1);
}

/** Pieces scattered through the liquid, the same each time: places as shares of width and depth. */
export function scatter(count: number): { x: number; y: number; turn: number }[] {
  return Array.from({ length: count }, (_, i) => ({
    x: ((i * 0.618034 + 0.31) % 1) * 1.7 - 0.85,
    y: ((i * 0.7548777 + 0.17) % 1) * 0.82 + 0.08,
    turn: (i * 67) % 90,
  }));
}
