import type { FrameBagTemplate } from './frameBagTemplate';
import { line, movedShapes, PAPERS, scaleBar, text, type Page, type Paper, type Shape } from './sheet';

/** Printers leave a rim of the paper white; this much is safe. */
export const MARGIN_MM = 12;
/** Neighbouring pages show the same strip, to be laid one over the other. */
export const OVERLAP_MM = 15;
/** Marks stand this far from a page's corners, so that those of two neighbours do not run together. */
const CORNER_MM = 30;
/** Kept free at the foot of each page for the scale bar and the page's name. */
const FOOT_MM = 18;

/** Where one tile's pane stands on the drawing, in millimetres. */
export interface Tile {
  name: string;
  column: number;
  row: number;
  x: number;
  y: number;
  width: number;
  height: number;
}

/**
 * Windows of one paper's size that cover a drawing, each overlapping its neighbours. The paper is laid across or
 * upright, whichever needs fewer.
 *
 * @example tilesOf(480, 280, 'a4').tiles.length // 4
 */
export function tilesOf(widthMm: number, heightMm: number, paper: Paper): { across: boolean; tiles: Tile[] } {
  const { widthMm: short, heightMm: long } = PAPERS[paper];
  const cover = (pageWidth: number, pageHeight: number): Tile[] => {
    const pane = { width: pageWidth - 2 * MARGIN_MM, height: pageHeight - 2 * MARGIN_MM - FOOT_MM };
    const count = (size: number, room: number) =>
      Math.max(1, Math.ceil((size - OVERLAP_MM) / (room - OVERLAP_MM)));
    const [columns, rows] = [count(widthMm, pane.width), count(heightMm, pane.height)];
    return Array.from({ length: columns * rows }, (_, i): Tile => {
      const [column, row] = [i % columns, Math.floor(i / columns)];
      return {
        name: `${String.fromCharCode(65 + row)}${column + 1}`,
        column,
        row,
        x: column * (pane.width - OVERLAP_MM),
        y: row * (pane.height - OVERLAP_MM),
        ...pane,
      };
    });
  };
  const [upright, lying] = [cover(short, long), cover(long, short)];
  return lying.length < upright.length ? { across: true, tiles: lying } : { across: false, tiles: upright };
}

/** The template at 1:1 over as many pages as it takes, with overlap marks, a page map and a scale bar on each. */
export function templatePages(template: FrameBagTemplate, paper: Paper): Page[] {
  const { across, tiles } = tilesOf(template.widthMm, template.heightMm, paper);
  const size = PAPERS[paper];
  const page = across
    ? { widthMm: size.heightMm, heightMm: size.widthMm }
    : { widthMm: size.widthMm, heightMm: size.heightMm };
  return tiles.map((tile): Page => {
    const pane = { x: MARGIN_MM, y: MARGIN_MM, width: tile.width, height: tile.height };
    return {
      ...page,
      groups: [
        { clip: pane, shapes: movedShapes(template.shapes, MARGIN_MM - tile.x, MARGIN_MM - tile.y) },
        {
          clip: null,
          shapes: [
            ...overlapMarks(tile, tiles),
            ...scaleBar(MARGIN_MM, page.heightMm - MARGIN_MM),
            text(
              MARGIN_MM,
              page.heightMm - MARGIN_MM - 9,
              `${template.title}: page ${tile.name} of ${tiles.length}. Solid line: sewing line, dashed: cut line, crosses: cage bolts. Lay pages over each other so that the corner marks meet.`,
              2.6,
            ),
            ...pageMap(tile, tiles, page.widthMm - MARGIN_MM, page.heightMm - MARGIN_MM),
          ],
        },
      ],
    };
  });
}

/** Crosses at the corners that this page shares with its neighbours: they must come to lie on one another. */
function overlapMarks(tile: Tile, tiles: readonly Tile[]): Shape[] {
  const at = (x: number, y: number): Shape[] => [
    line([
      [x - 3, y],
      [x + 3, y],
    ]),
    line([
      [x, y - 3],
      [x, y + 3],
    ]),
  ];
  const marks: Shape[] = [];
  const { x, y, width, height } = { ...tile, x: MARGIN_MM, y: MARGIN_MM };
  const has = (column: number, row: number) =>
    tiles.some((other) => other.column === column && other.row === row);
  const middle = OVERLAP_MM / 2;
  const edge = (name: string, words: string, tx: number, ty: number) =>
    marks.push(text(tx, ty, `${words} ${name}`, 2.4, 'middle'));
  if (has(tile.column + 1, tile.row)) {
    marks.push(...at(x + width - middle, y + CORNER_MM), ...at(x + width - middle, y + height - CORNER_MM));
    edge(
      `${String.fromCharCode(65 + tile.row)}${tile.column + 2}`,
      'under',
      x + width - middle,
      y + height / 2,
    );
  }
  if (has(tile.column - 1, tile.row))
    marks.push(...at(x + middle, y + CORNER_MM), ...at(x + middle, y + height - CORNER_MM));
  if (has(tile.column, tile.row + 1)) {
    marks.push(...at(x + CORNER_MM, y + height - middle), ...at(x + width - CORNER_MM, y + height - middle));
    edge(
      `${String.fromCharCode(66 + tile.row)}${tile.column + 1}`,
      'under',
      x + width / 2,
      y + height - middle,
    );
  }
  if (has(tile.column, tile.row - 1))
    marks.push(...at(x + CORNER_MM, y + middle), ...at(x + width - CORNER_MM, y + middle));
  return marks;
}

/** A small plan of all pages at the lower right, this one filled with its name. */
function pageMap(tile: Tile, tiles: readonly Tile[], right: number, bottom: number): Shape[] {
  const columns = Math.max(...tiles.map(({ column }) => column)) + 1;
  const rows = Math.max(...tiles.map(({ row }) => row)) + 1;
  const cell = { width: 7, height: 14 / rows };
  const [x0, y0] = [right - columns * cell.width, bottom - 14];
  return tiles.flatMap((other): Shape[] => {
    const [x, y] = [x0 + other.column * cell.width, y0 + other.row * cell.height];
    const corners: [number, number][] = [
      [x, y],
      [x + cell.width, y],
      [x + cell.width, y + cell.height],
      [x, y + cell.height],
    ];
    const own = other.name === tile.name;
    return [
      line(corners, own ? 'cut' : 'thin', true),
      text(x + cell.width / 2, y + cell.height / 2 + 1, other.name, 2.2, 'middle'),
    ];
  });
}
