import { readFileSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { withLaterTraits } from '@/core/kit/guess';
import { sampleThing } from '@/core/plan/samples';
import { emptyPlan } from '@/core/plan/plan';
import { insertPlan } from '@/db/plans';
import { newAccount, pool } from './database';

afterAll(() => pool.end());

test('things get the later traits by their names, in the database as in a file that is read', async () => {
  const names = [
    ...['Camp shoes', 'Horseshoe nail', 'Drone', 'Action camera', 'Sun glasses', 'Hydration bladder'],
    ...['Spirit stove fuel', 'Alcohol wipes', 'Gas canister'],
  ];
  const account = await newAccount();
  const fuel = new Set(['Spirit stove fuel', 'Gas canister']);
  const things = names.map((name, i) =>
    sampleThing(`thing-${i}`, { name, traits: fuel.has(name) ? ['fuel'] : [] }),
  );
  const [up] = readFileSync('src/db/migrations/0007_more_traits.sql', 'utf8').split('-- Down Migration');
  const client = await pool.connect();
  try {
    // Never committed: it would change other tests' things too.
    await client.query('begin');
    await insertPlan(client, account, randomUUID(), { ...emptyPlan('Before'), things });
    await client.query(up!);
    const { rows } = await client.query<{ name: string; traits: string[] }>(
      'select name, traits from thing where account_id = $1',
      [account],
    );
    const found = new Map(rows.map(({ name, traits }) => [name, traits]));
    for (const { name, traits } of things)
      expect([name, found.get(name)]).toEqual([name, withLaterTraits(name, traits)]);
    expect(found.get('Camp shoes')).toEqual(['dirty']);
    expect(found.get('Spirit stove fuel')).toEqual(['liquid fuel']);
    expect(found.get('Alcohol wipes')).toEqual([]);
    expect(found.get('Action camera')).toEqual([]);
  } finally {
    await client.query('rollback');
    client.release();
  }
});
