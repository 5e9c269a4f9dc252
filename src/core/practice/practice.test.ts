import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import { runLoader } from '@/core/load';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { bestMoves, pointsOf, randomLoad, scoreOf } from './score';

/** Sleep and shelter alone: the easy level. */
const demo = demoPlan();
const easy: Plan = {
  ...demo,
  things: demo.things.filter(
    ({ system }) => system === 'sleep' || system === 'shelter' || system === 'tools',
  ),
  trip: { ...demo.trip, menu: [] },
};
const proposal = runLoader(easy, { seed: 1 });
const applied = applyEdit(easy, proposal.edit);
if (!applied.ok) throw new Error(applied.error);
const loaded = applied.value.plan;
const random = [1, 2, 3, 4, 5, 6].map((seed) => pointsOf(randomLoad(easy, seed)).total);
const worst = random.reduce((sum, points) => sum + points, 0) / random.length;

test('100 for the loader’s load, 0 for the mean of random ones, half way between is 50', () => {
  expect(scoreOf(proposal.objective, proposal.objective, worst)).toBe(100);
  expect(scoreOf(worst, proposal.objective, worst)).toBe(0);
  expect(scoreOf(250, 100, 400)).toBe(50);
  expect(scoreOf(500, 100, 400)).toBe(0);
});

test('copied from the loader it is as good as the loader’s; packed at random it is far from it', () => {
  expect(scoreOf(pointsOf(loaded).total, proposal.objective, worst)).toBeCloseTo(100, 0);
  const others = [11, 12, 13].map((seed) =>
    scoreOf(pointsOf(randomLoad(easy, seed)).total, proposal.objective, worst),
  );
  expect(others.reduce((sum, score) => sum + score, 0) / others.length).toBeLessThan(60);
});

test('a random load closes, keeps what is pinned, and is the same for the same seed', () => {
  const pinned: Plan = {
    ...easy,
    load: [{ thingId: 'multitool', to: { compartmentId: 'seat-pack-main' }, pinned: true }],
  };
  const one = randomLoad(pinned, 3);
  expect(one.load).toEqual(randomLoad(pinned, 3).load);
  expect(one.load.find(({ thingId }) => thingId === 'multitool')).toMatchObject({ pinned: true });
  expect(evaluate(one).compartments.every(({ closes }) => closes)).toBe(true);
});

test('the moves named gain what they say, the most first', () => {
  const plan = randomLoad(easy, 4);
  const now = pointsOf(plan).total;
  const gains = bestMoves(plan);
  expect(gains.length).toBeGreaterThan(0);
  for (const { thingId, to, points } of gains) {
    const next = applyEdit(plan, { kind: 'place', moves: [{ thingId, to: { compartmentId: to } }] });
    expect(next.ok && now - pointsOf(next.value.plan).total).toBeCloseTo(points, 6);
  }
  const points = gains.map((gain) => gain.points);
  expect([...points].sort((a, b) => b - a)).toEqual(points);
});
