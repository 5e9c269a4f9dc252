import { mkdtempSync, rmSync } from 'node:fs';
import net from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../../scripts/lib/browser';
import { CHROMIUM } from '../../scripts/lib/system';
import { expect, loaded, pool, put, test as base } from './journey';

/** A cable between a phone and the server. Out, it is out for everything, the service worker's own requests too. */
class Cable {
  private readonly sockets = new Set<net.Socket>();
  private server: net.Server | null = null;
  private port = 0;
  constructor(private readonly to: number) {}

  async plugIn(): Promise<void> {
    this.server = net.createServer((near) => {
      const far = net.connect(this.to, '127.0.0.1');
      for (const socket of [near, far]) {
        this.sockets.add(socket);
        socket.on('error', () => undefined).on('close', () => this.sockets.delete(socket));
      }
      near.pipe(far).pipe(near);
    });
    await new Promise<void>((done) => this.server!.listen(this.port, '127.0.0.1', done));
    this.port = (this.server.address() as net.AddressInfo).port;
  }

  async pullOut(): Promise<void> {
    const closed = new Promise((done) => this.server!.close(done));
    for (const socket of this.sockets) socket.destroy();
    await closed;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
}

/** A browser that can be closed and opened again, with what it keeps. */
class PhoneBrowser {
  private readonly directory = mkdtempSync(path.join(tmpdir(), 'gorvin-phone-'));
  private context: BrowserContext | null = null;
  constructor(readonly cable: Cable) {}

