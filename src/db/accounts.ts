import { createHash, randomBytes } from 'node:crypto';
import type { UnitSystem } from '@/core/units/parse';
import type { Client } from './pool';

export interface Account {
  id: string;
  name: string;
  units: UnitSystem;
}

export const DEMO_ACCOUNT_ID = 'demo';
/** Of whoever uses this machine without an account. */
export const OWN_ACCOUNT_ID = 'own';
/** A session lasts this long after signing in. */
export const SESSION_DAYS = 90;

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/** The demo account's id, made if it is not there yet. */
export async function ensureDemoAccount(client: Client): Promise<string> {
  await client.query(
    `insert into account (id, name, is_demo) values ($1, 'Demo rider', true) on conflict (id) do nothing`,
    [DEMO_ACCOUNT_ID],
  );
  return DEMO_ACCOUNT_ID;
}

/** The account of this machine's own rider, made if it is not there yet. */
export async function ensureOwnAccount(client: Client): Promise<void> {
  await client.query(`insert into account (id, name) values ($1, 'You') on conflict (id) do nothing`, [
    OWN_ACCOUNT_ID,
  ]);
}

/** Starts a session and returns its token, which is nowhere stored. */
export async function createSession(client: Client, accountId: string): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  await client.query(`delete from session where expires_at < now()`);
  await client.query(
    `insert into session (token_hash, account_id, expires_at) values ($1, $2, now() + make_interval(days => $3))`,
    [hashOf(token), accountId, SESSION_DAYS],
  );
  return token;
}

export async function accountOfSession(client: Client, token: string): Promise<Account | null> {
  const { rows } = await client.query<Account>(
    `select account.id, account.name, account.units
       from session join account on account.id = session.account_id
      where session.token_hash = $1 and session.expires_at > now()`,
    [hashOf(token)],
  );
  return rows[0] ?? null;
}

export async function endSession(client: Client, token: string): Promise<void> {
  await client.query(`delete from session where token_hash = $1`, [hashOf(token)]);
}

export async function setUnits(client: Client, accountId: string, units: UnitSystem): Promise<void> {
  await client.query(`update account set units = $2 where id = $1`, [accountId, units]);
}

/** Empties an account of all it owns; the account and its sessions stay. */
export async function emptyAccount(client: Client, accountId: string): Promise<void> {
  // Trips and set-ups first: they hold on to bikes, bags and things.
  for (const table of ['trip', 'setup', 'bag', 'thing', 'bike']) {
    await client.query(`delete from ${table} where account_id = $1`, [accountId]);
  }
}
