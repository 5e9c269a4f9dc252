import type { Instance } from '@/core/load/model/instance';
import { brokenRules, objectiveOf } from '@/core/load/model/objective';

/** Least objective of all assignments that keep the hard rules, by trying every one: exact, and slow beyond six things. */
export function leastOfEveryLoad(instance: Instance): number {
  const where = new Int32Array(instance.n).fill(-1);
  let least = Infinity;
  const walk = (i: number): void => {
    if (i === instance.n) {
      if (brokenRules(instance, where).length === 0)
        least = Math.min(least, objectiveOf(instance, where).total);
      return;
    }
    for (let j = -1; j < instance.m; j += 1) {
      where[i] = j;
      walk(i + 1);
    }
  };
  walk(0);
  return least;
}
