'use client';

import { useBoard } from './useBoard';
import styles from './RiderSwitch.module.css';

/** Whose bike the board shows, with what each carries against the agreed share. Nothing where one rides alone. */
export function RiderSwitch() {
  const { riders, riderId, chooseRider, format } = useBoard();
  if (riders.length === 1) return null;
  return (
    <div role="group" aria-label="Whose bike" className={styles.riders}>
      {riders.map(({ rider, name, facts, carriedG, fairG }) => (
        <button
          key={rider ?? 'own'}
          type="button"
          className={styles.rider}
          aria-pressed={rider === riderId}
          onClick={() => chooseRider(rider)}
        >
          <strong>{rider === null ? 'Your bike' : `${name}'s bike`}</strong>
          <span className={styles.carries}>
            carries {format.mass(carriedG)}, agreed {format.mass(fairG)}
          </span>
          <span className="quiet">{facts.plan.bags.length} bags</span>
        </button>
      ))}
    </div>
  );
}
