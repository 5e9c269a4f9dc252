import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { listUnused } from '@/db/inventory';
import { listTrips } from '@/db/trips';
import { TripList } from '@/ui/home/TripList';

export const metadata = { title: 'Trips' };

export default async function TripsPage() {
  const account = await requireAccount();
  return (
    <TripList
      trips={await listTrips(database(), account.id)}
      unused={await listUnused(database(), account.id)}
      units={account.units}
    />
  );
}
