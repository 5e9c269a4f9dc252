import type { LoaderProgress, LoadProposal } from '@/core/load';
import { bestOf, seedsOf } from '@/core/load';
import type { LoaderThread } from './loaderStore';

/** Points above the bound up to which a load is proven to be the best. */
const PROVEN = 1e-6;

/**
 * Several threads as one: each looks for a load from a seed of its own, and the best of what they find is the answer. What
 * one has proven to be best the others need not look for any longer. Other questions are the first thread's.
 *
 * @param threads as many as `seedsOf` gives
 */
export function sideBySide(threads: readonly LoaderThread[]): LoaderThread {
  const [first] = threads;
  let turn = 0;
  return {
    async load(plan, { seed = 1, ...options }, onProgress) {
      const mine = (turn += 1);
      const told: LoaderProgress[] = [];
      const seeds = seedsOf(seed);
      const proposals = await Promise.all(
        threads.map(async (thread, k) => {
          const tell = (progress: LoaderProgress) => {
            told[k] = progress;
            onProgress(togetherOf(told, threads.length));
          };
          const proposal = await thread.load(plan, { ...options, seed: seeds[k]! }, tell);
          // Not where something else was asked meanwhile, which is not to be stopped.
          if (mine === turn && proposal && proposal.objective <= proposal.bound + PROVEN)
            for (const other of threads) if (other !== thread) void other.stop();
          return proposal;
        }),
      );
      const found = proposals.filter((proposal): proposal is LoadProposal => proposal !== null);
      return found.length < threads.length ? null : bestOf(found);
    },
    smallestChange: (plan, onProgress) => first!.smallestChange(plan, onProgress),
    lookAhead: async (plan, { seed = 1, ...options }) => {
      const seeds = seedsOf(seed);
      const done = await Promise.all(
        threads.map((thread, k) => thread.lookAhead(plan, { ...options, seed: seeds[k]! })),
      );
      return done.every((isDone) => isDone);
    },
    stop: async () => void (await Promise.all(threads.map((thread) => thread.stop()))),
    rest: async () => void (await Promise.all(threads.map((thread) => thread.rest()))),
    end: () => threads.forEach((thread) => thread.end()),
  };
}

/** As far as the slowest of so many, with the best of all. */
function togetherOf(told: readonly LoaderProgress[], of: number): LoaderProgress {
  const heard = Object.values(told);
  const done = heard.length < of ? 0 : Math.min(...heard.map((one) => one.done));
  return { ...heard.reduce((best, one) => (one.best < best.best ? one : best)), done };
}
