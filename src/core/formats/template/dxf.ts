import type { FrameBagTemplate } from './frameBagTemplate';
import { scaleBar, type Shape } from './sheet';

/**
 * The template as DXF of release 12, the one every program reads: lines, circles and words, one unit a
 * millimetre, y upwards. Layers are the line styles.
 */
export function templateDxf(template: FrameBagTemplate): string {
  const shapes = [...template.shapes, ...scaleBar(0, template.heightMm + 15)];
  const header = [
    '0',
    'SECTION',
    '2',
    'HEADER',
    '9',
    '$ACADVER',
    '1',
    'AC1009',
    '9',
    '$INSUNITS',
    '70',
    '4',
    '0',
    'ENDSEC',
  ];
  const body = ['0', 'SECTION', '2', 'ENTITIES', ...shapes.flatMap(entities), '0', 'ENDSEC', '0', 'EOF'];
  return `${[...header, ...body].join('\r\n')}\r\n`;
}

const number = (value: number): string => value.toFixed(4);
const point = (x: number, y: number, shift = 0): string[] => [
  String(10 + shift),
  number(x),
  String(20 + shift),
  number(-y),
];

function entities(shape: Shape): string[] {
  switch (shape.kind) {
    case 'line': {
      const ends = shape.closed ? [...shape.points, shape.points[0]!] : shape.points;
      return ends.slice(1).flatMap(([x, y], i) => {
        const [fromX, fromY] = ends[i]!;
        return ['0', 'LINE', '8', shape.style, ...point(fromX, fromY), ...point(x, y, 1)];
      });
    }
    case 'circle':
      return ['0', 'CIRCLE', '8', shape.style, ...point(shape.x, shape.y), '40', number(shape.radiusMm)];
    case 'text':
      // One line of plain text: a line break would end the group.
      return [
        ...['0', 'TEXT', '8', 'words', ...point(shape.x, shape.y)],
        ...['40', number(shape.sizeMm), '1', shape.text.replace(/[\r\n]+/g, ' ')],
      ];
  }
}
