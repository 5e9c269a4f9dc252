import { decisionsOf, ownedOf, type Decisions, type OwnedThing, type Thing } from '@/core/kit/thing';
import { parsePlanValue, planFileValue } from '@/core/formats/planFile';
import { fellowSchema, PLAN_VERSION, type LoadEntry, type Plan } from '@/core/plan/plan';
import type { Trip } from '@/core/trip/trip';
import { allCompartments } from '@/core/plan/riders';
import { tableOf } from './columns';
import { differs, readTripBags, readBike, saveBags, saveBike } from './garage';
import type { Client } from './pool';

/**
 * Plans as rows. A plan is read from, and written back to, the tables of what it is made of; writing compares
 * it with what was read and touches only what differs.
 */

interface TripRow {
  name: string;
  start_date: string | null;
  nights: number;
  sleeping: Trip['sleeping'];
  night_minimum_c: number;
  day_maximum_c: number;
  rain: Trip['rain'];
  filling: Trip['filling'];
  surface: Trip['surface'];
  rider_mass_g: number;
  rider_knee_gap_mm: number | null;
  rider_inseam_mm: number | null;
  rider_shoe_mm: number | null;
  wishes: Plan['wishes'];
  fellows: unknown[];
  bike_id: string | null;
  revision: number;
  departed: unknown;
}

/** What is owned of a thing, and what a trip decides about it: two tables. */
const THING = tableOf<OwnedThing>({
  id: 'text',
  name: 'text',
  system: 'text',
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
});
const DECISIONS = tableOf<Decisions>({
  quantity: 'integer',
  waterMl: 'double precision',
  call: 'text',
  inDrySack: 'boolean',
  carry: 'text',
  need: 'text',
  inside: 'text',
});

export interface StoredPlan {
  plan: Plan;
  revision: number;
  /** The trip has set out: the plan is as it was then, and takes no more edits. */
  departed?: true;
}

/** The plan of a trip, or null when this account has no such trip. With `lock`, until the transaction's end. */
export async function readPlan(
  client: Client,
  accountId: string,
  tripId: string,
  lock = false,
): Promise<StoredPlan | null> {
  const key = [accountId, tripId];
  const trips = await client.query<TripRow>(
    `select name, to_char(start_date, 'YYYY-MM-DD') as start_date, nights, sleeping, night_minimum_c,
            day_maximum_c, rain, filling, surface, rider_mass_g, rider_knee_gap_mm, rider_inseam_mm, rider_shoe_mm,
            wishes, fellows, bike_id, revision, departed
       from trip where account_id = $1 and id = $2 ${lock ? 'for update' : ''}`,
    key,
  );
  const trip = trips.rows[0];
  if (!trip) return null;
  if (trip.departed !== null) {
    // Kept as a plan file, so that a later version of Gorvin reads it as it reads any older file.
    const kept = parsePlanValue(trip.departed);
    if (!kept.ok) throw new Error(`The plan that trip ${tripId} set out with: ${kept.error.join(' ')}`);
    return { plan: kept.value, revision: trip.revision, departed: true };
  }
  const bike = trip.bike_id ? await readBike(client, accountId, trip.bike_id) : null;
  const bags = await readTripBags(client, accountId, tripId);
  const things = await client.query<Record<string, unknown>>(
    `select ${THING.select('thing')}, ${DECISIONS.select('trip_thing')}
       from trip_thing join thing on thing.account_id = trip_thing.account_id and thing.id = trip_thing.thing_id
      where trip_thing.account_id = $1 and trip_thing.trip_id = $2 order by position`,
    key,
  );
  const entries = await client.query<{ thing_id: string; compartment_id: string | null; pinned: boolean }>(
    `select load_entry.thing_id, compartment_id, pinned
       from load_entry join trip_thing using (account_id, trip_id, thing_id)
      where account_id = $1 and trip_id = $2 order by position`,
    key,
  );
  const fellows = trip.fellows.map((fellow) => fellowSchema.parse(fellow));
  const compartments = allCompartments({ bags, fellows });
  return {
    revision: trip.revision,
    plan: {
      format: 'gorvin-plan',
      version: PLAN_VERSION,
      trip: {
        name: trip.name,
        startDate: trip.start_date,
        nights: trip.nights,
        sleeping: trip.sleeping,
        nightMinimumC: trip.night_minimum_c,
        dayMaximumC: trip.day_maximum_c,
        rain: trip.rain,
        filling: trip.filling,
        surface: trip.surface,
      },
      rider: {
        massG: trip.rider_mass_g,
        kneeGapMm: trip.rider_knee_gap_mm,
        inseamMm: trip.rider_inseam_mm,
        shoeMm: trip.rider_shoe_mm,
      },
      bike,
      bags,
      things: things.rows.map((row): Thing => ({ ...THING.item(row), ...DECISIONS.item(row) })),
      // Another trip may have taken a compartment off a shared bag; what lay in it is back on the floor.
      load: entries.rows
        .filter((row) => row.compartment_id === null || compartments.has(row.compartment_id))
        .map((row): LoadEntry => ({
          thingId: row.thing_id,
          to: row.compartment_id === null ? 'home' : { compartmentId: row.compartment_id },
          pinned: row.pinned,
        })),
      wishes: trip.wishes,
      fellows,
    },
  };
}

