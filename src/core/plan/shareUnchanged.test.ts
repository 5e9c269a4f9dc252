import { demoPlan } from '@/core/demo/plan';
import { applyEdit } from './apply';
import { shareUnchanged } from './shareUnchanged';

describe('sharing what is unchanged', () => {
  const plan = demoPlan();

  test('a copy is made of the objects of the plan it was copied from, and is equal to it', () => {
    const shared = shareUnchanged(structuredClone(plan), plan);
    expect(shared).toEqual(plan);
    shared.things.forEach((thing, i) => expect(thing).toBe(plan.things[i]));
    shared.bags.forEach((bag, i) => expect(bag).toBe(plan.bags[i]));
  });

  test('what changed is its own, whatever else it stands among; of a bag that changed the compartments stay', () => {
    const [first, second, ...rest] = structuredClone(plan.things);
    const [bag, ...bags] = structuredClone(plan.bags);
    const changed = {
      ...plan,
      things: [second!, { ...first!, massG: first!.massG + 1 }, ...rest],
      bags: [{ ...bag!, massG: bag!.massG + 1 }, ...bags],
    };
    const shared = shareUnchanged(changed, plan);
    expect(shared).toEqual(changed);
    expect(shared.things[0]).toBe(plan.things[1]);
    expect(shared.things[1]).not.toBe(plan.things[0]);
    expect(shared.bags[0]!.compartments[0]).toBe(plan.bags[0]!.compartments[0]);
  });

  test('without an earlier plan it is the plan itself; things that came or went do not matter', () => {
    expect(shareUnchanged(plan, null)).toBe(plan);
    const removed = applyEdit(plan, { kind: 'remove things', ids: [plan.things[0]!.id] });
    if (!removed.ok) throw new Error(removed.error);
    const less = removed.value.plan;
    expect(shareUnchanged(less, plan)).toEqual(less);
    expect(shareUnchanged(structuredClone(plan), less).things[1]).toBe(plan.things[1]);
  });
});
