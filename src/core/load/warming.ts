import type { Plan } from '@/core/plan/plan';
import { loader, type LoaderProgress } from './loader';

/** A thread gets warm for so long at most; 60 to 120 things take it one to three seconds. */
const WARM_MS = 3_000;

/** Tells whether a thread has been getting warm for long enough, from now on. */
export function lateFromNow(): () => boolean {
  const end = performance.now() + WARM_MS;
  return () => performance.now() > end;
}

/**
 * Looks for a load that nobody asked for, so that the next is found sooner: by then the engine has compiled all it takes, and
 * most of what the search will ask about has been laid down. A search of the same seed makes twice as many rounds in its first
 * second (decision 0022).
 *
 * @param seed of the search that is expected
 * @param isLate asked after each round: whether it is to be left at that
 * @returns true, where nobody ended it before
 */
export function* warming(
  plan: Plan,
  seed: number | undefined,
  isLate: () => boolean,
): Generator<LoaderProgress, true> {
  const run = loader(plan, { seed });
  for (let step = run.next(); !step.done && !isLate(); step = run.next()) yield step.value;
  return true;
}
