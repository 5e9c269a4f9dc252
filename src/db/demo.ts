import { demoPlan } from '@/core/demo/plan';
import { DEMO_ACCOUNT_ID, emptyAccount, ensureDemoAccount } from './accounts';
import { insertPlan } from './plans';
import { transaction, type Pool } from './pool';

export const DEMO_TRIP_ID = 'plateau-and-river-loop';

/** Loads the demo scenario if the demo account does not exist yet. Says whether it did. */
export const seedDemo = (pool: Pool): Promise<boolean> =>
  transaction(pool, async (client) => {
    const { rowCount } = await client.query('select from account where id = $1', [DEMO_ACCOUNT_ID]);
    if (rowCount) return false;
    const accountId = await ensureDemoAccount(client);
    await insertPlan(client, accountId, DEMO_TRIP_ID, demoPlan());
    return true;
  });

/** Puts the demo account back as it was at first, whatever was done to it. */
export const resetDemo = (pool: Pool): Promise<void> =>
  transaction(pool, async (client) => {
    const accountId = await ensureDemoAccount(client);
    await emptyAccount(client, accountId);
    await insertPlan(client, accountId, DEMO_TRIP_ID, demoPlan());
  });
