'use client';

import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { Thing } from '@/core/kit/thing';
import { compartmentName } from '@/core/plan/edit';
import type { Wish } from '@/core/plan/plan';
import { handTo } from '@/core/commands/fellows';
import { carriersOf } from '@/core/plan/riders';
import type { BoardActions } from './useBoard';
import styles from './Wishes.module.css';

/** What the rider asks of the loader for one thing: never here, together with, one on each side. */
export function Wishes({ board, thing }: { board: BoardActions; thing: Thing }) {
  const { draft, evaluation, store } = board;
  const { plan } = draft;
  const [open, setOpen] = useState(false);
  const own = plan.wishes.filter((wish) =>
    'thingIds' in wish
      ? wish.thingIds.includes(thing.id)
      : wish.kind === 'never' && wish.thingId === thing.id,
  );
  const by = carriersOf(plan).get(thing.id) ?? null;
  const set = (wishes: Wish[]) => store.edit({ kind: 'set wishes', wishes });
  const add = (wish: Wish) => set([...plan.wishes, wish]);
  const others = plan.things.filter(
    ({ id, carry }) => id !== thing.id && carry === 'bike' && !evaluation.holders.has(id),
  );
  const partner = (label: string, kind: 'together' | 'a side each') => (
    <NativeSelect
      size="xs"
      label={label}
      value=""
      onChange={(event) => {
        const other = event.currentTarget.value;
        if (other) add({ kind, thingIds: [thing.id, other] });
      }}
    >
      <option value="">choose a thing</option>
      {others.map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </NativeSelect>
  );
  return (
    <details className={styles.wishes} open={open} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary>{own.length === 0 ? 'Wishes' : `Wishes (${own.length})`}</summary>
      {/* Two lists of everything in the kit: made only when they are wanted. */}
      {open && (
        <div className={styles.panel}>
          {own.length > 0 && (
            <ul>
              {own.map((wish, i) => (
                <li key={i}>
                  {wishWords(board, wish, thing)}
                  <Button
                    size="compact-xs"
                    variant="default"
                    onClick={() => set(plan.wishes.filter((other) => other !== wish))}
                  >
                    Drop
                  </Button>
                </li>
              ))}
            </ul>
          )}
          {plan.fellows.length > 0 && (
            <>
              <NativeSelect
                size="xs"
                label="Carried by"
                value={by ?? ''}
                onChange={(event) => store.edit(handTo(plan, [thing.id], event.currentTarget.value || null))}
              >
                <option value="">you</option>
                {plan.fellows.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
                <option value="any">whoever has room</option>
              </NativeSelect>
              <Button
                size="compact-xs"
                variant="default"
                onClick={() =>
                  store.edit(
                    handTo(
                      plan,
                      plan.things.filter(({ system }) => system === thing.system).map(({ id }) => id),
                      by,
                    ),
                  )
                }
              >
                The same for all of {thing.system}
              </Button>
            </>
          )}
          <NativeSelect
            size="xs"
            label="Never in"
            value=""
            onChange={(event) => {
              const compartmentId = event.currentTarget.value;
              if (compartmentId) add({ kind: 'never', thingId: thing.id, compartmentId });
            }}
          >
            <option value="">choose a bag</option>
            {evaluation.spots.map((spot) => (
              <option key={spot.id} value={spot.id}>
                {spot.name}
              </option>
            ))}
          </NativeSelect>
          {partner('Together with', 'together')}
          {partner('One on each side with', 'a side each')}
        </div>
      )}
    </details>
  );
}

function wishWords({ draft, evaluation }: BoardActions, wish: Wish, thing: Thing): string {
  if (!('thingIds' in wish))
    return wish.kind === 'never' ? `Never in ${compartmentName(draft.plan, wish.compartmentId)}` : '';
  const other = wish.thingIds.find((id) => id !== thing.id) ?? '';
  const name = evaluation.thingById.get(other)?.name ?? 'a thing that is gone';
  return wish.kind === 'together' ? `Together with ${name}` : `One on each side with ${name}`;
}
