import { expose } from 'comlink';
import { runLoader } from '@/core/load';
import type { Plan } from '@/core/plan/plan';
import { bestMoves, pointsOf, randomLoad, scoreOf, type Score } from '@/core/practice/score';

/** Random loads that the worst is the mean of. */
const LOADS = 5;

/** Scores a load off the page's thread: it takes the loader's second, and a few loads at random. */
const api = {
  score(plan: Plan, onProgress: (done: number) => void): Score {
    const yours = pointsOf(plan).total;
    const unpinned = { ...plan, load: plan.load.filter(({ to, pinned }) => pinned || to === 'home') };
    const best = Math.min(runLoader(unpinned, { seed: 1 }).objective, yours);
    onProgress(0.4);
    let worst = 0;
    for (let k = 0; k < LOADS; k += 1) {
      worst += pointsOf(randomLoad(plan, k + 1)).total / LOADS;
      onProgress(0.4 + (0.4 * (k + 1)) / LOADS);
    }
    return { score: scoreOf(yours, best, worst), yours, best, worst, gains: bestMoves(plan) };
  },
};
export type PracticeWorker = typeof api;

expose(api);
