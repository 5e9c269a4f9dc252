import { isDeepStrictEqual } from 'node:util';
import type { Bag } from '@/core/bag/bag';
import type { Bike } from '@/core/bike/bike';
import { ownedOf, type OwnedThing, type Thing } from '@/core/kit/thing';
import type { Plan } from '@/core/plan/plan';
import { tableOf } from './columns';
import { differs, onConflict, readBags, readBikes, type Owned } from './garage';
import type { Client } from './pool';

/** Things as they are owned, and what an account owns of what a plan names. Bikes and bags have their rows in garage.ts. */

/** What is owned of a thing; what a trip decides about it is another table (plans.ts). */
export const THING = tableOf<OwnedThing>({
  id: 'text',
  name: 'text',
  system: 'text',
  kind: 'text',
  massG: 'double precision',
  massSource: 'text',
  volumeMl: 'double precision',
  volumeSource: 'text',
  form: 'jsonb',
  dry: 'text',
  provides: 'text[]',
  view: 'text',
  packing: 'text',
  stiffener: 'boolean',
  traits: 'text[]',
  hollow: 'jsonb',
  condition: 'text',
  dueOn: 'date',
  note: 'text',
  toGet: 'boolean',
  price: 'double precision',
  contents: 'jsonb',
  purposes: 'jsonb',
  specs: 'jsonb',
});

/** Of the items of a plan those that are new to it, and those that changed. */
export function sorted<Item extends { id: string }>(before: readonly Item[] = [], after: readonly Item[]) {
  const old = new Map(before.map((item) => [item.id, item]));
  return {
    broughtIn: after.filter((item) => !old.has(item.id)),
    changed: after.filter((item) => old.has(item.id) && differs(old.get(item.id), item)),
  };
}

/** The same of things, by what is owned of them. Those that are the same object are not looked at. */
export function sortedThings(before: readonly Thing[] = [], after: readonly Thing[]) {
  const old = new Map(before.map((thing) => [thing.id, thing]));
  const touched = after.filter((thing) => old.get(thing.id) !== thing);
  return sorted(touched.flatMap(({ id }) => old.get(id) ?? []).map(ownedOf), touched.map(ownedOf));
}

export async function saveThings(
  client: Client,
  accountId: string,
  things: readonly OwnedThing[],
  owned: Owned,
) {
  if (things.length === 0) return;
  await client.query(
    `insert into thing (account_id, ${THING.columns})
     select $1, ${THING.values} from jsonb_to_recordset($2::jsonb) as recordset(${THING.recordset})
     ${onConflict(owned, THING.updates)}`,
    [accountId, JSON.stringify(things.map(THING.row))],
  );
}

/** Things of the account among some ids, as they are owned; all of them without. */
async function readThings(
  client: Client,
  accountId: string,
  ids: readonly string[] | null,
): Promise<OwnedThing[]> {
  if (ids?.length === 0) return [];
  const { rows } = await client.query<Record<string, unknown>>(
    `select ${THING.select('thing')} from thing
      where account_id = $1 and ($2::text[] is null or id = any($2)) order by id`,
    [accountId, ids],
  );
  return rows.map(THING.item);
}

export interface OwnedItems {
  bikes: Map<string, Bike>;
  bags: Map<string, Bag>;
  things: Map<string, OwnedThing>;
}

/** What the account owns among some ids. */
export async function readOwned(
  client: Client,
  accountId: string,
  ids: { bikes: readonly string[]; bags: readonly string[]; things: readonly string[] },
): Promise<OwnedItems> {
  const byId = <Item extends { id: string }>(items: readonly Item[]) =>
    new Map(items.map((item) => [item.id, item]));
  return {
    bikes: byId(await readBikes(client, accountId, ids.bikes)),
    bags: byId(await readBags(client, accountId, ids.bags)),
    things: byId(await readThings(client, accountId, ids.things)),
  };
}

/** All that the account owns, used or not. */
export const readAllOwned = async (client: Client, accountId: string) => ({
  bikes: await readBikes(client, accountId, null),
  bags: await readBags(client, accountId, null),
  things: await readThings(client, accountId, null),
});

/**
 * What a plan would bring in as it is no longer: names of bikes, bags and things that are owned already and were changed on another
 * trip since. Empty where nothing stands in the way.
 */
export async function changedElsewhere(
  client: Client,
  accountId: string,
  before: Plan,
  after: Plan,
): Promise<string[]> {
  const bikes = sorted(before.bike ? [before.bike] : [], after.bike ? [after.bike] : []).broughtIn;
  const bags = sorted(before.bags, after.bags).broughtIn;
  const things = sortedThings(before.things, after.things).broughtIn;
  const ids = (items: readonly { id: string }[]) => items.map(({ id }) => id);
  const owned = await readOwned(client, accountId, {
    bikes: ids(bikes),
    bags: ids(bags),
    things: ids(things),
  });
  const isOther =
    <Item extends { id: string }>(known: Map<string, Item>) =>
    (item: Item) =>
      known.has(item.id) && !isDeepStrictEqual(known.get(item.id), item);
  return [
    ...bikes.filter(isOther(owned.bikes)),
    ...bags.filter(isOther(owned.bags)),
    ...things.filter(isOther(owned.things)),
  ].map(({ name }) => name);
}
