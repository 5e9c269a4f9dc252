import { bagSchema, type Bag } from '@/core/bag/bag';
import { bikeSchema, type Bike } from '@/core/bike/bike';
import { tableOf } from './columns';
import type { Client } from './pool';

/** Bikes and bags as rows: owned once, used by trips and set-ups. Read through the schemas that define them. */

const BIKE = tableOf<Bike>({
  id: 'text',
  name: 'text',
  massG: 'double precision',
  massSource: 'text',
  greatestTotalG: 'double precision',
  assumed: 'jsonb',
  geometry: 'jsonb',
  tape: 'jsonb',
  build: 'jsonb',
  readings: 'jsonb',
});
const BAG = tableOf<Bag>({
  id: 'text',
  name: 'text',
  place: 'text',
  side: 'text',
  massG: 'double precision',
  massSource: 'text',
  limitG: 'double precision',
  alongMm: 'double precision',
  standOffMm: 'double precision',
  braced: 'boolean',
  swaysFromKgM: 'double precision',
  sagMmPerKg: 'double precision',
  closure: 'text',
  opening: 'text',
  attachment: 'text',
  compartments: 'jsonb',
});
type Row = Record<string, unknown>;

export const differs = (a: unknown, b: unknown): boolean =>
  a !== b && JSON.stringify(a) !== JSON.stringify(b);

const bikeOf = (row: Row): Bike => bikeSchema.parse(BIKE.item(row));
const bagOf = (row: Row): Bag => bagSchema.parse(BAG.item(row));

/** The bike of every set-up of the account, by the set-up's id. */
export async function readSetupBikes(client: Client, accountId: string): Promise<Map<string, Bike>> {
  const { rows } = await client.query<Row & { setup_id: string }>(
    `select setup.id as setup_id, ${BIKE.select('bike')}
       from setup join bike on bike.account_id = setup.account_id and bike.id = setup.bike_id
      where setup.account_id = $1`,
    [accountId],
  );
  return new Map(rows.map((row) => [row.setup_id, bikeOf(row)]));
}

/** The bags of a trip, in their order. */
export async function readTripBags(client: Client, accountId: string, tripId: string): Promise<Bag[]> {
  const { rows } = await client.query<Row>(
    `select ${BAG.select('bag')}
       from trip_bag join bag on bag.account_id = trip_bag.account_id and bag.id = trip_bag.bag_id
      where trip_bag.account_id = $1 and trip_bag.trip_id = $2 order by position`,
    [accountId, tripId],
  );
  return rows.map(bagOf);
}

/** The bags of every set-up of the account, in their order, by the set-up's id. */
export async function readSetupBags(client: Client, accountId: string): Promise<Map<string, Bag[]>> {
  const { rows } = await client.query<Row & { setup_id: string }>(
    `select setup_bag.setup_id, ${BAG.select('bag')}
       from setup_bag join bag on bag.account_id = setup_bag.account_id and bag.id = setup_bag.bag_id
      where setup_bag.account_id = $1 order by position`,
    [accountId],
  );
  const bags = new Map<string, Bag[]>();
  for (const row of rows) {
    const own = bags.get(row.setup_id);
    if (own) own.push(bagOf(row));
    else bags.set(row.setup_id, [bagOf(row)]);
  }
  return bags;
}

/** Bikes of the account among some ids; all of them without. */
export async function readBikes(
  client: Client,
  accountId: string,
  ids: readonly string[] | null,
): Promise<Bike[]> {
  if (ids?.length === 0) return [];
  const { rows } = await client.query<Row>(
    `select ${BIKE.select('bike')} from bike
      where account_id = $1 and ($2::text[] is null or id = any($2)) order by id`,
    [accountId, ids],
  );
  return rows.map(bikeOf);
}

/** Bags of the account among some ids; all of them without. */
export async function readBags(
  client: Client,
  accountId: string,
  ids: readonly string[] | null,
): Promise<Bag[]> {
  if (ids?.length === 0) return [];
  const { rows } = await client.query<Row>(
    `select ${BAG.select('bag')} from bag
      where account_id = $1 and ($2::text[] is null or id = any($2)) order by id`,
    [accountId, ids],
  );
  return rows.map(bagOf);
}

/** What becomes of an item that is owned already: `change` writes it anew, `keep` leaves it as it is. */
export type Owned = 'change' | 'keep';
export const onConflict = (owned: Owned, updates: string): string =>
  `on conflict (account_id, id) do ${owned === 'change' ? `update set ${updates}` : 'nothing'}`;

export async function saveBike(client: Client, accountId: string, bike: Bike, owned: Owned): Promise<void> {
  await client.query(
    `insert into bike (account_id, ${BIKE.columns})
     select $1, ${BIKE.values} from jsonb_to_recordset($2::jsonb) as recordset(${BIKE.recordset})
     ${onConflict(owned, BIKE.updates)}`,
    [accountId, JSON.stringify([BIKE.row(bike)])],
  );
}

export async function saveBags(
  client: Client,
  accountId: string,
  bags: readonly Bag[],
  owned: Owned,
): Promise<void> {
  if (bags.length === 0) return;
  await client.query(
    `insert into bag (account_id, ${BAG.columns})
     select $1, ${BAG.values} from jsonb_to_recordset($2::jsonb) as recordset(${BAG.recordset})
     ${onConflict(owned, BAG.updates)}`,
    [accountId, JSON.stringify(bags.map(BAG.row))],
  );
}
