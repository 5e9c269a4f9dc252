import { randomUUID } from 'node:crypto';
import { demoPlan } from '@/core/demo/plan';
import type { Setup } from '@/core/commands/putOnTrip';
import { putOnTrip } from '@/core/commands/putOnTrip';
import type { Edit } from '@/core/plan/edit';
import { changing, isBusy, reading, RIDER_ROLE } from '@/db/access';
import { readDraft, saveChange } from '@/db/history';
import { insertPlan } from '@/db/plans';
import { createPool } from '@/db/pool';
import { listSetups, saveSetup } from '@/db/setups';
import { deleteTrip, listTrips } from '@/db/trips';
import { newAccount, pool } from './database';

// As the server works: with the role that sees only what the account it names may see.
const riders = createPool(process.env.TEST_DATABASE_URL!, RIDER_ROLE);
afterAll(async () => {
  await riders.end();
  await pool.end();
});

async function twoTrips() {
  const account = await newAccount();
  const on = async (name: string) => {
    const trip = randomUUID();
    const plan = demoPlan();
    await changing(riders, account, (client) =>
      insertPlan(client, account, trip, { ...plan, trip: { ...plan.trip, name }, load: [] }),
    );
    const read = async () => (await reading(riders, account, (client) => readDraft(client, account, trip)))!;
    const send = async (change: { op: 'edit'; edit: Edit } | { op: 'undo' | 'redo' }, revision?: number) =>
      saveChange(riders, account, trip, revision ?? (await read()).revision, {
        id: randomUUID(),
        ...change,
      });
    return { trip, read, send, edit: (edit: Edit) => send({ op: 'edit', edit }) };
  };
  return { account, a: await on('A'), b: await on('B') };
}

const pack = demoPlan().bags.find(({ id }) => id === 'seat-pack')!;
const heavier: Edit = { kind: 'change bags', changes: [{ id: 'seat-pack', patch: { massG: 555 } }] };
const massOn = async (trip: {
  read: () => Promise<{ draft: { plan: { bags: { id: string; massG: number }[] } } }>;
}) => (await trip.read()).draft.plan.bags.find(({ id }) => id === 'seat-pack')?.massG;

describe('what is owned is never overwritten by what a tab saw earlier', () => {
  test('a set-up seen before a bag was changed does not bring the old bag back', async () => {
    const { account, a, b } = await twoTrips();
    const setup: Setup = { id: randomUUID(), name: 'All', bike: demoPlan().bike!, bags: demoPlan().bags };
    await changing(riders, account, (client) => saveSetup(client, account, setup));
    await b.edit({ kind: 'remove bags', ids: ['seat-pack'] });
    const seen = (await reading(riders, account, (client) => listSetups(client, account)))[0]!;
    expect(await a.edit(heavier)).toMatchObject({ kind: 'saved' });
    const plan = (await b.read()).draft.plan;
    expect(await b.edit(putOnTrip(plan, seen))).toMatchObject({
      kind: 'refused',
      reason: expect.stringMatching(/^Seat pack was changed on another trip meanwhile/),
    });
    expect(await massOn(a)).toBe(555);
    const now = (await reading(riders, account, (client) => listSetups(client, account)))[0]!;
    expect(await b.edit(putOnTrip(plan, now))).toMatchObject({ kind: 'saved' });
    expect(await massOn(b)).toBe(555);
  });

  test('a set-up saved from a tab that is behind keeps the bags as they are now', async () => {
    const { account, a } = await twoTrips();
    await a.edit(heavier);
    const stale: Setup = { id: randomUUID(), name: 'Stale', bike: demoPlan().bike!, bags: [pack] };
    await changing(riders, account, (client) => saveSetup(client, account, stale));
    expect(await massOn(a)).toBe(555);
    const [kept] = await reading(riders, account, (client) => listSetups(client, account));
    expect(kept!.bags[0]!.massG).toBe(555);
  });

  test('a bag taken off, changed on another trip, and put back by undo is as it was changed; the trip was told', async () => {
    const { a, b } = await twoTrips();
    await b.edit({ kind: 'remove bags', ids: ['seat-pack'] });
    const { revision } = await b.read();
    await a.edit(heavier);
    expect(await b.send({ op: 'undo' }, revision)).toMatchObject({
      kind: 'stale',
      since: ['Seat pack changed, on A'],
    });
    expect(await b.send({ op: 'undo' })).toMatchObject({ kind: 'saved' });
    expect(await massOn(b)).toBe(555);
    expect(await massOn(a)).toBe(555);
    // And taken off and put back once more, by redo and undo.
    await b.send({ op: 'redo' });
    await b.send({ op: 'undo' });
    expect(await massOn(b)).toBe(555);
  });

  test('undoing a rename takes back the name alone', async () => {
    const { a, b } = await twoTrips();
    await b.edit({ kind: 'put bags', bags: [{ ...pack, name: 'Old pack' }] });
    await a.edit(heavier);
    expect(await b.send({ op: 'undo' })).toMatchObject({ kind: 'saved' });
    expect((await a.read()).draft.plan.bags.find(({ id }) => id === 'seat-pack')).toEqual({
      ...pack,
      massG: 555,
    });
  });

  test('six tabs on six trips that share a kit, with trips deleted meanwhile: saved, stale or gone, and nothing else', async () => {
    const account = await newAccount();
    const trips = await Promise.all(
      Array.from({ length: 6 }, async () => {
        const trip = randomUUID();
        await changing(riders, account, (client) => insertPlan(client, account, trip, demoPlan()));
        return trip;
      }),
    );
    const seen = new Map<string, number>();
    const count = (kind: string) => seen.set(kind, (seen.get(kind) ?? 0) + 1);
    await Promise.all(
      trips.map(async (trip, tab) => {
        let revision = 0;
        for (let i = 0; i < 12; i += 1) {
          const bags = i % 2 ? ['seat-pack', 'bar-roll'] : ['bar-roll', 'seat-pack'];
          const edit: Edit = {
            kind: 'change bags',
            changes: bags.map((id) => ({ id, patch: { massG: 300 + 10 * tab + i } })),
          };
          const outcome = await saveChange(riders, account, trip, revision, {
            id: randomUUID(),
            op: 'edit',
            edit,
          });
          count(outcome.kind);
          if (outcome.kind === 'no such trip') return;
          revision = outcome.revision;
          if (tab > 3 && i === 8)
            await changing(riders, account, (client) => deleteTrip(client, account, trip));
        }
      }),
    );
    expect([...seen.keys()].sort()).toEqual(['no such trip', 'saved', 'stale']);
    expect(seen.get('no such trip')).toBe(2);
  }, 60_000);
});

