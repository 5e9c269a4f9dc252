/** Shapes on paper, in millimetres from a page's upper left corner, y downwards. Writers turn them into files. */
export type Shape =
  | { kind: 'line'; points: [number, number][]; closed: boolean; style: LineStyle }
  | { kind: 'circle'; x: number; y: number; radiusMm: number; style: LineStyle }
  | { kind: 'text'; x: number; y: number; text: string; sizeMm: number; align: 'left' | 'middle' | 'right' };

/** `cut`: where cloth is cut or sewn; `thin`: seam allowance, marks, dimensions. */
export type LineStyle = 'cut' | 'thin' | 'dashed';

export interface Rectangle {
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Page {
  widthMm: number;
  heightMm: number;
  /** Drawn in order; a clipped group shows only inside its rectangle. */
  groups: { clip: Rectangle | null; shapes: Shape[] }[];
}

export const PAPERS = {
  a4: { widthMm: 210, heightMm: 297 },
  letter: { widthMm: 215.9, heightMm: 279.4 },
} as const;
export type Paper = keyof typeof PAPERS;

export const line = (points: [number, number][], style: LineStyle = 'thin', closed = false): Shape => ({
  kind: 'line',
  points,
  closed,
  style,
});
export const text = (
  x: number,
  y: number,
  words: string,
  sizeMm = 3.5,
  align: 'left' | 'middle' | 'right' = 'left',
): Shape => ({ kind: 'text', x, y, text: words, sizeMm, align });

/** The same shapes moved. */
export const movedShapes = (shapes: readonly Shape[], dx: number, dy: number): Shape[] =>
  shapes.map((shape) =>
    shape.kind === 'line'
      ? { ...shape, points: shape.points.map(([x, y]): [number, number] => [x + dx, y + dy]) }
      : { ...shape, x: shape.x + dx, y: shape.y + dy },
  );

/** A bar of 100 mm with ticks each 10: measured with a ruler it tells whether the printer kept the size. */
export function scaleBar(x: number, y: number): Shape[] {
  const ticks = Array.from({ length: 11 }, (_, i) =>
    line([
      [x + 10 * i, y - (i % 5 === 0 ? 4 : 2)],
      [x + 10 * i, y],
    ]),
  );
  return [
    line(
      [
        [x, y],
        [x + 100, y],
      ],
      'cut',
    ),
    ...ticks,
    text(x + 104, y, '100 mm: measure it. Print at 100 %, not fitted to the page.', 3),
  ];
}
