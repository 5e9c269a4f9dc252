import { LRUCache } from 'lru-cache';
import { decisionsOf, type Decisions, type Thing } from '@/core/kit/thing';
import { parsePlanValue } from '@/core/formats/planFile';
import { eatingSchema } from '@/core/food/menuSchema';
import { fellowSchema, PLAN_VERSION, type LoadEntry, type Plan, type Rider } from '@/core/plan/plan';
import { routeSchema } from '@/core/trip/route/route';
import type { Trip } from '@/core/trip/trip';
import { allCompartments } from '@/core/plan/riders';
import { tableOf } from './columns';
import { differs, readBikes, readTripBags, saveBags, saveBike } from './garage';
import { saveThings, sorted, sortedThings, THING } from './owned';
import type { Client } from './pool';

/**
 * Plans as rows. A plan is read from, and written back to, the tables of what it is made of; writing compares
 * it with what was read and touches only what differs.
 */

/** A trip's row: the trip, its rider, and what follows here. */
const TRIP = tableOf<Trip>({
  name: 'text',
  startDate: 'date',
  nights: 'integer',
  sleeping: 'text',
  nightMinimumC: 'double precision',
  dayMaximumC: 'double precision',
  rain: 'text',
  weather: 'jsonb',
  scenario: 'text',
  circumstances: 'text[]',
  dismissed: 'text[]',
  menu: 'jsonb',
  eating: 'jsonb',
  cooking: 'text',
  filling: 'text',
  surface: 'text',
});
const RIDER = tableOf<Rider>(
  {
    massG: 'double precision',
    kneeGapMm: 'double precision',
    inseamMm: 'double precision',
    shoeMm: 'double precision',
    powerW: 'double precision',
    drinkLPerH: 'double precision',
    paceShare: 'double precision',
    eatShare: 'double precision',
    fuelShare: 'double precision',
    chargeShare: 'double precision',
    coldSleeper: 'boolean',
  },
  'rider_',
);
interface TripRow extends Record<string, unknown> {
  wishes: Plan['wishes'];
  fellows: unknown[];
  route: unknown;
  bike_id: string | null;
  revision: number;
  version: string;
  departed: unknown;
  departed_at: Date | null;
}

/** What a trip decides about a thing. */
const DECISIONS = tableOf<Decisions>({
  quantity: 'integer',
  waterMl: 'double precision',
  call: 'text',
  inDrySack: 'boolean',
  carry: 'text',
  need: 'text',
  inside: 'text',
});

/**
 * Plans as they were read or written last, by account and trip, each with the version of its trip's row. Every change to a plan
 * writes that row, changes to what is owned as well (`touchSharers`), so a plan of the same version is the same plan, whichever
 * server wrote it. Weighed by things, since they are most of a plan.
 */
const known = new LRUCache<string, StoredPlan>({
  maxSize: 30_000,
  sizeCalculation: ({ plan }) => plan.things.length + 20,
});
const keyOf = (accountId: string, tripId: string) => `${accountId} ${tripId}`;

/** Remembers a plan that was written; once the transaction that wrote it has ended well. */
export const remember = (accountId: string, tripId: string, stored: StoredPlan): void =>
  void known.set(keyOf(accountId, tripId), stored);

/** Forgets all plans: the next to be asked for are read from their rows. */
export const forgetPlans = (): void => known.clear();

export interface StoredPlan {
  plan: Plan;
  revision: number;
  /** Of the trip's row: the transaction that wrote it. */
  version: string;
  /** When the trip set out: the plan is as it was then, and takes no more edits. */
  departedAt?: string;
}

