import { reviewAnswers, type Answer } from '@/core/entries/entry';
import type { Ridden } from './ridden';

/** How one thing did over trips. */
export interface ThingHistory {
  thingId: string;
  name: string;
  /** Trips that took it and said how it did. */
  trips: number;
  used: number;
  last: Answer;
}

/** Each thing over the trips that were reviewed, by its id: it is the same thing on every trip. */
export function thingHistories(trips: readonly Ridden[]): ThingHistory[] {
  const found = new Map<string, ThingHistory>();
  for (const { plan, entries } of trips) {
    const answers = reviewAnswers(entries);
    for (const { id, name } of plan.things) {
      const answer = answers.get(id);
      if (answer === undefined) continue;
      const own = found.get(id) ?? { thingId: id, name, trips: 0, used: 0, last: answer };
      found.set(id, {
        thingId: id,
        name,
        trips: own.trips + 1,
        used: own.used + (answer === 'unused' ? 0 : 1),
        last: answer,
      });
    }
  }
  return [...found.values()];
}
