import { storedEditSchema, type Edit, type SimpleEdit } from '@/core/plan/edit';
import {
  changeDraft,
  HISTORY_BYTES,
  HISTORY_LENGTH,
  stepBytes,
  type Change,
  type Draft,
  type Step,
} from '@/core/plan/history';
import { LIMITS } from '@/core/plan/limits';
import { changing } from './access';
import { changedElsewhere, readOwned, type OwnedItems } from './owned';
import { readPlan, remember, updatePlan, type StoredPlan } from './plans';
import type { Client, Pool } from './pool';
import { countOwned, tooManyThings } from './trips';

interface StepRow {
  change_id: string;
  state: 'done' | 'undone';
  label: string;
  edit: unknown;
  inverse: unknown;
}

/** Steps as they are kept, oldest first: done ones before undone ones, of which the first is the next to redo. */
async function readSteps(
  client: Client,
  accountId: string,
  tripId: string,
  onlyNext = false,
): Promise<Pick<Draft, 'done' | 'undone'> & { unreadable: string[] }> {
  const { rows } = await client.query<StepRow>(
    `select change_id, state, label, edit, inverse from plan_step
      where account_id = $1 and trip_id = $2
        ${onlyNext ? `and sequence in (${NEXT_STEPS})` : ''} order by sequence`,
    [accountId, tripId],
  );
  const unreadable: string[] = [];
  /** From the one that is next to be undone or redone; nothing behind one that cannot be read can be reached. */
  const readable = (nextFirst: StepRow[]): Step[] => {
    const steps: Step[] = [];
    for (const row of nextFirst) {
      // Steps may be older than some fields of a bag or bike; the schema's defaults say what they meant.
      const edit = storedEditSchema.safeParse(row.edit);
      const inverse = storedEditSchema.safeParse(row.inverse);
      if (!edit.success || !inverse.success) {
        unreadable.push(row.change_id);
        break;
      }
      steps.push({ id: row.change_id, label: row.label, edit: edit.data, inverse: inverse.data });
    }
    return steps.reverse();
  };
  const done = readable(rows.filter(({ state }) => state === 'done').reverse());
  const undone = readable(rows.filter(({ state }) => state === 'undone'));
  const owned = await readOwned(client, accountId, broughtIn([...done, ...undone]));
  const asOwned = (step: Step): Step => ({
    ...step,
    edit: withOwned(step.edit, owned),
    inverse: withOwned(step.inverse, owned),
  });
  return { done: done.map(asOwned), undone: undone.map(asOwned), unreadable };
}

/** The step that is next to be undone, and the one that is next to be redone. */
const NEXT_STEPS = `
  (select max(sequence) from plan_step where account_id = $1 and trip_id = $2 and state = 'done'),
  (select min(sequence) from plan_step where account_id = $1 and trip_id = $2 and state = 'undone')`;

const partsOf = (edit: Edit): SimpleEdit[] => (edit.kind === 'several' ? edit.edits : [edit]);

/** Ids of the bikes, bags and things that steps put on a trip. */
function broughtIn(steps: readonly Step[]) {
  const ids = { bikes: new Set<string>(), bags: new Set<string>(), things: new Set<string>() };
  for (const part of steps.flatMap(({ edit, inverse }) => [...partsOf(edit), ...partsOf(inverse)])) {
    if (part.kind === 'set bike' && part.bike) ids.bikes.add(part.bike.id);
    if (part.kind === 'put bags') for (const { id } of part.bags) ids.bags.add(id);
    if (part.kind === 'put things') for (const { id } of part.things) ids.things.add(id);
  }
  return { bikes: [...ids.bikes], bags: [...ids.bags], things: [...ids.things] };
}

/**
 * An edit with what it puts on the trip as that is owned now. A step of the history decides whether a bag is on this trip; what
 * the bag is, and was changed to on another trip meanwhile, is not its to bring back.
 */
function withOwned(edit: Edit, { bikes, bags, things }: OwnedItems): Edit {
  const one = (part: SimpleEdit): SimpleEdit => {
    if (part.kind === 'set bike' && part.bike) return { ...part, bike: bikes.get(part.bike.id) ?? part.bike };
    if (part.kind === 'put bags') return { ...part, bags: part.bags.map((bag) => bags.get(bag.id) ?? bag) };
    if (part.kind === 'put things')
      return { ...part, things: part.things.map((thing) => ({ ...thing, ...things.get(thing.id) })) };
    return part;
  };
  return edit.kind === 'several' ? { ...edit, edits: edit.edits.map(one) } : one(edit);
}

export interface StoredDraft extends Pick<StoredPlan, 'revision' | 'departedAt'> {
  draft: Draft;
  /** Ids of steps that could not be read, and are left out with what lies behind them; to be logged. */
  unreadable: string[];
}

