import type { FrameBagTemplate } from './frameBagTemplate';
import { scaleBar, type Shape } from './sheet';

const RIM_MM = 10;
const escaped = (words: string): string =>
  words.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c]!);
const number = (value: number): string => String(Number(value.toFixed(3)));

/** The template as SVG at 1:1: its size is given in millimetres, and one unit of the drawing is one. */
export function templateSvg(template: FrameBagTemplate): string {
  const width = template.widthMm + 2 * RIM_MM;
  const height = template.heightMm + 2 * RIM_MM + 15;
  const shapes = [...template.shapes, ...scaleBar(0, template.heightMm + 15)].map(element).join('\n  ');
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="${-RIM_MM} ${-RIM_MM} ${number(width)} ${number(height)}">
  <title>${escaped(template.title)}</title>
  <style>path,circle{fill:none;stroke:#000;stroke-width:.25}.cut{stroke-width:.5}.dashed{stroke-dasharray:4 2}text{font-family:sans-serif}</style>
  ${shapes}
</svg>
`;
}

function element(shape: Shape): string {
  switch (shape.kind) {
    case 'line':
      return `<path class="${shape.style}" d="M${shape.points.map(([x, y]) => `${number(x)} ${number(y)}`).join('L')}${shape.closed ? 'Z' : ''}"/>`;
    case 'circle':
      return `<circle class="${shape.style}" cx="${number(shape.x)}" cy="${number(shape.y)}" r="${number(shape.radiusMm)}"/>`;
    case 'text': {
      const anchor = { left: 'start', middle: 'middle', right: 'end' }[shape.align];
      return `<text x="${number(shape.x)}" y="${number(shape.y)}" font-size="${number(shape.sizeMm)}" text-anchor="${anchor}">${escaped(shape.text)}</text>`;
    }
  }
}
