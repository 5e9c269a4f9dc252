import { Button } from '@mantine/core';
import type { Logged } from '@/core/entries/entry';
import { dayDoubts } from '@/core/learning/doubts';
import { logWords } from '@/core/learning/logWords';
import type { Plan } from '@/core/plan/plan';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './Ride.module.css';

interface Props {
  plan: Plan;
  lines: readonly Logged[];
  dayCount: number;
  /** Until the server was asked, nothing is said of an empty log. */
  isRead: boolean;
  onStrike: (entryId: string) => void;
}

/** What was logged, the latest day first. A wrong line is struck out; it stays in the record. */
export function LogList({ plan, lines, dayCount, isRead, onStrike }: Props) {
  const { format } = usePlan();
  if (lines.length === 0 && !isRead) return null;
  if (lines.length === 0)
    return (
      <p className="quiet">Nothing is logged yet. Two presses are enough; a day can be filled in later.</p>
    );
  const days = [...new Set(lines.map(({ day }) => day))].sort((a, b) => b - a);
  return days.map((day) => {
    const own = lines.filter((line) => line.day === day);
    const drunk = own.reduce((sum, { what, amount }) => sum + (what === 'drank' ? (amount ?? 0) : 0), 0);
    return (
      <section key={day} aria-label={`Log of day ${day}`}>
        <h3>
          Day {day}
          {drunk > 0 && <span className="quiet">, drank {format.volume(drunk)}</span>}
        </h3>
        {dayDoubts(own, day, dayCount, plan.trip.startDate, format).map((doubt) => (
          <p key={doubt} role="alert">
            {doubt}
          </p>
        ))}
        <ul className={styles.log}>
          {[...own].reverse().map((line) => (
            <li key={line.id}>
              <span>
                {logWords(line, plan, format)}
                {line.alongM !== null && <span className="quiet">, at {format.distance(line.alongM)}</span>}
              </span>
              <Button size="compact-sm" variant="subtle" color="gray" onClick={() => onStrike(line.id)}>
                Strike out<span className="visually-hidden"> {logWords(line, plan, format)}</span>
              </Button>
            </li>
          ))}
        </ul>
      </section>
    );
  });
}
