'use client';

import type { Bag } from '@/core/bag/bag';
import { usePlanContext, useSaving } from '@/ui/plan/PlanProvider';
import styles from './Fields.module.css';

const FILES = [
  { words: 'PDF on A4', query: 'format=pdf&paper=a4' },
  { words: 'PDF on Letter', query: 'format=pdf&paper=letter' },
  { words: 'SVG', query: 'format=svg' },
  { words: 'DXF', query: 'format=dxf' },
  { words: 'Measuring sheet', query: 'format=sheet&paper=a4' },
];

/** A bag's paper template at true size, as files. They are made from what is saved. */
export function TemplateLinks({ bag }: { bag: Bag }) {
  const { store } = usePlanContext();
  const { unsaved } = useSaving();
  return (
    <nav aria-label={`Template of ${bag.name}`} className={styles.template}>
      <h3 className={styles.sub}>Template of {bag.name}, at true size</h3>
      {unsaved > 0 ? (
        <p className="quiet">Saving first …</p>
      ) : (
        <ul>
          {FILES.map(({ words, query }) => (
            <li key={words}>
              <a href={`/api/trips/${store.tripId}/bags/${bag.id}/template?${query}`} download>
                {words}
              </a>
            </li>
          ))}
        </ul>
      )}
      <p className="quiet">
        Print at 100 %, measure the 100 mm bar, and hold the paper into the frame before you cut cloth.
      </p>
    </nav>
  );
}
