import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { reading } from '@/db/access';
import { listInventory } from '@/db/inventory';
import { InventoryPage } from '@/ui/inventory/InventoryPage';

export const metadata = { title: 'Inventory' };

export default async function InventoryRoute() {
  const account = await requireAccount();
  const initial = await reading(database(), account.id, (client) => listInventory(client, account.id));
  return (
    <InventoryPage initial={initial} units={account.units} today={new Date().toISOString().slice(0, 10)} />
  );
}
