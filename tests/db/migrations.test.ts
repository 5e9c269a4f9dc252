import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { demoPlan } from '@/core/demo/plan';
import { withLaterTraits } from '@/core/kit/guess';
import type { Plan } from '@/core/plan/plan';
import { report } from '@/core/evaluation/report';
import { randomThings, samplePlan, sampleThing } from '../support/samples';
import { seededRandom } from '@/core/random';
import { readPlan, updatePlan } from '@/db/plans';
import { createPool, transaction, type Client } from '@/db/pool';
import { pool } from './database';

afterAll(() => pool.end());

const files = readdirSync('src/db/migrations').sort();

/** A database of its own, after the migrations before one; `goOn` does that one and those after, each whole or not at all. */
async function databaseBefore(next: string) {
  const name = `migration_${randomUUID().replaceAll('-', '_')}`;
  await pool.query(`create database ${name}`);
  const url = new URL(process.env.TEST_DATABASE_URL!);
  url.pathname = `/${name}`;
  const own = createPool(url.href);
  const run = async (these: readonly string[]) => {
    for (const file of these) {
      const [up] = readFileSync(`src/db/migrations/${file}`, 'utf8').split('-- Down Migration');
      await transaction(own, (client) => client.query(up!));
    }
  };
  const from = files.findIndex((file) => file.startsWith(next));
  await run(files.slice(0, from));
  return {
    own,
    goOn: (most = Infinity) => run(files.slice(from, from + most)),
    done: async () => {
      await own.end();
      await pool.query(`drop database ${name} with (force)`);
    },
  };
}

/** Rows of a table as it stands then: columns by name, without those it does not have yet; the others take their defaults. */
async function insert(client: Client, table: string, rows: readonly Record<string, unknown>[]) {
  if (rows.length === 0) return;
  const there = await client.query<{ name: string }>(
    'select column_name as name from information_schema.columns where table_name = $1',
    [table],
  );
  const known = new Set(there.rows.map(({ name }) => name));
  const columns = Object.keys(rows[0]!)
    .filter((column) => known.has(column))
    .join(', ');
  await client.query(
    `insert into ${table} (${columns}) select ${columns} from jsonb_populate_recordset(null::${table}, $1::jsonb)`,
    [JSON.stringify(rows)],
  );
}

const snake = (field: string) => field.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
const rowOf = (item: object) =>
  Object.fromEntries(Object.entries(item).map(([field, value]) => [snake(field), value]));

test('things get the later traits by their names, in the database as in a file that is read', async () => {
  const names = [
    ...['Camp shoes', 'Horseshoe nail', 'Drone', 'Action camera', 'Sun glasses', 'Hydration bladder'],
    ...['Spirit stove fuel', 'Alcohol wipes', 'Gas canister'],
  ];
  const fuel = new Set(['Spirit stove fuel', 'Gas canister']);
  const things = names.map((name, i) =>
    sampleThing(`thing-${i}`, { name, traits: fuel.has(name) ? ['fuel'] : [] }),
  );
  const { own, goOn, done } = await databaseBefore('0007');
  try {
    await insert(own, 'account', [{ id: 'rider', name: 'Rider' }]);
    await insert(
      own,
      'thing',
      things.map((thing) => ({ account_id: 'rider', ...rowOf(thing) })),
    );
    await goOn(1);
    const { rows } = await own.query<{ name: string; traits: string[] }>('select name, traits from thing');
    const found = new Map(rows.map(({ name, traits }) => [name, traits]));
    for (const { name, traits } of things)
      expect([name, found.get(name)]).toEqual([name, withLaterTraits(name, traits)]);
    expect(found.get('Camp shoes')).toEqual(['dirty']);
    expect(found.get('Spirit stove fuel')).toEqual(['liquid fuel']);
    expect(found.get('Alcohol wipes')).toEqual([]);
    expect(found.get('Action camera')).toEqual([]);
  } finally {
    await done();
  }
});

