import { planFileValue, type PlanFile } from '@/core/formats/planFile';
import type { Setup } from '@/core/commands/putOnTrip';
import type { Entry } from '@/core/entries/entry';
import type { Account } from './accounts';
import { readEntries } from './entries';
import { readAllOwned } from './owned';
import { readPlan } from './plans';
import type { Client } from './pool';
import { readRejected } from './ridden';
import { listSetups } from './setups';
import { listTrips } from './trips';

/** All that an account has, as one value: each trip as the plan file it would be saved as, and all that is owned. */
export interface Exported {
  format: 'gorvin-account';
  version: 1;
  name: string;
  units: Account['units'];
  trips: PlanFile[];
  /** What was recorded of each trip while packing, on the way and after it, in the order of `trips`. */
  records: Entry[][];
  setups: Setup[];
  /** What new plans do not take over or ask for. */
  rejected: string[];
  inventory: Awaited<ReturnType<typeof readAllOwned>>;
}

export async function exportAccount(client: Client, account: Account): Promise<Exported> {
  const trips: PlanFile[] = [];
  const records: Entry[][] = [];
  for (const { id } of await listTrips(client, account.id)) {
    const stored = await readPlan(client, account.id, id);
    if (!stored) continue;
    trips.push(planFileValue(stored.plan));
    records.push(await readEntries(client, account.id, id));
  }
  return {
    format: 'gorvin-account',
    version: 1,
    name: account.name,
    units: account.units,
    trips,
    records,
    setups: await listSetups(client, account.id),
    rejected: await readRejected(client, account.id),
    inventory: await readAllOwned(client, account.id),
  };
}
