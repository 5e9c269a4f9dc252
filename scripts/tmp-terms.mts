import { DEMO_BAGS } from '@/core/demo/bags';
import { searchLoad } from '@/core/load/fitSearch';
import { compileInstance } from '@/core/load/instance';
import { objectiveOf } from '@/core/load/objective';
import { judged } from '@/core/load/loader';
import { randomThings, samplePlan } from '@/core/plan/samples';
import { seededRandom } from '@/core/random';
const [seed, n, s, a, b] = process.argv.slice(2).map(Number);
const plan = samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(seed!), n!) });
const instance = compileInstance(plan);
let k = 0; let last: Int32Array; const kept: Int32Array[] = [];
for (const { where } of searchLoad(instance, seededRandom(s!), b!)) {
  k += 1; if (where) last = where.slice();
  if (k === a! + 3 || k === b! + 3) { kept.push(last!); const o = objectiveOf(instance, last!); const j = judged(instance, last!);
    console.log(k, JSON.stringify(Object.fromEntries(Object.entries(o).map(([t, v]) => [t, typeof v === 'number' ? Math.round(v * 10) / 10 : v]))), j.order); }
}
const [p, q] = kept as [Int32Array, Int32Array];
let diff = 0, lp = [] as number[], lq = [] as number[];
for (let i = 0; i < instance.n; i++) { if (p[i] !== q[i]) diff++; if (p[i]! < 0 && q[i]! >= 0) lp.push(i); if (q[i]! < 0 && p[i]! >= 0) lq.push(i); }
const show = (l: number[]) => l.map((i) => `${instance.outer[i]![0]!.name}(${instance.leave[i]!.toFixed(0)},${instance.needMl[i]!.toFixed(0)}${instance.stiffMl[i]! > 0 ? 's' : ''})`).join(' ');
console.log('things', instance.n, 'places', instance.m, 'differ', diff, 'left only early', show(lp), '| left only late', show(lq));
let left=0; for (let i=0;i<instance.n;i++) if (q[i]!<0) left++; console.log('left late', left);
