'use client';

import { Button, Modal, TextInput } from '@mantine/core';
import { useEffect, useState } from 'react';
import { filtered, SHOW_ALL, type Item } from '@/core/kit/inventory/filter';
import { ownedForTrip } from '@/core/kit/kinds/newThing';
import type { Thing } from '@/core/kit/thing';
import { usePlan } from '@/ui/plan/PlanProvider';
import styles from './FromInventory.module.css';

/** So many are shown at once; typing narrows them down. */
const SHOWN = 60;

interface Props {
  onAdd: (thing: Thing) => boolean;
  onClose: () => void;
}

/** What the inventory holds that is not on this trip: type, and Enter adds the first. */
export function FromInventory({ onAdd, onClose }: Props) {
  const { draft, format } = usePlan();
  const [items, setItems] = useState<readonly Item[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [text, setText] = useState('');
  useEffect(() => {
    fetch('/api/inventory')
      .then(async (response) => {
        const body = (await response.json()) as { items?: Item[]; error?: string };
        if (!response.ok || !body.items) throw new Error(body.error);
        setItems(body.items);
      })
      .catch(() => setProblem('The inventory cannot be reached. Nothing was changed; try again.'));
  }, []);
  const taken = new Set(draft.plan.things.map(({ id }) => id));
  const found = filtered(
    (items ?? []).filter(({ thing }) => !taken.has(thing.id)),
    { ...SHOW_ALL, text },
    '',
  );
  const add = (item: Item | undefined) => {
    if (item && onAdd(ownedForTrip(item.thing))) setText('');
  };
  return (
    <Modal opened onClose={onClose} title="From the inventory" size="lg">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          add(found[0]);
        }}
      >
        <TextInput
          data-autofocus
          label="Find a thing; Enter adds the first"
          value={text}
          autoComplete="off"
          onChange={(event) => setText(event.currentTarget.value)}
        />
      </form>
      {problem && <p role="alert">{problem}</p>}
      {items && found.length === 0 && (
        <p className="quiet">
          {items.length === taken.size ? 'Everything you own is on this trip.' : 'Nothing like that is left.'}
        </p>
      )}
      <ul className={styles.list} aria-label="In the inventory">
        {found.slice(0, SHOWN).map((item) => (
          <li key={item.thing.id}>
            <span>
              <strong>{item.thing.name}</strong>{' '}
              <span className="quiet">
                {item.thing.system}, {format.mass(item.thing.massG)}
                {item.thing.toGet && ', still to get'}
              </span>
            </span>
            <Button size="compact-sm" variant="default" onClick={() => add(item)}>
              Add<span className="visually-hidden"> {item.thing.name}</span>
            </Button>
          </li>
        ))}
      </ul>
      {found.length > SHOWN && <p className="quiet">And {found.length - SHOWN} more: type to find them.</p>}
    </Modal>
  );
}
