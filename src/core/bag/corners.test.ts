import { readCorners, writeCorners } from './corners';
import { DEMO_BAGS } from '@/core/demo/bags';

test('corners read back as they were written', () => {
  const solid = DEMO_BAGS.find((bag) => bag.place === 'frame bag')!.compartments[0]!.solid;
  if (solid.kind !== 'polygon') throw new Error('the demo frame bag is a polygon');
  expect(readCorners(writeCorners(solid.corners))).toEqual({ ok: true, value: solid.corners });
});

test.each([
  ['0 0; 10 0', /three corners/],
  ['0 0; 10; 5 5', /Corner 2/],
  ['0 0; a b; 5 5', /Corner 2/],
  ['0 0; 10 10; 10 0; 0 10', /crosses itself/],
  ['0 0; 99999 0; 5 5', /Corner 2/],
])('refuses %s', (text, message) => {
  const read = readCorners(text);
  expect(!read.ok && read.error).toMatch(message);
});
