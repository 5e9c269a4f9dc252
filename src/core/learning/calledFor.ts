import { reviewAnswers } from '@/core/entries/entry';
import { needId } from '@/core/needs/met';
import { purposesOf } from '@/core/needs/purposes';
import { NEEDS_TABLE } from '@/core/needs/table';
import type { Ridden } from './ridden';

/** On how many trips that took something for a need, and were reviewed, it was called for. */
export type CalledFor = Readonly<Record<string, { called: number; trips: number }>>;

/**
 * How often each need was called for, from the answers of reviews: a need is called for where anything that meets it was used. What moves the
 * chances of regret (methods, section 15).
 *
 * @example rain trousers unused on both trips: { 'keep rain off': { called: 0, trips: 2 } }, if nothing else that does was used
 */
export function calledFor(trips: readonly Ridden[]): CalledFor {
  const counts: Record<string, { called: number; trips: number }> = {};
  for (const { plan, entries } of trips) {
    const answers = reviewAnswers(entries);
    const reviewed = plan.things.filter(({ id }) => answers.has(id));
    for (const rule of NEEDS_TABLE) {
      const serving = reviewed.filter((thing) =>
        purposesOf(thing).some((purpose) => rule.purposes.includes(purpose)),
      );
      if (serving.length === 0) continue;
      const count = (counts[needId(rule)] ??= { called: 0, trips: 0 });
      count.trips += 1;
      if (serving.some(({ id }) => answers.get(id) !== 'unused')) count.called += 1;
    }
  }
  return counts;
}
