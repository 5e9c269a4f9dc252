import { demoPlan } from '@/core/demo/plan';
import { LEAVE_POINTS } from '@/core/packing/costs';
import { samplePlan, sampleThing } from '../../../../tests/support/samples';
import { regretFactor, leavePoints } from './leavePoints';

const demo = demoPlan();
const thing = (id: string) => demo.things.find((each) => each.id === id)!;

test('the worked example: regret 3 is half of what regret can add, and nothing adds half a step', () => {
  expect(regretFactor(0)).toBe(1);
  expect(regretFactor(3)).toBeCloseTo(1.25, 9);
  expect(regretFactor(1e9)).toBeLessThanOrEqual(1.5);
});

test('what is regretted costs more to leave than a luxury of the same step, and never as much as the next step', () => {
  const points = leavePoints(demo);
  for (const each of demo.things) {
    expect(points(each)).toBeGreaterThanOrEqual(LEAVE_POINTS[each.need]);
    if (each.need !== 'must')
      expect(points(each)).toBeLessThan(LEAVE_POINTS[each.need === 'nice' ? 'should' : 'must']);
  }
  expect(points(thing('folding-chair'))).toBe(LEAVE_POINTS.nice);
  expect(points(thing('first-aid-pouch'))).toBeGreaterThan(1.1 * LEAVE_POINTS[thing('first-aid-pouch').need]);
});

test('a thing whose job another does too costs its step alone; with the other at home it costs more', () => {
  const twice = { ...demo, things: [...demo.things, { ...thing('first-aid-pouch'), id: 'second-pouch' }] };
  const step = LEAVE_POINTS[thing('first-aid-pouch').need];
  expect(leavePoints(twice)(thing('first-aid-pouch'))).toBe(step);
  const oneAtHome = {
    ...twice,
    load: [{ thingId: 'second-pouch', to: 'home' as const, pinned: false }],
  };
  expect(leavePoints(oneAtHome)(thing('first-aid-pouch'))).toBeGreaterThan(step);
});

test('where it is not known what things are for, the step alone counts', () => {
  const unknown = sampleThing('box', { need: 'should' });
  expect(leavePoints(samplePlan({ things: [unknown] }))(unknown)).toBe(LEAVE_POINTS.should);
});
