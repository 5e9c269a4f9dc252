// npm run bench:agreement -- [--effort E] [--list] [--kit K]: loads the made-up riders' kits and the demo, three times each with other
// searches, and compares with where riders keep such things. One JSON line a kit: the share of things in a place that riders
// use, in the most usual place, left behind, and in the same bag whatever the search; and how many move where a loaded plan
// is loaded again. Two kits are measured at a time, each in a process of its own, or kit K alone. --list names each thing in a place that is not one of its own.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { text } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { runLoader } from '@/core/load/proposal/loader';
import { applyEdit } from '@/core/plan/apply';
import type { Plan } from '@/core/plan/plan';
import { compartmentsOf } from '@/core/plan/where';
import { DEMO_KIT, isAccepted, RIDER_KITS, type Accepted, type RiderKit } from './lib/riderKits';
import { exitOn } from './lib/say';

const { values } = parseArgs({
  options: {
    effort: { type: 'string', default: '1' },
    list: { type: 'boolean', default: false },
    kit: { type: 'string' },
  },
});
const effort = Number(values.effort);
const SEARCHES = [1, 2, 3];
const KITS = [...RIDER_KITS, DEMO_KIT];

function loadedBy(plan: Plan, seed: number) {
  const proposal = runLoader(plan, { seed, effort });
  const applied = applyEdit(plan, proposal.edit);
  if (!applied.ok) throw new Error(applied.error);
  return { plan: applied.value.plan, proposal };
}

interface Line {
  kit: string;
  things: number;
  /** Over all searches: things loaded, and of them in a place that riders use, in the most usual one, and left behind. */
  placings: number;
  accepted: number;
  usual: number;
  left: number;
  /** Things in the same bag after every search. */
  sameBag: number;
  /** Things that moved when the loaded plans were loaded again. */
  movedAgain: number;
  /** The same where one thing, another in each, has become a fifth heavier. */
  movedAfterEdit: number;
  elsewhere: string[];
}

function measure({ name, plan, accepted }: RiderKit): Line {
  const spots = new Map(
    plan.bags.flatMap((bag) => bag.compartments.map((own) => [own.id, { bag, own }] as const)),
  );
  const things = plan.things.filter(({ id }) => accepted.has(id));
  const line: Line = {
    ...{ kit: name, things: things.length, placings: things.length * SEARCHES.length },
    ...{ accepted: 0, usual: 0, left: 0, sameBag: 0, movedAgain: 0, movedAfterEdit: 0, elsewhere: [] },
  };
  const bagsOf = new Map<string, Set<string>>(things.map(({ id }) => [id, new Set()]));
  const times = new Map<string, number>();
  for (const seed of SEARCHES) {
    const load = loadedBy(plan, seed);
    const at = compartmentsOf(load.plan);
    for (const { id, name: thing } of things) {
      const spot = spots.get(at.get(id) ?? '');
      bagsOf.get(id)!.add(spot?.bag.id ?? 'floor');
      if (!spot) line.left += 1;
      const isIn = (places: readonly Accepted[]) =>
        spot !== undefined && isAccepted(places, spot.bag, spot.own);
      const places = accepted.get(id)!;
      if (isIn(places.slice(0, 1))) line.usual += 1;
      if (isIn(places)) line.accepted += 1;
      else {
        const what = `${thing} → ${spot?.bag.name ?? 'floor'}`;
        times.set(what, (times.get(what) ?? 0) + 1);
      }
    }
    line.movedAgain += loadedBy(load.plan, seed + 10).proposal.moved;
    const heavier = things[(seed * 7) % things.length]!;
    const edited = load.plan.things.map((thing) =>
      thing.id === heavier.id ? { ...thing, massG: 1.2 * thing.massG } : thing,
    );
    line.movedAfterEdit += loadedBy({ ...load.plan, things: edited }, seed).proposal.moved;
  }
  line.sameBag = [...bagsOf.values()].filter(({ size }) => size === 1).length;
  line.elsewhere = [...times].map(([what, count]) => `${count}× ${what}`);
  return line;
}

const share = (part: number, whole: number) => Number((part / whole).toFixed(3));
const figures = ({
  things,
  placings,
  accepted,
  usual,
  left,
  sameBag,
  movedAgain,
  movedAfterEdit,
}: Omit<Line, 'kit' | 'elsewhere'>) => ({
  things,
  accepted: share(accepted, placings),
  usual: share(usual, placings),
  left: Number((left / SEARCHES.length).toFixed(1)),
  sameBag: share(sameBag, things),
  movedAgain: Number((movedAgain / SEARCHES.length).toFixed(1)),
  movedAfterEdit: Number((movedAfterEdit / SEARCHES.length).toFixed(1)),
});

async function inProcess(kit: number): Promise<Line> {
  const child = spawn(
    process.execPath,
    ['scripts/bootstrap.mjs', 'bench-agreement', '--kit', String(kit), '--effort', values.effort],
    { stdio: ['ignore', 'pipe', 'inherit'] },
  );
  const [line, [status]] = await Promise.all([text(child.stdout), once(child, 'close')]);
  if (status !== 0) throw new Error(`bench:agreement ended with ${status} at kit ${kit}.`);
  return JSON.parse(line) as Line;
}

async function all(): Promise<void> {
  const waiting = KITS.map((_, kit) => kit);
  const lines: Line[] = [];
  const lane = async () => {
    for (let kit = waiting.shift(); kit !== undefined; kit = waiting.shift())
      lines[kit] = await inProcess(kit);
  };
  await Promise.all([lane(), lane()]);
  for (const line of lines) {
    console.log(JSON.stringify({ kit: line.kit, ...figures(line) }));
    if (values.list) for (const what of line.elsewhere) console.log(`  ${what}`);
  }
  const sum = (of: (line: Line) => number) => lines.reduce((total, line) => total + of(line), 0);
  console.log(
    JSON.stringify({
      bench: 'agreement',
      ...figures({
        things: sum(({ things }) => things),
        placings: sum(({ placings }) => placings),
        accepted: sum(({ accepted }) => accepted),
        usual: sum(({ usual }) => usual),
        left: sum(({ left }) => left),
        sameBag: sum(({ sameBag }) => sameBag),
        movedAgain: sum(({ movedAgain }) => movedAgain),
        movedAfterEdit: sum(({ movedAfterEdit }) => movedAfterEdit),
      }),
    }),
  );
}

if (values.kit === undefined) all().catch(exitOn);
else console.log(JSON.stringify(measure(KITS[Number(values.kit)]!)));
