import { notFound } from 'next/navigation';
import type { ReactNode } from 'react';
import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { readDraft } from '@/db/history';
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
  const found = await readDraft(database(), account.id, tripId);
  if (!found) notFound();
  return (
    <PlanProvider tripId={tripId} initial={found} units={account.units}>
      <LoaderProvider>
        <SelectionProvider>
          <TripShell>{children}</TripShell>
        </SelectionProvider>
      </LoaderProvider>
    </PlanProvider>
  );
}
