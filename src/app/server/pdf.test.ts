import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { demoPlan } from '@/core/demo/plan';
import { frameBagTemplate } from '@/core/formats/template/frameBagTemplate';
import { MARGIN_MM, templatePages, tilesOf } from '@/core/formats/template/tile';
import { extentOf } from '@/core/geometry/polygon';
import { factsOf } from '@/core/facts/facts';
import { pdfOf } from './pdf';

/** Dots a millimetre at 254 dots an inch. */
const PER_MM = 10;

interface Raster {
  width: number;
  height: number;
  dark(xMm: number, yMm: number): boolean;
}

/** Renders every page with Debian's poppler, as a printer would, to grey rasters. */
function rendered(pdf: Buffer): Raster[] {
  const folder = mkdtempSync(path.join(tmpdir(), 'gorvin-pdf-'));
  try {
    writeFileSync(path.join(folder, 'in.pdf'), pdf);
    execFileSync('pdftoppm', ['-gray', '-r', '254', 'in.pdf', 'page'], { cwd: folder });
    const names = execFileSync('ls', [folder], { encoding: 'utf8' })
      .split('\n')
      .filter((name) => name.endsWith('.pgm'))
      .sort();
    return names.map((name) => {
      const bytes = readFileSync(path.join(folder, name));
      const [, w, h] = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.subarray(0, 40).toString('latin1'))!;
      const [width, height] = [Number(w), Number(h)];
      const start = bytes.length - width * height;
      return {
        width,
        height,
        dark: (xMm, yMm) => bytes[start + Math.round(yMm * PER_MM) * width + Math.round(xMm * PER_MM)]! < 128,
      };
    });
  } finally {
    rmSync(folder, { recursive: true });
  }
}

const facts = factsOf(demoPlan());
const made = frameBagTemplate(
  facts,
  facts.plan.bags.find(({ id }) => id === 'frame')!,
);
if (!made.ok) throw new Error(made.error);
const template = made.value;
const paper = 'a4';
const pages = templatePages(template, paper);
const { tiles } = tilesOf(template.widthMm, template.heightMm, paper);

test('printed pages are true to size: the scale bar, and the outline on every tile, within half a millimetre', async () => {
  const rasters = rendered(await pdfOf(pages, 'Test'));
  expect(rasters).toHaveLength(pages.length);
  const { left, high } = extentOf(template.cutLine);
  let met = 0;
  rasters.forEach((raster, i) => {
    const [page, tile] = [pages[i]!, tiles[i]!];
    expect(raster.width / PER_MM).toBeCloseTo(page.widthMm, 0);
    expect(raster.height / PER_MM).toBeCloseTo(page.heightMm, 0);

    // The bar: a dark run along its line, measured from end to end.
    const y = page.heightMm - MARGIN_MM;
    const on = Array.from({ length: raster.width }, (_, dot) => dot / PER_MM).filter(
      (x) => x < MARGIN_MM + 101 && (raster.dark(x, y) || raster.dark(x, y + 0.1)),
    );
    expect(Math.abs(on.at(-1)! - on[0]! - 100)).toBeLessThan(0.5);

    // The sewing line: wherever it runs through this tile's window there is ink within half a millimetre.
    template.outline.forEach((a, k) => {
      const b = template.outline[(k + 1) % template.outline.length]!;
      const steps = 40;
      for (let step = 0; step <= steps; step += 1) {
        const at = { x: a.x + ((b.x - a.x) * step) / steps, z: a.z + ((b.z - a.z) * step) / steps };
        const [x, down] = [at.x - left - tile.x, high - at.z - tile.y];
        if (x < 1 || x > tile.width - 1 || down < 1 || down > tile.height - 1) continue;
        met += 1;
        const near = [-0.4, -0.2, 0, 0.2, 0.4];
        const inked = near.some((dx) =>
          near.some((dy) => raster.dark(MARGIN_MM + x + dx, MARGIN_MM + down + dy)),
        );
        expect({ page: tile.name, x, down, inked }).toMatchObject({ inked: true });
      }
    });
  });
  // Four sides of 41 points each, some on two pages.
  expect(met).toBeGreaterThanOrEqual(150);
});

test('half a millimetre beside the line there is none: the check can fail', async () => {
  const [raster] = rendered(await pdfOf(pages, 'Test'));
  const { left, high } = extentOf(template.cutLine);
  const [a, b] = [template.outline[0]!, template.outline[1]!];
  const length = Math.hypot(b.x - a.x, b.z - a.z);
  const inward = { x: -(b.z - a.z) / length, z: (b.x - a.x) / length };
  const middle = { x: (a.x + b.x) / 2 + inward.x * 3, z: (a.z + b.z) / 2 + inward.z * 3 };
  expect(raster!.dark(MARGIN_MM + middle.x - left, MARGIN_MM + high - middle.z)).toBe(false);
});
