import { DEMO_SETUPS } from '@/core/demo/bikes';
import { demoPlan } from '@/core/demo/plan';
import { extentOf, signedAreaMm2 } from '@/core/geometry/polygon';
import { withSetup } from '@/core/evaluation/compare';
import { factsOf, type Facts } from '@/core/facts/facts';
import { sampleBag, samplePlan } from '../../../tests/support/samples';
import { dimensionsOf } from '@/core/bike/dimensions';
import { drawingOf, labelledApart, slideMm, type DrawnGap } from './sideDrawing';
import { frontDrawingOf } from './frontDrawing';

const all = DEMO_SETUPS.map((setup): [string, Facts] => [setup.name, factsOf(withSetup(demoPlan(), setup))]);

describe.each(all)('%s from ahead', (_, facts) => {
  const drawing = frontDrawingOf(facts);

  test('everything lies within the picture, the tyre stands on the ground, the bar is as wide as it is', () => {
    const { left, top, width, height } = drawing.frame;
    const shapes = [
      ...[...drawing.behind, ...drawing.ahead].flatMap(({ outline }) => outline),
      ...drawing.tyre,
      drawing.bar.from,
      drawing.bar.to,
    ];
    for (const { x, z } of shapes) {
      expect(x).toBeGreaterThan(left);
      expect(x).toBeLessThan(left + width);
      expect(z).toBeLessThan(top);
      expect(z).toBeGreaterThan(top - height);
    }
    expect(extentOf(drawing.tyre).low).toBeCloseTo(drawing.groundZ, 6);
    expect(drawing.bar.to.x - drawing.bar.from.x).toBeCloseTo(facts.figures.geometry.barWidthMm, 9);
    expect(drawing.free.to.x - drawing.free.from.x).toBeCloseTo(drawing.free.mm, 9);
    expect(drawing.knees.to.x - drawing.knees.from.x).toBe(facts.surroundings.rider.kneeGapMm);
  });

  test('each bag on the bike is there once, at its height in the side view and on its own side', () => {
    const drawn = [...drawing.behind, ...drawing.ahead];
    const hung = facts.surroundings.bags.filter(({ place }) => place.outline);
    expect(drawn.map(({ bagId }) => bagId).sort()).toEqual(hung.map(({ bag }) => bag.id).sort());
    for (const { bag, place } of hung) {
      const own = extentOf(drawn.find(({ bagId }) => bagId === bag.id)!.outline);
      const side = extentOf(place.outline!);
      expect(own.low).toBeCloseTo(side.low, 0);
      expect(own.high).toBeCloseTo(side.high, 0);
      const middle = (own.left + own.right) / 2;
      expect(Math.sign(Math.round(middle))).toBe({ left: 1, middle: 0, right: -1 }[bag.side] || 0);
    }
  });
});

test('left and right fork bags mirror each other from ahead', () => {
  const { ahead } = frontDrawingOf(factsOf(demoPlan()));
  const [left, right] = ['fork-left', 'fork-right'].map((id) =>
    extentOf(ahead.find(({ bagId }) => bagId === id)!.outline),
  );
  expect(left!.left).toBeCloseTo(-right!.right, 9);
  expect(left!.right).toBeCloseTo(-right!.left, 9);
});

test('dimension lines are as long as the figures they show, and say which are not given', () => {
  for (const [, { view, figures }] of all) {
    for (const { label, mm, from, to } of dimensionsOf(view, figures)) {
      const drawn = Math.hypot(from.x - to.x, from.z - to.z);
      // A fork is measured along its steerer, and drawn to its axle.
      expect(Math.abs(drawn - mm)).toBeLessThan(label === 'fork' ? 12 : 0.01);
    }
  }
  const marked = (facts: Facts) =>
    dimensionsOf(facts.view, facts.figures)
      .filter(({ assumed }) => assumed)
      .map(({ label }) => label);
  expect(marked(all[0]![1])).toEqual([]);
  expect(marked(all[1]![1])).toEqual(['chainstay', 'fork']);
});

