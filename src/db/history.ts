import { editSchema } from '@/core/plan/edit';
import { changeDraft, type Change, type Draft, type Step } from '@/core/plan/history';
import { readPlan, updatePlan } from './plans';
import { transaction, type Client, type Pool } from './pool';

interface StepRow {
  change_id: string;
  state: 'done' | 'undone';
  label: string;
  edit: unknown;
  inverse: unknown;
}

/** The plan with the steps that can be undone and redone, as one draft. */
export async function readDraft(
  client: Client,
  accountId: string,
  tripId: string,
  lock = false,
): Promise<{ draft: Draft; revision: number; departed?: true } | null> {
  const stored = await readPlan(client, accountId, tripId, lock);
  if (!stored) return null;
  const { rows } = await client.query<StepRow>(
    `select change_id, state, label, edit, inverse from plan_step
      where account_id = $1 and trip_id = $2 order by sequence`,
    [accountId, tripId],
  );
  const steps = (state: StepRow['state']): Step[] =>
    rows
      .filter((row) => row.state === state)
      .map((row) => ({
        id: row.change_id,
        label: row.label,
        // Steps may be older than some fields of a bag or bike; the schema's defaults say what they meant.
        edit: editSchema.parse(row.edit),
        inverse: editSchema.parse(row.inverse),
      }));
  // Undone steps stand behind the done ones in the order they were made; the next to redo is the first of them.
  return {
    revision: stored.revision,
    ...(stored.departed ? { departed: true as const } : {}),
    draft: { plan: stored.plan, done: steps('done'), undone: steps('undone').reverse() },
  };
}

export type Outcome =
  | { kind: 'saved'; revision: number }
  /** The plan has moved on: who sends against an old revision is told, never overwrites. */
  | { kind: 'stale'; revision: number; since: string[] }
  /** The edit does not suit the plan. */
  | { kind: 'refused'; reason: string; revision: number }
  | { kind: 'no such trip' };

/**
 * Takes one change to a plan, in one transaction, against the revision it was made on. The same change sent
 * twice is taken once.
 */
export const saveChange = (
  pool: Pool,
  accountId: string,
  tripId: string,
  revision: number,
  change: Change,
): Promise<Outcome> =>
  transaction(pool, async (client): Promise<Outcome> => {
    const stored = await readDraft(client, accountId, tripId, true);
    if (!stored) return { kind: 'no such trip' };
    const taken = await client.query<{ revision: number }>(
      `select revision from plan_change where account_id = $1 and trip_id = $2 and change_id = $3`,
      [accountId, tripId, change.id],
    );
    if (taken.rows[0]) return { kind: 'saved', revision: taken.rows[0].revision };
    if (stored.revision !== revision) {
      const since = await client.query<{ label: string }>(
        `select label from plan_change where account_id = $1 and trip_id = $2 and revision > $3
          order by revision desc limit 5`,
        [accountId, tripId, revision],
      );
      return { kind: 'stale', revision: stored.revision, since: since.rows.map((row) => row.label) };
    }
    if (stored.departed)
      return {
        kind: 'refused',
        reason: 'This trip has set out; it keeps the plan it left with. Nothing was changed.',
        revision: stored.revision,
      };
    const next = changeDraft(stored.draft, change);
    if (!next.ok) return { kind: 'refused', reason: next.error, revision: stored.revision };
    const saved = await updatePlan(client, accountId, tripId, stored.draft.plan, next.value.plan);
    await saveSteps(client, accountId, tripId, stored.draft, next.value);
    await client.query(
      `insert into plan_change (account_id, trip_id, change_id, revision, label) values ($1, $2, $3, $4, $5)`,
      [accountId, tripId, change.id, saved, labelOf(stored.draft, next.value, change)],
    );
    return { kind: 'saved', revision: saved };
  });

function labelOf(before: Draft, after: Draft, change: Change): string {
  if (change.op === 'undo') return `Undone: ${before.done.at(-1)?.label ?? ''}`;
  if (change.op === 'redo') return `Redone: ${before.undone.at(-1)?.label ?? ''}`;
  return after.done.at(-1)?.label ?? '';
}

/** Writes the history's new state: steps forgotten, the one that is new, and the one that changed sides. */
async function saveSteps(client: Client, accountId: string, tripId: string, before: Draft, after: Draft) {
  const key = [accountId, tripId];
  const states = (draft: Draft) =>
    new Map([
      ...draft.done.map((step) => [step.id, 'done'] as const),
      ...draft.undone.map((step) => [step.id, 'undone'] as const),
    ]);
  const [old, now] = [states(before), states(after)];
  const forgotten = [...old.keys()].filter((id) => !now.has(id));
  if (forgotten.length) {
    await client.query(
      `delete from plan_step where account_id = $1 and trip_id = $2 and change_id = any($3)`,
      [...key, forgotten],
    );
  }
  const added = after.done.at(-1);
  if (added && !old.has(added.id)) {
    await client.query(
      `insert into plan_step (account_id, trip_id, sequence, state, change_id, label, edit, inverse)
       select $1, $2, coalesce(max(sequence), 0) + 1, 'done', $3, $4, $5, $6
         from plan_step where account_id = $1 and trip_id = $2`,
      [...key, added.id, added.label, JSON.stringify(added.edit), JSON.stringify(added.inverse)],
    );
  }
  for (const [id, state] of now) {
    if (old.has(id) && old.get(id) !== state) {
      await client.query(
        `update plan_step set state = $4 where account_id = $1 and trip_id = $2 and change_id = $3`,
        [...key, id, state],
      );
    }
  }
}
