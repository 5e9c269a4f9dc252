import type { Logged } from '@/core/entries/entry';
import { addDays } from '@/core/trip/trip';
import type { Formatter } from '@/core/units/format';

/** More than anybody drinks in a day: most likely a slipped unit. */
const MOST_ML_A_DAY = 12_000;
/** A day begins so much earlier somewhere on earth. */
const TIME_ZONES_MS = 14 * 3_600_000;

/**
 * Whether a line was written before its day had begun anywhere.
 *
 * @example wasBefore({ day: 2, at: '2027-04-16T20:00:00Z' }, '2027-04-18') // true: the second day is the 19th
 */
export const wasBefore = ({ at, day }: Pick<Logged, 'at' | 'day'>, startDate: string | null): boolean =>
  startDate !== null &&
  Date.parse(at) < Date.parse(`${addDays(startDate, day - 1)}T00:00:00Z`) - TIME_ZONES_MS;

/**
 * What is doubtful in the log of one day, each in a sentence that says what to do. Nothing is refused: a log is kept as it was written.
 *
 * @param lines of that day
 * @param days of the trip
 * @example dayDoubts([forty litres], 1, 3, null, format) // ['That makes 40.0 l in one day. …']
 */
export function dayDoubts(
  lines: readonly Logged[],
  day: number,
  days: number,
  startDate: string | null,
  format: Formatter,
): string[] {
  const drunkMl = lines.reduce((sum, { what, amount }) => sum + (what === 'drank' ? (amount ?? 0) : 0), 0);
  return [
    ...(drunkMl > MOST_ML_A_DAY
      ? [
          `That makes ${format.volume(drunkMl)} in one day. If that is a slip, strike the line out; days with more than anybody drinks are not learned from.`,
        ]
      : []),
    ...(day > days
      ? [
          `The trip has ${days === 1 ? 'one day' : `${days} days`}. What belongs to another day can be struck out and logged there; this is not learned from.`,
        ]
      : []),
    ...(lines.some((line) => wasBefore(line, startDate))
      ? [
          'Some of this was logged before that day began, by the dates of the plan. If it is of another ride, strike it out.',
        ]
      : []),
  ];
}
