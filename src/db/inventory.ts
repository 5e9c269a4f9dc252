import { ownedThingSchema, type OwnedThing } from '@/core/kit/thing';
import { saveThings, THING } from './owned';
import { countUpTrips } from './plans';
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

/** A thing as it is owned, and the trips that use it. */
export interface InventoryItem {
  thing: OwnedThing;
  trips: { id: string; name: string }[];
}

/** Every thing of the account with the trips that use it, by name. */
export async function listInventory(client: Client, accountId: string): Promise<InventoryItem[]> {
  const { rows } = await client.query<Record<string, unknown> & { trips: InventoryItem['trips'] }>(
    `select ${THING.select('thing')}, coalesce(used.trips, '[]') as trips
       from thing left join
         (select thing_id, jsonb_agg(jsonb_build_object('id', trip.id, 'name', trip.name) order by trip.start_date desc nulls last, trip.name) as trips
            from trip_thing join trip on trip.account_id = trip_thing.account_id and trip.id = trip_id
           where trip_thing.account_id = $1 group by thing_id) as used on used.thing_id = thing.id
      where thing.account_id = $1 order by lower(thing.name), thing.id`,
    [accountId],
  );
  return rows.map((row) => ({ thing: THING.item(row), trips: row.trips }));
}

export interface ThingChange {
  id: string;
  patch: Partial<Omit<OwnedThing, 'id'>>;
}
export type InventoryOutcome = { ok: true; things: OwnedThing[] } | { ok: false; reason: string };

/**
 * Changes fields of owned things, each by itself, so that two pages that change different fields do not undo each other. All of them or
 * none. Trips that use one are told.
 */
export async function changeThings(
  client: Client,
  accountId: string,
  changeId: string,
  changes: readonly ThingChange[],
): Promise<InventoryOutcome> {
  const { rows } = await client.query<Record<string, unknown>>(
    `select ${THING.select('thing')} from thing where account_id = $1 and id = any($2) order by id for update`,
    [accountId, changes.map(({ id }) => id)],
  );
  const byId = new Map(rows.map((row) => [row.id as string, THING.item(row)]));
  const things: OwnedThing[] = [];
  for (const { id, patch } of changes) {
    const thing = byId.get(id);
    if (!thing)
      return { ok: false, reason: 'One of these things was deleted meanwhile. Nothing was changed.' };
    const next = ownedThingSchema.safeParse({ ...thing, ...patch });
    if (!next.success)
      return { ok: false, reason: `${thing.name}: ${next.error.issues[0]?.message ?? 'not understood'}` };
    byId.set(id, next.data);
    things.push(next.data);
  }
  await saveThings(
    client,
    accountId,
    [...new Map(things.map((thing) => [thing.id, thing])).values()],
    'change',
  );
  const trips = await countUpTrips(client, accountId, '', {
    bike: null,
    bags: [],
    things: changes.map(({ id }) => id),
  });
  const label =
    changes.length === 1 ? `${things[0]!.name} changed in the inventory` : 'Things changed in the inventory';
  await client.query(
    `insert into plan_change (account_id, trip_id, change_id, revision, label)
     select $1, id, $2, revision, $3 from jsonb_to_recordset($4::jsonb) as recordset(id text, revision integer)
     on conflict do nothing`,
    [accountId, changeId, label, JSON.stringify(trips)],
  );
  return { ok: true, things };
}

/** Adds things to what is owned. One whose id is known already stays as it is. */
export const addThings = (client: Client, accountId: string, things: readonly OwnedThing[]): Promise<void> =>
  saveThings(client, accountId, things, 'keep');
