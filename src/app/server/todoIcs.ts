import { createEvents, type EventAttributes } from 'ics';
import type { Todo } from '@/core/readiness/todo';
import { addDays } from '@/core/trip/trip';

/** A date as the calendar's three numbers. */
const parts = (date: string): [number, number, number] => {
  const [year, month, day] = date.split('-').map(Number);
  return [year!, month!, day!];
};

/** What is to be done before leaving as a calendar: each a whole day, the latest one on which it helps. Those without a day are left out. */
export function todoIcs(tripId: string, tripName: string, todos: readonly Todo[]): string {
  const events = todos.flatMap(({ id, words, how, latest }): EventAttributes[] =>
    latest === null
      ? []
      : [
          {
            uid: `${encodeURIComponent(id)}@${tripId}.gorvin`,
            title: words,
            description: `${how} (${tripName})`,
            start: parts(latest),
            end: parts(addDays(latest, 1)),
            productId: 'gorvin',
            calName: tripName,
          },
        ],
  );
  const { error, value } = createEvents(events);
  if (error) throw error;
  return value ?? '';
}
