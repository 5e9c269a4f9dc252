import { entrySchema, type Entry } from '@/core/entries/entry';
import type { Client } from './pool';

/** What was recorded of a trip, as it counts. */
export async function readEntries(client: Client, accountId: string, tripId: string): Promise<Entry[]> {
  const { rows } = await client.query<{ id: string; at: Date; kind: string; data: object }>(
    `select id, at, kind, data from entry where account_id = $1 and trip_id = $2 order by at, id`,
    [accountId, tripId],
  );
  return rows.map(({ id, at, kind, data }) => entrySchema.parse({ ...data, id, kind, at: at.toISOString() }));
}

/** Adds what was recorded; what is there already stays as it is. False where there is no such trip. */
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
     select $1, $2, id, least(at, now()), kind, data
       from jsonb_to_recordset($3::jsonb) as recordset(id text, at timestamptz, kind text, data jsonb)
     on conflict (account_id, trip_id, id) do nothing`,
    [accountId, tripId, JSON.stringify(entries.map(({ id, at, kind, ...data }) => ({ id, at, kind, data })))],
  );
  return true;
}
