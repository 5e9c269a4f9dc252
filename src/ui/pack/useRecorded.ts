'use client';

import { useEffect, useState, useSyncExternalStore } from 'react';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import { EntryStore, type Recorded } from './entryStore';

/** What is recorded of a trip on this phone, and the store that records more. */
export function useRecorded(tripId: string): { entries: EntryStore; recorded: Recorded } {
  const { whenRecorded, openPhone } = usePlanContext();
  const [entries] = useState(
    () =>
      new EntryStore(tripId, {
        fetch: (url, init) => fetch(url, init),
        later: (run, ms) => {
          const timer = setTimeout(run, ms);
          return () => clearTimeout(timer);
        },
        keep: {
          read: async () => (await openPhone()).readEntries(tripId),
          write: async (kept) => (await openPhone()).keepEntries(tripId, kept),
        },
        makeId: () => crypto.randomUUID(),
        now: () => new Date(),
      }),
  );
  useEffect(() => {
    void entries.start();
    const unheard = whenRecorded(() => void entries.flush());
    const online = () => void entries.flush();
    // Another phone may have ticked something off while this one was in the pocket.
    const looked = () => document.visibilityState === 'visible' && void entries.flush();
    window.addEventListener('online', online);
    document.addEventListener('visibilitychange', looked);
    return () => {
      entries.stop();
      unheard();
      window.removeEventListener('online', online);
      document.removeEventListener('visibilitychange', looked);
    };
  }, [entries, whenRecorded]);
  const recorded = useSyncExternalStore(entries.subscribe, entries.getRecorded, entries.getRecorded);
  return { entries, recorded };
}
