// npm run bench:agreement -- [--effort E] [--list]: loads the made-up riders' kits and the demo, three times each with other
// searches, and compares with where riders keep such things. One JSON line a kit: the share of things in a place that riders
// use, in the most usual place, left behind, and in the same bag whatever the search; and how many move where a loaded plan
// is loaded again. --list names each thing in a place that is not one of its own.
import { parseArgs } from 'node:util';
import { runLoader } from '@/core/load/loader';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { compartmentsOf } from '@/core/plan/where';
import { DEMO_KIT, isAccepted, RIDER_KITS, type RiderKit } from './lib/riderKits';

const { values } = parseArgs({
  options: { effort: { type: 'string', default: '1' }, list: { type: 'boolean', default: false } },
});
const effort = Number(values.effort);
const SEARCHES = [1, 2, 3];

function loadedBy(plan: Plan, seed: number) {
  const proposal = runLoader(plan, { seed, effort });
  const applied = applyEdit(plan, proposal.edit);
  if (!applied.ok) throw new Error(applied.error);
  return { plan: applied.value.plan, proposal };
}

function measure({ name, plan, accepted }: RiderKit) {
  const spots = new Map(
    plan.bags.flatMap((bag) => bag.compartments.map((own) => [own.id, { bag, own }] as const)),
  );
  const things = plan.things.filter(({ id }) => accepted.has(id));
  const counts = { accepted: 0, usual: 0, left: 0, total: 0 };
  const elsewhere = new Map<string, number>();
  const bagsOf = new Map<string, Set<string>>(things.map(({ id }) => [id, new Set()]));
  let again = 0;
  for (const seed of SEARCHES) {
    const load = loadedBy(plan, seed);
    const at = compartmentsOf(load.plan);
    for (const { id, name: thing } of things) {
      counts.total += 1;
      const spot = spots.get(at.get(id) ?? '');
      bagsOf.get(id)!.add(spot?.bag.id ?? 'floor');
      if (!spot) counts.left += 1;
      if (spot && isAccepted(accepted.get(id)!, spot.bag, spot.own)) counts.accepted += 1;
      else
        elsewhere.set(
          `${thing} → ${spot?.bag.name ?? 'floor'}`,
          (elsewhere.get(`${thing} → ${spot?.bag.name ?? 'floor'}`) ?? 0) + 1,
        );
      if (spot && isAccepted(accepted.get(id)!.slice(0, 1), spot.bag, spot.own)) counts.usual += 1;
    }
    again += loadedBy(load.plan, seed + 10).proposal.moved;
  }
  const stable = [...bagsOf.values()].filter(({ size }) => size === 1).length;
  return { name, things: things.length, counts, stable, again, elsewhere };
}

const share = (part: number, whole: number) => Number((part / whole).toFixed(3));
const all = { accepted: 0, usual: 0, left: 0, total: 0, stable: 0, things: 0, again: 0 };
for (const kit of [...RIDER_KITS, DEMO_KIT]) {
  const { name, things, counts, stable, again, elsewhere } = measure(kit);
  const { accepted, usual, left, total } = counts;
  console.log(
    JSON.stringify({
      kit: name,
      things,
      accepted: share(accepted, total),
      usual: share(usual, total),
      left: left / SEARCHES.length,
      sameBag: share(stable, things),
      movedAgain: again / SEARCHES.length,
    }),
  );
  if (values.list) for (const [what, times] of elsewhere) console.log(`  ${times}× ${what}`);
  all.accepted += accepted;
  all.usual += usual;
  all.left += left;
  all.total += total;
  all.stable += stable;
  all.things += things;
  all.again += again;
}
console.log(
  JSON.stringify({
    bench: 'agreement',
    things: all.things,
    accepted: share(all.accepted, all.total),
    usual: share(all.usual, all.total),
    left: all.left / SEARCHES.length,
    sameBag: share(all.stable, all.things),
    movedAgain: all.again / SEARCHES.length,
  }),
);
