import { DEMO_BAGS } from '@/core/demo/bags';
import { searchLoad } from '@/core/load/fitSearch';
import { compileInstance } from '@/core/load/instance';
import { randomThings, samplePlan } from '@/core/plan/samples';
import { seededRandom } from '@/core/random';
const [seed, n, from, to, rounds] = process.argv.slice(2).map(Number);
const plan = samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(seed!), n!) });
for (let s = from!; s <= to!; s++) {
  const instance = compileInstance(plan);
  const t = performance.now();
  const out: string[] = [];
  let k = 0;
  for (const { best } of searchLoad(instance, seededRandom(s), rounds!)) {
    k += 1;
    if ([7, 11, 15, 19, 33, 48, 63, 93, 123, 183, 303].includes(k)) out.push(best.toFixed(0));
  }
  console.log(s, out.join(' '), Math.round(performance.now() - t));
}
