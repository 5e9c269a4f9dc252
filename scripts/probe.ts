// npm run probe -- malformed [COUNT] | foreign | kills [COUNT]: an instance of its own is asked what no page of Gorvin would ask, or is
// killed under riders at work. Ends with 1 where it fails.
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { seededRandom } from '@/core/random';
import { createPool } from '@/db/pool';
import { send, type Target } from '../tests/probes/client';
import { probeForeign } from '../tests/probes/foreign';
import { probeMalformed } from '../tests/probes/malformed';
import { newRider } from '../tests/probes/rider';
import { withApp, withDatabase } from './lib/app';
import type { Cluster } from './lib/cluster';
import { exitOn, Plain, say } from './lib/say';
import { serve } from './lib/server';

const [name, ...rest] = process.argv.slice(2);
const count = Number(rest[0]) || undefined;

async function ridersOf(databaseUrl: string, url: string, many: number) {
  const pool = createPool(databaseUrl);
  const people = [];
  for (let i = 0; i < many; i += 1) {
    const { token, tripIds, plan } = await newRider(pool);
    people.push({ url, token, tripId: tripIds[0]!, thingIds: plan.things.map(({ id }) => id) });
  }
  await pool.end();
  return people;
}

const PROBES: Record<string, () => Promise<{ bad: unknown[] }>> = {
  malformed: () =>
    withApp(async ({ url, databaseUrl }) => {
      const [rider] = await ridersOf(databaseUrl, url, 1);
      return probeMalformed(rider!, rider!.tripId, count ?? 2000, 31);
    }),
  foreign: () =>
    withApp(async ({ url, databaseUrl }) => {
      const [owner, stranger] = await ridersOf(databaseUrl, url, 2);
      return probeForeign(owner!, stranger!, owner!.tripId);
    }),
  kills: () => withDatabase((url, cluster) => kills(url, cluster, count ?? 12), 'probe'),
};

/** Kills a web process, the web server or the database, again and again; what was acknowledged must be there in the end, once. */
async function kills(databaseUrl: string, cluster: Cluster, many: number) {
  let server = await serve(databaseUrl, 4200, true);
  const port = Number(new URL(server.url).port);
  const people = await ridersOf(databaseUrl, server.url, 5);
  const random = seededRandom(64);
  let ending = false;
  const acknowledged = new Map<string, string[]>();
  const unexpected = new Set<string>();
  const write = async (rider: Target & { tripId: string; thingIds: string[] }) => {
    const own: string[] = [];
    acknowledged.set(rider.tripId, own);
    let revision = 0;
    while (!ending) {
      const thingId = rider.thingIds[Math.floor(random() * rider.thingIds.length)]!;
      const id = randomUUID();
      const change = { id, op: 'edit', edit: { kind: 'place', moves: [{ thingId, to: 'home' }] } };
      // As a tab does: the same change again until it is answered.
      for (;;) {
        const answer = await send(
          rider,
          'POST',
          `/api/trips/${rider.tripId}/changes`,
          JSON.stringify({ revision, change }),
        ).catch(() => null);
        if (answer?.status === 200) {
          revision = (JSON.parse(answer.body) as { revision: number }).revision;
          own.push(id);
          break;
        }
        if (answer && answer.status < 500) unexpected.add(`${answer.status} ${answer.body.slice(0, 200)}`);
        if (ending) return;
        await pause(100);
      }
      await pause(20);
    }
  };
  const writers = people.map(write);
  const killed: string[] = [];
  for (let i = 0; i < many; i += 1) {
    await pause(1500 + 1000 * random());
    const what = (['a web process', 'the web server', 'the database'] as const)[i % 3]!;
    killed.push(what);
    say(`Killing ${what} …`);
    const primary = server.process.pid!;
    const workers = () =>
      readFileSync(`/proc/${primary}/task/${primary}/children`, 'utf8').trim().split(' ').map(Number);
    if (what === 'a web process') process.kill(workers()[0]!, 'SIGKILL');
    else if (what === 'the web server') {
      for (const pid of [primary, ...workers()]) process.kill(pid, 'SIGKILL');
      server = await serve(databaseUrl, port, true);
    } else {
      cluster.kill();
      while (!cluster.restart()) await pause(200);
    }
  }
  await pause(2000);
  ending = true;
  await Promise.all(writers);
  await server.stop();
  const pool = createPool(databaseUrl);
  const bad: string[] = [...unexpected];
  let taken = 0;
  for (const [tripId, ids] of acknowledged) {
    const { rows } = await pool.query<{ change_id: string }>(
      'select change_id from plan_change where trip_id = $1',
      [tripId],
    );
    const there = new Set(rows.map(({ change_id }) => change_id));
    const lost = ids.filter((id) => !there.has(id));
    if (lost.length > 0) bad.push(`${lost.length} acknowledged edits of ${tripId} are lost`);
    const trip = await pool.query<{ revision: number }>('select revision from trip where id = $1', [tripId]);
    if (trip.rows[0]!.revision !== there.size)
      bad.push(`trip ${tripId} has revision ${trip.rows[0]!.revision} after ${there.size} changes`);
    taken += ids.length;
  }
  await pool.end();
  return { killed: killed.length, acknowledged: taken, bad };
}

const probe = PROBES[name ?? ''];
if (!probe) exitOn(new Plain(`Say what to try: ${Object.keys(PROBES).join(', ')}.`));
else
  probe()
    .then((result) => {
      console.log(JSON.stringify(result, null, 2));
      if (result.bad.length > 0) process.exitCode = 1;
    })
    .catch(exitOn);
