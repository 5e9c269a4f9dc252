'use client';

import { TextInput } from '@mantine/core';
import { IconSearch } from '@tabler/icons-react';
import { useState } from 'react';
import { compartmentName } from '@/core/plan/edit';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './PackStage.module.css';

const SHOWN = 6;

/** Which bag a thing is in, from two letters of its name on. */
export function FindThing() {
  const { draft } = usePlan();
  const [typed, setTyped] = useState('');
  const wanted = typed.trim().toLowerCase();
  const { plan } = draft;
  const found =
    wanted.length < 2
      ? []
      : plan.things
          .filter(({ name }) => name.toLowerCase().includes(wanted))
          // What begins so first: it is most likely what is meant.
          .sort(
            (a, b) =>
              Number(b.name.toLowerCase().startsWith(wanted)) -
              Number(a.name.toLowerCase().startsWith(wanted)),
          )
          .slice(0, SHOWN);
  const where = (id: string, inside: string | null, carry: string): string => {
    const host = plan.things.find((thing) => thing.id === inside);
    const entry = plan.load.find(({ thingId }) => thingId === (host?.id ?? id));
    const place =
      carry === 'worn'
        ? 'worn'
        : !entry
          ? 'on the floor'
          : entry.to === 'home'
            ? 'left at home'
            : compartmentName(plan, entry.to.compartmentId);
    return host ? `in ${host.name}, ${place}` : place;
  };
  return (
    <div className={styles.find}>
      <TextInput
        aria-label="Where is …"
        placeholder="Where is …"
        leftSection={<IconSearch size={16} />}
        value={typed}
        onChange={(event) => setTyped(event.currentTarget.value)}
      />
      {wanted.length >= 2 && (
        <ul aria-label="Found" aria-live="polite">
          {found.map(({ id, name, inside, carry }) => (
            <li key={id}>
              <strong>{name}</strong>: {where(id, inside, carry)}
            </li>
          ))}
          {found.length === 0 && <li className="quiet">Nothing of that name.</li>}
        </ul>
      )}
    </div>
  );
}