/** The plan with the steps that can be undone and redone, as one draft. */
export async function readDraft(
  client: Client,
  accountId: string,
  tripId: string,
): Promise<StoredDraft | null> {
  const stored = await readPlan(client, accountId, tripId);
  if (!stored) return null;
  const { plan, version: _version, ...rest } = stored;
  const { done, undone, unreadable } = await readSteps(client, accountId, tripId);
  return { ...rest, draft: { plan, done, undone }, unreadable };
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
export async function saveChange(
  pool: Pool,
  accountId: string,
  tripId: string,
  revision: number,
  change: Change,
): Promise<Outcome> {
  let written: StoredPlan | null = null;
  const outcome = await changing(pool, accountId, async (client): Promise<Outcome> => {
    const stored = await readPlan(client, accountId, tripId);
    if (!stored) return { kind: 'no such trip' };
    const refused = (reason: string): Outcome => ({ kind: 'refused', reason, revision: stored.revision });
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
    if (stored.departedAt)
      return refused('This trip has set out; it keeps the plan it left with. Nothing was changed.');
    // A new step is put on top of whatever there is; only the way back needs to know it.
    const steps =
      change.op === 'edit' ? { done: [], undone: [] } : await readSteps(client, accountId, tripId, true);
    const before: Draft = { plan: stored.plan, ...steps };
    const next = changeDraft(before, change);
    if (!next.ok) return refused(next.error);
    const after = next.value;
    const elsewhere = await changedElsewhere(client, accountId, before.plan, after.plan);
    if (elsewhere.length > 0)
      return refused(
        `${elsewhere.join(', ')} ${elsewhere.length === 1 ? 'was' : 'were'} changed on another trip meanwhile. Add ${elsewhere.length === 1 ? 'it' : 'them'} again to take up the change.`,
      );
    const added = after.plan.things.length - before.plan.things.length;
    if (added > 0 && (await countOwned(client, accountId)).things + added > LIMITS.ownedThings)
      return refused(tooManyThings);
    const saved = await updatePlan(client, accountId, tripId, before.plan, after.plan);
    const label = labelOf(before, after, change);
    const changes = [
      { id: tripId, revision: saved.revision, label },
      ...saved.others.map((other) => ({ ...other, label: `${label}, on ${after.plan.trip.name}` })),
    ];
    const key = [accountId, tripId, change.id, JSON.stringify(changes)];
    if (change.op === 'edit') await client.query(ADD_STEP, [...key, ...addedValues(after.done.at(-1)!)]);
    else {
      const step = (change.op === 'undo' ? after.undone : after.done).at(-1)!;
      await client.query(MOVE_STEP, [
        ...key,
        step.id,
        change.op === 'undo' ? 'undone' : 'done',
        ...stepValues(step),
      ]);
    }
    written = { plan: after.plan, revision: saved.revision, version: saved.version };
    return { kind: 'saved', revision: saved.revision };
  });
  if (written) remember(accountId, tripId, written);
  return outcome;
}

function labelOf(before: Draft, after: Draft, change: Change): string {
  if (change.op === 'undo') return `Undone: ${before.done.at(-1)?.label ?? ''}`;
  if (change.op === 'redo') return `Redone: ${before.undone.at(-1)?.label ?? ''}`;
  return after.done.at(-1)?.label ?? '';
}

const stepValues = (step: Step) => [JSON.stringify(step.edit), JSON.stringify(step.inverse), stepBytes(step)];
const addedValues = (step: Step) => [step.label, ...stepValues(step), HISTORY_LENGTH, HISTORY_BYTES];

/** What every trip that shows a change is told of it, so that a change sent twice is known, and a stale tab told. */
const TELL = `
  insert into plan_change (account_id, trip_id, change_id, revision, label)
  select $1, id, $3, revision, label
    from jsonb_to_recordset($4::jsonb) as recordset(id text, revision integer, label text)`;

/** Adds a step to the history: what could be redone is forgotten, and so are the oldest, by number and by size. */
const ADD_STEP = `
  with told as (${TELL}),
       forgotten as (
         delete from plan_step where account_id = $1 and trip_id = $2 and sequence in
           (select sequence
              from (select sequence, state, row_number() over newest_first as number,
                           sum(bytes) over newest_first as total
                      from plan_step where account_id = $1 and trip_id = $2
                    window newest_first as (partition by state order by sequence desc)) as step
             where state = 'undone' or number >= $9 or total + $8 > $10))
  insert into plan_step (account_id, trip_id, sequence, state, change_id, label, edit, inverse, bytes)
  select $1, $2, coalesce(max(sequence), 0) + 1, 'done', $3, $5, $6, $7, $8
    from plan_step where account_id = $1 and trip_id = $2`;

/** Turns a step that was done into one that can be redone, or back. */
const MOVE_STEP = `
  with told as (${TELL})
  update plan_step set state = $6, edit = $7, inverse = $8, bytes = $9
   where account_id = $1 and trip_id = $2 and change_id = $5`;
