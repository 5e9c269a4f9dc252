import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { openTrip } from '@/app/server/trip';
import { changing } from '@/db/access';
import { deleteTrip } from '@/db/trips';

type Params = { tripId: string };

/** The plan as it is now, with its history: what a stale tab loads. */
export const GET = handler<Params>('read plan', async ({ params, account }) => {
  const found = await openTrip(account.id, params.tripId);
  if (!found) throw new Refusal(404, 'This trip is no longer there.');
  return NextResponse.json(found);
});

export const DELETE = handler<Params>('delete trip', async ({ params, account }) => {
  const gone = await changing(database(), account.id, (client) =>
    deleteTrip(client, account.id, params.tripId),
  );
  if (!gone) throw new Refusal(404, 'This trip is no longer there.');
  return NextResponse.json({ ok: true });
});