  async open(): Promise<Page> {
    this.context = await chromium.launchPersistentContext(this.directory, {
      executablePath: CHROMIUM,
      args: CHROMIUM_FLAGS,
      viewport: { width: 390, height: 844 },
      baseURL: this.cable.url,
      serviceWorkers: 'allow',
    });
    return this.context.pages()[0]!;
  }
  async close(): Promise<void> {
    await this.context?.close();
  }
  async remove(): Promise<void> {
    await this.close();
    rmSync(this.directory, { recursive: true, force: true });
  }
}

const test = base.extend<{ phone: PhoneBrowser }>({
  phone: async ({ baseURL }, use) => {
    const cable = new Cable(Number(new URL(baseURL!).port));
    await cable.plugIn();
    const phone = new PhoneBrowser(cable);
    await use(phone);
    await phone.remove();
    await cable.pullOut().catch(() => undefined);
  },
});

/** Waits until the browser keeps what it needs to go on without a network. */
const ready = (page: Page, accountId: string, tripId: string) =>
  expect
    .poll(
      () =>
        page.evaluate(
          async ([name, id]) => {
            await navigator.serviceWorker.ready;
            // To open it before the page did would make it.
            if (!(await indexedDB.databases()).some((database) => database.name === name)) return false;
            return new Promise<boolean>((resolve) => {
              const opening = indexedDB.open(name!);
              opening.onsuccess = () => {
                const get = opening.result.transaction('trip').objectStore('trip').get(id!);
                get.onsuccess = () => {
                  opening.result.close();
                  resolve(get.result !== undefined);
                };
              };
            });
          },
          [`gorvin-${accountId}`, tripId],
        ),
      { timeout: 60_000 },
    )
    .toBe(true);

test('without a network: twenty things ticked off, two bags weighed, one left at home; the browser is closed and opened again; then all of it arrives, once', async ({
  rider,
  plan,
  phone,
}) => {
  const small = plan.things
    .filter(({ quantity, massG }) => quantity === 1 && massG < 400)
    .slice(0, 23)
    .map(({ name }) => name);
  await put(rider.tripId, 'Seat pack', small.slice(0, 12));
  await put(rider.tripId, 'Bar roll', small.slice(12));
  let page = await phone.open();
  await rider.signIn(page);
  await page.goto(`/trips/${rider.tripId}/pack`);
  const progress = () => page.getByText(/\d+ of \d+ packed/);
  await expect(progress()).toHaveText(/^0 of 2\d packed$/);
  const total = Number(/of (\d+)/.exec((await progress().textContent())!)![1]);
  await ready(page, rider.accountId, rider.tripId);

  await phone.cable.pullOut();
  const next = page.getByRole('region', { name: 'Next' });
  for (let i = 1; i <= 20; i += 1) {
    await next.getByRole('button', { name: 'Packed' }).click();
    await expect(progress()).toHaveText(`${i} of ${total} packed`);
  }
  await expect(page.getByText('20 entries kept on this phone')).toBeVisible();
  await next.getByRole('button', { name: 'Leave at home' }).click();
  await expect(progress()).toHaveText(`20 of ${total - 1} packed`);
  for (let i = 21; i < total; i += 1) await next.getByRole('button', { name: 'Packed' }).click();
  for (const bag of ['Seat pack', 'Bar roll']) {
    const scale = page.getByRole('textbox', { name: `${bag}, packed, weighs` });
    await scale.fill('2.2 kg');
    await scale.press('Enter');
  }
  const allPacked = `${total - 1} of ${total - 1} packed`;
  const kept = `${total + 1} entries kept on this phone`;
  await expect(page.getByText(kept)).toBeVisible();

  await phone.close();
  page = await phone.open();
  await page.goto(`/trips/${rider.tripId}/pack`);
  await expect(progress()).toHaveText(allPacked);
  await expect(page.getByText(kept)).toBeVisible();
  // The other stages too.
  await page.getByRole('button', { name: 'All stages' }).click();
  await page.getByRole('menuitem', { name: /Kit/ }).click();
  await expect(page.getByRole('heading', { name: 'Kit' })).toBeVisible();
  // And the loader, which works in threads of its own.
  await page.goto(`/trips/${rider.tripId}/load`);
  await page
    .getByRole('main')
    .getByRole('button', { name: /^Load for me/ })
    .first()
    .click();
  await loaded(page);
  await page.getByRole('button', { name: /^Undo/ }).click();
  await page.goto('/');
  await page.getByRole('link', { name: plan.trip.name }).click();
  await expect(progress()).toHaveText(allPacked);

  await phone.cable.plugIn();
  await expect(page.getByText('kept on this phone')).toHaveCount(0, { timeout: 30_000 });
  await expect(page.getByText('Saved', { exact: true })).toBeVisible({ timeout: 40_000 });
  const entries = await pool.query(
    'select kind, count(*)::int from entry where trip_id = $1 group by kind order by kind',
    [rider.tripId],
  );
  expect(entries.rows).toEqual([
    { kind: 'packed', count: total - 1 },
    { kind: 'weighed', count: 2 },
  ]);
  const left = await pool.query(
    'select count(*)::int from load_entry where trip_id = $1 and compartment_id is null',
    [rider.tripId],
  );
  expect(left.rows[0].count).toBe(1);
});

test('a phone shows nobody what another account kept, and nothing at all once signed out', async ({
  rider,
  plan,
  phone,
}) => {
  await put(rider.tripId, 'Seat pack', ['Pillow']);
  let page = await phone.open();
  await rider.signIn(page);
  await page.goto(`/trips/${rider.tripId}/pack`);
  await ready(page, rider.accountId, rider.tripId);

  // The session ran out, and somebody else opens the demo.
  await page.context().clearCookies();
  await page.goto('/welcome');
  await page.getByRole('button', { name: 'Open the demo trip' }).click();
  await page.getByRole('link', { name: plan.trip.name }).first().click();
  await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
  await ready(page, 'demo', 'plateau-and-river-loop');
  await phone.cable.pullOut();
  await page.goto(`/trips/${rider.tripId}/pack`);
  await expect(page.getByText('never opened on this phone')).toBeVisible();
  expect(await databases(page)).toEqual(['gorvin-demo']);

  await phone.cable.plugIn();
  await page.goto('/account');
  await page.getByRole('button', { name: 'Sign out here' }).click();
  await expect(page).toHaveURL(/\/welcome$/);
  await phone.cable.pullOut();
  await phone.close();
  page = await phone.open();
  await page.goto('/trips/plateau-and-river-loop/pack');
  await expect(page.getByText('Nobody is signed in on this phone')).toBeVisible();
  expect(await databases(page)).toEqual([]);
});

const databases = (page: Page) =>
  page.evaluate(async () => (await indexedDB.databases()).map(({ name }) => name));

test('a day is ridden without a network: logged by two presses, kept, struck out, and there for the review', async ({
  rider,
  phone,
}) => {
  await put(rider.tripId, 'Seat pack', ['Down quilt', 'Oat bars']);
  let page = await phone.open();
  await rider.signIn(page);
  await page.goto(`/trips/${rider.tripId}/pack`);
  await page.getByText('Set out', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Set out all the same' }).click();
  await expect(page.getByRole('note', { name: 'Departure' })).toBeVisible();
  await page.goto(`/trips/${rider.tripId}/ride`);
  await ready(page, rider.accountId, rider.tripId);

  await phone.cable.pullOut();
  await page.goto(`/trips/${rider.tripId}/ride`);
  await expect(page.getByRole('region', { name: 'Today' })).toContainText('of water to reach');
  await page.getByRole('checkbox', { name: /Oat bars/ }).check();
  const log = page.getByRole('region', { name: 'Log', exact: true });
  const press = async (first: string, second: string) => {
    await log.getByRole('button', { name: first, exact: true }).click();
    await log.getByRole('button', { name: second, exact: true }).click();
  };
  await press('Drank', '0.75 l');
  await press('Drank', '1.50 l');
  await press('Slept', 'cold');
  await log.getByRole('button', { name: 'Trouble' }).click();
  await press('Seat pack', 'sways');
  await expect(page.getByText('5 entries kept on this phone')).toBeVisible();
  await log.getByRole('button', { name: 'Strike out Drank 1.50 l' }).click();
  await expect(log).toContainText('drank 0.75 l');

  await phone.close();
  page = await phone.open();
  await page.goto(`/trips/${rider.tripId}/ride`);
  await expect(page.getByRole('region', { name: 'Log of day 1' })).toContainText('Seat pack: sways');
  await expect(page.getByRole('checkbox', { name: /Oat bars/ })).toBeChecked();
  await phone.cable.plugIn();
  await expect(page.getByText('kept on this phone')).toHaveCount(0, { timeout: 30_000 });
  await page.goto(`/trips/${rider.tripId}/review`);
  await expect(page.getByRole('region', { name: 'From the log' })).toContainText('Slept cold');
  await expect(page.getByRole('region', { name: 'From the log' })).not.toContainText('1.50 l');
});
