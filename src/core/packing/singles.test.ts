import { demoPlan } from '@/core/demo/plan';
import { applyEdit } from '@/core/plan/apply';
import { evaluate } from '@/core/evaluation/evaluate';
import { factsOf } from '@/core/facts/facts';
import type { Plan } from '@/core/plan/plan';
import { loaded, sampleBag, samplePlan, sampleThing } from '../../../tests/support/samples';
import { runLoader } from '@/core/load';
import { goesInSingles, partsOf, singlesOf } from './singles';

const bottles = sampleThing('bottle', {
  name: 'Bottle',
  system: 'water',
  quantity: 2,
  massG: 90,
  waterMl: 650,
  volumeMl: 750,
  form: { kind: 'cylinder', lengthMm: 190, diameterMm: 73 },
  call: 'riding',
  need: 'must',
});
const cages = ['one', 'two'].map((id) =>
  sampleBag(id, 'bottle cage', { solid: { kind: 'cylinder', lengthMm: 200, diameterMm: 76 } }),
);

const load = (plan: Plan) => {
  const proposal = runLoader(plan, { effort: 0.05 });
  const applied = applyEdit(plan, proposal.edit);
  if (!applied.ok) throw new Error(applied.error);
  return { proposal, plan: applied.value.plan, inverse: applied.value.inverse };
};

test('two bottles go to a cage each, although a bag would take both, and undo makes them two of one again', () => {
  const before = samplePlan({ bags: [...cages, sampleBag('seat', 'seat pack')], things: [bottles] });
  const { proposal, plan, inverse } = load(before);
  expect(plan.things.map(({ name, quantity }) => [name, quantity])).toEqual([
    ['Bottle', 1],
    ['Bottle (2)', 1],
  ]);
  expect(plan.load.map(({ to }) => to).sort()).toEqual([
    { compartmentId: 'one-main' },
    { compartmentId: 'two-main' },
  ]);
  expect(proposal.moves.map(({ name }) => name)).toEqual(['Bottle', 'Bottle (2)']);
  expect(evaluate(plan).floor).toEqual([]);
  const undone = applyEdit(plan, inverse);
  expect(undone.ok && undone.value.plan.things).toEqual([bottles]);
});

test('what does not go in whole is parted; what no bag takes stays on the floor under a name of its own', () => {
  const [cage] = cages;
  const { proposal, plan } = load(samplePlan({ bags: [cage!], things: [bottles] }));
  expect(plan.things.map(({ quantity }) => quantity)).toEqual([1, 1]);
  expect(proposal.leave.map(({ name, massG }) => [name, massG])).toEqual([['Bottle (2)', 740]]);
  const large = sampleThing('sacks', { quantity: 3, volumeMl: 1500 });
  const rolls = ['a', 'b', 'c'].map((id) => sampleBag(id, 'bar roll', { statedMl: 2000 }));
  expect(load(samplePlan({ bags: rolls, things: [large] })).plan.things).toHaveLength(3);
});

test('what goes in whole, is pinned, or holds others stays one', () => {
  const { spots } = factsOf(demoPlan());
  const parted = demoPlan().things.filter((thing) => goesInSingles(thing, spots));
  expect(parted).toEqual([]);
  const pinned = loaded(samplePlan({ bags: [sampleBag('seat', 'seat pack'), ...cages], things: [bottles] }), {
    bottle: 'seat-main',
  });
  pinned.load[0]!.pinned = true;
  expect(load(pinned).plan.things).toEqual([bottles]);
});

test('parts: by where the pieces go, with ids and names that are free', () => {
  const taken = new Set(['bottle', 'bottle-2']);
  const three = { ...bottles, quantity: 3 };
  expect(partsOf(three, ['cage', 'cage', 'cage'], taken)).toEqual([{ thing: three, to: 'cage' }]);
  expect(
    partsOf(three, ['cage', null, 'cage'], taken).map(({ thing, to }) => [
      thing.id,
      thing.name,
      thing.quantity,
      to,
    ]),
  ).toEqual([
    ['bottle', 'Bottle', 2, 'cage'],
    ['bottle-3', 'Bottle (2)', 1, null],
  ]);
  expect(singlesOf(three)).toBe(singlesOf(three));
});
