'use client';

import { Checkbox } from '@mantine/core';
import { CAUTIONS, CIRCUMSTANCES } from '@/core/trip/circumstances';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './TripStage.module.css';

/** A few questions; each one that applies brings its caution where it matters. */
export function Circumstances() {
  const { draft, store } = usePlan();
  const { circumstances } = draft.plan.trip;
  return (
    <fieldset className={styles.questions}>
      <legend>Does any of this apply?</legend>
      {CIRCUMSTANCES.map((each) => (
        <Checkbox
          key={each}
          label={CAUTIONS[each].question}
          checked={circumstances.includes(each)}
          onChange={(event) =>
            store.edit({
              kind: 'set trip',
              patch: {
                circumstances: CIRCUMSTANCES.filter((other) =>
                  other === each ? event.currentTarget.checked : circumstances.includes(other),
                ),
              },
            })
          }
        />
      ))}
      {circumstances.length > 0 && (
        <ul className={styles.cautions} aria-label="Cautions">
          {circumstances.map((each) => (
            <li key={each}>
              <strong>{CAUTIONS[each].message}</strong> {CAUTIONS[each].reason}
            </li>
          ))}
        </ul>
      )}
    </fieldset>
  );
}
