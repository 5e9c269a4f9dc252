import type { Hours } from '@/core/trip/route/hours';
import { fail, ok, type Result } from '@/core/result';

/**
 * Opening hours in the common notation as minutes of a week: the one that has the date in it, since hours change with the season.
 * The package for it is as large as a page; it is fetched when hours are first read.
 *
 * @param date as 2027-04-16
 * @example (await readHours('Mo 08:00-18:00', '2027-04-16')).value.open // [480, 1080]
 */
export async function readHours(text: string, date: string): Promise<Result<Hours>> {
  const { default: OpeningHours } = await import('opening_hours');
  const day = new Date(`${date}T00:00:00`);
  const monday = new Date(day.getFullYear(), day.getMonth(), day.getDate() - ((day.getDay() + 6) % 7));
  const end = new Date(monday.getFullYear(), monday.getMonth(), monday.getDate() + 7);
  try {
    const hours = new OpeningHours(text, null);
    const open = hours
      .getOpenIntervals(monday, end)
      // "By appointment" is not open for someone who rides past.
      .filter(([, , isUnknown]) => !isUnknown)
      .flatMap(([from, to]) => [minuteOf(from), to >= end ? 7 * 1440 : minuteOf(to)]);
    return ok({ text, open, varies: !hours.isWeekStable() });
  } catch (error) {
    const detail = String(error)
      .replace(/^Error: /, '')
      .split(' This means')[0]!
      .replace(/ <---.*/, '');
    return fail(
      `These hours cannot be read: “${detail}”. Write them like Mo-Fr 08:00-18:00; Sa 08:00-12:00.`,
    );
  }
}

/** By the clock, so that the change to summer time moves nothing. */
const minuteOf = (moment: Date): number =>
  ((moment.getDay() + 6) % 7) * 1440 + moment.getHours() * 60 + moment.getMinutes();
