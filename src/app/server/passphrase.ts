import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/**
 * Passphrases: which are taken, and how they are kept. scrypt (RFC 7914) is part of Node.js, so nothing native is built; 32 MB and
 * three rounds take a guesser as long as current advice asks for.
 */
const COST = { N: 2 ** 15, r: 8, p: 3, maxmem: 64 * 1024 * 1024 };
export const SHORTEST = 10;
const LONGEST = 200;

const derived = (passphrase: string, salt: Buffer, { N, r, p, maxmem } = COST): Promise<Buffer> =>
  new Promise((resolve, reject) =>
    // The same characters typed on another keyboard are the same passphrase.
    scrypt(passphrase.normalize('NFKC'), salt, 32, { N, r, p, maxmem }, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  );

/** What is kept of a passphrase: how it was derived, the salt and the key, never itself. */
export async function hashOf(passphrase: string): Promise<string> {
  const salt = randomBytes(16);
  const key = await derived(passphrase, salt);
  return ['scrypt', COST.N, COST.r, COST.p, salt.toString('base64'), key.toString('base64')].join('$');
}

/** Whether a passphrase is the one kept. Takes as long without one, so that its time does not tell which accounts there are. */
export async function matches(passphrase: string, kept: string | null): Promise<boolean> {
  const [, N, r, p, salt, key] = (kept ?? (await nobody)).split('$');
  const wanted = Buffer.from(key!, 'base64');
  const cost = { ...COST, N: Number(N), r: Number(r), p: Number(p) };
  return (
    timingSafeEqual(await derived(passphrase, Buffer.from(salt!, 'base64'), cost), wanted) && kept !== null
  );
}
const nobody = hashOf(randomBytes(16).toString('base64'));

const strength = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });

/** Why a passphrase is not taken, as a sentence; null where it is. */
export function objectionTo(passphrase: string, name: string): string | null {
  if ([...passphrase].length < SHORTEST) return `A passphrase has at least ${SHORTEST} characters.`;
  if (passphrase.length > LONGEST) return `A passphrase has at most ${LONGEST} characters.`;
  if (strength.check(passphrase, [name, 'gorvin']).score < 2)
    return 'That passphrase is among the first to be guessed. Three or four words that do not belong together are better.';
  return null;
}
