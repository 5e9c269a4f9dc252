import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { UnitSystem } from '@/core/units/parse';
import type { Client } from './pool';

export interface Account {
  id: string;
  name: string;
  units: UnitSystem;
  /** Entered with a passphrase; without one, open to whoever uses this machine. */
  isGuarded: boolean;
}

const ACCOUNT = `account.id, account.name, account.units, account.passphrase is not null as "isGuarded"`;
/** Names that differ by capitals or by how accents are written are the same. */
const loginOf = (name: string): string => name.normalize('NFKC').toLowerCase();

export const DEMO_ACCOUNT_ID = 'demo';
/** Of whoever uses this machine without an account. */
export const OWN_ACCOUNT_ID = 'own';
/** A session lasts this long after signing in. */
export const SESSION_DAYS = 90;

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

/** Makes the demo account; false where it is there already. Of two that make it at once, one waits and finds it. */
export async function makeDemoAccount(client: Client): Promise<boolean> {
  const { rowCount } = await client.query(
    `insert into account (id, name, is_demo) values ($1, 'Demo rider', true) on conflict (id) do nothing`,
    [DEMO_ACCOUNT_ID],
  );
  return rowCount === 1;
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
    `select ${ACCOUNT}
       from session join account on account.id = session.account_id
      where session.token_hash = $1 and session.expires_at > now()`,
    [hashOf(token)],
  );
  return rows[0] ?? null;
}

export async function endSession(client: Client, token: string): Promise<void> {
  await client.query(`delete from session where token_hash = $1`, [hashOf(token)]);
}

/** Ends all of an account's sessions, but for the one of a token. */
export async function endSessions(client: Client, accountId: string, but: string | null): Promise<void> {
  await client.query(`delete from session where account_id = $1 and token_hash is distinct from $2`, [
    accountId,
    but === null ? null : hashOf(but),
  ]);
}

/** The account of this machine's own rider, where there is one; it may have got a passphrase since. */
export async function ownAccount(client: Client): Promise<Account | null> {
  const { rows } = await client.query<Account>(`select ${ACCOUNT} from account where id = $1`, [
    OWN_ACCOUNT_ID,
  ]);
  return rows[0] ?? null;
}

/** Makes an account with a passphrase, kept as its hash. Null where the name is taken. */
export async function createAccount(
  client: Client,
  name: string,
  passphraseHash: string,
): Promise<string | null> {
  const { rows } = await client.query<{ id: string }>(
    `insert into account (id, name, login, passphrase) values ($1, $2, $3, $4)
     on conflict (login) do nothing returning id`,
    [randomUUID(), name, loginOf(name), passphraseHash],
  );
  return rows[0]?.id ?? null;
}

/** Gives an account a name and a passphrase. False where another one has the name. */
export async function guardAccount(
  client: Client,
  accountId: string,
  name: string,
  passphraseHash: string,
): Promise<boolean> {
  const { rowCount } = await client.query(
    `update account set name = $2, login = $3, passphrase = $4
      where id = $1 and not exists (select from account as other where other.login = $3 and other.id <> $1)`,
    [accountId, name, loginOf(name), passphraseHash],
  );
  return rowCount === 1;
}

/** What is kept of the passphrase of the account of a name. */
export async function findByName(
  client: Client,
  name: string,
): Promise<{ id: string; passphrase: string } | null> {
  const { rows } = await client.query<{ id: string; passphrase: string }>(
    `select id, passphrase from account where login = $1`,
    [loginOf(name)],
  );
  return rows[0] ?? null;
}

export async function passphraseOf(client: Client, accountId: string): Promise<string | null> {
  const { rows } = await client.query<{ passphrase: string | null }>(
    `select passphrase from account where id = $1`,
    [accountId],
  );
  return rows[0]?.passphrase ?? null;
}

/** Within this many minutes so many attempts may fail: for one account, and from one address. */
const WINDOW_MINUTES = 15;
const MOST_FAILURES = { account: 10, address: 50 };
const keysOf = (name: string, address: string) => [`account ${loginOf(name)}`, `address ${address}`];

/** Whether signing in may be tried: not after too many failures, for this account or from this address. */
export async function mayTry(client: Client, name: string, address: string): Promise<boolean> {
  const [account, from] = keysOf(name, address);
  const { rows } = await client.query<{ key: string; failures: number }>(
    `select key, count(*)::int as failures from failed_sign_in
      where key = any($1) and at > now() - make_interval(mins => $2) group by key`,
    [[account, from], WINDOW_MINUTES],
  );
  return rows.every(
    ({ key, failures }) => failures < (key === account ? MOST_FAILURES.account : MOST_FAILURES.address),
  );
}

export async function noteFailure(client: Client, name: string, address: string): Promise<void> {
  await client.query(`delete from failed_sign_in where at < now() - make_interval(mins => $1)`, [
    WINDOW_MINUTES,
  ]);
  await client.query(`insert into failed_sign_in (key) select unnest($1::text[])`, [keysOf(name, address)]);
}

/** Deletes an account with all it owns and its sessions. */
export async function deleteAccount(client: Client, accountId: string): Promise<void> {
  // First, as every change does: none is under way then, nor begins.
  await client.query('select from account where id = $1 for update', [accountId]);
  await emptyAccount(client, accountId);
  await client.query('delete from account where id = $1', [accountId]);
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
  await client.query(`update account set rejected = '{}' where id = $1`, [accountId]);
}
