import { mayTry, noteFailure, passphraseOf, type Account } from '@/db/accounts';
import { Refusal } from './refusal';
import { door } from './database';
import { matches } from './passphrase';

/** Makes sure that it is the rider who asks for what cannot be undone, and not whoever sits at the open tab. */
export async function confirmed(account: Account, passphrase: string, address: string): Promise<void> {
  if (!account.isGuarded) return;
  if (!(await mayTry(door(), account.name, address)))
    throw new Refusal(429, 'Too many attempts failed. Try again in a quarter of an hour.', {}, 900);
  if (await matches(passphrase, await passphraseOf(door(), account.id))) return;
  await noteFailure(door(), account.name, address);
  throw new Refusal(403, 'That is not the passphrase of this account. Nothing was changed.');
}
