import type { Client } from './pool';

export const OWNED_KINDS = ['thing', 'bag', 'bike'] as const;
export type OwnedKind = (typeof OWNED_KINDS)[number];

/** Something owned that no trip and no set-up uses. */
export interface UnusedItem {
  kind: OwnedKind;
  id: string;
  name: string;
  massG: number;
}

/** Trips, and set-ups, that use an item of each kind, as a select of account, item and name. */
const USES: Record<OwnedKind, string> = {
  thing: `select trip_thing.account_id, thing_id as item_id, trip.name
            from trip_thing join trip on trip.account_id = trip_thing.account_id and trip.id = trip_id`,
  bag: `select trip_bag.account_id, bag_id as item_id, trip.name
          from trip_bag join trip on trip.account_id = trip_bag.account_id and trip.id = trip_id
        union all
        select setup_bag.account_id, bag_id, setup.name
          from setup_bag join setup on setup.account_id = setup_bag.account_id and setup.id = setup_id`,
  bike: `select account_id, bike_id as item_id, name from trip
         union all
         select account_id, bike_id, name from setup`,
};

/** What the account owns and uses nowhere, by kind and name. */
export async function listUnused(client: Client, accountId: string): Promise<UnusedItem[]> {
  const { rows } = await client.query<UnusedItem>(
    OWNED_KINDS.map(
      (kind) => `select '${kind}' as kind, id, name, mass_g as "massG" from ${kind}
                  where account_id = $1 and not exists
                    (select from (${USES[kind]}) as use where use.account_id = $1 and use.item_id = ${kind}.id)`,
    ).join(' union all ') + ' order by kind desc, name, id',
    [accountId],
  );
  return rows;
}

/**
 * Deletes what is owned, on request only; nothing of it where a trip or a set-up still uses any of it.
 *
 * @returns the names of those that do, in order; empty where all was deleted
 */
export async function deleteOwned(
  client: Client,
  accountId: string,
  items: Readonly<Record<OwnedKind, readonly string[]>>,
): Promise<string[]> {
  const users = new Set<string>();
  for (const kind of OWNED_KINDS) {
    // Locked, so that no trip takes one up between the question and the answer.
    await client.query(`select from ${kind} where account_id = $1 and id = any($2) for update`, [
      accountId,
      items[kind],
    ]);
    const { rows } = await client.query<{ name: string }>(
      `select distinct name from (${USES[kind]}) as use where account_id = $1 and item_id = any($2) order by name`,
      [accountId, items[kind]],
    );
    for (const { name } of rows) users.add(name);
  }
  if (users.size > 0) return [...users];
  for (const kind of OWNED_KINDS)
    await client.query(`delete from ${kind} where account_id = $1 and id = any($2)`, [
      accountId,
      items[kind],
    ]);
  return [];
}