describe('decisions go from things to the trips that use them', () => {
  /** Fifty trips of one rider that share things, bags and a bike, as the state before had them. */
  const random = seededRandom(7);
  const kit = randomThings(random, 60).map((thing, i) => ({
    ...thing,
    quantity: 1 + (i % 3),
    waterMl: i % 7 === 0 ? 500 : 0,
    carry: i % 11 === 0 ? ('worn' as const) : ('bike' as const),
    inside: i % 13 === 5 ? `thing-${i - 1}` : null,
  }));
  const { bags } = demoPlan();
  const trips = Array.from({ length: 50 }, (_, k): Plan => {
    const things = kit.filter(() => random() < 0.5);
    const own = bags.filter(() => random() < 0.7);
    const spots = own.flatMap(({ compartments }) => compartments.map(({ id }) => id));
    return {
      ...samplePlan({ bags: own, things }),
      trip: { ...samplePlan().trip, name: `Trip ${k}` },
      load: things
        .filter(
          ({ carry, inside }) => carry === 'bike' && inside === null && spots.length > 0 && random() < 0.6,
        )
        .map(({ id }) => ({
          thingId: id,
          to: { compartmentId: spots[Math.floor(random() * spots.length)]! },
          pinned: random() < 0.1,
        })),
    };
  });

  async function insertOld(client: Client) {
    const mine = { account_id: 'rider' };
    await insert(client, 'account', [{ id: 'rider', name: 'Rider' }]);
    await insert(client, 'bike', [{ ...mine, ...rowOf(trips[0]!.bike!) }]);
    await insert(
      client,
      'bag',
      bags.map((bag) => ({ ...mine, ...rowOf(bag) })),
    );
    await insert(
      client,
      'thing',
      kit.map((thing) => ({ ...mine, ...rowOf(thing) })),
    );
    for (const [k, { trip, rider, things, bags: own, load }] of trips.entries()) {
      const at = { ...mine, trip_id: `trip-${k}` };
      await insert(client, 'trip', [
        {
          ...mine,
          id: `trip-${k}`,
          ...rowOf(trip),
          ...Object.fromEntries(
            Object.entries(rowOf(rider)).map(([field, value]) => [`rider_${field}`, value]),
          ),
          ...{ bike_id: 'bike', revision: 3, wishes: [], fellows: [] },
        },
      ]);
      await insert(
        client,
        'trip_bag',
        own.map(({ id }, position) => ({ ...at, bag_id: id, position })),
      );
      await insert(
        client,
        'trip_thing',
        things.map(({ id }, position) => ({ ...at, thing_id: id, position })),
      );
      await insert(
        client,
        'load_entry',
        load.map(({ thingId, to, pinned }) => ({
          ...{ ...at, thing_id: thingId, pinned },
          compartment_id: to === 'home' ? null : to.compartmentId,
        })),
      );
    }
  }

  test('fifty trips that share things, bags and a bike are judged as before', async () => {
    const { own, goOn, done } = await databaseBefore('0008');
    try {
      await insertOld(own);
      await goOn();
      for (const [k, before] of trips.entries()) {
        const { plan } = (await readPlan(own, 'rider', `trip-${k}`))!;
        expect(plan).toEqual(before);
        if (k % 5 === 0) expect(report(plan)).toEqual(report(before));
      }
    } finally {
      await done();
    }
  });

  test('a decision on one trip is none on another, and what is owned is the same on both', async () => {
    const { own, goOn, done } = await databaseBefore('0008');
    try {
      await insertOld(own);
      await goOn();
      const read = async (k: number) => (await readPlan(own, 'rider', `trip-${k}`))!.plan;
      const [a, b] = [await read(0), await read(1)];
      const shared = a.things.find(({ id }) => b.things.some((thing) => thing.id === id))!;
      const now = await transaction(own, async (client) => {
        const things = a.things.map((thing) =>
          thing.id === shared.id ? { ...thing, quantity: 9, need: 'nice' as const, massG: 4321 } : thing,
        );
        await updatePlan(client, 'rider', 'trip-0', a, { ...a, things });
        return (await readPlan(client, 'rider', 'trip-1'))!;
      });
      const there = now.plan.things.find(({ id }) => id === shared.id)!;
      expect(there).toEqual({ ...b.things.find(({ id }) => id === shared.id)!, massG: 4321 });
      expect(now.revision).toBe(4);
    } finally {
      await done();
    }
  });

  test('broken off half-way it leaves all as it was, and can be done again', async () => {
    const { own, goOn, done } = await databaseBefore('0008');
    try {
      await insertOld(own);
      // A value that the new columns do not take ends the migration in its middle.
      await own.query(`alter table thing alter column need drop not null`);
      await own.query(`update thing set need = null where id = 'thing-3'`);
      await expect(goOn()).rejects.toThrow(/null/);
      const { rows } = await own.query<{ quantity: number }>(
        `select quantity from thing where id = 'thing-4'`,
      );
      expect(rows).toEqual([{ quantity: 2 }]);
      await own.query(`update thing set need = 'should' where need is null`);
      await goOn();
      expect((await readPlan(own, 'rider', 'trip-0'))!.plan.things.map(({ id }) => id)).toEqual(
        trips[0]!.things.map(({ id }) => id),
      );
    } finally {
      await done();
    }
  });
});