describe('who may see what', () => {
  test('a query without an account sees no row of any rider, and of one account only its own', async () => {
    const { account } = await twoTrips();
    const other = await newAccount();
    const { rows: tables } = await pool.query<{ name: string }>(
      `select table_name as name from information_schema.columns
        where table_schema = 'public' and column_name = 'account_id' and table_name <> 'session'`,
    );
    expect(tables.length).toBeGreaterThanOrEqual(11);
    for (const { name } of [...tables, { name: 'account' }]) {
      const seen = await riders.query(`select from ${name}`);
      expect([name, seen.rowCount]).toEqual([name, 0]);
    }
    const tripsFor = (id: string) =>
      // Asked for the first account's trips, whoever asks.
      reading(riders, id, (client) => listTrips(client, account));
    expect(await tripsFor(account)).toHaveLength(2);
    expect(await tripsFor(other)).toHaveLength(0);
    expect(await changing(riders, other, (client) => client.query('delete from trip'))).toMatchObject({
      rowCount: 0,
    });
    await expect(
      changing(riders, other, (client) =>
        client.query(
          `insert into bike (account_id, id, name, mass_g, mass_source) values ($1, 'x', 'x', 1, 'scale')`,
          [account],
        ),
      ),
    ).rejects.toThrow(/row-level security/);
    await expect(riders.query('select from session')).rejects.toThrow(/permission denied/);
    await expect(reading(riders, account, (client) => client.query('delete from trip'))).rejects.toThrow(
      /read-only/,
    );
  });
});

test('an account owns only so many things', async () => {
  const { account, a } = await twoTrips();
  const fields =
    'name, system, mass_g, mass_source, volume_ml, volume_source, form, dry, provides, view, packing, stiffener, traits, hollow, kind';
  await pool.query(
    `insert into thing (account_id, id, ${fields})
     select account_id, 'many-' || n, ${fields} from thing, generate_series(1, 20000) as n
      where account_id = $1 and id = 'mug'`,
    [account],
  );
  const extra = { ...demoPlan().things[0]!, id: 'one-more' };
  expect(await a.edit({ kind: 'put things', things: [extra] })).toMatchObject({
    kind: 'refused',
    reason: expect.stringMatching(/at most 20000 things/),
  });
});

describe('conflicts', () => {
  test('a deadlock with another program is tried again; a lock that is never granted counts as busy', async () => {
    const account = await newAccount();
    let attempts = 0;
    const failure = (code: string) => `do $$ begin raise exception using errcode = '${code}'; end $$`;
    await changing(riders, account, async (client) => {
      attempts += 1;
      if (attempts < 3) await client.query(failure('40P01'));
    });
    expect(attempts).toBe(3);
    const error = await changing(riders, account, (client) => client.query(failure('55P03'))).catch(
      (thrown: unknown) => thrown,
    );
    expect(isBusy(error)).toBe(true);
  });
});
