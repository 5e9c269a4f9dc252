import { ownAccount } from '@/db/accounts';
import { door } from './database';

export interface Spaces {
  demo: boolean;
  own: boolean;
}

/**
 * What this server offers without a passphrase: the demo, unless DEMO=off; and the space of whoever uses the machine, unless
 * OWN_SPACE=off or that space has got a passphrase.
 */
export async function openSpaces(): Promise<Spaces> {
  const isOffered = process.env.OWN_SPACE !== 'off';
  return {
    demo: process.env.DEMO !== 'off',
    own: isOffered && !(await ownAccount(door()))?.isGuarded,
  };
}
