'use client';

import type { Spot } from '@/core/packing/spots';
import type { Move } from '@/core/plan/edit';
import { usePlan } from '@/ui/plan/PlanProvider';
import { useShown } from '@/ui/shared/useShown';
import { useSelection } from '@/ui/shared/SelectionProvider';

export type Destination = Move['to'];

/** What can be done on the board, the same by pointer, key or button. */
export function useBoard() {
  const plan = usePlan();
  const { draft, store } = plan;
  const selection = useSelection();
  // Of the bike that is shown.
  const { facts: evaluation } = useShown();
  const { thingId, bagId } = selection;

  const thing = thingId ? (evaluation.thingById.get(thingId) ?? null) : null;
  const bag = evaluation.plan.bags.find((candidate) => candidate.id === bagId) ?? null;
  const entryOf = (id: string) => draft.plan.load.find((entry) => entry.thingId === id);

  /** Puts a thing somewhere; when it leaves the floor, the next thing there comes to hand. */
  const put = (id: string, to: Destination): boolean => {
    const floor = evaluation.floor.map((candidate) => candidate.id);
    const at = floor.indexOf(id);
    const done = store.edit({ kind: 'place', moves: [{ thingId: id, to }] });
    if (done && at >= 0 && to !== 'floor' && id === thingId) {
      selection.chooseThing(floor[at + 1] ?? floor[at - 1] ?? id);
    }
    return done;
  };

  const pin = (id: string): void => {
    const entry = entryOf(id);
    if (!entry || entry.to === 'home') return;
    store.edit({ kind: 'place', moves: [{ thingId: id, to: entry.to, pinned: !entry.pinned }] });
  };

  return { ...plan, ...selection, riders: plan.evaluation.riders, evaluation, thing, bag, entryOf, put, pin };
}

export type BoardActions = ReturnType<typeof useBoard>;

export const spotByLetter = (spots: readonly Spot[], letter: string): Spot | undefined =>
  spots.find((spot) => spot.letter === letter.toUpperCase());
