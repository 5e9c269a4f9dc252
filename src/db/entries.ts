import { entrySchema, type Entry, type Tested } from '@/core/entries/entry';
import type { Client } from './pool';

type EntryRow = { id: string; at: Date; kind: string; data: object };
const entryOf = ({ id, at, kind, data }: EntryRow): Entry =>
  entrySchema.parse({ ...data, id, kind, at: at.toISOString() });

/** What was recorded of a trip, as it counts. */
export async function readEntries(client: Client, accountId: string, tripId: string): Promise<Entry[]> {
  const { rows } = await client.query<EntryRow>(
    `select id, at, kind, data from entry where account_id = $1 and trip_id = $2 order by at, id`,
    [accountId, tripId],
  );
  return rows.map(entryOf);
}

/** Answers of test rides on other trips with this trip's bike, the oldest first. */
export async function readEarlierTests(client: Client, accountId: string, tripId: string): Promise<Tested[]> {
  const { rows } = await client.query<EntryRow>(
    `select entry.id, at, kind, data
       from entry join trip on trip.account_id = entry.account_id and trip.id = $2
      where entry.account_id = $1 and entry.trip_id <> $2 and kind = 'tested' and data ->> 'bikeId' = trip.bike_id
      order by at, entry.id`,
    [accountId, tripId],
  );
  return rows.map(entryOf).filter((entry) => entry.kind === 'tested');
}

/**
 * Adds what was recorded; what is there already stays as it is. What a clock that is ahead recorded counts as now, in the order in
 * which it was recorded. False where there is no such trip.
 */
export async function addEntries(
  client: Client,
  accountId: string,
  tripId: string,
  entries: readonly Entry[],
): Promise<boolean> {
  const trip = await client.query('select from trip where account_id = $1 and id = $2', [accountId, tripId]);
  if (!trip.rowCount) return false;
  await client.query(
    `insert into entry (account_id, trip_id, id, at, kind, data)
     select $1, $2, id, least(at, now() + row_number() over (order by at, id) * interval '1 millisecond'), kind, data
       from jsonb_to_recordset($3::jsonb) as recordset(id text, at timestamptz, kind text, data jsonb)
     on conflict (account_id, trip_id, id) do nothing`,
    [accountId, tripId, JSON.stringify(entries.map(({ id, at, kind, ...data }) => ({ id, at, kind, data })))],
  );
  return true;
}
