import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, openHandler, readJson, Refusal } from '@/app/server/api';
import { door } from '@/app/server/database';
import { matches } from '@/app/server/passphrase';
import { SESSION_COOKIE, signedIn } from '@/app/server/session';
import { openSpaces } from '@/app/server/spaces';
import { nameSchema } from '@/core/units/measures';
import {
  DEMO_ACCOUNT_ID,
  endSession,
  endSessions,
  ensureOwnAccount,
  findByName,
  mayTry,
  noteFailure,
  OWN_ACCOUNT_ID,
} from '@/db/accounts';
import { seedDemo } from '@/db/demo';

const bodySchema = z.union(
  [
    z.object({ space: z.enum(['own', 'demo']) }),
    z.object({ name: nameSchema, passphrase: z.string().max(1000) }),
  ],
  'Say which space to open, own or demo, or give a name and a passphrase.',
);

/** Signs in with a name and a passphrase, or opens the rider's own space on this machine, or the demo. */
export const POST = openHandler('sign in', async ({ request, address }) => {
  const wish = await readJson(request, bodySchema, 4096);
  const pool = door();
  let accountId: string;
  if ('space' in wish) {
    if (!(await openSpaces())[wish.space])
      throw new Refusal(404, 'This space is not open here. Sign in with a name and a passphrase.');
    if (wish.space === 'demo') await seedDemo(pool);
    else await ensureOwnAccount(pool);
    accountId = wish.space === 'demo' ? DEMO_ACCOUNT_ID : OWN_ACCOUNT_ID;
  } else {
    if (!(await mayTry(pool, wish.name, address)))
      throw new Refusal(429, 'Too many attempts failed. Try again in a quarter of an hour.', {}, 900);
    const found = await findByName(pool, wish.name);
    if (!(await matches(wish.passphrase, found?.passphrase ?? null))) {
      await noteFailure(pool, wish.name, address);
      throw new Refusal(403, 'The name and the passphrase do not belong together.');
    }
    accountId = found!.id;
  }
  return signedIn(request, accountId);
});

/** Signs out: here, or with `?everywhere` on every device. */
export const DELETE = handler('sign out', async ({ request, account }) => {
  const token = request.cookies.get(SESSION_COOKIE)?.value ?? '';
  if (request.nextUrl.searchParams.has('everywhere')) await endSessions(door(), account.id, null);
  else await endSession(door(), token);
  const response = NextResponse.json({ ok: true });
  response.cookies.delete(SESSION_COOKIE);
  return response;
});
