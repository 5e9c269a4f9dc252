import { CONDITION_WORDS, type OwnedThing } from './thing';

const DAY_MS = 86_400_000;

/** Something that has to be done to a thing, and by when. */
export interface Due {
  thing: OwnedThing;
  words: string;
  /** Days from today until the date that is set for it; below 0 that has passed. Null without a date. */
  daysLeft: number | null;
}

/** Whole days from one date to another. @example daysBetween('2027-02-28', '2027-03-01') // 1 */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);

/**
 * What has to be done to things before a day: those that are not fine, and those whose date comes by then; the soonest first.
 *
 * @param today as 2027-04-01
 * @param until the last day of the trip; null counts every date that is set
 */
export function dueThings(things: readonly OwnedThing[], today: string, until: string | null): Due[] {
  return things
    .flatMap((thing): Due[] => {
      const { condition, dueOn } = thing;
      const isDated = dueOn !== null && (until === null || dueOn <= until);
      if (condition === 'fine' && !isDated) return [];
      const words =
        condition !== 'fine' ? CONDITION_WORDS[condition] : dueOn! < today ? 'expired' : 'expires or is due';
      return [{ thing, words, daysLeft: dueOn === null ? null : daysBetween(today, dueOn) }];
    })
    .sort((a, b) => (a.daysLeft ?? Infinity) - (b.daysLeft ?? Infinity));
}