/** The plan of a trip, or null when this account has no such trip. */
export async function readPlan(
  client: Client,
  accountId: string,
  tripId: string,
): Promise<StoredPlan | null> {
  const key = [accountId, tripId];
  const trips = await client.query<TripRow>(
    `select ${TRIP.select('trip')}, ${RIDER.select('trip')}, wishes, fellows, route, bike_id, revision, departed, departed_at, xmin::text as version
       from trip where account_id = $1 and id = $2`,
    key,
  );
  const trip = trips.rows[0];
  if (!trip) return null;
  const { revision, version } = trip;
  const remembered = known.get(keyOf(accountId, tripId));
  if (remembered?.version === version && remembered.revision === revision) return remembered;
  if (trip.departed !== null) {
    // Kept as a plan file, so that a later version of Gorvin reads it as it reads any older file.
    const kept = parsePlanValue(trip.departed);
    if (!kept.ok) throw new Error(`The plan that trip ${tripId} set out with: ${kept.error.join(' ')}`);
    return { plan: kept.value, revision, version, departedAt: trip.departed_at!.toISOString() };
  }
  const [bike = null] = trip.bike_id ? await readBikes(client, accountId, [trip.bike_id]) : [];
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
  const stored: StoredPlan = {
    revision,
    version,
    plan: {
      format: 'gorvin-plan',
      version: PLAN_VERSION,
      // A trip of an earlier version says nothing of how its rider eats.
      trip: { ...TRIP.item(trip), eating: eatingSchema.parse(trip.eating) },
      rider: RIDER.item(trip),
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
      route: trip.route === null ? null : routeSchema.parse(trip.route),
    },
  };
  remember(accountId, tripId, stored);
  return stored;
}

/** Makes a trip with its plan. Bikes, bags and things that are owned already are used, not made again. */
export async function insertPlan(
  client: Client,
  accountId: string,
  tripId: string,
  plan: Plan,
): Promise<void> {
  if (plan.bike) await saveBike(client, accountId, plan.bike, 'keep');
  await client.query(INSERT_TRIP, tripValues(accountId, tripId, plan));
  await saveParts(client, accountId, tripId, null, plan);
}

/**
 * Writes what differs between two states of a plan, and counts its revision up. What is brought in and owned already is used as
 * it is; what was on the trip is changed. Other trips that show a changed bike, bag or thing, or whose history would
 * bring it back, count up too, so that a tab open on one of them is told.
 *
 * @returns the new revision of this trip, and those of the others
 */
export async function updatePlan(
  client: Client,
  accountId: string,
  tripId: string,
  before: Plan,
  after: Plan,
): Promise<Pick<StoredPlan, 'revision' | 'version'> & { others: { id: string; revision: number }[] }> {
  if (after.bike && differs(before.bike, after.bike))
    await saveBike(client, accountId, after.bike, before.bike?.id === after.bike.id ? 'change' : 'keep');
  const { trip, rider, wishes, fellows, route } = after;
  const isSame =
    !differs([before.trip, before.rider, before.wishes, before.fellows], [trip, rider, wishes, fellows]) &&
    (before.route === route || !differs(before.route, route)) &&
    before.bike?.id === after.bike?.id;
  const { rows } = await client.query<Pick<StoredPlan, 'revision' | 'version'>>(
    isSame
      ? `update trip set revision = revision + 1, updated_at = now() where account_id = $1 and id = $2
         returning revision, xmin::text as version`
      : `${INSERT_TRIP}
         on conflict (account_id, id) do update set ${TRIP.updates}, ${RIDER.updates}, wishes = excluded.wishes,
           fellows = excluded.fellows, route = excluded.route, bike_id = excluded.bike_id, revision = trip.revision + 1, updated_at = now()
         returning revision, xmin::text as version`,
    isSame ? [accountId, tripId] : tripValues(accountId, tripId, after),
  );
  await saveParts(client, accountId, tripId, before, after);
  const others = await touchSharers(client, accountId, tripId, before, after);
  return { ...rows[0]!, others };
}

const INSERT_TRIP = `
  insert into trip (account_id, id, wishes, fellows, route, bike_id, ${TRIP.columns}, ${RIDER.columns})
  select $1, $2, $3, $4, $5, $6, ${TRIP.values}, ${RIDER.values}
    from jsonb_to_recordset($7::jsonb) as recordset(${TRIP.recordset}, ${RIDER.recordset})`;

const tripValues = (
  accountId: string,
  tripId: string,
  { trip, rider, bike, wishes, fellows, route }: Plan,
): unknown[] => [
  accountId,
  tripId,
  JSON.stringify(wishes),
  JSON.stringify(fellows),
  route && JSON.stringify(route),
  bike?.id ?? null,
  JSON.stringify([{ ...TRIP.row(trip), ...RIDER.row(rider) }]),
];

