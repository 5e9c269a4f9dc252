import { expose } from 'comlink';
import { loader, type LoadOptions, type LoadProposal } from '@/core/load/loader';
import type { SearchProgress } from '@/core/load/fitSearch';
import type { Plan } from '@/core/plan/plan';

/** The loader in a thread of its own. To cancel, the page ends the worker: nothing is half done. */
const api = {
  load(plan: Plan, options: LoadOptions, onProgress: (progress: SearchProgress) => void): LoadProposal {
    const run = loader(plan, options);
    let step = run.next();
    while (!step.done) {
      onProgress(step.value);
      step = run.next();
    }
    return step.value;
  },
};
export type LoadWorker = typeof api;

expose(api);
