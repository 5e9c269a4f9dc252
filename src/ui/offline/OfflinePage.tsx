'use client';

import dynamic from 'next/dynamic';
import { useEffect, useState, type ComponentType } from 'react';
import { LoaderProvider } from '@/ui/load/LoaderProvider';
import { accountOnPhone, Phone, type KeptTrip } from '@/ui/phone/phone';
import { PlanProvider } from '@/ui/plan/PlanProvider';
import { Empty } from '@/ui/shared/States';
import { SelectionProvider } from '@/ui/shared/SelectionProvider';
import { TripShell } from '@/ui/shell/TripShell';
import styles from './OfflinePage.module.css';

const STAGES: Record<string, ComponentType> = {
  trip: dynamic(() => import('@/ui/trip/TripStage').then((module) => module.TripStage), { ssr: false }),
  bike: dynamic(() => import('@/ui/bike/BikeStage').then((module) => module.BikeStage), { ssr: false }),
  kit: dynamic(() => import('@/ui/kit/KitStage').then((module) => module.KitStage), { ssr: false }),
  provisions: dynamic(
    () => import('@/ui/provisions/ProvisionsStage').then((module) => module.ProvisionsStage),
    { ssr: false },
  ),
  load: dynamic(() => import('@/ui/load/LoadStage').then((module) => module.LoadStage), { ssr: false }),
  pack: dynamic(() => import('@/ui/pack/PackStage').then((module) => module.PackStage), { ssr: false }),
  ride: dynamic(() => import('@/ui/ride/RideStage').then((module) => module.RideStage), { ssr: false }),
};

type Found =
  | { kind: 'trip'; accountId: string; trip: KeptTrip; Stage: ComponentType }
  | { kind: 'trips'; trips: KeptTrip[]; isMissing: boolean }
  | { kind: 'nobody' };

/** What is at this page's address, from what the phone keeps. */
async function find(path: string): Promise<Found> {
  const accountId = accountOnPhone();
  if (accountId === null) return { kind: 'nobody' };
  const phone = await Phone.open(accountId);
  const [, wanted, stage = 'load'] = /^\/trips\/([^/]+)(?:\/([^/]+))?/.exec(path) ?? [];
  const trip = wanted === undefined ? undefined : await phone.readTrip(decodeURIComponent(wanted));
  const trips = await phone.trips();
  phone.close();
  return trip
    ? { kind: 'trip', accountId, trip, Stage: STAGES[stage] ?? STAGES.load! }
    : { kind: 'trips', trips, isMissing: wanted !== undefined };
}

/**
 * What the service worker shows at any address of a trip where the server cannot be reached: the same stages, over the trip that the
 * phone keeps. What is done here goes to the server by itself when there is a network again.
 */
export function OfflinePage() {
  const [found, setFound] = useState<Found | null>(null);
  useEffect(() => {
    find(location.pathname).then(setFound, () => setFound({ kind: 'nobody' }));
  }, []);
  if (!found) return <p className={styles.page}>Opening what is on this phone…</p>;
  if (found.kind === 'trip') {
    const { accountId, trip, Stage } = found;
    return (
      <PlanProvider accountId={accountId} tripId={trip.tripId} initial={trip} units={trip.units}>
        <LoaderProvider>
          <SelectionProvider>
            <TripShell>
              <Stage />
            </TripShell>
          </SelectionProvider>
        </LoaderProvider>
      </PlanProvider>
    );
  }
  return (
    <main className={styles.page}>
      <h1>Gorvin</h1>
      {found.kind === 'trips' && found.trips.length > 0 ? (
        <>
          <p>
            The server cannot be reached.{' '}
            {found.isMissing ? 'This trip was never opened on this phone. ' : ''}These can be opened without
            it:
          </p>
          <ul className={styles.trips}>
            {found.trips.map(({ tripId, draft }) => (
              <li key={tripId}>
                {/* Not a Link: that would ask the server first. */}
                <a href={`/trips/${tripId}/pack`}>{draft.plan.trip.name}</a>
              </li>
            ))}
          </ul>
        </>
      ) : (
        <Empty title="The server cannot be reached" actions={<a href="/">Try again</a>}>
          {found.kind === 'trips'
            ? 'No trip was opened on this phone yet. A trip that was opened once can be opened without a network.'
            : 'Nobody is signed in on this phone, so nothing is kept on it.'}
        </Empty>
      )}
    </main>
  );
}
