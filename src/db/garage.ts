import { bagSchema, type Bag } from '@/core/bag/bag';
import { bikeSchema, type Bike } from '@/core/bike/bike';
import type { Client } from './pool';

/** Bikes and bags as rows: owned once, used by trips and set-ups. Read through the schemas that define them. */

interface BikeRow {
  id: string;
  name: string;
  mass_g: number;
  mass_source: string;
  greatest_total_g: number | null;
  geometry: unknown;
  tape: unknown;
  build: unknown;
  readings: unknown;
}

interface BagRow {
  id: string;
  name: string;
  place: string;
  side: string;
  mass_g: number;
  mass_source: string;
  limit_g: number | null;
  along_mm: number;
  stand_off_mm: number;
  braced: boolean;
  closure: string;
  opening: string;
  attachment: string;
  compartments: unknown;
}

export const differs = (a: unknown, b: unknown): boolean =>
  a !== b && JSON.stringify(a) !== JSON.stringify(b);

/** A bike of this account, or null. */
const BIKE_COLUMNS = `bike.id, bike.name, mass_g, mass_source, greatest_total_g, geometry, tape, build, readings`;

const bikeOf = (row: BikeRow): Bike =>
  bikeSchema.parse({
    id: row.id,
    name: row.name,
    massG: row.mass_g,
    massSource: row.mass_source,
    greatestTotalG: row.greatest_total_g,
    geometry: row.geometry,
    tape: row.tape,
    build: row.build,
    readings: row.readings,
  });

export async function readBike(client: Client, accountId: string, bikeId: string): Promise<Bike | null> {
  const { rows } = await client.query<BikeRow>(
    `select ${BIKE_COLUMNS} from bike where account_id = $1 and id = $2`,
    [accountId, bikeId],
  );
  return rows[0] ? bikeOf(rows[0]) : null;
}

/** The bike of every set-up of the account, by the set-up's id. */
export async function readSetupBikes(client: Client, accountId: string): Promise<Map<string, Bike>> {
  const { rows } = await client.query<BikeRow & { setup_id: string }>(
    `select setup.id as setup_id, ${BIKE_COLUMNS}
       from setup join bike on bike.account_id = setup.account_id and bike.id = setup.bike_id
      where setup.account_id = $1`,
    [accountId],
  );
  return new Map(rows.map((row) => [row.setup_id, bikeOf(row)]));
}

const BAG_COLUMNS = `bag.id, name, place, side, mass_g, mass_source, limit_g, along_mm, stand_off_mm, braced, closure,
            opening, attachment, compartments`;

const bagOf = (row: BagRow): Bag =>
  bagSchema.parse({
    id: row.id,
    name: row.name,
    place: row.place,
    side: row.side,
    massG: row.mass_g,
    massSource: row.mass_source,
    limitG: row.limit_g,
    alongMm: row.along_mm,
    standOffMm: row.stand_off_mm,
    braced: row.braced,
    closure: row.closure,
    opening: row.opening,
    attachment: row.attachment,
    compartments: row.compartments,
  });

/** The bags of a trip, in their order. */
export async function readTripBags(client: Client, accountId: string, tripId: string): Promise<Bag[]> {
  const { rows } = await client.query<BagRow>(
    `select ${BAG_COLUMNS}
       from trip_bag join bag on bag.account_id = trip_bag.account_id and bag.id = trip_bag.bag_id
      where trip_bag.account_id = $1 and trip_bag.trip_id = $2 order by position`,
    [accountId, tripId],
  );
  return rows.map(bagOf);
}

/** The bags of every set-up of the account, in their order, by the set-up's id. */
export async function readSetupBags(client: Client, accountId: string): Promise<Map<string, Bag[]>> {
  const { rows } = await client.query<BagRow & { setup_id: string }>(
    `select setup_bag.setup_id, ${BAG_COLUMNS}
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

export async function saveBike(client: Client, accountId: string, bike: Bike | null): Promise<void> {
  if (!bike) return;
  const json = (value: unknown) => (value === null ? null : JSON.stringify(value));
  await client.query(
    `insert into bike (account_id, id, name, mass_g, mass_source, greatest_total_g, geometry, tape, build, readings)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)
     on conflict (account_id, id) do update set name = excluded.name, mass_g = excluded.mass_g,
       mass_source = excluded.mass_source, greatest_total_g = excluded.greatest_total_g,
       geometry = excluded.geometry, tape = excluded.tape, build = excluded.build, readings = excluded.readings`,
    [
      accountId,
      bike.id,
      bike.name,
      bike.massG,
      bike.massSource,
      bike.greatestTotalG,
      json(bike.geometry),
      json(bike.tape),
      json(bike.build),
      json(bike.readings),
    ],
  );
}

export async function saveBags(client: Client, accountId: string, bags: readonly Bag[]): Promise<void> {
  if (bags.length === 0) return;
  await client.query(
    `insert into bag (account_id, id, name, place, side, mass_g, mass_source, limit_g, along_mm, stand_off_mm, braced,
                      closure, opening, attachment, compartments)
     select $1, * from jsonb_to_recordset($2::jsonb) as row(id text, name text, place text, side text,
       mass_g double precision, mass_source text, limit_g double precision, along_mm double precision,
       stand_off_mm double precision, braced boolean, closure text, opening text, attachment text,
       compartments jsonb)
     on conflict (account_id, id) do update set name = excluded.name, place = excluded.place,
       side = excluded.side, mass_g = excluded.mass_g, mass_source = excluded.mass_source,
       limit_g = excluded.limit_g, along_mm = excluded.along_mm, stand_off_mm = excluded.stand_off_mm,
       braced = excluded.braced, closure = excluded.closure, opening = excluded.opening,
       attachment = excluded.attachment, compartments = excluded.compartments`,
    [accountId, JSON.stringify(bags.map(bagRow))],
  );
}

const bagRow = (bag: Bag): BagRow => ({
  id: bag.id,
  name: bag.name,
  place: bag.place,
  side: bag.side,
  mass_g: bag.massG,
  mass_source: bag.massSource,
  limit_g: bag.limitG,
  along_mm: bag.alongMm,
  stand_off_mm: bag.standOffMm,
  braced: bag.braced,
  closure: bag.closure,
  opening: bag.opening,
  attachment: bag.attachment,
  compartments: bag.compartments,
});

/** Forgets the bags and bikes that no trip and no set-up uses any more. */
export async function forgetUnused(client: Client, accountId: string): Promise<void> {
  await client.query(
    `delete from bag where account_id = $1
        and not exists (select from trip_bag where trip_bag.account_id = $1 and trip_bag.bag_id = bag.id)
        and not exists (select from setup_bag where setup_bag.account_id = $1 and setup_bag.bag_id = bag.id)`,
    [accountId],
  );
  await client.query(
    `delete from bike where account_id = $1
        and not exists (select from trip where trip.account_id = $1 and trip.bike_id = bike.id)
        and not exists (select from setup where setup.account_id = $1 and setup.bike_id = bike.id)`,
    [accountId],
  );
}
