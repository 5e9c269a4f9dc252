import { expose } from 'comlink';
import { loader, type LoaderProgress, type LoadOptions, type LoadProposal } from '@/core/load/loader';
import { smallestChange, type SmallestChange } from '@/core/load/smallestChange';
import type { Plan } from '@/core/plan/plan';

/** Lets messages in: a worker that is busy hears nothing. */
const breath = () => new Promise<void>((done) => setTimeout(done));

let stopping = false;

/** The loader in a thread of its own. To cancel, the page ends the worker: nothing is half done. */
const api = {
  async load(
    plan: Plan,
    options: LoadOptions,
    onProgress: (progress: LoaderProgress) => void,
  ): Promise<LoadProposal> {
    stopping = false;
    const run = loader(plan, options);
    let step = run.next();
    while (!step.done) {
      onProgress(step.value);
      await breath();
      step = run.next(stopping);
    }
    return step.value;
  },
  /** Ends the search with the best it has. */
  stop(): void {
    stopping = true;
  },
  async smallestChange(plan: Plan, onProgress: (done: number) => void): Promise<SmallestChange> {
    const run = smallestChange(plan);
    let step = run.next();
    while (!step.done) {
      onProgress(step.value);
      await breath();
      step = run.next();
    }
    return step.value;
  },
};
export type LoadWorker = typeof api;

expose(api);
