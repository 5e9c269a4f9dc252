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

/** Steps kept for undo. Older ones are forgotten: nobody walks back further, and a load may be a large edit. */
export const HISTORY_LENGTH = 100;

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
    return ok({ plan: applied.value.plan, done: [...draft.done, step].slice(-HISTORY_LENGTH), undone: [] });
  }
  const from = change.op === 'undo' ? draft.done : draft.undone;
  const step = from.at(-1);
  if (!step) return fail(change.op === 'undo' ? 'There is nothing to undo.' : 'There is nothing to redo.');
  const applied = applyEdit(draft.plan, change.op === 'undo' ? step.inverse : step.edit);
  if (!applied.ok) return applied;
  const rest = from.slice(0, -1);
  return ok(
    change.op === 'undo'
      ? { plan: applied.value.plan, done: rest, undone: [...draft.undone, step] }
      : { plan: applied.value.plan, done: [...draft.done, step], undone: rest },
  );
}
