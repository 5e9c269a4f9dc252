import { expose } from 'comlink';
import { loader, type LoaderProgress, type LoadOptions, type LoadProposal } from '@/core/load/loader';
import { smallestChange, type SmallestChange } from '@/core/load/smallestChange';
import type { Plan } from '@/core/plan/plan';
import { shareUnchanged } from '@/core/plan/shareUnchanged';

const { port1: here, port2: there } = new MessageChannel();
/** Lets messages in: a worker that is busy hears nothing. Not by a timer, which waits four milliseconds at least. */
const breath = () =>
  new Promise<void>((done) => {
    here.onmessage = () => done();
    there.postMessage(null);
  });

let stopping = false;
/** Counts what was asked: whatever is under way ends when something else is. */
let turn = 0;
let last: Plan | null = null;
/** The same objects for the same things as in the last question: what is remembered of them still holds. */
const known = (plan: Plan): Plan => (last = shareUnchanged(plan, last));

/** Rounds by which the engine has compiled the search: about a third of a second of its time. */
const WARM = 0.12;

async function runOut<Progress, Result>(
  run: Generator<Progress, Result, boolean | undefined>,
  onProgress: (progress: Progress) => void,
): Promise<Result | null> {
  const mine = (turn += 1);
  stopping = false;
  let step = run.next();
  while (!step.done) {
    onProgress(step.value);
    await breath();
    if (mine !== turn) return null;
    step = run.next(stopping);
  }
  return step.value;
}

/** The loader in a thread of its own. What is asked anew, or told to rest, answers null to what was asked before. */
const api = {
  load: (
    plan: Plan,
    options: LoadOptions,
    onProgress: (progress: LoaderProgress) => void,
  ): Promise<LoadProposal | null> => runOut(loader(known(plan), options), onProgress),
  smallestChange: (plan: Plan, onProgress: (done: number) => void): Promise<SmallestChange | null> =>
    runOut(smallestChange(known(plan)), onProgress),
  /** Ends the search with the best it has. */
  stop(): void {
    stopping = true;
  },
  rest(): void {
    turn += 1;
  },
  /** Looks for a load that nobody asked for, so that the next is found at once. */
  async warm(plan: Plan): Promise<void> {
    await runOut(loader(known(plan), { effort: WARM }), () => {});
  },
};
export type LoadWorker = typeof api;

expose(api);
