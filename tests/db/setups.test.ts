import { randomUUID } from 'node:crypto';
import { DEMO_SETUPS } from '@/core/demo/bikes';
import { demoPlan } from '@/core/demo/plan';
import { editSchema } from '@/core/plan/edit';
import { withFreshIds } from '@/core/plan/plan';
import type { Setup } from '@/core/commands/putOnTrip';
import { withSetup } from '@/core/evaluation/compare';
import { readDraft, saveChange } from '@/db/history';
import { insertPlan, readPlan } from '@/db/plans';
import { countSetups, deleteSetup, listSetups, saveSetup } from '@/db/setups';
import { listUnused } from '@/db/inventory';
import { deleteTrip } from '@/db/trips';
import { newAccount as account, pool } from './database';

/** A demo set-up under ids of its own. */
function fresh(n: number): Setup {
  const plan = withFreshIds(withSetup(demoPlan(), DEMO_SETUPS[n]!), randomUUID);
  return { id: randomUUID(), name: DEMO_SETUPS[n]!.name, bike: plan.bike!, bags: plan.bags };
}

test('a set-up comes back as it was kept: tape, build, mounts, readings, bags in order', async () => {
  const own = await account();
  const kept = DEMO_SETUPS.map((_, n) => fresh(n));
  kept[0]!.bike.readings = { aloneFrontG: 6000, aloneRearG: 7400, riderFrontG: null, riderRearG: null };
  for (const setup of kept) await saveSetup(pool, own, setup);
  const found = await listSetups(pool, own);
  expect(found).toEqual([...kept].sort((a, b) => (a.name < b.name ? -1 : 1)));
  expect(await countSetups(pool, own)).toBe(5);
});

test('another account neither sees nor takes away a set-up', async () => {
  const [own, other] = [await account(), await account()];
  const setup = fresh(1);
  await saveSetup(pool, own, setup);
  expect(await listSetups(pool, other)).toEqual([]);
  expect(await deleteSetup(pool, other, setup.id)).toBe(false);
  expect(await listSetups(pool, own)).toHaveLength(1);
});

test('bags and bikes are owned once: a change on a trip shows in the set-up, and each outlives the other', async () => {
  const own = await account();
  const tripId = randomUUID();
  const plan = withFreshIds(demoPlan(), randomUUID);
  await insertPlan(pool, own, tripId, plan);
  const setup: Setup = { id: randomUUID(), name: 'All', bike: plan.bike!, bags: plan.bags };
  await saveSetup(pool, own, setup);

  const moved = { ...plan.bags[0]!, alongMm: 35 };
  const change = (edit: unknown) => ({ id: randomUUID(), op: 'edit' as const, edit: editSchema.parse(edit) });
  await saveChange(pool, own, tripId, 0, change({ kind: 'put bags', bags: [moved] }));
  expect((await listSetups(pool, own))[0]!.bags[0]!.alongMm).toBe(35);

  // Taken off the trip it stays in the set-up; the trip deleted, the whole set-up stays.
  await saveChange(pool, own, tripId, 1, change({ kind: 'remove bags', ids: [moved.id] }));
  expect((await listSetups(pool, own))[0]!.bags).toHaveLength(11);
  await deleteTrip(pool, own, tripId);
  expect((await listSetups(pool, own))[0]).toMatchObject({ bike: plan.bike, bags: { length: 11 } });
  await deleteSetup(pool, own, setup.id);
  // The set-up forgotten too, bike and bags are still owned.
  const unused = (await listUnused(pool, own)).filter(({ kind }) => kind !== 'thing');
  expect(unused).toHaveLength(11 + 1);
});

test('a set-up used on a trip, undone and redone, gives each state back exactly', async () => {
  const own = await account();
  const tripId = randomUUID();
  const plan = withFreshIds(demoPlan(), randomUUID);
  await insertPlan(pool, own, tripId, plan);
  const { bike, bags } = fresh(4);
  const edit = editSchema.parse({
    kind: 'several',
    label: 'Set-up: Road',
    edits: [
      { kind: 'set bike', bike },
      { kind: 'remove bags', ids: plan.bags.map(({ id }) => id) },
      { kind: 'put bags', bags },
    ],
  });
  await saveChange(pool, own, tripId, 0, { id: randomUUID(), op: 'edit', edit });
  const used = (await readPlan(pool, own, tripId))!.plan;
  expect(used).toMatchObject({ bike, bags });
  await saveChange(pool, own, tripId, 1, { id: randomUUID(), op: 'undo' });
  expect((await readPlan(pool, own, tripId))!.plan).toEqual(plan);
  await saveChange(pool, own, tripId, 2, { id: randomUUID(), op: 'redo' });
  expect((await readPlan(pool, own, tripId))!.plan).toEqual(used);
});

test('rows and steps from before the newer fields are read with their defaults', async () => {
  const own = await account();
  const tripId = randomUUID();
  const plan = withFreshIds(demoPlan(), randomUUID);
  await insertPlan(pool, own, tripId, plan);
  const edit = editSchema.parse({ kind: 'put bags', bags: [{ ...plan.bags[0]!, name: 'Renamed' }] });
  await saveChange(pool, own, tripId, 0, { id: randomUUID(), op: 'edit', edit });
  await pool.query(`update bike set build = '{}' where account_id = $1`, [own]);
  await pool.query(
    `update bag set compartments = (select jsonb_agg(c - 'outside') from jsonb_array_elements(compartments) c) where account_id = $1`,
    [own],
  );
  await pool.query(
    // As it was kept before changes held only the fields that changed.
    `update plan_step set inverse = jsonb_build_object('kind', 'put bags', 'bags', jsonb_build_array($2::jsonb - 'alongMm' - 'closure')) where account_id = $1`,
    [own, JSON.stringify(plan.bags[0])],
  );
  const { draft } = (await readDraft(pool, own, tripId))!;
  expect(draft.plan.bike!.build.bar).toBe('flat');
  expect(draft.plan.bags[0]!.compartments[0]!.outside).toBe('no');
  expect(draft.done[0]!.inverse).toMatchObject({ bags: [{ alongMm: 0, closure: 'roll-top' }] });
});
