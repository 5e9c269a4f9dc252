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
import { evaluateAt, type Evaluation } from '@/core/evaluation/evaluate';
import { momentsOf } from '@/core/facts/moments';
import { UnitsContext } from '@/ui/plan/units';
import { formatterFor, type Formatter } from '@/core/units/format';
import type { UnitSystem } from '@/core/units/parse';
import { enterPhone, type Phone } from '@/ui/phone/phone';
import { afterPaint } from './afterPaint';
import { keptForTab } from './keptForTab';
import { PlanStore, type PlanShown, type SavedPlan, type Saving } from './planStore';

interface Value {
  store: PlanStore;
  units: UnitSystem;
  format: Formatter;
  setUnits(units: UnitSystem): void;
  /** The moment of the trip that is shown; null for setting out. */
  momentId: string | null;
  setMomentId(id: string | null): void;
  /** Calls back when something was recorded of the trip, on whichever phone; gives what ends that. */
  whenRecorded(listener: () => void): () => void;
  /** What this browser keeps of the account; rejects where storage is denied. */
  openPhone(): Promise<Phone>;
}

const PlanContext = createContext<Value | null>(null);

/** Holds one trip's plan for every stage below it. */
export function PlanProvider(props: {
  accountId: string;
  tripId: string;
  initial: SavedPlan;
  units: UnitSystem;
  children: ReactNode;
}) {
  const [units, setUnits] = useState(props.units);
  const [momentId, setMomentId] = useState<string | null>(null);
  const [recorders] = useState(() => new Set<() => void>());
  const whenRecorded = useCallback(
    (listener: () => void) => {
      recorders.add(listener);
      return () => void recorders.delete(listener);
    },
    [recorders],
  );
  const [openPhone] = useState(() => once(() => enterPhone(props.accountId)));
  const [kept] = useState(() => keptForTab(props.accountId, props.tripId));
  const [store] = useState(
    () =>
      new PlanStore(props.tripId, props.initial, props.units, {
        // Sent when what was pressed is on the screen: to ask for it takes the browser a moment too.
        fetch: async (url, init) => {
          await new Promise<void>((painted) => afterPaint(painted));
          return fetch(url, init);
        },
        later: (run, ms) => {
          const timer = setTimeout(run, ms);
          return () => clearTimeout(timer);
        },
        keep: kept,
        makeId: () => crypto.randomUUID(),
      }),
  );

  useEffect(() => {
    store.start();
    // Where storage is denied there is nothing to take over.
    kept.adopt().then(
      (adopted) => adopted && store.start(),
      () => undefined,
    );
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
  }, [store, recorders, kept]);
  useKeptTrip(store, units, openPhone);

  const changeUnits = (next: UnitSystem) => {
    setUnits(next);
    store.setUnits(next);
    // Only how figures are shown; should it not reach the server, the next choice does.
    // It is delivered even if the page is left at once.
    void fetch('/api/account', {
      method: 'PUT',
      keepalive: true,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ units: next }),
    }).catch(() => undefined);
  };

  return (
    <PlanContext
      value={{
        store,
        units,
        format: formatterFor(units),
        setUnits: changeUnits,
        momentId,
        setMomentId,
        whenRecorded,
        openPhone,
      }}
    >
      <UnitsContext value={units}>{props.children}</UnitsContext>
    </PlanContext>
  );
}

/** Calls `make` when first asked, and again only after it failed. */
function once<T>(make: () => Promise<T>): () => Promise<T> {
  let made: Promise<T> | null = null;
  return () => {
    made ??= make().catch((error) => {
      made = null;
      throw error;
    });
    return made;
  };
}

const KEEP_AFTER_MS = 1000;

/** Keeps the trip on this phone as it was last saved, so that it opens without a network. */
function useKeptTrip(store: PlanStore, units: UnitSystem, openPhone: () => Promise<Phone>): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let kept = -1;
    const keep = () => {
      const saved = store.getSaved();
      if (saved.revision === kept) return;
      kept = saved.revision;
      openPhone()
        .then((phone) => phone.keepTrip({ tripId: store.tripId, units, ...saved, keptAt: Date.now() }))
        // Without room the trip needs a network, as it did before.
        .catch(() => undefined);
    };
    const soon = () => {
      clearTimeout(timer);
      timer = setTimeout(keep, KEEP_AFTER_MS);
    };
    soon();
    const unheard = store.subscribe(soon);
    document.addEventListener('visibilitychange', keep);
    return () => {
      clearTimeout(timer);
      unheard();
      document.removeEventListener('visibilitychange', keep);
    };
  }, [store, units, openPhone]);
}

export function usePlanContext(): Value {
  const value = useContext(PlanContext);
  if (!value) throw new Error('usePlan is used outside a PlanProvider.');
  return value;
}

/** The plan, its evaluation, and what can be done with it. */
export function usePlan(): PlanShown & Value & { atStart: Evaluation } {
  const value = usePlanContext();
  const shown = useSyncExternalStore(value.store.subscribe, value.store.getShown, value.store.getShown);
  const { momentId, format } = value;
  const atStart = shown.evaluation;
  if (momentId === null) return { ...shown, ...value, atStart };
  return {
    ...shown,
    ...value,
    atStart,
    evaluation: shownAt(shown.evaluation, momentId, format),
    before: shown.before && shownAt(shown.before, momentId, format),
  };
}

const atMoments = new WeakMap<Evaluation, Map<string, Evaluation>>();

/** An evaluation at a moment, found once for all that show it; setting out where the trip has no such moment. */
function shownAt(of: Evaluation, momentId: string, format: Formatter): Evaluation {
  let byId = atMoments.get(of);
  if (!byId) atMoments.set(of, (byId = new Map()));
  let at = byId.get(momentId);
  if (!at) {
    const moment = momentsOf(of).find(({ id }) => id === momentId);
    byId.set(momentId, (at = moment ? evaluateAt(of, moment, format) : of));
  }
  return at;
}

/** Where the plan stands with the server. */
export function useSaving(): Saving {
  const { subscribe, getSaving } = usePlanContext().store;
  return useSyncExternalStore(subscribe, getSaving, getSaving);
}