describe('gaps on the picture', () => {
  const dropper = () => {
    const plan = samplePlan({ bags: [sampleBag('seat', 'seat pack')] });
    plan.bike = { ...plan.bike!, build: { ...plan.bike!.build, dropperMm: 120, forkTravelMm: 100 } };
    return factsOf(plan);
  };

  test('are drawn between their two points, with their verdict, and only in their own view', () => {
    const facts = dropper();
    const [mark] = drawingOf(facts).gaps;
    const clearance = facts.clearances.find(({ kind }) => kind === 'rear tyre')!;
    expect(mark).toMatchObject({ id: 'rear-tyre:seat', mm: clearance.gapMm, verdict: 'check' });
    expect(Math.hypot(mark!.from.x - mark!.to.x, mark!.from.z - mark!.to.z)).toBeCloseTo(
      Math.abs(clearance.gapMm),
      6,
    );
    expect(frontDrawingOf(facts).gaps).toEqual([]);
  });

  test('come with what they are measured between: the pack lowered, and no tyre that does not move', () => {
    const { ghosts } = drawingOf(dropper());
    expect(ghosts.tyres).toEqual([]);
    expect(ghosts.outlines).toHaveLength(1);
    const facts = dropper();
    const hung = facts.surroundings.bags[0]!.place.outline!;
    expect(Math.abs(signedAreaMm2(ghosts.outlines[0]!))).toBeCloseTo(Math.abs(signedAreaMm2(hung)), 3);
    // 120 mm down the seat tube, at 74°.
    expect(hung[0]!.z - ghosts.outlines[0]![0]!.z).toBeCloseTo(120 * Math.sin((74 * Math.PI) / 180), 6);
  });

  test('a tyre at full travel is drawn where it comes near', () => {
    const { ghosts } = drawingOf(factsOf(demoPlan()));
    expect(ghosts.tyres).toHaveLength(1);
    const { view } = factsOf(demoPlan());
    expect(
      Math.hypot(ghosts.tyres[0]!.centre.x - view.frontAxle.x, ghosts.tyres[0]!.centre.z - view.frontAxle.z),
    ).toBeCloseTo(60, 6);
  });
});

test('a drag counts only along the bag’s place', () => {
  expect(slideMm({ x: 0, z: -1 }, { x: 0, z: 0 }, { x: 50, z: -20 })).toBe(20);
  expect(slideMm({ x: -1, z: 0 }, { x: 10, z: 5 }, { x: 4, z: 900 })).toBe(6);
});

test('figures of gaps are never written over one another, and none that stands free is moved', () => {
  const gap = (id: string, x: number, z: number): DrawnGap => ({
    id,
    kind: 'knees' as const,
    bagId: id,
    from: { x, z },
    to: { x, z },
    label: { x, z },
    mm: 20,
    verdict: 'check',
  });
  const given = [
    gap('a', 0, 500),
    gap('b', 100, 490),
    gap('c', 60, 470),
    gap('d', 900, 500),
    gap('e', 0, 500),
  ];
  const labels = labelledApart(given).map(({ label }) => label);
  expect(labels[0]).toEqual({ x: 0, z: 500 });
  expect(labels[3]).toEqual({ x: 900, z: 500 });
  labels.forEach((a, i) =>
    labels.slice(0, i).forEach((b) => {
      expect(Math.abs(a.x - b.x) >= 150 || Math.abs(a.z - b.z) >= 44).toBe(true);
    }),
  );
  // Only the figure moves, and only down; the line between the two nearest points stays.
  labelledApart(given).forEach(({ from, label }, i) => {
    expect(from).toEqual(given[i]!.from);
    expect(label.x).toBe(given[i]!.label.x);
    expect(label.z).toBeLessThanOrEqual(given[i]!.label.z);
  });
});
