import { DEMO_SETUPS } from '@/core/demo/bikes';
import { demoInventory } from '@/core/demo/inventory';
import { demoRidden } from '@/core/demo/ridden';
import { demoPlan } from '@/core/demo/plan';
import { DEMO_ACCOUNT_ID, emptyAccount, makeDemoAccount } from './accounts';
import { depart } from './departure';
import { addEntries } from './entries';
import { addThings } from './inventory';
import { insertPlan } from './plans';
import { transaction, type Client, type Pool } from './pool';
import { saveSetup } from './setups';

export const DEMO_TRIP_ID = 'plateau-and-river-loop';

/** The demo trip, two that were ridden before it, and the rider's other bikes with their bags. */
async function insertDemo(client: Client, accountId: string): Promise<void> {
  for (const { tripId, plan, entries } of demoRidden()) {
    await insertPlan(client, accountId, tripId, plan);
    await depart(client, accountId, tripId);
    await client.query(
      `update trip set departed_at = start_date + interval '8 hours' where account_id = $1 and id = $2`,
      [accountId, tripId],
    );
    await addEntries(client, accountId, tripId, entries);
  }
  await insertPlan(client, accountId, DEMO_TRIP_ID, demoPlan());
  await addThings(client, accountId, demoInventory());
  for (const setup of DEMO_SETUPS) await saveSetup(client, accountId, setup);
}

/** Loads the demo scenario if the demo account does not exist yet. Says whether it did. */
export const seedDemo = (pool: Pool): Promise<boolean> =>
  transaction(pool, async (client) => {
    if (!(await makeDemoAccount(client))) return false;
    await insertDemo(client, DEMO_ACCOUNT_ID);
    return true;
  });

/** Puts the demo account back as it was at first, whatever was done to it. */
export const resetDemo = (pool: Pool): Promise<void> =>
  transaction(pool, async (client) => {
    await makeDemoAccount(client);
    await client.query('select from account where id = $1 for update', [DEMO_ACCOUNT_ID]);
    await emptyAccount(client, DEMO_ACCOUNT_ID);
    await insertDemo(client, DEMO_ACCOUNT_ID);
  });
