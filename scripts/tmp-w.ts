import { demoPlan } from '@/core/demo/plan';
import { runLoader } from '@/core/load/loader';
const pair = (a: string, b: string, kind: 'together' | 'a side each') => ({
  kind,
  thingIds: [a, b] as [string, string],
});
const plan = {
  ...demoPlan(),
  wishes: [
    { kind: 'never' as const, thingId: 'down-quilt', compartmentId: 'seat-pack-main' },
    pair('head-torch', 'paperback', 'together'),
    pair('mug', 'camp-shoes', 'a side each'),
  ],
};
for (const effort of [0.3, 1])
  for (const seed of [1, 2, 3, 4]) {
    const t = performance.now();
    const p = runLoader(plan, { seed, effort });
    console.log(
      effort,
      seed,
      p.objective.toFixed(1),
      p.terms.wishes,
      p.terms['left behind'],
      Math.round(performance.now() - t),
    );
  }
