import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson, Refusal } from '@/app/server/api';
import { confirmed } from '@/app/server/confirmed';
import { database, door } from '@/app/server/database';
import { SESSION_COOKIE } from '@/app/server/session';
import { changing } from '@/db/access';
import { DEMO_ACCOUNT_ID, deleteAccount, setUnits } from '@/db/accounts';
import { transaction } from '@/db/pool';

const unitsSchema = z.object({ units: z.enum(['metric', 'imperial']) });

/** Sets the units an account reads in. */
export const PUT = handler('account', async ({ request, account }) => {
  const { units } = await readJson(request, unitsSchema, 4096);
  await changing(database(), account.id, (client) => setUnits(client, account.id, units));
  return NextResponse.json({ units });
});

const deleteSchema = z.object({
  confirm: z.literal('delete everything', 'Type "delete everything" to confirm.'),
  passphrase: z.string().max(1000).default(''),
});

/** Deletes the account with all its trips and all it owns. */
export const DELETE = handler('delete account', async ({ request, account, address }) => {
  if (account.id === DEMO_ACCOUNT_ID)
    throw new Refusal(422, 'The demo is put back with "npm run reset-demo" and cannot be deleted.');
  const { passphrase } = await readJson(request, deleteSchema, 4096);
  await confirmed(account, passphrase, address);
  await transaction(door(), (client) => deleteAccount(client, account.id));
  const response = NextResponse.json({ ok: true });
  response.cookies.delete(SESSION_COOKIE);
  return response;
});
