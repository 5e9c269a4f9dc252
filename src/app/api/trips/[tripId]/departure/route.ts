import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { changing } from '@/db/access';
import { depart, returnToPlanning } from '@/db/departure';

type Params = { tripId: string };

/** Sets out: from now on the trip is what it left with. */
export const PUT = handler<Params>('depart', async ({ params, account }) => {
  const departed = await changing(database(), account.id, (client) =>
    depart(client, account.id, params.tripId),
  );
  if (!departed) throw new Refusal(404, 'This trip is no longer there.');
  return NextResponse.json({ ok: true });
});

/** Takes the departure back, on the same day. */
export const DELETE = handler<Params>('return to planning', async ({ params, account }) => {
  const outcome = await changing(database(), account.id, (client) =>
    returnToPlanning(client, account.id, params.tripId),
  );
  if (outcome === 'no such trip') throw new Refusal(404, 'This trip is no longer there.');
  if (outcome === 'too late')
    throw new Refusal(409, 'This trip set out more than a day ago. Start a new trip from it instead.');
  return NextResponse.json({ ok: true });
});
