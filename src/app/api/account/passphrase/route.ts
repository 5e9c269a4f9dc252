import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson, Refusal } from '@/app/server/api';
import { confirmed } from '@/app/server/confirmed';
import { door } from '@/app/server/database';
import { hashOf, objectionTo } from '@/app/server/passphrase';
import { SESSION_COOKIE } from '@/app/server/session';
import { nameSchema } from '@/core/units/measures';
import { DEMO_ACCOUNT_ID, endSessions, guardAccount } from '@/db/accounts';

const bodySchema = z.object({
  name: nameSchema,
  passphrase: z.string().max(1000),
  /** The passphrase so far, where there is one. */
  current: z.string().max(1000).default(''),
});

/** Sets an account's name and passphrase, and signs out every other device. */
export const PUT = handler('set passphrase', async ({ request, account, address }) => {
  if (account.id === DEMO_ACCOUNT_ID)
    throw new Refusal(422, 'The demo is open to everyone and takes no passphrase.');
  const { name, passphrase, current } = await readJson(request, bodySchema, 4096);
  const objection = objectionTo(passphrase, name);
  if (objection) throw new Refusal(422, objection);
  await confirmed(account, current, address);
  if (!(await guardAccount(door(), account.id, name, await hashOf(passphrase))))
    throw new Refusal(409, 'Somebody here has that name. Choose another one.');
  await endSessions(door(), account.id, request.cookies.get(SESSION_COOKIE)?.value ?? null);
  return NextResponse.json({ ok: true });
});
