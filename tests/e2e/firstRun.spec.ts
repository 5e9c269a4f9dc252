import { readdirSync } from 'node:fs';
import { expect, SEARCHING, test } from './journey';

test('first run to a loaded bike: sign in, load, leave the one thing too many, still there tomorrow', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page).toHaveURL(/\/welcome$/);
  await page.getByRole('button', { name: 'Open the demo trip' }).click();
  await page
    .getByRole('region', { name: 'Next trip' })
    .getByRole('link', { name: 'Plateau and river loop' })
    .click();
  await expect(page.getByText('67 things are still on the floor')).toBeVisible();

  await page.getByRole('button', { name: 'Load for me' }).first().click();
  await expect(page.getByText(/66 things moved/)).toBeVisible(SEARCHING);
  await expect(page.getByRole('status').filter({ hasText: 'the rest fits' })).toContainText('Folding chair');
  await page.getByRole('button', { name: 'Leave it at home' }).click();

  const load = page.getByRole('navigation', { name: 'Stages' }).getByRole('link', { name: /Load/ });
  await expect(load).toContainText(/ready.*loaded/);
  await expect(page.getByRole('region', { name: 'Left at home' })).toContainText('Folding chair');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await page.reload();
  await expect(load).toContainText(/ready.*loaded/);
  await expect(page.getByRole('region', { name: 'The floor' })).toContainText('nothing');

  // The session is a real one: without its cookie the trip is not there.
  const cookie = (await page.context().cookies()).find(({ name }) => name === 'gorvin_session');
  expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
  await page.context().clearCookies();
  await page.reload();
  await expect(page).toHaveURL(/\/welcome$/);
});

test('pages and answers carry the security headers, and an id', async ({ request }) => {
  const response = await request.get('/welcome');
  const headers = response.headers();
  expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'/);
  expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
  expect(headers['x-content-type-options']).toBe('nosniff');
  expect(headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
  expect(headers['x-powered-by']).toBeUndefined();
  expect(await (await request.get('/api/health')).json()).toMatchObject({
    status: 'ok',
    migration: readdirSync('src/db/migrations').sort().at(-1)!.replace('.sql', ''),
  });
  expect(await (await request.get('/plan.schema.json')).json()).toMatchObject({ title: 'Gorvin plan' });
});
