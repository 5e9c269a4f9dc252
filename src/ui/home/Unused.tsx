'use client';

import { Button, Modal } from '@mantine/core';
import { useState } from 'react';
import { formatterFor } from '@/core/units/format';
import styles from './TripList.module.css';

export interface UnusedItem {
  kind: 'thing' | 'bag' | 'bike';
  id: string;
  name: string;
  massG: number;
}

const KINDS = ['thing', 'bag', 'bike'] as const;

/** "2 things and 1 bag" @example counted([mug, roll]) // '1 thing and 1 bag' */
function counted(items: readonly UnusedItem[]): string {
  const parts = KINDS.flatMap((kind) => {
    const count = items.filter((item) => item.kind === kind).length;
    return count === 0 ? [] : [count === 1 ? `1 ${kind}` : `${count} ${kind}s`];
  });
  return parts.length > 1 ? `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}` : (parts[0] ?? '');
}

/** What is owned and on no trip: kept until its owner deletes it. */
export function Unused(props: {
  items: readonly UnusedItem[];
  units: 'metric' | 'imperial';
  busy: boolean;
  onDelete: (items: readonly UnusedItem[]) => void;
}) {
  const { items, busy, onDelete } = props;
  const [asked, setAsked] = useState<readonly UnusedItem[]>([]);
  const format = formatterFor(props.units);
  if (items.length === 0) return null;
  return (
    <section aria-label="On no trip" className={styles.unused}>
      <h2>On no trip</h2>
      <p className="quiet">
        You own {counted(items)} that no trip and no set-up uses. They stay here until you delete them.
      </p>
      <details>
        <summary>Show them</summary>
        <ul className={styles.items}>
          {items.map((item) => (
            <li key={`${item.kind} ${item.id}`}>
              <span>{item.name}</span>
              <span className="quiet">
                {item.kind}, {format.mass(item.massG)}
              </span>
              <Button size="compact-sm" variant="default" disabled={busy} onClick={() => setAsked([item])}>
                Delete<span className="visually-hidden"> {item.name}</span>
              </Button>
            </li>
          ))}
        </ul>
        <Button variant="default" disabled={busy} onClick={() => setAsked(items)}>
          Delete all of them
        </Button>
      </details>
      {asked.length > 0 && (
        <Modal opened onClose={() => setAsked([])} title="Delete what you own">
          <p className={styles.ask}>
            {asked.length === 1 ? asked[0]!.name : `These ${counted(asked)}`} will be gone for good, with
            masses and measures. This cannot be undone.
          </p>
          <div className={styles.actions}>
            <Button
              color="brick"
              onClick={() => {
                setAsked([]);
                onDelete(asked);
              }}
            >
              Delete {asked.length === 1 ? asked[0]!.name : counted(asked)}
            </Button>
            <Button variant="default" onClick={() => setAsked([])}>
              Keep {asked.length === 1 ? 'it' : 'them'}
            </Button>
          </div>
        </Modal>
      )}
    </section>
  );
}
