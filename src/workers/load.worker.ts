import { expose } from 'comlink';
import type { LoaderProgress, LoadOptions, LoadProposal } from '@/core/load';
import { lateFromNow, LookAhead } from '@/core/load';
import { smallestChange, type SmallestChange } from '@/core/load';
import type { Plan } from '@/core/plan/plan';
import { shareUnchanged } from '@/core/plan/shareUnchanged';
import { oneAtATime } from './oneAtATime';

const { port1: here, port2: there } = new MessageChannel();
const breathing: (() => void)[] = [];
here.onmessage = () => breathing.shift()?.();
/** Not a timer, which waits four milliseconds at least: a search takes a breath fifty times a second. */
const { ask, stop, rest } = oneAtATime(
  () =>
    new Promise<void>((done) => {
      breathing.push(done);
      there.postMessage(null);
    }),
);

let last: Plan | null = null;
/** The same objects for the same things as in the last question: what is remembered of them still holds. */
const known = (plan: Plan): Plan => (last = shareUnchanged(plan, last));

const ahead = new LookAhead();

/** The loader in a thread of its own. What is asked anew, or told to rest, answers null to what was asked before. */
const api = {
  load: (
    plan: Plan,
    options: LoadOptions,
    onProgress: (progress: LoaderProgress) => void,
  ): Promise<LoadProposal | null> => ask(ahead.load(known(plan), options), onProgress),
  smallestChange: (plan: Plan, onProgress: (done: number) => void): Promise<SmallestChange | null> =>
    ask(smallestChange(known(plan)), onProgress),
  /** Answers whether it looked as far as it will. */
  lookAhead: async (plan: Plan, options: LoadOptions): Promise<boolean> =>
    (await ask(ahead.look(known(plan), options, lateFromNow()), () => undefined)) !== null,
  stop,
  rest,
};
export type LoadWorker = typeof api;

expose(api);
