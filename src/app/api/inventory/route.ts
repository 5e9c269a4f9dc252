import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { idSchema } from '@/core/units/measures';
import { deleteOwned } from '@/db/inventory';
import { changing } from '@/db/access';

const ids = z.array(idSchema).max(5_000).default([]);
const wishSchema = z.object({ thing: ids, bag: ids, bike: ids });

/** Deletes owned items on request; where a trip or set-up uses one, none, and they are named. */
export const DELETE = handler('delete owned', async ({ request, account }) => {
  const items = await readJson(request, wishSchema);
  const users = await changing(database(), account.id, (client) => deleteOwned(client, account.id, items));
  if (users.length > 0)
    throw new Refusal(
      409,
      `Nothing was deleted: it is still used by ${users.join(', ')}. Take it off there first.`,
    );
  return NextResponse.json({ ok: true });
});
