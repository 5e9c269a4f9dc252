import type { Point } from '@/core/geometry/polygon';
import type { FigureKey } from './bike';
import type { FigureSource, Figures } from './figures';
import type { SideView } from './sideView';

/** A dimension line: between two points, set off from them, with the figure it shows. */
export interface DrawnDimension {
  label: string;
  mm: number;
  from: Point;
  to: Point;
  text: Point;
  /** Not given by the rider: shown as an estimate. */
  assumed: boolean;
}

/** The figures riders compare, as dimension lines on the side view. */
export function dimensionsOf(view: SideView, { geometry, sources }: Figures): DrawnDimension[] {
  const ground = view.groundZ;
  const line = (
    label: string,
    mm: number,
    from: Point,
    to: Point,
    key: FigureKey | null,
  ): DrawnDimension => ({
    label,
    mm,
    from,
    to,
    text: { x: (from.x + to.x) / 2, z: (from.z + to.z) / 2 },
    assumed: key !== null && assumed(sources[key]),
  });
  const origin = { x: 0, z: 0 };
  const over = view.saddleTop.z + 70;
  return [
    line(
      'wheelbase',
      view.wheelbaseMm,
      { x: view.rearAxle.x, z: ground - 55 },
      { x: view.frontAxle.x, z: ground - 55 },
      null,
    ),
    line('reach', geometry.reachMm, { x: 0, z: over }, { x: view.headTop.x, z: over }, 'reachMm'),
    line('stack', geometry.stackMm, { x: view.headTop.x, z: 0 }, view.headTop, 'stackMm'),
    line('chainstay', geometry.chainstayMm, view.rearAxle, origin, 'chainstayMm'),
    line('saddle', geometry.saddleHeightMm, origin, view.saddleTop, 'saddleHeightMm'),
    line('fork', geometry.axleToCrownMm, view.headBottom, view.frontAxle, 'axleToCrownMm'),
  ];
}

const assumed = (source: FigureSource): boolean => source === 'default' || source === 'worked out';
