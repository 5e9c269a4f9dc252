import { LIMITS } from '@/core/plan/limits';
import type { Client } from './pool';

export const tooManyThings = `An account owns at most ${LIMITS.ownedThings} things. Delete unused ones first.`;

export interface TripSummary {
  id: string;
  name: string;
  startDate: string | null;
  nights: number;
  hasSetOut: boolean;
  things: number;
  loaded: number;
}

/** The account's trips, the one last worked on first. */
export async function listTrips(client: Client, accountId: string): Promise<TripSummary[]> {
  const { rows } = await client.query<TripSummary>(
    `select id, name, to_char(start_date, 'YYYY-MM-DD') as "startDate", nights, departed is not null as "hasSetOut",
            (select count(*)::int from trip_thing
              where trip_thing.account_id = trip.account_id and trip_id = trip.id) as things,
            (select count(*)::int from load_entry
              where load_entry.account_id = trip.account_id and trip_id = trip.id and compartment_id is not null) as loaded
       from trip where account_id = $1 order by updated_at desc, id`,
    [accountId],
  );
  return rows;
}

/** The trip's revision, or null without such a trip. */
export async function readRevision(
  client: Client,
  accountId: string,
  tripId: string,
): Promise<number | null> {
  const { rows } = await client.query<{ revision: number }>(
    `select revision from trip where account_id = $1 and id = $2`,
    [accountId, tripId],
  );
  return rows[0]?.revision ?? null;
}

/** How much an account has of what it may have only so much of. */
export async function countOwned(
  client: Client,
  accountId: string,
): Promise<{ trips: number; things: number }> {
  const { rows } = await client.query<{ trips: number; things: number }>(
    `select (select count(*)::int from trip where account_id = $1) as trips,
            (select count(*)::int from thing where account_id = $1) as things`,
    [accountId],
  );
  return rows[0]!;
}

/** Removes a trip; its bike, bags and things stay owned. Returns false when there was none. */
export async function deleteTrip(client: Client, accountId: string, tripId: string): Promise<boolean> {
  const { rowCount } = await client.query(`delete from trip where account_id = $1 and id = $2`, [
    accountId,
    tripId,
  ]);
  return rowCount === 1;
}
