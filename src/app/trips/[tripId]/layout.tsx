import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { requireAccount } from '@/app/server/session';
import { openTrip } from '@/app/server/trip';
import { LoaderProvider } from '@/ui/load/LoaderProvider';
import { PlanProvider } from '@/ui/plan/PlanProvider';
import { SelectionProvider } from '@/ui/shared/SelectionProvider';
import { TripShell } from '@/ui/shell/TripShell';

interface Props {
  children: ReactNode;
  params: Promise<{ tripId: string }>;
}

export default async function TripLayout({ children, params }: Props) {
  const account = await requireAccount();
  const { tripId } = await params;
  const found = await openTrip(account.id, tripId);
  if (!found) notFound();
  return (
    <PlanProvider accountId={account.id} tripId={tripId} initial={found} units={account.units}>
      <LoaderProvider>
        <SelectionProvider>
          <TripShell>{children}</TripShell>
        </SelectionProvider>
      </LoaderProvider>
    </PlanProvider>
  );
}
