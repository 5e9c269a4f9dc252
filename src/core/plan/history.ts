import { fail, ok, type Result } from '@/core/result';
import { applyEdit } from './apply';
import { editLabel, type Edit } from './edit';
import type { Plan } from './plan';

/** One step that can be undone. */
export interface Step {
  id: string;
  label: string;
  edit: Edit;
  inverse: Edit;
}

/** A plan with what was done to it: `done` oldest first, `undone` the next to redo last. */
export interface Draft {
  plan: Plan;
  done: readonly Step[];
  undone: readonly Step[];
}

/** One thing a rider does to a plan: a new edit, or a step through the history. */
export type Change =
  { id: string; op: 'edit'; edit: Edit } | { id: string; op: 'undo' } | { id: string; op: 'redo' };

/** Steps kept for undo, and the size of them all, as JSON. Older ones are forgotten; the last is always kept. */
export const HISTORY_LENGTH = 100;
export const HISTORY_BYTES = 1_000_000;

const measured = new WeakMap<Edit, number>();
const bytesOf = (edit: Edit): number => {
  let bytes = measured.get(edit);
  if (bytes === undefined) measured.set(edit, (bytes = JSON.stringify(edit).length));
  return bytes;
};
/** What a step takes of `HISTORY_BYTES`. */
export const stepBytes = ({ edit, inverse }: Step): number => bytesOf(edit) + bytesOf(inverse);

/** The newest steps, as many as are kept. */
function keptOf(done: readonly Step[]): readonly Step[] {
  let total = stepBytes(done.at(-1)!);
  let first = done.length - 1;
  while (first > Math.max(0, done.length - HISTORY_LENGTH)) {
    total += stepBytes(done[first - 1]!);
    if (total > HISTORY_BYTES) break;
    first -= 1;
  }
  return first === 0 ? done : done.slice(first);
}

/**
 * Takes one change, the same way in the browser and on the server.
 *
 * @example changeDraft(draft, { id: 'c1', op: 'undo' }) // the plan before the last step, which can be redone
 */
export function changeDraft(draft: Draft, change: Change): Result<Draft> {
  if (change.op === 'edit') {
    const applied = applyEdit(draft.plan, change.edit);
    if (!applied.ok) return applied;
    const step: Step = {
      id: change.id,
      label: editLabel(draft.plan, change.edit),
      edit: applied.value.edit,
      inverse: applied.value.inverse,
    };
    return ok({ plan: applied.value.plan, done: keptOf([...draft.done, step]), undone: [] });
  }
  const from = change.op === 'undo' ? draft.done : draft.undone;
  const step = from.at(-1);
  if (!step) return fail(change.op === 'undo' ? 'There is nothing to undo.' : 'There is nothing to redo.');
  const applied = applyEdit(draft.plan, change.op === 'undo' ? step.inverse : step.edit);
  if (!applied.ok) return applied;
  const rest = from.slice(0, -1);
  const { plan, inverse } = applied.value;
  // The way back is that from here: a thing put back is put back as it was when this step took it away.
  return ok(
    change.op === 'undo'
      ? { plan, done: rest, undone: [...draft.undone, { ...step, edit: inverse }] }
      : { plan, done: [...draft.done, { ...step, inverse }], undone: rest },
  );
}
