import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { changing } from '@/db/access';
import { deleteSetup } from '@/db/setups';

/** Forgets a set-up; bikes and bags that a trip uses stay. */
export const DELETE = handler<{ setupId: string }>('forget setup', async ({ params, account }) => {
  const done = await changing(database(), account.id, (client) =>
    deleteSetup(client, account.id, params.setupId),
  );
  if (!done) throw new Refusal(404, 'This set-up is no longer there.');
  return NextResponse.json({});
});
