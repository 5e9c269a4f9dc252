import { demoPlan } from '@/core/demo/plan';
import { extentOf } from '@/core/geometry/polygon';
import { factsOf } from '@/core/facts/facts';
import { templateDxf } from './dxf';
import { frameBagTemplate, SEAM_MM, type FrameBagTemplate } from './frameBagTemplate';
import { measuringSheet } from './measuringSheet';
import { PAPERS } from './sheet';
import { templateSvg } from './svg';
import { MARGIN_MM, OVERLAP_MM, templatePages, tilesOf } from './tile';

const facts = factsOf(demoPlan());
function template(id: string): FrameBagTemplate {
  const made = frameBagTemplate(
    facts,
    facts.plan.bags.find((bag) => bag.id === id)!,
  );
  if (!made.ok) throw new Error(made.error);
  return made.value;
}
const demo = template('frame');

test('sides are as long as the bag’s, in order, each by the tube it lies along', () => {
  const { corners } = demoPlan().bags.find(({ id }) => id === 'frame')!.compartments[0]!.solid as {
    corners: { x: number; z: number }[];
  };
  demo.sides.forEach(({ name, lengthMm }, i) => {
    const [a, b] = [corners[i]!, corners[(i + 1) % corners.length]!];
    expect(lengthMm).toBeCloseTo(Math.hypot(a.x - b.x, a.z - b.z), 6);
    expect(name).toBe(['AB', 'BC', 'CD', 'DA'][i]);
  });
  expect(demo.sides.map(({ along }) => along)).toEqual([
    'along the seat tube',
    'free edge',
    expect.any(String),
    'along the top tube',
  ]);
});

test('the cut line stands a seam outside the sewing line on all sides', () => {
  const [cut, sewn] = [extentOf(demo.cutLine), extentOf(demo.outline)];
  for (const side of ['left', 'low'] as const) expect(cut[side]).toBeLessThan(sewn[side] - SEAM_MM + 1e-6);
  expect(demo.widthMm).toBeCloseTo(cut.right - cut.left, 9);
});

test('a bag that is no flat pouch has no template, and says why', () => {
  const made = frameBagTemplate(
    facts,
    facts.plan.bags.find(({ id }) => id === 'bar-roll')!,
  );
  expect(made).toMatchObject({ ok: false, error: expect.stringMatching(/Only a flat bag/) });
});

test.each(['a4', 'letter'] as const)('tiles on %s cover the whole and overlap their neighbours', (paper) => {
  for (const [width, height] of [
    [demo.widthMm, demo.heightMm],
    [150, 100],
    [900, 600],
  ] as const) {
    const { across, tiles } = tilesOf(width, height, paper);
    const { widthMm, heightMm } = PAPERS[paper];
    for (const tile of tiles) {
      expect(tile.width + 2 * MARGIN_MM).toBeCloseTo(across ? heightMm : widthMm, 9);
      const right = tiles.find(({ column, row }) => column === tile.column + 1 && row === tile.row);
      if (right) expect(tile.x + tile.width - right.x).toBeCloseTo(OVERLAP_MM, 9);
    }
    expect(Math.max(...tiles.map((tile) => tile.x + tile.width))).toBeGreaterThanOrEqual(width);
    expect(Math.max(...tiles.map((tile) => tile.y + tile.height))).toBeGreaterThanOrEqual(height);
    expect(new Set(tiles.map(({ name }) => name)).size).toBe(tiles.length);
  }
  expect(tilesOf(150, 100, paper).tiles).toHaveLength(1);
});

test('every page has a scale bar of 100 mm, its name, and the map of all pages', () => {
  const pages = templatePages(demo, 'a4');
  expect(pages.length).toBeGreaterThan(1);
  pages.forEach((page) => {
    const shapes = page.groups.flatMap((group) => group.shapes);
    const bar = shapes.find(
      (shape) => shape.kind === 'line' && shape.style === 'cut' && shape.points.length === 2,
    ) as { points: [number, number][] };
    expect(bar.points[1]![0] - bar.points[0]![0]).toBe(100);
    const words = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
    for (const { name } of tilesOf(demo.widthMm, demo.heightMm, 'a4').tiles) expect(words).toContain(name);
    expect(words.some((text) => text.startsWith('Half frame bag: page '))).toBe(true);
  });
});

test('SVG is true to size in millimetres, and a name in it cannot be markup', () => {
  const svg = templateSvg({ ...demo, title: 'Bag <b>&"1"' });
  const [, width] = /width="([\d.]+)mm"/.exec(svg)!;
  expect(Number(width)).toBeCloseTo(demo.widthMm + 20, 2);
  expect(svg).toContain(`viewBox="-10 -10 ${width} `);
  expect(svg).toContain('<title>Bag &lt;b&gt;&amp;&quot;1&quot;</title>');
  // The sewing line, point by point.
  const path = /class="cut" d="M([^"]+)Z"/
    .exec(svg)![1]!
    .split('L')
    .map((pair) => pair.split(' ').map(Number));
  const { left, high } = extentOf(demo.cutLine);
  path.forEach(([x, y], i) => {
    expect(x).toBeCloseTo(demo.outline[i]!.x - left, 2);
    expect(y).toBeCloseTo(high - demo.outline[i]!.z, 2);
  });
});

test('DXF has pairs of codes and values, one unit a millimetre, and the panel’s sides as lines', () => {
  const lines = templateDxf(demo).trimEnd().split('\r\n');
  expect(lines.length % 2).toBe(0);
  const pairs = lines.flatMap((code, i) => (i % 2 === 0 ? [[code, lines[i + 1]!] as const] : []));
  for (const [code] of pairs) expect(code).toMatch(/^\d+$/);
  expect(
    pairs.some(([code, value], i) => value === '$INSUNITS' && code === '9' && pairs[i + 1]![1] === '4'),
  ).toBe(true);
  const cut = pairs.flatMap(([code, value], i) =>
    code === '0' && value === 'LINE' && pairs[i + 1]![1] === 'cut'
      ? [pairs.slice(i + 2, i + 6).map(([, v]) => Number(v))]
      : [],
  );
  const lengths = cut.map(([x, y, u, v]) => Math.hypot(x! - u!, y! - v!));
  // Four sides of the panel, then the scale bar.
  [...demo.sides.map(({ lengthMm }) => lengthMm), 100].forEach((length, i) =>
    expect(lengths[i]).toBeCloseTo(length, 3),
  );
  expect(pairs.at(-1)).toEqual(['0', 'EOF']);
});

test('the measuring sheet is one page that names every side with its length, and keeps on the paper', () => {
  const page = measuringSheet(demo, 'Steel hardtail', 'a4');
  const words = page.groups[0]!.shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));
  for (const { lengthMm } of demo.sides) expect(words).toContain(`${lengthMm.toFixed(0)} mm`);
  for (const shape of page.groups[0]!.shapes) {
    const points = shape.kind === 'line' ? shape.points : [[shape.x, shape.y] as const];
    for (const [x, y] of points) {
      expect(x).toBeGreaterThan(5);
      expect(x).toBeLessThan(205);
      expect(y).toBeLessThan(292);
    }
  }
});