/**
 * Keeps the plan as the trip sets out with it. From then on the trip is read as it was, whatever becomes of what is owned.
 *
 * @returns false where there is no such trip
 */
export async function depart(client: Client, accountId: string, tripId: string): Promise<boolean> {
  const stored = await readPlan(client, accountId, tripId, true);
  if (!stored) return false;
  await client.query(`update trip set departed = $3 where account_id = $1 and id = $2`, [
    accountId,
    tripId,
    JSON.stringify(planFileValue(stored.plan)),
  ]);
  return true;
}

/** Makes a trip with its plan. Bikes, bags and things that are owned already are used, not made again. */
export async function insertPlan(
  client: Client,
  accountId: string,
  tripId: string,
  plan: Plan,
): Promise<void> {
  await saveBike(client, accountId, plan.bike);
  await client.query(
    `insert into trip (account_id, id, name, start_date, nights, sleeping, night_minimum_c, day_maximum_c, rain,
                       filling, surface, rider_mass_g, rider_knee_gap_mm, rider_inseam_mm, rider_shoe_mm, wishes,
                       fellows, bike_id)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18)`,
    [accountId, tripId, ...tripValues(plan)],
  );
  await saveParts(client, accountId, tripId, null, plan);
}

/**
 * Writes what differs between two states of a plan, and counts its revision up. Other trips that share a changed
 * bike, bag or thing count up too, so that a tab open on one of them is told.
 *
 * @returns the new revision
 */
export async function updatePlan(
  client: Client,
  accountId: string,
  tripId: string,
  before: Plan,
  after: Plan,
): Promise<number> {
  if (differs(before.bike, after.bike)) await saveBike(client, accountId, after.bike);
  const { rows } = await client.query<{ revision: number }>(
    `update trip set name = $3, start_date = $4, nights = $5, sleeping = $6, night_minimum_c = $7,
            day_maximum_c = $8, rain = $9, filling = $10, surface = $11, rider_mass_g = $12, rider_knee_gap_mm = $13,
            rider_inseam_mm = $14, rider_shoe_mm = $15, wishes = $16, fellows = $17, bike_id = $18,
            revision = revision + 1, updated_at = now()
      where account_id = $1 and id = $2 returning revision`,
    [accountId, tripId, ...tripValues(after)],
  );
  await saveParts(client, accountId, tripId, before, after);
  await touchSharers(client, accountId, tripId, before, after);
  return rows[0]!.revision;
}

const tripValues = ({ trip, rider, bike, wishes, fellows }: Plan): unknown[] => [
  trip.name,
  trip.startDate,
  trip.nights,
  trip.sleeping,
  trip.nightMinimumC,
  trip.dayMaximumC,
  trip.rain,
  trip.filling,
  trip.surface,
  rider.massG,
  rider.kneeGapMm,
  rider.inseamMm,
  rider.shoeMm,
  JSON.stringify(wishes),
  JSON.stringify(fellows),
  bike?.id ?? null,
];

