'use client';

import { proxy, wrap } from 'comlink';
import { createContext, useContext, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import type { LoadWorker } from '@/workers/load.worker';
import { LoaderStore, type LoaderThread } from './loaderStore';

const LoaderContext = createContext<LoaderStore | null>(null);

/** One loader for all stages of a trip, in a web worker that is made when it is first wanted. */
export function LoaderProvider({ children }: { children: ReactNode }) {
  const { store } = usePlanContext();
  const [loader] = useState(() => new LoaderStore(store, { makeThread, later }));
  useEffect(() => loader.start(), [loader]);
  return <LoaderContext value={loader}>{children}</LoaderContext>;
}

/** The loader as it stands, and what can be asked of it. */
export function useLoader() {
  const loader = useContext(LoaderContext);
  if (!loader) throw new Error('useLoader is used outside a LoaderProvider.');
  const view = useSyncExternalStore(loader.subscribe, loader.getView, loader.getView);
  const { ready, run, take, cancel, findChanges, keep, forget } = loader;
  return { ...view, ready, run, take, cancel, findChanges, keep, forget };
}

function makeThread(onDeath: () => void): LoaderThread {
  const worker = new Worker(new URL('../../workers/load.worker.ts', import.meta.url), { type: 'module' });
  worker.onerror = onDeath;
  const remote = wrap<LoadWorker>(worker);
  return {
    load: (plan, options, onProgress) => remote.load(plan, options, proxy(onProgress)),
    smallestChange: (plan, onProgress) => remote.smallestChange(plan, proxy(onProgress)),
    warm: (plan) => remote.warm(plan),
    stop: () => remote.stop(),
    rest: () => remote.rest(),
    end: () => worker.terminate(),
  };
}

function later(run: () => void, ms: number): () => void {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
}
