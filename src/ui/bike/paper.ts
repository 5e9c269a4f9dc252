import type { Drawing } from '@/core/drawing/sideDrawing';
import type { Point } from '@/core/geometry/polygon';

// Screens count down, bikes stand up: z is turned in these and in the attributes of drawings, nowhere else.
const at = ({ x, z }: Point): string => `${x.toFixed(1)},${(-z).toFixed(1)}`;
export const path = (corners: readonly Point[]): string => corners.map(at).join(' ');
export const viewBox = ({ left, top, width, height }: Drawing['frame']): string =>
  `${left} ${-top} ${width} ${height}`;
