import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import pg from 'pg';
import { createPool } from '@/db/pool';

/** A database of this test's own, beside the one that the others share. */
const url = new URL(process.env.TEST_DATABASE_URL!);
const admin = new pg.Client({ connectionString: url.href });
const name = `operations_${process.pid}`;
const own = new URL(url);
own.pathname = `/${name}`;
const folder = mkdtempSync(path.join(tmpdir(), 'gorvin-backup-'));
const file = path.join(folder, 'gorvin.backup');

beforeAll(async () => {
  await admin.connect();
  await admin.query(`create database ${name}`);
});
afterAll(async () => {
  await admin.query(`drop database ${name} with (force)`);
  await admin.end();
  rmSync(folder, { recursive: true });
});

const run = (command: string, args: string[], env: Record<string, string> = {}) =>
  spawnSync(process.execPath, ['scripts/bootstrap.mjs', command, ...args], {
    encoding: 'utf8',
    env: { ...process.env, DATABASE_URL: own.href, ...env },
  });

/** Every row of every table, as text. */
async function everything(): Promise<Record<string, string[]>> {
  const pool = createPool(own.href);
  const { rows: tables } = await pool.query<{ name: string }>(
    `select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
  );
  const all: Record<string, string[]> = {};
  for (const table of tables) {
    const { rows } = await pool.query<{ row: string }>(
      `select t::text as row from ${table.name} as t order by 1`,
    );
    all[table.name] = rows.map(({ row }) => row);
  }
  await pool.end();
  return all;
}

test('a backup, put back, is the same to the last row; what is none is refused, and nothing happens unasked', async () => {
  // Several at once, on a database without a table: they wait for each other.
  const starts = Array.from(
    { length: 4 },
    () =>
      new Promise<number | null>((resolve) =>
        spawn(process.execPath, ['scripts/bootstrap.mjs', 'reset-demo'], {
          env: { ...process.env, DATABASE_URL: own.href },
          stdio: 'ignore',
        }).once('exit', resolve),
      ),
  );
  expect(await Promise.all(starts)).toEqual([0, 0, 0, 0]);
  const pool = createPool(own.href);
  const before = await everything();
  expect(before.thing!.length).toBeGreaterThan(60);
  expect(run('backup', [file])).toMatchObject({ status: 0, stderr: expect.stringMatching(/kB/) });
  expect(run('backup', [file])).toMatchObject({ status: 1, stderr: expect.stringMatching(/there already/) });

  await pool.query(`delete from load_entry`);
  await pool.query(`update thing set mass_g = 1`);
  await pool.query(`insert into account (id, name) values ('later', 'Later')`);
  await pool.end();
  const changed = await everything();
  expect(changed).not.toEqual(before);

  const text = path.join(folder, 'text');
  writeFileSync(text, 'no backup');
  expect(run('restore', [text, '--yes'])).toMatchObject({
    status: 1,
    stderr: expect.stringMatching(/is no backup of Gorvin/),
  });
  expect(run('restore', [file])).toMatchObject({
    status: 1,
    stderr: expect.stringMatching(/Nothing was changed/),
  });
  writeFileSync(text, readFileSync(file).subarray(0, 20_000));
  expect(run('restore', [text, '--yes']).status).toBe(1);
  expect(await everything()).toEqual(changed);

  expect(run('restore', [file, '--yes'])).toMatchObject({ status: 0 });
  expect(await everything()).toEqual(before);
}, 120_000);

test.each([
  [{ PORT: 'abc' }, /PORT is "abc"/],
  [{ PORT: '70000' }, /PORT is "70000"/],
  [{ PORT: '80.5' }, /PORT is "80\.5"/],
  [{ DATABASE_URL: 'no address' }, /DATABASE_URL cannot be read/],
  [{ DATABASE_URL: 'http://127.0.0.1/gorvin' }, /DATABASE_URL cannot be read/],
])('npm start with %j says what is wrong in a sentence', (env, message) => {
  const { status, stderr } = run('start', [], env as Record<string, string>);
  expect([status, stderr]).toEqual([1, expect.stringMatching(message)]);
  expect(stderr).not.toMatch(/\n\s+at /);
});
