import type { Ridden } from '@/core/learning/ridden';
import { readEntries } from './entries';
import { readPlan } from './plans';
import type { Client } from './pool';

/** Every trip of an account that has set out, the earliest first, as it set out and with what was recorded of it. */
export async function readRidden(client: Client, accountId: string): Promise<Ridden[]> {
  const { rows } = await client.query<{ id: string }>(
    `select id from trip where account_id = $1 and departed is not null order by start_date nulls last, departed_at`,
    [accountId],
  );
  const ridden: Ridden[] = [];
  for (const { id } of rows) {
    const stored = await readPlan(client, accountId, id);
    if (!stored) continue;
    const { plan } = stored;
    ridden.push({
      tripId: id,
      name: plan.trip.name,
      plan,
      entries: await readEntries(client, accountId, id),
    });
  }
  return ridden;
}

/** What the rider does not want new plans to take over (`core/learning/takeOver.ts`). */
export async function readRejected(client: Client, accountId: string): Promise<string[]> {
  const { rows } = await client.query<{ rejected: string[] }>(`select rejected from account where id = $1`, [
    accountId,
  ]);
  return rows[0]?.rejected ?? [];
}

/** Of limits of bags that are long gone, the oldest are forgotten. */
const MOST_REJECTED = 200;

export async function setRejected(
  client: Client,
  accountId: string,
  name: string,
  isRejected: boolean,
): Promise<void> {
  const others = (await readRejected(client, accountId)).filter((other) => other !== name);
  await client.query(`update account set rejected = $2 where id = $1`, [
    accountId,
    isRejected ? [...others, name].slice(-MOST_REJECTED) : others,
  ]);
}
