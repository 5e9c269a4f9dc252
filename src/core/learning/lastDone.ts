import { inOrder } from '@/core/entries/entry';
import type { Ridden } from './ridden';

/** When a check of a bike was last ticked off before a trip. */
export interface LastDone {
  bikeId: string;
  taskId: string;
  /** As 2026-06-12. */
  on: string;
}

/**
 * For each bike and each task of the list before leaving, the day on which it was last done on an earlier trip. What was ticked and
 * unticked again does not count.
 *
 * @example lastDone([june, september]) // [{ bikeId: 'hardtail', taskId: 'bike brakes', on: '2026-09-05' }, …]
 */
export function lastDone(trips: readonly Ridden[]): LastDone[] {
  const found = new Map<string, LastDone>();
  for (const { plan, entries } of trips) {
    if (!plan.bike) continue;
    const done = new Map<string, string>();
    for (const entry of inOrder(entries)) {
      if (entry.kind !== 'done') continue;
      if (entry.done) done.set(entry.taskId, entry.at.slice(0, 10));
      else done.delete(entry.taskId);
    }
    for (const [taskId, on] of done) {
      const key = `${plan.bike.id} ${taskId}`;
      const known = found.get(key);
      if (!known || known.on < on) found.set(key, { bikeId: plan.bike.id, taskId, on });
    }
  }
  return [...found.values()];
}
