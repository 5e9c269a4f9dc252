import Link from 'next/link';
import type { Severity, Stage } from '@/core/checks/finding';
import { Verdict } from '@/ui/shared/Verdict';
import styles from './TripList.module.css';

/** The next trip and what remains to be done for it. */
export interface NextTrip {
  id: string;
  name: string;
  startDate: string | null;
  answer: string;
  /** The most serious first. */
  remaining: { id: string; severity: Severity; stage: Stage; message: string }[];
  /** What is to be done soonest, with its latest day. */
  todos: { id: string; words: string; latest: string | null }[];
}

/** Each thing that remains is one press from where it is done. */
export function Next({ trip }: { trip: NextTrip }) {
  const { id, name, startDate, answer, remaining, todos } = trip;
  return (
    <section className={styles.next} aria-label="Next trip">
      <h2>
        <Link href={`/trips/${id}/load`}>{name}</Link>
        {startDate && <span className="quiet"> {startDate}</span>}
      </h2>
      <p>{answer}</p>
      {remaining.length > 0 && (
        <ul>
          {remaining.map((finding) => (
            <li key={finding.id}>
              <Verdict kind={finding.severity} />{' '}
              <Link href={`/trips/${id}/${finding.stage}`}>{finding.message}</Link>
            </li>
          ))}
        </ul>
      )}
      {todos.length > 0 && (
        <>
          <h3>
            <Link href={`/trips/${id}/pack?show=before`}>Before leaving</Link>
          </h3>
          <ul>
            {todos.map((todo) => (
              <li key={todo.id}>
                {todo.words}
                {todo.latest && <span className="quiet"> by {todo.latest}</span>}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
