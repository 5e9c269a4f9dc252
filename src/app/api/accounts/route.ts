import { z } from 'zod';
import { openHandler, readJson, Refusal } from '@/app/server/api';
import { door } from '@/app/server/database';
import { hashOf, objectionTo } from '@/app/server/passphrase';
import { signedIn } from '@/app/server/session';
import { nameSchema } from '@/core/units/measures';
import { createAccount, mayTry, noteFailure } from '@/db/accounts';

const bodySchema = z.object({ name: nameSchema, passphrase: z.string().max(1000) });

/** Makes an account with a name and a passphrase, and signs in. */
export const POST = openHandler('make account', async ({ request, address }) => {
  const { name, passphrase } = await readJson(request, bodySchema, 4096);
  const objection = objectionTo(passphrase, name);
  if (objection) throw new Refusal(422, objection);
  // Made accounts count as attempts too, so that nobody finds out names, or fills the server, by the thousand.
  if (!(await mayTry(door(), name, address)))
    throw new Refusal(429, 'Too many attempts. Try again in a quarter of an hour.', {}, 900);
  await noteFailure(door(), name, address);
  const accountId = await createAccount(door(), name, await hashOf(passphrase));
  if (!accountId) throw new Refusal(409, 'Somebody here has that name. Choose another one.');
  return signedIn(request, accountId, 201);
});
