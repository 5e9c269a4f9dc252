import { DEFAULT_GEOMETRY, tapeSchema, type Tape } from './bike';
import { barToTyre, railToTyre } from './figures';
import { triangleInside } from './mainTriangle';
import { measureLine, type Measurable } from './measureLines';
import { sideView } from './sideView';
import { tapeOf } from '../../../tests/support/tapeOf';

const view = sideView(DEFAULT_GEOMETRY);
const length = (key: Measurable) => {
  const line = measureLine(view, key)!;
  return Math.hypot(line.to.x - line.from.x, line.to.z - line.from.z);
};

test('each line is as long as the figure it stands for', () => {
  for (const key of [
    'stackMm',
    'reachMm',
    'headTubeMm',
    'seatTubeMm',
    'chainstayMm',
    'saddleHeightMm',
  ] as const)
    expect([key, length(key).toFixed(6)]).toEqual([key, DEFAULT_GEOMETRY[key].toFixed(6)]);
  const tape = tapeOf(triangleInside(view));
  for (const key of ['topMm', 'headMm', 'downMm', 'seatMm', 'diagonalMm'] as const)
    expect([key, length(key).toFixed(6)]).toEqual([key, tape[key].toFixed(6)]);
  expect(length('railToTyreMm')).toBeCloseTo(railToTyre(view), 6);
  expect(length('barToTyreMm')).toBeCloseTo(barToTyre(view), 6);
});

test('everything that is asked for by tape can be shown; an angle cannot', () => {
  for (const key of Object.keys(tapeSchema.shape) as (keyof Tape)[])
    expect(measureLine(view, key)).not.toBeNull();
  expect(measureLine(view, 'headAngleDeg')).toBeNull();
});
