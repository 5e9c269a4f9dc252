import type { Thing } from '@/core/kit/thing';
import { fellowSchema, PLAN_VERSION, type LoadEntry, type Plan, type Trip } from '@/core/plan/plan';
import { allCompartments } from '@/core/plan/riders';
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
}

interface ThingRow {
  id: string;
  name: string;
  system: Thing['system'];
  quantity: number;
  mass_g: number;
  mass_source: Thing['massSource'];
  volume_ml: number;
  volume_source: Thing['volumeSource'];
  form: Thing['form'];
  water_ml: number;
  call: Thing['call'];
  dry: Thing['dry'];
  in_dry_sack: boolean;
  carry: Thing['carry'];
  need: Thing['need'];
  provides: Thing['provides'];
  view: Thing['view'];
  packing: Thing['packing'];
  stiffener: boolean;
  traits: Thing['traits'];
  hollow: Thing['hollow'];
  inside: string | null;
}

export interface StoredPlan {
  plan: Plan;
  revision: number;
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
            wishes, fellows, bike_id, revision
       from trip where account_id = $1 and id = $2 ${lock ? 'for update' : ''}`,
    key,
  );
  const trip = trips.rows[0];
  if (!trip) return null;
  const bike = trip.bike_id ? await readBike(client, accountId, trip.bike_id) : null;
  const bags = await readTripBags(client, accountId, tripId);
  const things = await client.query<ThingRow>(
    `select thing.id, name, system, quantity, mass_g, mass_source, volume_ml, volume_source, form, water_ml, call,
            dry, in_dry_sack, carry, need, provides, view, packing, stiffener, traits, hollow, inside
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
      things: things.rows.map((row) => ({
        id: row.id,
        name: row.name,
        system: row.system,
        quantity: row.quantity,
        massG: row.mass_g,
        massSource: row.mass_source,
        volumeMl: row.volume_ml,
        volumeSource: row.volume_source,
        form: row.form,
        waterMl: row.water_ml,
        call: row.call,
        dry: row.dry,
        inDrySack: row.in_dry_sack,
        carry: row.carry,
        need: row.need,
        provides: row.provides,
        view: row.view,
        packing: row.packing,
        stiffener: row.stiffener,
        traits: row.traits,
        hollow: row.hollow,
        inside: row.inside,
      })),
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
  await dropOrphans(client, accountId, before, after);
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
  const things = changed(after.things, before?.things);
  if (things.length) {
    await client.query(
      `insert into thing (account_id, id, name, system, quantity, mass_g, mass_source, volume_ml, volume_source,
                          form, water_ml, call, dry, in_dry_sack, carry, need, provides, view, packing,
                          stiffener, traits, hollow, inside)
       select $1, id, name, system, quantity, mass_g, mass_source, volume_ml, volume_source, form, water_ml, call,
              dry, in_dry_sack, carry, need, array(select jsonb_array_elements_text(provides)), view,
              packing, stiffener, array(select jsonb_array_elements_text(traits)), hollow, inside
         from jsonb_to_recordset($2::jsonb) as row(id text, name text, system text, quantity integer,
         mass_g double precision, mass_source text, volume_ml double precision, volume_source text, form jsonb,
         water_ml double precision, call text, dry text, in_dry_sack boolean, carry text, need text, provides jsonb,
         view text, packing text, stiffener boolean, traits jsonb, hollow jsonb, inside text)
       on conflict (account_id, id) do update set name = excluded.name, system = excluded.system,
         quantity = excluded.quantity, mass_g = excluded.mass_g, mass_source = excluded.mass_source,
         volume_ml = excluded.volume_ml, volume_source = excluded.volume_source, form = excluded.form,
         water_ml = excluded.water_ml, call = excluded.call, dry = excluded.dry,
         in_dry_sack = excluded.in_dry_sack, carry = excluded.carry, need = excluded.need,
         provides = excluded.provides, view = excluded.view, packing = excluded.packing,
         stiffener = excluded.stiffener, traits = excluded.traits, hollow = excluded.hollow, inside = excluded.inside`,
      [accountId, JSON.stringify(things.map(thingRow))],
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
    await client.query(
      `insert into trip_thing (account_id, trip_id, thing_id, position)
       select $1, $2, id, position from unnest($3::text[]) with ordinality as row(id, position)`,
      [accountId, tripId, ids(after.things)],
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

const thingRow = (thing: Thing): ThingRow => ({
  id: thing.id,
  name: thing.name,
  system: thing.system,
  quantity: thing.quantity,
  mass_g: thing.massG,
  mass_source: thing.massSource,
  volume_ml: thing.volumeMl,
  volume_source: thing.volumeSource,
  form: thing.form,
  water_ml: thing.waterMl,
  call: thing.call,
  dry: thing.dry,
  in_dry_sack: thing.inDrySack,
  carry: thing.carry,
  need: thing.need,
  provides: thing.provides,
  view: thing.view,
  packing: thing.packing,
  stiffener: thing.stiffener,
  traits: thing.traits,
  hollow: thing.hollow,
  inside: thing.inside,
});

async function touchSharers(client: Client, accountId: string, tripId: string, before: Plan, after: Plan) {
  const changed = (old: readonly { id: string }[], now: readonly { id: string }[]): string[] => {
    const known = new Map(old.map((item) => [item.id, item]));
    return now
      .filter((item) => known.has(item.id) && differs(known.get(item.id), item))
      .map((item) => item.id);
  };
  const bags = changed(before.bags, after.bags);
  const things = changed(before.things, after.things);
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

/** Forgets bags and things taken off the last trip or set-up that used them; undo brings them back whole. */
async function dropOrphans(client: Client, accountId: string, before: Plan, after: Plan) {
  const gone = (old: readonly { id: string }[], now: readonly { id: string }[]): string[] => {
    const kept = new Set(now.map((item) => item.id));
    return old.filter((item) => !kept.has(item.id)).map((item) => item.id);
  };
  const bags = gone(before.bags, after.bags);
  if (bags.length) {
    await client.query(
      `delete from bag where account_id = $1 and id = any($2)
          and not exists (select from trip_bag where trip_bag.account_id = $1 and trip_bag.bag_id = bag.id)
          and not exists (select from setup_bag where setup_bag.account_id = $1 and setup_bag.bag_id = bag.id)`,
      [accountId, bags],
    );
  }
  const things = gone(before.things, after.things);
  if (things.length) {
    await client.query(
      `delete from thing where account_id = $1 and id = any($2)
          and not exists (select from trip_thing where trip_thing.account_id = $1 and trip_thing.thing_id = thing.id)`,
      [accountId, things],
    );
  }
}
