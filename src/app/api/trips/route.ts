import { randomUUID } from 'node:crypto';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readText, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { parsePlanValue } from '@/core/formats/planFile';
import { nameSchema, idSchema } from '@/core/units/measures';
import { LIMITS } from '@/core/plan/limits';
import { emptyPlan, withFreshIds, type Plan } from '@/core/plan/plan';
import { limitsFound } from '@/core/learning/limits';
import { learnedRates } from '@/core/learning/rates';
import { takeOver } from '@/core/learning/takeOver';
import { changing, reading } from '@/db/access';
import { saveChange } from '@/db/history';
import { insertPlan, readPlan } from '@/db/plans';
import { readRejected, readRidden } from '@/db/ridden';
import { countOwned, tooManyThings } from '@/db/trips';

const bodySchema = z.discriminatedUnion('from', [
  z.object({ from: z.literal('nothing'), name: nameSchema }),
  /** Another trip with the same bike, bags and things, which stay one and the same. */
  z.object({ from: z.literal('trip'), tripId: idSchema, name: nameSchema }),
  z.object({ from: z.literal('file'), plan: z.unknown() }),
  /** As a file, but made just now, by the questions of a new trip. */
  z.object({ from: z.literal('list'), plan: z.unknown() }),
]);

/** Makes a trip: empty, like another one, or from a plan file. */
export const POST = handler('make trip', async ({ request, account }) => {
  let data: unknown;
  try {
    data = JSON.parse(await readText(request, LIMITS.planFileBytes + 1024));
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(400, 'The request is not valid JSON.');
  }
  const body = bodySchema.safeParse(data);
  if (!body.success)
    throw new Refusal(422, body.error.issues[0]?.message ?? 'The request was not understood.');
  const wish = body.data;
  const tripId = randomUUID();
  await changing(database(), account.id, async (client) => {
    let plan: Plan;
    if (wish.from === 'nothing') {
      plan = emptyPlan(wish.name);
    } else if (wish.from === 'trip') {
      const like = await readPlan(client, account.id, wish.tripId);
      if (!like) throw new Refusal(404, 'The trip to start from is no longer there.');
      plan = { ...like.plan, trip: { ...like.plan.trip, name: wish.name }, load: [] };
    } else {
      const parsed = parsePlanValue(wish.plan);
      if (!parsed.ok) throw new Refusal(422, 'The plan file was refused.', { problems: parsed.error });
      // What the file names becomes this account's own, under ids of its own.
      plan = withFreshIds(parsed.value, randomUUID);
    }
    const owned = await countOwned(client, account.id);
    if (owned.trips >= LIMITS.trips)
      throw new Refusal(422, `An account keeps at most ${LIMITS.trips} trips. Delete one first.`);
    if ('plan' in wish && owned.things + plan.things.length > LIMITS.ownedThings)
      throw new Refusal(422, tooManyThings);
    await insertPlan(client, account.id, tripId, plan);
  });
  // A plan from a file stays as it is in the file.
  if (wish.from !== 'file') await planWithWhatWasLearned(account.id, tripId);
  return NextResponse.json({ tripId }, { status: 201 });
});

/** One step of the new trip's history, so that it is told and can be undone. */
async function planWithWhatWasLearned(accountId: string, tripId: string): Promise<void> {
  const edit = await reading(database(), accountId, async (client) => {
    const ridden = await readRidden(client, accountId);
    const rejected = new Set(await readRejected(client, accountId));
    const made = ridden.length + rejected.size > 0 ? await readPlan(client, accountId, tripId) : null;
    if (!made) return null;
    return takeOver(
      made.plan,
      learnedRates(ridden),
      limitsFound(ridden, made.plan.bike?.id ?? null),
      rejected,
    );
  });
  if (edit) await saveChange(database(), accountId, tripId, 0, { id: randomUUID(), op: 'edit', edit });
}
