import type { Setup } from '@/core/commands/putOnTrip';
import { readSetupBags, readSetupBikes, saveBags, saveBike } from './garage';
import type { Client } from './pool';

/** A bike with its bags, kept under a name. */

/** The account's set-ups, whole, by name: three questions, however many there are. */
export async function listSetups(client: Client, accountId: string): Promise<Setup[]> {
  const { rows } = await client.query<{ id: string; name: string }>(
    `select id, name from setup where account_id = $1 order by name, id`,
    [accountId],
  );
  const bikes = await readSetupBikes(client, accountId);
  const bags = await readSetupBags(client, accountId);
  return rows.map(({ id, name }) => ({ id, name, bike: bikes.get(id)!, bags: bags.get(id) ?? [] }));
}

/**
 * Keeps a set-up, or writes over the one with its id. A bike or bag that is not owned yet becomes the account's own; one that is
 * stays as it is, whatever the tab that sends it has last seen of it.
 */
export async function saveSetup(client: Client, accountId: string, setup: Setup): Promise<void> {
  await saveBike(client, accountId, setup.bike, 'keep');
  await saveBags(client, accountId, setup.bags, 'keep');
  await client.query(
    `insert into setup (account_id, id, name, bike_id) values ($1, $2, $3, $4)
     on conflict (account_id, id) do update set name = excluded.name, bike_id = excluded.bike_id`,
    [accountId, setup.id, setup.name, setup.bike.id],
  );
  await client.query(`delete from setup_bag where account_id = $1 and setup_id = $2`, [accountId, setup.id]);
  await client.query(
    `insert into setup_bag (account_id, setup_id, bag_id, position)
     select $1, $2, id, position from unnest($3::text[]) with ordinality as row(id, position)`,
    [accountId, setup.id, setup.bags.map(({ id }) => id)],
  );
}

export async function countSetups(client: Client, accountId: string): Promise<number> {
  const { rows } = await client.query<{ count: number }>(
    `select count(*)::int as count from setup where account_id = $1`,
    [accountId],
  );
  return rows[0]!.count;
}

/** Forgets a set-up; its bike and bags stay owned. False when there was none. */
export async function deleteSetup(client: Client, accountId: string, setupId: string): Promise<boolean> {
  const { rowCount } = await client.query(`delete from setup where account_id = $1 and id = $2`, [
    accountId,
    setupId,
  ]);
  return rowCount === 1;
}
