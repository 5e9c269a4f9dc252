import { randomUUID } from 'node:crypto';
import { demoPlan } from '@/core/demo/plan';
import { withFreshIds } from '@/core/plan/plan';
import { createSession } from '@/db/accounts';
import { insertPlan } from '@/db/plans';
import type { Pool } from '@/db/pool';

/** An account of its own with some trips, all of them with the demo's bike, bags and things; signed in. */
export async function newRider(pool: Pool, trips = 1) {
  const accountId = randomUUID();
  await pool.query('insert into account (id, name) values ($1, $2)', [accountId, 'Test rider']);
  const plan = withFreshIds(demoPlan(), randomUUID);
  const tripIds = Array.from({ length: trips }, () => randomUUID() as string);
  for (const tripId of tripIds) await insertPlan(pool, accountId, tripId, plan);
  return { accountId, tripIds, plan, token: await createSession(pool, accountId) };
}
