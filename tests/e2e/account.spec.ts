import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { parsePlanValue } from '@/core/formats/planFile';
import { send } from '../probes/client';
import { accessible, awaitLife, expect, pool, test } from './journey';

const PASSPHRASE = 'seven spokes and a kettle';
const nameOfItsOwn = () => `Rider ${randomUUID().slice(0, 8)}`;

test('an account: made, left, entered again, its passphrase changed, saved as a file, and deleted for good', async ({
  page,
  browser,
  baseURL,
}) => {
  const name = nameOfItsOwn();
  await page.goto('/welcome');
  await page.getByText('Sign in, or make an account').click();
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Passphrase', { exact: true }).fill('password123');
  await page.getByRole('button', { name: 'Make a new account' }).click();
  await expect(page.getByText('among the first to be guessed')).toBeVisible();
  await accessible(page);
  await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Make a new account' }).click();
  await expect(page.getByText('No trips yet')).toBeVisible();

  // On another device, with other capitals.
  const other = await (await browser.newContext({ baseURL })).newPage();
  awaitLife(other);
  const enter = async (passphrase: string) => {
    await other.goto('/welcome');
    await other.getByText('Sign in, or make an account').click();
    await other.getByLabel('Name').fill(name.toUpperCase());
    await other.getByLabel('Passphrase', { exact: true }).fill(passphrase);
    await other.getByRole('button', { name: 'Sign in', exact: true }).click();
  };
  await enter('seven spokes and a cattle');
  await expect(other.getByText('do not belong together.')).toBeVisible();
  await enter(PASSPHRASE);
  await expect(other.getByText('No trips yet')).toBeVisible();

  await page.getByRole('link', { name: 'Account' }).click();
  await accessible(page);
  const change = page.getByRole('region', { name: 'Change the passphrase' });
  await change.getByLabel('Current passphrase').fill(PASSPHRASE);
  await change.getByLabel('New passphrase').fill('a mudguard full of blackberries');
  await change.getByRole('button', { name: 'Change it' }).click();
  await expect(change.getByRole('status')).toContainText('Other devices were signed out');
  await other.reload();
  await expect(other).toHaveURL(/\/welcome$/);
  await expect(change).toBeVisible();

  // Everything, in one file.
  const made = await page.request.post('/api/trips', {
    headers: { origin: baseURL! },
    data: { from: 'nothing', name: 'To be deleted' },
  });
  expect(made.status()).toBe(201);
  const { tripId } = (await made.json()) as { tripId: string };
  const missed = { id: 'm', at: '2026-04-18T18:00:00Z', kind: 'missed', name: 'Mittens' };
  const noted = await page.request.post(`/api/trips/${tripId}/entries`, {
    headers: { origin: baseURL! },
    data: { entries: [missed] },
  });
  expect(noted.status()).toBe(200);
  const saving = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save everything as a file' }).click();
  const file = JSON.parse(readFileSync(await (await saving).path(), 'utf8')) as {
    name: string;
    trips: unknown[];
  };
  expect(file).toMatchObject({
    format: 'gorvin-account',
    name,
    trips: { length: 1 },
    records: [[{ id: 'm', kind: 'missed', name: 'Mittens' }]],
  });
  expect(parsePlanValue(file.trips[0])).toMatchObject({
    ok: true,
    value: { trip: { name: 'To be deleted' } },
  });

  const remove = page.getByRole('region', { name: 'Delete everything' });
  await remove.getByLabel('Type "delete everything"').fill('delete everything');
  await remove.getByLabel('Passphrase').fill(PASSPHRASE);
  await remove.getByRole('button', { name: 'Delete everything' }).click();
  await expect(remove.getByRole('alert')).toContainText('not the passphrase');
  await remove.getByLabel('Passphrase').fill('a mudguard full of blackberries');
  await remove.getByRole('button', { name: 'Delete everything' }).click();
  await expect(page).toHaveURL(/\/welcome$/);
  const { rows } = await pool.query(
    `select (select count(*)::int from account where name = $1) as accounts,
            (select count(*)::int from trip where name = 'To be deleted') as trips`,
    [name],
  );
  expect(rows[0]).toEqual({ accounts: 0, trips: 0 });
});

test('guessing is slowed down, for the account and without saying whether there is one', async ({
  baseURL,
}) => {
  const target = { url: baseURL! };
  // An address of this test's own, as a proxy in front would name it.
  const from = { 'x-forwarded-for': randomUUID() };
  const ask = (path: string, body: unknown) => send(target, 'POST', path, JSON.stringify(body), from);
  const name = nameOfItsOwn();
  expect((await ask('/api/accounts', { name, passphrase: PASSPHRASE })).status).toBe(201);
  expect((await ask('/api/accounts', { name: name.toLowerCase(), passphrase: PASSPHRASE })).status).toBe(409);
  expect((await ask('/api/accounts', { name: nameOfItsOwn(), passphrase: 'short' })).status).toBe(422);
  const known = await ask('/api/session', { name, passphrase: 'not this one' });
  const unknown = await ask('/api/session', { name: nameOfItsOwn(), passphrase: 'not this one' });
  expect([unknown.status, unknown.body]).toEqual([known.status, known.body]);
  const statuses = new Set<number>();
  for (let i = 0; i < 8; i += 1)
    statuses.add((await ask('/api/session', { name, passphrase: `guess number ${i}` })).status);
  expect([...statuses]).toEqual([403, 429]);
  const right = await ask('/api/session', { name, passphrase: PASSPHRASE });
  expect([right.status, right.headers['retry-after']]).toEqual([429, '900']);
  // A quarter of an hour later.
  await pool.query(`update failed_sign_in set at = at - interval '16 minutes' where key = $1`, [
    `account ${name.toLowerCase()}`,
  ]);
  expect((await ask('/api/session', { name, passphrase: PASSPHRASE })).status).toBe(200);
  const { rows } = await pool.query<{ passphrase: string }>(
    'select passphrase from account where name = $1',
    [name],
  );
  expect(rows[0]!.passphrase).toMatch(/^scrypt\$32768\$8\$3\$/);
});

test('the demo takes no passphrase and is not deleted', async ({ page, baseURL }) => {
  const headers = { origin: baseURL! };
  await page.request.post('/api/session', { headers, data: { space: 'demo' } });
  const demo = { headers, data: { name: 'Mine', passphrase: PASSPHRASE, confirm: 'delete everything' } };
  expect((await page.request.put('/api/account/passphrase', demo)).status()).toBe(422);
  expect((await page.request.delete('/api/account', demo)).status()).toBe(422);
});
