import { demoPlan } from '@/core/demo/plan';
import type { Thing } from '@/core/kit/thing';
import { factsOf } from '@/core/facts/facts';
import { sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { roleOf, usualPoints, type Role } from './usualPlaces';

const roles = new Map(demoPlan().things.map((thing) => [thing.name, roleOf(thing)]));

test.each<[Role, string[]]>([
  ['bed', ['Down quilt', 'Inflatable mat']],
  ['tent', ['Tent inner and fly', 'Tent poles']],
  ['pegs', ['Tent pegs']],
  ['shoes', ['Camp shoes']],
  ['rainwear', ['Rain jacket', 'Rain trousers']],
  ['layers', ['Warm hat', 'Wind vest']],
  ['camp clothes', ['Sleep shirt', 'Insulated jacket']],
  ['snacks', ['Chews', 'Oat bars']],
  ['meals', ['Dinners, dried']],
  ['bottle', ['Bottle, frame']],
  ['filter', ['Squeeze filter']],
  ['small tools', ['Multitool', 'Tyre levers']],
  ['spares', ['Spare tube', 'Mini pump']],
  ['lock', ['Light lock']],
  ['at hand', ['Phone', 'Head torch']],
  ['power bank', ['Power bank']],
  ['first aid', ['First aid pouch', 'Sun cream']],
  ['wash kit', ['Wash bag']],
  ['long and light', ['Folding chair']],
])('%s: by system, when it is wanted, and what it is like', (role, names) => {
  expect(names.map((name) => roles.get(name))).toEqual(names.map(() => role));
});

test.each<[string, Partial<Thing>, Role]>([
  ['a bladder', { system: 'water', traits: ['hose'], waterMl: 1500 }, 'bladder'],
  ['a compact camera', { system: 'electronics', traits: ['fragile'], volumeMl: 350 }, 'camera'],
  ['a drone', { system: 'electronics', traits: ['fragile'], volumeMl: 1100 }, 'large camera'],
])('%s', (_what, change, role) => {
  expect(roleOf(sampleThing('it', change))).toBe(role);
});

const { spots } = factsOf(
  samplePlan({
    bags: [
      sampleBag('seat', 'seat pack'),
      sampleBag('roll', 'bar roll'),
      sampleBag('left', 'fork bag', {}, { side: 'left' }),
      sampleBag('right', 'fork bag', {}, { side: 'right' }),
      sampleBag('stem', 'stem bag'),
      sampleBag('pack', 'seat pack', { outside: 'tethered' }),
    ],
  }),
);
const points = (thing: Thing) =>
  Object.fromEntries(spots.map((spot) => [spot.bag.id, usualPoints(thing, spot)]));

test('the more usual the place the fewer the points, and an unusual one costs most', () => {
  const quilt = points(sampleThing('quilt', { system: 'sleep' }));
  expect(quilt.seat).toBe(0);
  expect(quilt.roll).toBeGreaterThan(quilt.seat!);
  expect(quilt.left).toBeGreaterThan(quilt.roll!);
  expect(quilt.stem).toBeGreaterThan(quilt.left!);
  expect(quilt.pack).toBe(quilt.stem);
});

test('the outside of a bag is a place of its own', () => {
  const shoes = points(sampleThing('shoes', { system: 'clothes', traits: ['dirty'] }));
  expect(shoes.pack).toBe(0);
  expect(shoes.seat).toBeGreaterThan(0);
});

test('of two bags that mirror each other one is a little better, by what the thing is', () => {
  const quilt = points(sampleThing('quilt', { system: 'sleep' }));
  const pot = points(sampleThing('pot', { system: 'cook' }));
  expect(quilt.right! - quilt.left!).toBeCloseTo(0.3, 9);
  expect(pot.left! - pot.right!).toBeCloseTo(0.3, 9);
});
