import { planFileValue } from '@/core/formats/planFile';
import { readPlan } from './plans';
import type { Client } from './pool';

/** How long a departure can be reversed. */
const RETURN_WITHIN = '24 hours';

/**
 * Keeps the plan as the trip sets out with it. From then on the trip is read as it was, whatever becomes of what is owned. A trip
 * that has set out already stays as it is.
 *
 * @returns false where there is no such trip
 */
export async function depart(client: Client, accountId: string, tripId: string): Promise<boolean> {
  const stored = await readPlan(client, accountId, tripId);
  if (!stored) return false;
  await client.query(
    `update trip set departed = $3, departed_at = now(), revision = revision + 1
      where account_id = $1 and id = $2 and departed is null`,
    [accountId, tripId, JSON.stringify(planFileValue(stored.plan))],
  );
  return true;
}

/** Makes a trip that set out within the last day a plan again, over what is owned now. */
export async function returnToPlanning(
  client: Client,
  accountId: string,
  tripId: string,
): Promise<'returned' | 'too late' | 'no such trip'> {
  const { rows } = await client.query<{ isLate: boolean }>(
    `select departed_at < now() - $3::interval as "isLate" from trip where account_id = $1 and id = $2`,
    [accountId, tripId, RETURN_WITHIN],
  );
  if (!rows[0]) return 'no such trip';
  if (rows[0].isLate) return 'too late';
  await client.query(
    `update trip set departed = null, departed_at = null, revision = revision + 1
      where account_id = $1 and id = $2 and departed is not null`,
    [accountId, tripId],
  );
  return 'returned';
}
