'use client';

import { proxy, wrap, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { cannotLoad } from '@/core/load/cannotLoad';
import type { LoaderProgress, LoadProposal } from '@/core/load/loader';
import type { SmallestChange } from '@/core/load/smallestChange';
import type { LoadEntry, Plan } from '@/core/plan/plan';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import type { LoadWorker } from '@/workers/load.worker';

export type LoaderState =
  | { kind: 'idle' }
  | { kind: 'working'; progress: LoaderProgress | null; longer: boolean }
  | { kind: 'done'; proposal: LoadProposal }
  | { kind: 'failed'; reason: string };

/** What would let everything in: not asked, being tried, or found. */
export type ChangesState =
  { kind: 'idle' } | { kind: 'working'; done: number } | { kind: 'done'; found: SmallestChange };

interface Value {
  state: LoaderState;
  changes: ChangesState;
  /** The load kept to compare with, and where it came from. */
  kept: { load: readonly LoadEntry[]; name: string } | null;
  /** Has the loader warm for what the rider will ask on the board. */
  ready(): void;
  /** `longer` looks ten times as long, on from the load as it is. */
  run(longer?: boolean): void;
  /** Ends the search with the best it has. */
  take(): void;
  cancel(): void;
  dismiss(): void;
  findChanges(): void;
  keep(load: readonly LoadEntry[], name: string): void;
  forget(): void;
}

const LoaderContext = createContext<Value | null>(null);

/** A search that says nothing for so long has died; it is begun again once. */
const SILENT_MS = 20_000;

/**
 * Runs the loader in a web worker and puts its load on the plan as one step that can be undone. An edit meanwhile is
 * taken at once, and the search begins again behind it.
 */
export function LoaderProvider({ children }: { children: ReactNode }) {
  const { store } = usePlanContext();
  const [state, setState] = useState<LoaderState>({ kind: 'idle' });
  const [changes, setChanges] = useState<ChangesState>({ kind: 'idle' });
  const [kept, setKept] = useState<Value['kept']>(null);
  /** One worker for all searches, from the first on: it keeps what it has compiled and what it knows of the kit. */
  const worker = useRef<{ own: Worker; remote: Remote<LoadWorker> } | null>(null);
  const job = useRef<{ plan: Plan; onFail: () => void } | null>(null);
  const watch = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);

  const theWorker = () => {
    if (worker.current) return worker.current.remote;
    const own = new Worker(new URL('../../workers/load.worker.ts', import.meta.url), { type: 'module' });
    worker.current = { own, remote: wrap<LoadWorker>(own) };
    own.onerror = () => {
      if (worker.current?.own !== own) return;
      dismissWorker();
      job.current?.onFail();
    };
    return worker.current.remote;
  };
  const dismissWorker = () => {
    worker.current?.own.terminate();
    worker.current = null;
  };
  /** Nothing is under way any more. */
  const end = () => {
    clearTimeout(watch.current);
    if (job.current) void worker.current?.remote.rest();
    job.current = null;
  };
  useEffect(
    () => () => {
      clearTimeout(watch.current);
      dismissWorker();
    },
    [],
  );

  const begin = (plan: Plan, onFail: () => void) => {
    end();
    const own = { plan, onFail };
    job.current = own;
    const isCurrent = () => job.current === own;
    const alive = () => {
      clearTimeout(watch.current);
      watch.current = setTimeout(() => {
        if (!isCurrent()) return;
        dismissWorker();
        onFail();
      }, SILENT_MS);
    };
    alive();
    return { remote: theWorker(), isCurrent, alive };
  };

  const search = (longer: boolean, again: boolean) => {
    const { plan } = store.getView().draft;
    const obstacle = cannotLoad(plan);
    if (obstacle) {
      end();
      return setState({ kind: 'failed', reason: obstacle });
    }
    setChanges({ kind: 'idle' });
    setState({ kind: 'working', progress: null, longer });
    const fail = () => {
      end();
      if (!again) return search(longer, true);
      setState({
        kind: 'failed',
        reason: 'The loader stopped unexpectedly, twice. Your load is as it was. Run it again.',
      });
    };
    const { remote, isCurrent, alive } = begin(plan, fail);
    const onProgress = proxy((progress: LoaderProgress) => {
      if (!isCurrent()) return;
      alive();
      setState({ kind: 'working', progress, longer });
    });
    remote.load(plan, { seed: 1, effort: longer ? 10 : 1 }, onProgress).then(
      (proposal) => {
        if (!isCurrent() || !proposal) return;
        end();
        if (proposal.moved > 0 && store.edit(proposal.edit))
          setKept({ load: plan.load, name: 'before loading' });
        setState({ kind: 'done', proposal });
      },
      () => isCurrent() && fail(),
    );
  };

  // What the rider changes meanwhile makes another problem: the search begins again behind it.
  useEffect(() =>
    store.subscribe(() => {
      if (state.kind === 'working' && job.current && store.getView().draft.plan !== job.current.plan)
        search(state.longer, false);
    }),
  );

  const value: Value = {
    state,
    changes,
    kept,
    ready: () => {
      const { plan } = store.getView().draft;
      if (!worker.current && !cannotLoad(plan)) theWorker().warm(plan).catch(dismissWorker);
    },
    run: (longer = false) => search(longer, false),
    take: () => void worker.current?.remote.stop(),
    cancel: () => {
      end();
      setState({ kind: 'idle' });
      setChanges({ kind: 'idle' });
    },
    dismiss: () => {
      end();
      setState({ kind: 'idle' });
      setChanges({ kind: 'idle' });
    },
    findChanges: () => {
      const { plan } = store.getView().draft;
      setChanges({ kind: 'working', done: 0 });
      const fail = () => {
        end();
        setChanges({ kind: 'idle' });
      };
      const { remote, isCurrent, alive } = begin(plan, fail);
      const onProgress = proxy((done: number) => {
        if (!isCurrent()) return;
        alive();
        setChanges({ kind: 'working', done });
      });
      remote.smallestChange(plan, onProgress).then(
        (found) => {
          if (!isCurrent() || !found) return;
          end();
          setChanges({ kind: 'done', found });
        },
        () => isCurrent() && fail(),
      );
    },
    keep: (load, name) => setKept({ load, name }),
    forget: () => setKept(null),
  };
  return <LoaderContext value={value}>{children}</LoaderContext>;
}

export function useLoader(): Value {
  const value = useContext(LoaderContext);
  if (!value) throw new Error('useLoader is used outside a LoaderProvider.');
  return value;
}
