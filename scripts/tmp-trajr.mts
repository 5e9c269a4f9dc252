// @ts-nocheck
import { appendFileSync } from 'node:fs';
import { DEMO_BAGS } from '@/core/demo/bags';
import { compileInstance } from '@/core/load/instance';
import { searchLoad } from '@/core/load/fitSearch';
import { Annealer } from '@/core/load/anneal';
import { boundByFit, loader } from '@/core/load/loader';
import { randomThings, samplePlan } from '@/core/plan/samples';
import { seededRandom } from '@/core/random';
const f=Number(process.env.MOVES??1); let loopMs=0, calls=0;
const run=Annealer.prototype.run; Annealer.prototype.run=function(s,m,o){const t=performance.now(); run.call(this,s,Math.round(m*f),o); loopMs+=performance.now()-t; calls+=Math.round(m*f);};
const [out, seeds, rounds, kits] = [process.argv[2], process.argv[3].split(',').map(Number), Number(process.argv[4]), ((process.argv[5]==="all"?undefined:process.argv[5]) ?? '3/80,3/120,4/80,3/100,1/100,4/60,5/120,6/80,7/100,8/120,9/60,2/120,1/60,1/120,2/100,5/60,10/100,11/80,12/120,13/100').split(',')];
const kit = (s, n) => samplePlan({ bags: [...DEMO_BAGS], things: randomThings(seededRandom(s), n) });
for (const step of loader(kit(99, 60), { effort: 0.3 })) void step;
for (const k of kits) for (const seed of seeds) {
  const [s, n] = k.split('/').map(Number);
  const inst = compileInstance(kit(s, n));
  const c0 = performance.now(); let r = 0; const traj = []; loopMs=0; calls=0; const u0=process.cpuUsage().user;
  for (const p of searchLoad(inst, seededRandom(seed), rounds)) { r++; if (p.where) traj.push([r - 4, Math.round(performance.now() - c0), +p.best.toFixed(3)]); }
  appendFileSync(out, JSON.stringify({ k, seed, ms: Math.round(performance.now() - c0), cpu: Math.round((process.cpuUsage().user-u0)/1000), loopMs: Math.round(loopMs), calls, traj }) + '\n');
}
