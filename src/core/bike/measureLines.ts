import type { Point } from '@/core/geometry/polygon';
import type { FigureKey, Tape } from './bike';
import { triangleInside } from './mainTriangle';
import type { SideView } from './sideView';

/** What a field asks to be measured: a figure of the table, or one by tape. */
export type Measurable = FigureKey | keyof Tape | 'wheelbaseMm';

/** Where to measure: from one point to another of the side view. */
export interface MeasureLine {
  from: Point;
  to: Point;
}

/**
 * Where on the bike a figure is measured; null for angles and what the side view does not show.
 *
 * @example measureLine(view, 'stackMm') // from the bottom bracket's height straight up to the head tube's top
 */
export function measureLine(view: SideView, key: Measurable): MeasureLine | null {
  const origin = { x: 0, z: 0 };
  const inside = triangleInside(view);
  const [seatTop, bottom, front, headTop] = inside as [Point, Point, Point, Point];
  const isWhole = inside.length === 4;
  const down = (from: Point, wheel: SideView['rearWheel']): MeasureLine | null => {
    const across = from.x - wheel.centre.x;
    if (Math.abs(across) >= wheel.radiusMm) return null;
    return { from, to: { x: from.x, z: wheel.centre.z + Math.sqrt(wheel.radiusMm ** 2 - across ** 2) } };
  };
  switch (key) {
    case 'stackMm':
      return { from: { x: view.headTop.x, z: 0 }, to: view.headTop };
    case 'reachMm':
      return { from: { x: 0, z: view.headTop.z }, to: view.headTop };
    case 'headTubeMm':
      return { from: view.headBottom, to: view.headTop };
    case 'seatTubeMm':
      return { from: origin, to: view.seatTubeTop };
    case 'chainstayMm':
      return { from: view.rearAxle, to: origin };
    case 'bottomBracketDropMm':
      return { from: { x: 0, z: view.rearAxle.z }, to: origin };
    case 'axleToCrownMm':
      return { from: view.headBottom, to: view.frontAxle };
    case 'saddleHeightMm':
      return { from: origin, to: view.saddleTop };
    case 'wheelbaseMm':
      return { from: view.rearAxle, to: view.frontAxle };
    case 'stemMm':
    case 'barRiseMm':
      return { from: view.headTop, to: view.bar };
    case 'topMm':
      return isWhole ? { from: headTop, to: seatTop } : null;
    case 'headMm':
      return isWhole ? { from: front, to: headTop } : null;
    case 'downMm':
      return isWhole ? { from: bottom, to: front } : null;
    case 'seatMm':
      return isWhole ? { from: seatTop, to: bottom } : null;
    case 'diagonalMm':
      return isWhole ? { from: seatTop, to: front } : null;
    case 'railToTyreMm':
      return down(view.seatpostClamp, view.rearWheel);
    case 'barToTyreMm':
      return down(view.bar, view.frontWheel);
    default:
      return null;
  }
}
