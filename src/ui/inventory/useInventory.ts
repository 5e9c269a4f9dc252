'use client';

import { useCallback, useMemo, useRef, useState } from 'react';
import type { Patch } from '@/core/kit/inventory/cells';
import type { Item } from '@/core/kit/inventory/filter';
import type { OwnedThing } from '@/core/kit/thing';
import { ask } from '@/ui/shared/ask';

export interface Change {
  id: string;
  patch: Patch;
}
interface Step {
  label: string;
  do: Act;
  undo: Act;
}
type Act =
  | { kind: 'change'; changes: Change[] }
  | { kind: 'add'; things: OwnedThing[] }
  | { kind: 'remove'; ids: string[] };

export interface Inventory {
  items: readonly Item[];
  /** What the last step did, for the undo button; null where there is none. */
  undoLabel: string | null;
  redoLabel: string | null;
  problem: string | null;
  isSaving: boolean;
  /** Changes fields of things at once, here and then on the server; false where the server refused. */
  change(label: string, changes: Change[]): Promise<boolean>;
  add(label: string, things: OwnedThing[]): Promise<boolean>;
  remove(label: string, ids: string[]): Promise<boolean>;
  undo(): void;
  redo(): void;
}

const MOST_STEPS = 100;

/** What is owned, as this page shows it, with its own undo. Changes are shown at once and undone where the server refuses them. */
export function useInventory(initial: readonly Item[]): Inventory {
  const [items, setItems] = useState(initial);
  const [done, setDone] = useState<readonly Step[]>([]);
  const [undone, setUndone] = useState<readonly Step[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [saving, setSaving] = useState(0);
  /** The newest state, for what runs after an answer. */
  const current = useRef(initial);
  /** One after the other, so that the server sees changes in the order in which they were made. */
  const queue = useRef<Promise<unknown>>(Promise.resolve());

  const show = useCallback((next: readonly Item[]) => {
    current.current = next;
    setItems(next);
  }, []);

  const run = useCallback(
    (act: Act): Promise<boolean> => {
      const undo = inverseOf(current.current, act);
      show(applied(current.current, act));
      setProblem(null);
      setSaving((count) => count + 1);
      const sent = queue.current.then(async () => {
        const failed = await send(act);
        setSaving((count) => count - 1);
        if (failed === null) return true;
        show(applied(current.current, undo));
        setProblem(failed);
        return false;
      });
      queue.current = sent;
      return sent;
    },
    [show],
  );

  const step = useCallback(
    async (label: string, act: Act): Promise<boolean> => {
      const own: Step = { label, do: act, undo: inverseOf(current.current, act) };
      setDone((steps) => [...steps.slice(1 - MOST_STEPS), own]);
      setUndone([]);
      const isTaken = await run(act);
      if (!isTaken) setDone((steps) => steps.filter((other) => other !== own));
      return isTaken;
    },
    [run],
  );

  const change = useCallback(
    (label: string, changes: Change[]) => step(label, { kind: 'change', changes }),
    [step],
  );
  return useMemo(() => {
    const back = done.at(-1);
    const again = undone.at(-1);
    return {
      items,
      undoLabel: back?.label ?? null,
      redoLabel: again?.label ?? null,
      problem,
      isSaving: saving > 0,
      change,
      add: (label, things) => step(label, { kind: 'add', things }),
      remove: (label, ids) => step(label, { kind: 'remove', ids }),
      undo: () => {
        if (!back) return;
        setDone((steps) => steps.slice(0, -1));
        setUndone((steps) => [...steps, back]);
        void run(back.undo).then((isTaken) => {
          if (isTaken) return;
          // A trip took up meanwhile what would be deleted: the step is still done.
          setUndone((steps) => steps.filter((step) => step !== back));
          setDone((steps) => [...steps, back]);
        });
      },
      redo: () => {
        if (!again) return;
        setUndone((steps) => steps.slice(0, -1));
        setDone((steps) => [...steps, again]);
        void run(again.do);
      },
    };
  }, [items, done, undone, problem, saving, change, step, run]);
}

function applied(items: readonly Item[], act: Act): readonly Item[] {
  if (act.kind === 'change') {
    const patches = new Map<string, Patch>();
    for (const { id, patch } of act.changes) patches.set(id, { ...patches.get(id), ...patch });
    return items.map((item) => {
      const patch = patches.get(item.thing.id);
      return patch ? { ...item, thing: { ...item.thing, ...patch } } : item;
    });
  }
  if (act.kind === 'add') {
    const known = new Set(items.map(({ thing }) => thing.id));
    return [
      ...act.things.filter(({ id }) => !known.has(id)).map((thing) => ({ thing, trips: [] })),
      ...items,
    ];
  }
  const gone = new Set(act.ids);
  return items.filter(({ thing }) => !gone.has(thing.id));
}

function inverseOf(items: readonly Item[], act: Act): Act {
  const byId = new Map(items.map(({ thing }) => [thing.id, thing]));
  if (act.kind === 'add') return { kind: 'remove', ids: act.things.map(({ id }) => id) };
  if (act.kind === 'remove') return { kind: 'add', things: act.ids.flatMap((id) => byId.get(id) ?? []) };
  return {
    kind: 'change',
    changes: act.changes.flatMap(({ id, patch }) => {
      const thing = byId.get(id);
      if (!thing) return [];
      const before = Object.fromEntries(
        Object.keys(patch).map((field) => [field, thing[field as keyof Patch]]),
      );
      return [{ id, patch: before as Patch }];
    }),
  };
}

function send(act: Act): Promise<string | null> {
  switch (act.kind) {
    case 'change':
      return ask('PATCH', '/api/inventory', { changeId: crypto.randomUUID(), changes: act.changes });
    case 'add':
      return ask('POST', '/api/inventory', { things: act.things });
    case 'remove':
      return ask('DELETE', '/api/inventory', { thing: act.ids });
  }
}
