import type { FrameBagTemplate } from './frameBagTemplate';
import { SEAM_MM } from './frameBagTemplate';
import { line, PAPERS, scaleBar, text, type Page, type Paper, type Shape } from './sheet';

/** One page for whoever sews: the panel drawn small, every side with its length, and the gusset's widths. */
export function measuringSheet(template: FrameBagTemplate, bikeName: string, paper: Paper): Page {
  const { widthMm, heightMm } = PAPERS[paper];
  const margin = 15;
  const room = { width: widthMm - 2 * margin, height: 110 };
  const scale = Math.min(room.width / template.widthMm, room.height / template.heightMm, 1);
  const shrink = ([x, y]: [number, number]): [number, number] => [margin + x * scale, 40 + y * scale];
  const drawing = template.shapes.flatMap((shape): Shape[] => {
    if (shape.kind === 'line') return [{ ...shape, points: shape.points.map(shrink) }];
    const [x, y] = shrink([shape.x, shape.y]);
    if (shape.kind === 'circle') return [{ ...shape, x, y, radiusMm: Math.max(1, shape.radiusMm * scale) }];
    // Corner letters stay; the sides' words would run into one another and stand in the table.
    return shape.text.length === 1 ? [{ ...shape, x, y, sizeMm: 4 }] : [];
  });
  const columns = [margin, margin + 22, margin + 80, margin + 112, margin + 148];
  const row = (y: number, cells: string[]): Shape[] =>
    cells.map((cell, i) => text(columns[i]!, y, cell, 3.2));
  const top = 166;
  const total = template.sides.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const rows = template.sides.map((side, i) =>
    row(top + 7 * (i + 1), [
      side.name,
      side.along,
      `${side.lengthMm.toFixed(0)} mm`,
      `${side.fromWidthMm.toFixed(0)} mm`,
      `${side.toWidthMm.toFixed(0)} mm`,
    ]),
  );
  const under = top + 7 * (template.sides.length + 2);
  return {
    widthMm,
    heightMm,
    groups: [
      {
        clip: null,
        shapes: [
          text(margin, 20, `Measuring sheet: ${template.title}`, 6),
          text(
            margin,
            28,
            `${bikeName}. Side panel ${(template.areaMm2 / 100).toFixed(0)} cm2, ${(template.volumeMl / 1000).toFixed(2)} l. Drawn at 1 : ${(1 / scale).toFixed(2)}; lengths are true.`,
            3.2,
          ),
          ...drawing,
          ...row(top, ['side', 'where', 'length', 'width at start', 'width at end']),
          line([
            [margin, top + 2],
            [widthMm - margin, top + 2],
          ]),
          ...rows.flat(),
          text(
            margin,
            under,
            `Gusset strip, all round: ${total.toFixed(0)} mm. Add ${SEAM_MM} mm of seam to every edge of panel and strip.`,
            3.2,
          ),
          text(
            margin,
            under + 6,
            'Cut two panels, mirrored. Measure on the bike again before cutting: cloth cannot be added.',
            3.2,
          ),
          text(
            margin,
            under + 12,
            template.bolts.length
              ? `${template.bolts.length} cage bolts lie against the bag (crosses): leave slots or sew strips over them.`
              : 'No cage bolts lie against the bag.',
            3.2,
          ),
          ...scaleBar(margin, heightMm - 15),
        ],
      },
    ],
  };
}
