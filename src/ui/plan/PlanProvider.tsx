'use client';

import {
  createContext,
  useCallback,
  useContext,
  useEffect,
  useState,
  useSyncExternalStore,
  type ReactNode,
} from 'react';
import type { Draft } from '@/core/plan/history';
import { formatterFor, type Formatter } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/parse';
import { afterPaint } from './afterPaint';
import { PlanStore, type PlanShown, type Saving } from './planStore';

interface Value {
  store: PlanStore;
  units: UnitSystem;
  format: Formatter;
  setUnits(units: UnitSystem): void;
  /** Calls back when something was recorded of the trip, on whichever phone; gives what ends that. */
  whenRecorded(listener: () => void): () => void;
}

const PlanContext = createContext<Value | null>(null);

/** Holds one trip's plan for every stage below it. */
export function PlanProvider(props: {
  tripId: string;
  initial: { draft: Draft; revision: number };
  units: UnitSystem;
  children: ReactNode;
}) {
  const [units, setUnits] = useState(props.units);
  const [recorders] = useState(() => new Set<() => void>());
  const whenRecorded = useCallback(
    (listener: () => void) => {
      recorders.add(listener);
      return () => void recorders.delete(listener);
    },
    [recorders],
  );
  const [store] = useState(() => {
    const key = `gorvin:unsaved:${props.tripId}`;
    return new PlanStore(props.tripId, props.initial, props.units, {
      // Sent when what was pressed is on the screen: to ask for it takes the browser a moment too.
      fetch: async (url, init) => {
        await new Promise<void>((painted) => afterPaint(painted));
        return fetch(url, init);
      },
      later: (run, ms) => {
        const timer = setTimeout(run, ms);
        return () => clearTimeout(timer);
      },
      // Of this tab alone: two tabs that are both offline must not take over each other's changes.
      keep: {
        get: () => sessionStorage.getItem(key),
        set: (text) => (text === null ? sessionStorage.removeItem(key) : sessionStorage.setItem(key, text)),
      },
      makeId: () => crypto.randomUUID(),
    });
  });

  useEffect(() => {
    store.start();
    const online = () => void store.flush();
    const leaving = (event: BeforeUnloadEvent) => {
      if (store.getSaving().unsaved > 0) event.preventDefault();
    };
    // Only while it is looked at: a browser keeps few connections to one server, and each tab would hold one.
    let events: EventSource | null = null;
    const listen = () => {
      if (document.visibilityState === 'hidden') {
        events?.close();
        events = null;
      } else if (!events) {
        events = new EventSource(`/api/trips/${store.tripId}/events`);
        events.onmessage = ({ data }: MessageEvent<string>) => {
          if (data === 'entries') for (const listener of recorders) listener();
          else store.hear(data === 'gone' ? data : Number(data));
        };
      }
    };
    listen();
    document.addEventListener('visibilitychange', listen);
    window.addEventListener('online', online);
    window.addEventListener('beforeunload', leaving);
    return () => {
      store.stop();
      events?.close();
      document.removeEventListener('visibilitychange', listen);
      window.removeEventListener('online', online);
      window.removeEventListener('beforeunload', leaving);
    };
  }, [store, recorders]);

  const changeUnits = (next: UnitSystem) => {
    setUnits(next);
    store.setUnits(next);
    // Only how figures are shown; should it not reach the server, the next choice does.
    void fetch('/api/account', {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ units: next }),
    }).catch(() => undefined);
  };

  return (
    <PlanContext value={{ store, units, format: formatterFor(units), setUnits: changeUnits, whenRecorded }}>
      {props.children}
    </PlanContext>
  );
}

export function usePlanContext(): Value {
  const value = useContext(PlanContext);
  if (!value) throw new Error('usePlan is used outside a PlanProvider.');
  return value;
}

/** The plan, its evaluation, and what can be done with it. */
export function usePlan(): PlanShown & Value {
  const value = usePlanContext();
  const shown = useSyncExternalStore(value.store.subscribe, value.store.getShown, value.store.getShown);
  return { ...shown, ...value };
}

/** Where the plan stands with the server. */
export function useSaving(): Saving {
  const { subscribe, getSaving } = usePlanContext().store;
  return useSyncExternalStore(subscribe, getSaving, getSaving);
}
