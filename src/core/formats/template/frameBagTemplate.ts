import type { Bag } from '@/core/bag/bag';
import { boltsAgainst } from '@/core/bag/frameBag';
import { TRIANGLE_SIDES, tubeLines, TUBE_MM } from '@/core/bike/mainTriangle';
import { offsetPolygon } from '@/core/geometry/offset';
import { offsetFrom } from '@/core/geometry/line';
import { flatPolygonVolumeMl, widthAt, type FlatPolygon } from '@/core/geometry/flatPolygon';
import { extentOf, signedAreaMm2, type Point } from '@/core/geometry/polygon';
import type { Facts } from '@/core/facts/facts';
import { fail, ok, type Result } from '@/core/result';
import { line, text, type Shape } from './sheet';

export const SEAM_MM = 10;

/** One side of the panel: its length, the gusset's width at both ends, and the tube it lies along. */
export interface PanelSide {
  name: string;
  along: string;
  lengthMm: number;
  fromWidthMm: number;
  toWidthMm: number;
}

/** All that is needed to cut a frame bag: the side panel at true size and the strip that joins two of them. */
export interface FrameBagTemplate {
  title: string;
  /** Sewing line in the bike's coordinates: x forward, z up. */
  outline: Point[];
  cutLine: Point[];
  bolts: Point[];
  sides: PanelSide[];
  areaMm2: number;
  volumeMl: number;
  /** The panel as shapes: upper left corner of the cut line at the origin. */
  shapes: Shape[];
  widthMm: number;
  heightMm: number;
}

/**
 * The true-size template of a flat bag in the main triangle.
 *
 * @returns the template, or why this bag has none
 */
export function frameBagTemplate(facts: Facts, bag: Bag): Result<FrameBagTemplate> {
  const { solid } = bag.compartments[0]!;
  const outline = facts.surroundings.bags.find((hung) => hung.bag.id === bag.id)?.place.outline;
  if (solid.kind !== 'polygon' || !outline)
    return fail('Only a flat bag given by its corners has a template. Cut one from the triangle first.');
  const cutLine = offsetPolygon(outline, SEAM_MM);
  const { left, right, low, high } = extentOf(cutLine);
  const at = ({ x, z }: Point): [number, number] => [x - left, high - z];
  const bolts = boltsAgainst(facts.view, outline, facts.surroundings.build.mounts);
  const sides = panelSides(facts, outline, solid);
  const shapes: Shape[] = [
    line(cutLine.map(at), 'dashed', true),
    line(outline.map(at), 'cut', true),
    ...outline.map((p, i): Shape => {
      const [x, y] = at(p);
      return text(x + 3, y + 5, String.fromCharCode(65 + i), 4);
    }),
    ...sides.flatMap(({ name, along, lengthMm }, i): Shape[] => {
      const [a, b] = [outline[i]!, outline[(i + 1) % outline.length]!];
      // Set inwards, so that the words lie on the cloth.
      const length = Math.hypot(b.x - a.x, b.z - a.z) || 1;
      const turn = signedAreaMm2(outline) > 0 ? 1 : -1;
      const inward = { x: (-(b.z - a.z) / length) * turn, z: ((b.x - a.x) / length) * turn };
      const [x, y] = at({ x: (a.x + b.x) / 2 + inward.x * 9, z: (a.z + b.z) / 2 + inward.z * 9 });
      return [text(x, y, `${name}: ${lengthMm.toFixed(0)} mm, ${along}`, 3, 'middle')];
    }),
    ...bolts.flatMap((bolt): Shape[] => {
      const [x, y] = at(bolt);
      return [
        { kind: 'circle', x, y, radiusMm: 3, style: 'thin' },
        line([
          [x - 5, y],
          [x + 5, y],
        ]),
        line([
          [x, y - 5],
          [x, y + 5],
        ]),
      ];
    }),
  ];
  return ok({
    title: bag.name,
    outline,
    cutLine,
    bolts,
    sides,
    areaMm2: Math.abs(signedAreaMm2(outline)),
    volumeMl: flatPolygonVolumeMl(solid),
    shapes,
    widthMm: right - left,
    heightMm: high - low,
  });
}

function panelSides(facts: Facts, outline: readonly Point[], solid: FlatPolygon): PanelSide[] {
  const lines = tubeLines(facts.view);
  // The panel's corners lie in the bike, the solid's begin at its first corner: the width follows x alone.
  const placed: FlatPolygon = { ...solid, corners: [...outline] };
  return outline.map((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const middle = { x: (a.x + b.x) / 2, z: (a.z + b.z) / 2 };
    const nearest = TRIANGLE_SIDES.map((side) => ({
      side,
      away: Math.max(...[a, b, middle].map((p) => Math.abs(offsetFrom(lines[side], p) - TUBE_MM[side] / 2))),
    })).sort((p, q) => p.away - q.away)[0]!;
    return {
      name: `${String.fromCharCode(65 + i)}${String.fromCharCode(65 + ((i + 1) % outline.length))}`,
      along: nearest.away < 35 ? `along the ${nearest.side} tube` : 'free edge',
      lengthMm: Math.hypot(b.x - a.x, b.z - a.z),
      fromWidthMm: widthAt(placed, a.x),
      toWidthMm: widthAt(placed, b.x),
    };
  });
}
