// npm run bench:riders [-- RIDERS SECONDS]: riders at work with a second between their requests; times, errors and memory.
import { Agent } from 'node:http';
import { readFileSync } from 'node:fs';
import { seededRandom } from '@/core/random';
import { createPool } from '@/db/pool';
import { newRider } from '../tests/probes/rider';
import { ride } from '../tests/probes/riders';
import { withApp } from './lib/app';
import { exitOn, say } from './lib/say';

const [riders = 100, seconds = 60] = process.argv.slice(2).map(Number);

/** Memory of a process and of those it started, in MB. */
function megabytes(pid: number): number {
  const children = readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8')
    .trim()
    .split(' ')
    .filter(Boolean);
  const own = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;
  return Math.round(own + children.reduce((sum, child) => sum + megabytes(Number(child)), 0));
}

withApp(async ({ url, databaseUrl, pid }) => {
  const pool = createPool(databaseUrl);
  const people = [];
  for (let i = 0; i < riders; i += 1) {
    const { token, tripIds, plan } = await newRider(pool);
    people.push({
      url,
      token,
      agent: new Agent({ keepAlive: true, maxSockets: 2 }),
      tripId: tripIds[0]!,
      thingIds: plan.things.map(({ id }) => id),
    });
  }
  await pool.end();
  // A server that has just started compiles what it serves first; that is not what is measured.
  await ride(people.slice(0, 10), 10, 500, seededRandom(2));
  const memory = [megabytes(pid)];
  const watch = setInterval(() => memory.push(megabytes(pid)), 10_000);
  say(`${riders} riders for ${seconds} s …`);
  const traffic = await ride(people, seconds, 1000, seededRandom(1));
  clearInterval(watch);
  memory.push(megabytes(pid));
  console.log(JSON.stringify({ riders, ...traffic, memoryMb: memory }, null, 2));
}).catch(exitOn);
