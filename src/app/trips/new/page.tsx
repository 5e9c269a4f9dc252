import { requireAccount } from '@/app/server/session';
import { NewTrip } from '@/ui/home/NewTrip';

export const metadata = { title: 'New trip' };

export default async function NewTripPage() {
  const account = await requireAccount();
  return <NewTrip units={account.units} />;
}