/** Bags, things, which of them the trip uses, and where they are. `before` null writes all. */
async function saveParts(
  client: Client,
  accountId: string,
  tripId: string,
  before: Plan | null,
  after: Plan,
) {
  const ids = (items: readonly { id: string }[] | undefined) => items?.map((item) => item.id);
  const bags = sorted(before?.bags, after.bags);
  await saveBags(client, accountId, bags.changed, 'change');
  await saveBags(client, accountId, bags.broughtIn, 'keep');
  const things = sortedThings(before?.things, after.things);
  await saveThings(client, accountId, things.changed, 'change');
  await saveThings(client, accountId, things.broughtIn, 'keep');
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
  const was = new Map(kitChanged ? [] : before?.things.map((thing) => [thing.id, thing]));
  const decided = after.things.flatMap((thing, position) => {
    const old = was.get(thing.id);
    if (old === thing) return [];
    const decisions = decisionsOf(thing);
    return !old || differs(decisionsOf(old), decisions)
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
  const lying = new Map(kitChanged ? [] : before?.load.map((entry) => [entry.thingId, entry]));
  const moved = after.load.filter((entry) => differs(lying.get(entry.thingId), entry));
  for (const { thingId } of after.load) lying.delete(thingId);
  if (moved.length + lying.size > 0)
    await client.query(
      `with lifted as
         (delete from load_entry where account_id = $1 and trip_id = $2 and thing_id = any($4))
       insert into load_entry (account_id, trip_id, thing_id, compartment_id, pinned)
       select $1, $2, thing_id, compartment_id, pinned
         from jsonb_to_recordset($3::jsonb) as row(thing_id text, compartment_id text, pinned boolean)
       on conflict (account_id, trip_id, thing_id)
         do update set compartment_id = excluded.compartment_id, pinned = excluded.pinned`,
      [
        accountId,
        tripId,
        JSON.stringify(
          moved.map(({ thingId, to, pinned }) => ({
            thing_id: thingId,
            compartment_id: to === 'home' ? null : to.compartmentId,
            pinned,
          })),
        ),
        [...lying.keys()],
      ],
    );
}

async function touchSharers(
  client: Client,
  accountId: string,
  tripId: string,
  before: Plan,
  after: Plan,
): Promise<{ id: string; revision: number }[]> {
  const changed = <Item extends { id: string }>(old: readonly Item[], now: readonly Item[]): string[] =>
    sorted(old, now).changed.map(({ id }) => id);
  const bags = changed(before.bags, after.bags);
  const things = sortedThings(before.things, after.things).changed.map(({ id }) => id);
  const bike =
    after.bike && before.bike?.id === after.bike.id && differs(before.bike, after.bike)
      ? after.bike.id
      : null;
  return countUpTrips(client, accountId, tripId, { bike, bags, things });
}

/** Counts up every trip that shows an owned item, or whose history would bring it back, so that a tab open on one is told. */
export async function countUpTrips(
  client: Client,
  accountId: string,
  exceptTripId: string,
  { bike, bags, things }: { bike: string | null; bags: readonly string[]; things: readonly string[] },
): Promise<{ id: string; revision: number }[]> {
  if (bags.length === 0 && things.length === 0 && bike === null) return [];
  const { rows } = await client.query<{ id: string; revision: number }>(
    `update trip set revision = revision + 1
      where account_id = $1 and id <> $2
        and (bike_id = $3
             or exists (select from trip_bag where trip_bag.account_id = $1 and trip_bag.trip_id = trip.id and bag_id = any($4))
             or exists (select from trip_thing where trip_thing.account_id = $1 and trip_thing.trip_id = trip.id and thing_id = any($5))
             or exists (select from plan_step where plan_step.account_id = $1 and plan_step.trip_id = trip.id and names ?| $6))
      returning id, revision`,
    [accountId, exceptTripId, bike, bags, things, [...bags, ...things, ...(bike ? [bike] : [])]],
  );
  return rows;
}