/** Bags, things, which of them the trip uses, and where they are. `before` null writes all. */
async function saveParts(
  client: Client,
  accountId: string,
  tripId: string,
  before: Plan | null,
  after: Plan,
) {
  const changed = <Item extends { id: string }>(
    items: readonly Item[],
    known: readonly Item[] | undefined,
  ): Item[] => {
    const old = new Map(known?.map((item) => [item.id, item]));
    return items.filter((item) => differs(old.get(item.id), item));
  };
  const ids = (items: readonly { id: string }[] | undefined) => items?.map((item) => item.id);

  const bags = changed(after.bags, before?.bags);
  await saveBags(client, accountId, bags);
  const things = changed(after.things.map(ownedOf), before?.things.map(ownedOf));
  if (things.length) {
    await client.query(
      `insert into thing (account_id, ${THING.columns})
       select $1, ${THING.values} from jsonb_to_recordset($2::jsonb) as recordset(${THING.recordset})
       on conflict (account_id, id) do update set ${THING.updates}`,
      [accountId, JSON.stringify(things.map(THING.row))],
    );
  }
  if (differs(ids(before?.bags), ids(after.bags))) {
    await client.query(`delete from trip_bag where account_id = $1 and trip_id = $2`, [accountId, tripId]);
    await client.query(
      `insert into trip_bag (account_id, trip_id, bag_id, position)
       select $1, $2, id, position from unnest($3::text[]) with ordinality as row(id, position)`,
      [accountId, tripId, ids(after.bags)],
    );
  }
  const kitChanged = differs(ids(before?.things), ids(after.things));
  if (kitChanged) {
    await client.query(`delete from load_entry where account_id = $1 and trip_id = $2`, [accountId, tripId]);
    await client.query(`delete from trip_thing where account_id = $1 and trip_id = $2`, [accountId, tripId]);
  }
  const was = new Map(kitChanged ? [] : before?.things.map((thing) => [thing.id, decisionsOf(thing)]));
  const decided = after.things.flatMap((thing, position) => {
    const decisions = decisionsOf(thing);
    return differs(was.get(thing.id), decisions)
      ? [{ ...DECISIONS.row(decisions), thing_id: thing.id, position: position + 1 }]
      : [];
  });
  if (decided.length > 0) {
    await client.query(
      `insert into trip_thing (account_id, trip_id, thing_id, position, ${DECISIONS.columns})
       select $1, $2, thing_id, position, ${DECISIONS.values}
         from jsonb_to_recordset($3::jsonb)
           as recordset(thing_id text, position integer, ${DECISIONS.recordset})
       on conflict (account_id, trip_id, thing_id) do update set ${DECISIONS.updates}`,
      [accountId, tripId, JSON.stringify(decided)],
    );
  }
  if (kitChanged || differs(before?.load, after.load)) {
    await client.query(`delete from load_entry where account_id = $1 and trip_id = $2`, [accountId, tripId]);
    await client.query(
      `insert into load_entry (account_id, trip_id, thing_id, compartment_id, pinned)
       select $1, $2, thing_id, compartment_id, pinned
         from jsonb_to_recordset($3::jsonb) as row(thing_id text, compartment_id text, pinned boolean)`,
      [
        accountId,
        tripId,
        JSON.stringify(
          after.load.map((entry) => ({
            thing_id: entry.thingId,
            compartment_id: entry.to === 'home' ? null : entry.to.compartmentId,
            pinned: entry.pinned,
          })),
        ),
      ],
    );
  }
}

async function touchSharers(client: Client, accountId: string, tripId: string, before: Plan, after: Plan) {
  const changed = (old: readonly { id: string }[], now: readonly { id: string }[]): string[] => {
    const known = new Map(old.map((item) => [item.id, item]));
    return now
      .filter((item) => known.has(item.id) && differs(known.get(item.id), item))
      .map((item) => item.id);
  };
  const bags = changed(before.bags, after.bags);
  const things = changed(before.things.map(ownedOf), after.things.map(ownedOf));
  const bike =
    after.bike && before.bike?.id === after.bike.id && differs(before.bike, after.bike)
      ? after.bike.id
      : null;
  if (bags.length === 0 && things.length === 0 && bike === null) return;
  await client.query(
    `update trip set revision = revision + 1
      where account_id = $1 and id <> $2
        and (bike_id = $3
             or exists (select from trip_bag where trip_bag.account_id = $1 and trip_bag.trip_id = trip.id and bag_id = any($4))
             or exists (select from trip_thing where trip_thing.account_id = $1 and trip_thing.trip_id = trip.id and thing_id = any($5)))`,
    [accountId, tripId, bike, bags, things],
  );
}
