'use client';

import { proxy, wrap } from 'comlink';
import { createContext, useContext, useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import type { LoadWorker } from '@/workers/load.worker';
import { LoaderStore, type LoaderThread, type LoaderView } from './loaderStore';
import { sideBySide } from './sideBySide';

const LoaderContext = createContext<LoaderStore | null>(null);

/** One loader for all stages of a trip, in web workers that are made when they are first wanted. */
export function LoaderProvider({ children }: { children: ReactNode }) {
  const { store } = usePlanContext();
  const [loader] = useState(() => new LoaderStore(store, { makeThread: makeThreads, later }));
  useEffect(() => loader.start(), [loader]);
  return <LoaderContext value={loader}>{children}</LoaderContext>;
}

/** What can be asked of the loader. Does not draw anew when it tells something, which it does fifty times a second. */
export function useLoader(): LoaderStore {
  const loader = useContext(LoaderContext);
  if (!loader) throw new Error('useLoader is used outside a LoaderProvider.');
  return loader;
}

/** How the loader stands, drawn anew whenever that changes. */
export function useLoaderView(): LoaderView {
  const loader = useLoader();
  return useSyncExternalStore(loader.subscribe, loader.getView, loader.getView);
}

/** Two, as a search has seeds; where only one core is free they take turns. */
const makeThreads = (onDeath: () => void): LoaderThread =>
  sideBySide([makeThread(onDeath), makeThread(onDeath)]);

function makeThread(onDeath: () => void): LoaderThread {
  const worker = new Worker(new URL('../../workers/load.worker.ts', import.meta.url), { type: 'module' });
  worker.onerror = onDeath;
  const remote = wrap<LoadWorker>(worker);
  return {
    load: (plan, options, onProgress) => remote.load(plan, options, proxy(onProgress)),
    smallestChange: (plan, onProgress) => remote.smallestChange(plan, proxy(onProgress)),
    lookAhead: (plan, options) => remote.lookAhead(plan, options),
    stop: () => remote.stop(),
    rest: () => remote.rest(),
    end: () => worker.terminate(),
  };
}

function later(run: () => void, ms: number): () => void {
  const timer = setTimeout(run, ms);
  return () => clearTimeout(timer);
}
