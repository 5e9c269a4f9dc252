import { createEvents } from 'ics';
import type { HourEntry } from '@/core/explain/takeAlong';
import { addDays } from '@/core/trip/trip';

/** The plan by hour as a calendar, in the local time of wherever it is read: a rider is where the trip is. */
export function planIcs(tripId: string, tripName: string, entries: readonly HourEntry[]): string {
  const { error, value } = createEvents(
    entries.map(({ id, date, fromMin, minutes, title, detail }) => {
      const whole = Math.round(fromMin);
      const days = Math.floor(whole / 1440);
      const [year, month, day] = addDays(date, days).split('-').map(Number) as [number, number, number];
      const rest = whole - 1440 * days;
      return {
        uid: `${encodeURIComponent(id)}@${tripId}.plan.gorvin`,
        title,
        description: detail,
        start: [year, month, day, Math.floor(rest / 60), rest % 60],
        startInputType: 'local' as const,
        startOutputType: 'local' as const,
        duration: { hours: Math.floor(minutes / 60), minutes: Math.round(minutes % 60) },
        productId: 'gorvin',
        calName: tripName,
      };
    }),
  );
  if (error) throw error;
  return value ?? '';
}
