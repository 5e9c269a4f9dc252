import { DEFAULT_GEOMETRY } from './bike';
import { sideView } from './sideView';

describe('sideView', () => {
  test('by hand: S 600, R 400, head tube 120 at 70°; C 435, D 70', () => {
    const view = sideView({
      ...DEFAULT_GEOMETRY,
      stackMm: 600,
      reachMm: 400,
      headAngleDeg: 70,
      headTubeMm: 120,
      chainstayMm: 435,
      bottomBracketDropMm: 70,
    });
    expect(view.headBottom.x).toBeCloseTo(441.0, 1);
    expect(view.headBottom.z).toBeCloseTo(487.2, 1);
    expect(view.rearAxle.x).toBeCloseTo(-429.3, 1);
    expect(view.rearAxle.z).toBe(70);
  });

  test('the default bike stands level and its wheelbase is the distance of its axles', () => {
    const view = sideView(DEFAULT_GEOMETRY);
    expect(Math.abs(view.frontAxle.z - view.rearAxle.z)).toBeLessThan(2);
    expect(view.wheelbaseMm).toBeCloseTo(1138, 0);
    expect(view.groundZ).toBeCloseTo(60 - (311 + 57), 0);
  });
});
