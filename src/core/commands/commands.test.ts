import { demoPlan } from '@/core/demo/plan';
import { DEFAULT_FRAME_BAG, frameBagCut } from '@/core/bag/frameBag';
import { factsOf } from '@/core/facts/facts';
import { applyEdit } from '@/core/plan/apply';
import type { Edit } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { fitFrameBag } from './fitFrameBag';
import { putOnTrip } from './putOnTrip';
import { slideBag } from './slideBag';
import { standing, takeLoad } from './takeLoad';

const plan = demoPlan();

/** The plan after an edit; checks that its inverse takes it back. */
function after(of: Plan, edit: Edit): Plan {
  const applied = applyEdit(of, edit);
  if (!applied.ok) throw new Error(applied.error);
  const back = applyEdit(applied.value.plan, applied.value.inverse);
  expect(back.ok && back.value.plan).toEqual(of);
  return applied.value.plan;
}

test('a frame bag is cut to the triangle, its pockets with it, or comes as a new bag', () => {
  const { view, build, rider } = factsOf(plan).surroundings;
  const cut = frameBagCut(view, DEFAULT_FRAME_BAG, build.mounts, rider.kneeGapMm);
  if (!cut.ok) throw new Error(cut.error);
  const own = plan.bags.find(({ place }) => place === 'frame bag')!;
  const onto = fitFrameBag(plan, cut.value, { half: true }, own, () => 'new');
  expect(onto.bagId).toBe(own.id);
  const changed = after(plan, onto.edit).bags.find(({ id }) => id === own.id)!;
  expect(changed).toMatchObject({ name: own.name, alongMm: 0 });
  expect(changed.compartments[0]!.solid).toEqual(cut.value.solid);
  for (const { solid } of changed.compartments)
    if (solid.kind === 'polygon') expect(solid.corners).toEqual(cut.value.solid.corners);

  let n = 0;
  const fresh = fitFrameBag(plan, cut.value, { half: true }, null, () => `new-${(n += 1)}`);
  const added = after(plan, fresh.edit).bags.find(({ id }) => id === fresh.bagId);
  expect(added).toMatchObject({ name: 'Half frame bag', place: 'frame bag' });
});

test('a bag is moved no further than a bag can be', () => {
  const { id } = plan.bags[0]!;
  expect(after(plan, slideBag(id, 40)).bags[0]!.alongMm).toBe(40);
  expect(after(plan, slideBag(id, 9000)).bags[0]!.alongMm).toBe(600);
  expect(after(plan, slideBag(id, -9000)).bags[0]!.alongMm).toBe(-600);
});

test('a kept load is taken whole: what it names where it was, all else to the floor', () => {
  const [first, second] = plan.things.filter(({ carry, inside }) => carry === 'bike' && inside === null);
  const compartmentId = plan.bags[0]!.compartments[0]!.id;
  const kept = [
    { thingId: first!.id, to: { compartmentId }, pinned: true },
    { thingId: 'gone', to: { compartmentId }, pinned: false },
    { thingId: second!.id, to: { compartmentId: 'gone' }, pinned: false },
  ];
  expect(standing(plan, kept)).toEqual(kept.slice(0, 1));
  expect(after(plan, takeLoad(plan, kept)).load).toEqual(kept.slice(0, 1));
});

test('another set-up on the trip: its bike and bags, and nothing in bags that go', () => {
  const bags = plan.bags.slice(0, 2);
  const packed = after(plan, {
    kind: 'place',
    moves: [
      { thingId: plan.things[0]!.id, to: { compartmentId: plan.bags[0]!.compartments[0]!.id } },
      { thingId: plan.things[1]!.id, to: { compartmentId: plan.bags[3]!.compartments[0]!.id } },
    ],
  });
  const next = after(packed, putOnTrip(packed, { id: 's', name: 'Light', bike: plan.bike!, bags }));
  expect(next.bags.map(({ id }) => id)).toEqual(bags.map(({ id }) => id));
  expect(next.load.map(({ thingId }) => thingId)).toEqual([plan.things[0]!.id]);
});
