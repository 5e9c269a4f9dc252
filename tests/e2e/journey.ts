import { randomUUID } from 'node:crypto';
import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Page } from '@playwright/test';
import pg from 'pg';
import { demoPlan } from '@/core/demo/plan';
import { withFreshIds, type Plan } from '@/core/plan/plan';
import { createSession } from '@/db/accounts';
import { insertPlan } from '@/db/plans';

interface Journey {
  /** An account of this test's own, signed in, with one trip. */
  rider: {
    accountId: string;
    tripId: string;
    signIn(page: Page): Promise<void>;
    open(stage: string): Promise<void>;
  };
  plan: Plan;
}

export const pool = new pg.Pool({ connectionString: process.env.TEST_DATABASE_URL, max: 2 });

/** Makes a page wait, after each address and reload, until it answers to what is pressed. */
function awaitLife(page: Page): void {
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
  const alive = () => page.locator('html[data-live]').waitFor({ state: 'attached' });
  page.goto = async (...to) => {
    const response = await goto(...to);
    await alive();
    return response;
  };
  page.reload = async (...how) => {
    const response = await reload(...how);
    await alive();
    return response;
  };
}

/** Tests get a rider with a trip of their own; by default the demo, under ids of its own. */
export const test = base.extend<Journey>({
  context: async ({ context }, use) => {
    context.on('page', awaitLife);
    await use(context);
  },
  plan: async ({}, use) => use(withFreshIds(demoPlan(), randomUUID)),
  rider: async ({ page, plan, baseURL }, use) => {
    const accountId = randomUUID();
    const tripId = randomUUID();
    await pool.query('insert into account (id, name) values ($1, $2)', [accountId, 'Test rider']);
    await insertPlan(pool, accountId, tripId, plan);
    const token = await createSession(pool, accountId);
    const signIn = (target: Page) =>
      target.context().addCookies([
        // Far off, as the server's own: a closed browser keeps it.
        {
          name: 'gorvin_session',
          value: token,
          url: baseURL!,
          httpOnly: true,
          sameSite: 'Lax',
          expires: 4e9,
        },
      ]);
    await signIn(page);
    // Whatever a journey does, the page itself must not break, nor the security policy be in its way.
    const broken: string[] = [];
    page.on('pageerror', (error) => broken.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error' && !/Failed to load resource/.test(message.text()))
        broken.push(message.text());
    });
    await use({
      accountId,
      tripId,
      signIn,
      open: async (stage) => {
        await page.goto(`/trips/${tripId}/${stage}`);
        await expect(page.getByRole('navigation', { name: 'Stages' })).toBeVisible();
      },
    });
    expect(broken).toEqual([]);
  },
});

export { awaitLife, expect };

/** Waits until everything done is on the server. */
export const saved = (page: Page) => expect(page.getByText('Saved', { exact: true })).toBeVisible();

/** A search in both cores' threads, beside another journey's: only a hang takes longer. */
export const SEARCHING = { timeout: 90_000 };

/** Waits until the loader has proposed a load. */
export const loaded = (page: Page) => expect(page.getByText(/things? moved/)).toBeVisible(SEARCHING);

/**
 * Automated accessibility checks: nothing serious or worse.
 *
 * @param only so named checks; all that are on by themselves without
 */
export async function accessible(page: Page, only?: readonly string[]): Promise<void> {
  // What passes is not asked for, and no other frames, of which there are none: they took half of the time.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).setLegacyMode(true);
  const { violations } = await (only ? axe.withRules([...only]) : axe).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  expect(
    serious.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html.slice(0, 160)).join(' | ')}`),
  ).toEqual([]);
}

/** The number behind a label in the consequences, as shown. */
export const figure = (page: Page, label: string) =>
  page
    .getByRole('complementary', { name: 'Consequences' })
    .getByRole('row', { name: new RegExp(label) })
    .locator('td')
    .first();

/** Puts things in a bag's first compartment. */
export const put = (tripId: string, bag: string, things: string[]) =>
  pool.query(
    `insert into load_entry (account_id, trip_id, thing_id, compartment_id)
     select trip_thing.account_id, trip_id, thing.id, bag.compartments -> 0 ->> 'id'
       from trip_thing join thing on thing.account_id = trip_thing.account_id and thing.id = thing_id
            join bag on bag.account_id = thing.account_id and bag.name = $2
      where trip_id = $1 and thing.name = any($3)`,
    [tripId, bag, things],
  );
