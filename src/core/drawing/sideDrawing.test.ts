import { demoPlan } from '@/core/demo/plan';
import { signedAreaMm2 } from '@/core/geometry/polygon';
import { runLoader } from '@/core/load';
import { applyEdit } from '@/core/plan/apply';
import { factsOf } from '@/core/facts/facts';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { drawingOf } from './sideDrawing';

test('everything drawn lies within the frame of the picture', () => {
  const drawing = drawingOf(factsOf(demoPlan()));
  const { left, top, width, height } = drawing.frame;
  const points = [
    ...drawing.bags.flatMap((bag) => bag.outline),
    ...drawing.tubes.flatMap((tube) => [tube.from, tube.to]),
    ...drawing.saddle,
    drawing.centre!,
  ];
  for (const { x, z } of points) {
    expect(x).toBeGreaterThan(left);
    expect(x).toBeLessThan(left + width);
    expect(z).toBeLessThan(top);
    expect(z).toBeGreaterThan(top - height);
  }
});

test('a bike that is not known has no centre of mass and no wheel loads', () => {
  const { centre, wheels } = drawingOf(factsOf({ ...demoPlan(), bike: null }));
  expect([centre, ...wheels.map(({ loadG }) => loadG)]).toEqual([null, null, null]);
});

test('wheels stand on the ground, and their loads are what rolls', () => {
  const facts = factsOf(demoPlan());
  const drawing = drawingOf(facts);
  for (const { centre, radiusMm } of drawing.wheels)
    expect(centre.z - radiusMm).toBeCloseTo(drawing.groundZ, 0);
  const [rear, front] = drawing.wheels;
  expect(rear!.loadG! + front!.loadG!).toBeCloseTo(facts.totals.rollingG, 6);
  expect(front!.centre.x - rear!.centre.x).toBeCloseTo(facts.view.wheelbaseMm, 9);
});

test('each bag is drawn once with its letters; what is on the body is not drawn on the bike', () => {
  const plan = demoPlan();
  plan.bags.push(sampleBag('hip', 'body'));
  const drawing = drawingOf(factsOf(plan));
  expect(drawing.bags.map((bag) => bag.letters)).toEqual([
    'A',
    'B',
    'C',
    'D',
    'E',
    'FG',
    'H',
    'I',
    'J',
    'K',
    'LM',
  ]);
  expect(drawing.bags.filter((bag) => bag.far).map((bag) => bag.name)).toEqual([
    'Left stem bag',
    'Left fork bag',
  ]);
});

test('the filled part covers the share of the bag that is used', () => {
  const applied = applyEdit(demoPlan(), runLoader(demoPlan(), { effort: 0.05 }).edit);
  if (!applied.ok) throw new Error(applied.error);
  for (const bag of drawingOf(factsOf(applied.value.plan)).bags) {
    const covered = Math.abs(signedAreaMm2(bag.filled)) / Math.abs(signedAreaMm2(bag.outline));
    expect(covered).toBeCloseTo(Math.min(1, bag.share), 4);
    expect(bag.closes).toBe(true);
  }
});

test('an overfull bag is drawn full and says that it does not close', () => {
  const plan = loaded(
    samplePlan({ bags: [sampleBag('seat', 'seat pack', { statedMl: 500 })], things: [sampleThing('tent')] }),
    { tent: 'seat-main' },
  );
  const [bag] = drawingOf(factsOf(plan)).bags;
  expect(bag).toMatchObject({ closes: false, share: 2 });
  expect(bag!.filled).toEqual(bag!.outline);
});

test('a bike without bags or figures is drawn all the same', () => {
  const drawing = drawingOf(factsOf(samplePlan({ bike: null })));
  expect(drawing.bags).toEqual([]);
  expect(drawing.tubes).toHaveLength(10);
  expect(drawing.frame.width).toBeGreaterThan(1500);
});
