import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson } from '@/app/server/api';
import { database } from '@/app/server/database';
import { changing } from '@/db/access';
import { setUnits } from '@/db/accounts';

const bodySchema = z.object({ units: z.enum(['metric', 'imperial']) });

/** Sets the units an account reads in. */
export const PUT = handler('account', async ({ request, account }) => {
  const { units } = await readJson(request, bodySchema, 4096);
  await changing(database(), account.id, (client) => setUnits(client, account.id, units));
  return NextResponse.json({ units });
});
