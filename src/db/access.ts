import pg from 'pg';
import { transaction, type Client, type Pool } from './pool';

/**
 * The only ways to a rider's rows. Both tell the database which account the work is for; what that account may read and change
 * is decided there (migration 0012, `may_read` and `may_change`), whatever a query forgets to say.
 */

/** The role that the server works as: it sees what the account it was told of may see. */
export const RIDER_ROLE = 'gorvin_rider';

/** Reads what an account may read, all of it as of one moment. */
export const reading = <Value>(
  pool: Pool,
  accountId: string,
  work: (client: Client) => Promise<Value>,
): Promise<Value> =>
  transaction(
    pool,
    async (client) => {
      await client.query(`select set_config('gorvin.account', $1, true)`, [accountId]);
      return work(client);
    },
    'begin isolation level repeatable read read only',
  );

/**
 * Changes what an account may change, one change of an account after another: its trips share bikes, bags and things, and a lock
 * on the account, always the first and the only one waited for, cannot deadlock. Riders do not wait for each other. What
 * another program's locks break off is tried again.
 */
export async function changing<Value>(
  pool: Pool,
  accountId: string,
  work: (client: Client) => Promise<Value>,
): Promise<Value> {
  for (let attempt = 1; ; attempt += 1) {
    try {
      return await transaction(pool, async (client) => {
        await client.query('select act_for($1)', [accountId]);
        return work(client);
      });
    } catch (error) {
      if (attempt === ATTEMPTS || !isConflict(error)) throw error;
      await new Promise((resolve) => setTimeout(resolve, 20 * 3 ** attempt * (0.5 + Math.random())));
    }
  }
}

const ATTEMPTS = 4;

/** A deadlock or a serialization failure: nothing is wrong with the work itself. */
const isConflict = (error: unknown): boolean =>
  error instanceof pg.DatabaseError && (error.code === '40P01' || error.code === '40001');

/** The database does not take what it was given, and would not the next time: a character, a number, a reference. */
export const isUnstorable = (error: unknown): boolean =>
  error instanceof pg.DatabaseError && /^2[23]/.test(error.code ?? '');

/** The database is too busy, or away: a lock or a statement took too long, or no connection was to be had. */
export const isBusy = (error: unknown): boolean =>
  error instanceof pg.DatabaseError
    ? ['55P03', '57014', '57P01', '57P03', '53300', '40P01', '40001'].includes(error.code ?? '')
    : error instanceof Error &&
      /ECONNREFUSED|ECONNRESET|timeout exceeded when trying to connect|Connection terminated/.test(
        error.message,
      );
