'use client';

import { proxy, wrap } from 'comlink';
import { createContext, useContext, useEffect, useRef, useState, type ReactNode } from 'react';
import { cannotLoad, type LoadProposal } from '@/core/load/loader';
import { usePlanContext } from '@/ui/plan/PlanProvider';
import type { LoadWorker } from '@/workers/load.worker';

export type LoaderState =
  | { kind: 'idle' }
  | { kind: 'working'; done: number }
  | { kind: 'done'; proposal: LoadProposal }
  | { kind: 'failed'; reason: string };

interface Value {
  state: LoaderState;
  run(): void;
  cancel(): void;
  dismiss(): void;
}

const LoaderContext = createContext<Value | null>(null);

/** Runs the loader in a web worker and puts its load on the plan as one step that can be undone. */
export function LoaderProvider({ children }: { children: ReactNode }) {
  const { store } = usePlanContext();
  const [state, setState] = useState<LoaderState>({ kind: 'idle' });
  const worker = useRef<Worker | null>(null);

  const end = () => {
    worker.current?.terminate();
    worker.current = null;
  };
  useEffect(() => end, []);

  const run = () => {
    end();
    const { plan } = store.getView().draft;
    const obstacle = cannotLoad(plan);
    if (obstacle) return setState({ kind: 'failed', reason: obstacle });
    const own = new Worker(new URL('../../workers/load.worker.ts', import.meta.url), { type: 'module' });
    worker.current = own;
    setState({ kind: 'working', done: 0 });
    const fail = () => {
      if (worker.current !== own) return;
      end();
      setState({
        kind: 'failed',
        reason: 'The loader stopped unexpectedly. Your load is as it was. Run it again.',
      });
    };
    own.onerror = fail;
    const progress = proxy(({ done }: { done: number }) => {
      if (worker.current === own) setState({ kind: 'working', done });
    });
    wrap<LoadWorker>(own)
      .load(plan, { seed: 1 }, progress)
      .then((proposal) => {
        if (worker.current !== own) return;
        end();
        // The rider went on meanwhile: what was found belongs to a plan that is no more, so look again.
        if (store.getView().draft.plan !== plan) return run();
        if (proposal.moved > 0) store.edit(proposal.edit);
        setState({ kind: 'done', proposal });
      }, fail);
  };

  const value: Value = {
    state,
    run,
    cancel: () => {
      end();
      setState({ kind: 'idle' });
    },
    dismiss: () => setState({ kind: 'idle' }),
  };
  return <LoaderContext value={value}>{children}</LoaderContext>;
}

export function useLoader(): Value {
  const value = useContext(LoaderContext);
  if (!value) throw new Error('useLoader is used outside a LoaderProvider.');
  return value;
}
