import { planFileValue, type PlanFile } from '@/core/formats/planFile';
import type { Setup } from '@/core/commands/putOnTrip';
import type { Account } from './accounts';
import { readAllOwned } from './owned';
import { readPlan } from './plans';
import type { Client } from './pool';
import { listSetups } from './setups';
import { listTrips } from './trips';

/** All that an account has, as one value: each trip as the plan file it would be saved as, and all that is owned. */
export interface Exported {
  format: 'gorvin-account';
  version: 1;
  name: string;
  units: Account['units'];
  trips: PlanFile[];
  setups: Setup[];
  inventory: Awaited<ReturnType<typeof readAllOwned>>;
}

export async function exportAccount(client: Client, account: Account): Promise<Exported> {
  const trips: PlanFile[] = [];
  for (const { id } of await listTrips(client, account.id)) {
    const stored = await readPlan(client, account.id, id);
    if (stored) trips.push(planFileValue(stored.plan));
  }
  return {
    format: 'gorvin-account',
    version: 1,
    name: account.name,
    units: account.units,
    trips,
    setups: await listSetups(client, account.id),
    inventory: await readAllOwned(client, account.id),
  };
}
