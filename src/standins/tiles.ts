import { contours } from 'd3-contour';
import { heightAt, riverDistanceM, toKm, woodAt } from './terrain';

export const TILE_PX = 256;
export const DEEPEST_ZOOM = 17;
/** Cells of a tile's grid, and how many more lie around it, so that lines go on in the next tile. */
const CELLS = 40;
const MARGIN = 2;
const SIDE = CELLS + 2 * MARGIN + 1;

/** Metres between contour lines: closer the nearer one looks. */
const spacing = (zoom: number): number => (zoom >= 15 ? 10 : zoom >= 13 ? 20 : zoom >= 11 ? 50 : 100);

const latOf = (y: number): number => (Math.atan(Math.sinh(Math.PI * (1 - 2 * y))) * 180) / Math.PI;

/**
 * One square of the invented region's map as SVG: woods, river, shading and contour lines, in the usual web projection. A tile server
 * by configuration takes its place.
 */
export function tileSvg(zoom: number, x: number, y: number): string {
  const height = new Float64Array(SIDE * SIDE);
  const wood = new Float64Array(SIDE * SIDE);
  const river = new Float64Array(SIDE * SIDE);
  for (let row = 0; row < SIDE; row += 1) {
    const lat = latOf((y + (row - MARGIN) / CELLS) / 2 ** zoom);
    for (let column = 0; column < SIDE; column += 1) {
      const lon = ((x + (column - MARGIN) / CELLS) / 2 ** zoom) * 360 - 180;
      const i = row * SIDE + column;
      height[i] = heightAt(lat, lon);
      wood[i] = woodAt(lat, lon);
      river[i] = -riverDistanceM(...toKm(lat, lon));
    }
  }
  // Light from the north-west: how much a slope turns away from it.
  const metres = (40_075_017 * Math.cos((latOf((y + 0.5) / 2 ** zoom) * Math.PI) / 180)) / 2 ** zoom / CELLS;
  const shade = height.map((_, i) => {
    const at = (k: number) => height[Math.max(0, Math.min(height.length - 1, k))]!;
    return (at(i - 1) - at(i + 1) + at(i - SIDE) - at(i + SIDE)) / (2 * metres);
  });
  const draw = contours().size([SIDE, SIDE]).smooth(true);
  const path = (values: Float64Array, threshold: number): string =>
    draw
      .contour([...values], threshold)
      .coordinates.flatMap((polygon) =>
        polygon.map(
          (ring) =>
            `M${ring
              .map((at) => at.map((v) => (((v - 0.5 - MARGIN) * TILE_PX) / CELLS).toFixed(1)).join(' '))
              .join('L')}Z`,
        ),
      )
      .join('');
  const step = spacing(zoom);
  const lowest = Math.ceil(Math.min(...height) / step) * step;
  const lines: string[] = [];
  for (let level = lowest; level < Math.max(...height); level += step)
    lines.push(`<path d="${path(height, level)}" stroke-width="${level % (5 * step) === 0 ? 1.1 : 0.5}"/>`);
  const fills = [
    `<path d="${path(wood, 0)}" fill="#d3dcc0"/>`,
    ...[0.06, 0.16, 0.3].map(
      (level) => `<path d="${path(shade, level)}" fill="#5b4a2a" fill-opacity=".09"/>`,
    ),
    `<path d="${path(river, -Math.max(25, metres * 0.6))}" fill="#9cc0cc"/>`,
  ];
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${TILE_PX}" height="${TILE_PX}" viewBox="0 0 ${TILE_PX} ${TILE_PX}"><rect width="${TILE_PX}" height="${TILE_PX}" fill="#f4efdf"/>${fills.join('')}<g fill="none" stroke="#a5814d" stroke-opacity=".75">${lines.join('')}</g></svg>`;
}
