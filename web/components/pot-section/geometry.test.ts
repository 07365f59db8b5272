import { describe, expect, it } from 'vitest';
import { litresAtDepth, type Vessel } from '../../../core/vessel';
import { layOut, scatter } from './geometry';

const BOX = { x: 10, y: 20, width: 300, height: 340 };
const vessels: Vessel[] = [
  { shape: 'cylinder', diameterCm: 36, heightCm: 39.3 },
  { shape: 'tapered', topDiameterCm: 42, bottomDiameterCm: 38, heightCm: 19.1 },
  { shape: 'kettle', diameterCm: 60, heightCm: 31.2 },
  { shape: 'box', lengthCm: 50, widthCm: 30, heightCm: 15 },
];

describe.each(vessels)('a $shape in section', (vessel) => {
  const layout = layOut(vessel, BOX);
  it('lies inside its box, as large as it can be', () => {
    expect(layout.topY).toBeGreaterThanOrEqual(BOX.y - 1e-9);
    expect(layout.bottomY).toBe(BOX.y + BOX.height);
    expect(layout.halfWidth * 2).toBeLessThanOrEqual(BOX.width + 1e-9);
    const fillsWidth = Math.abs(layout.halfWidth * 2 - BOX.width) < 1e-6;
    const fillsHeight = Math.abs(layout.topY - BOX.y) < 1e-6;
    expect(fillsWidth || fillsHeight).toBe(true);
  });
  it('is true to scale: a centimetre is as long across as it is up', () => {
    expect(layout.yAtDepth(0) - layout.yAtDepth(10)).toBeCloseTo(10 * layout.scale, 9);
    const topCm =
      'topDiameterCm' in vessel
        ? vessel.topDiameterCm
        : 'lengthCm' in vessel
          ? vessel.lengthCm
          : 'diameterCm' in vessel
            ? vessel.diameterCm
            : 40;
    expect(layout.halfWidthAt(vessel.heightCm)).toBeCloseTo((topCm / 2) * layout.scale, 6);
  });
  it('a level and its litres stand at one height, and a point on the wall is a depth', () => {
    const depth = vessel.heightCm * 0.6;
    expect(layout.yAtLitres(litresAtDepth(vessel, depth))).toBeCloseTo(layout.yAtDepth(depth), 6);
    expect(layout.depthAtY(layout.yAtDepth(depth))).toBeCloseTo(depth, 9);
  });
  it('what lies beyond the pot is drawn at its brim or its bottom', () => {
    expect(layout.depthAtY(-500)).toBe(vessel.heightCm);
    expect(layout.depthAtY(5000)).toBe(0);
    expect(layout.yAtLitres(9999)).toBeCloseTo(layout.topY, 6);
    expect(layout.inside).toMatch(/^M[\d., L-]+$/);
  });
});

describe('pieces', () => {
  it('are scattered alike each time, inside the pot', () => {
    expect(scatter(30)).toEqual(scatter(30));
    for (const piece of scatter(60)) {
      expect(Math.abs(piece.x)).toBeLessThanOrEqual(0.85);
      expect(piece.y).toBeGreaterThan(0);
      expect(piece.y).toBeLessThan(0.95);
    }
  });
});
