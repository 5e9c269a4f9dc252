import { randomUUID } from 'node:crypto';
import { createPool } from '@/db/pool';

const url = process.env.TEST_DATABASE_URL;
if (!url) throw new Error('These tests need a PostgreSQL server; run them through npm test.');

export const pool = createPool(url);

/** A new account of this test's own, so that tests need no order and no cleaning up. */
export async function newAccount(): Promise<string> {
  const id = randomUUID();
  await pool.query('insert into account (id, name) values ($1, $2)', [id, 'Test rider']);
  return id;
}
