import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { idSchema } from '@/core/units/measures';
import { ownedThingSchema } from '@/core/kit/thing';
import { LIMITS } from '@/core/plan/limits';
import { withoutDefaults } from '@/core/plan/edit';
import { addThings, changeThings, deleteOwned, listInventory } from '@/db/inventory';
import { changing, reading } from '@/db/access';
import { countOwned, tooManyThings } from '@/db/trips';

const ids = z.array(idSchema).max(5_000).default([]);
const wishSchema = z.object({ thing: ids, bag: ids, bike: ids });

/** Deletes owned items on request; where a trip or set-up uses one, none, and they are named. */
export const DELETE = handler('delete owned', async ({ request, account }) => {
  const items = await readJson(request, wishSchema);
  const users = await changing(database(), account.id, (client) => deleteOwned(client, account.id, items));
  if (users.length > 0)
    throw new Refusal(
      409,
      `Nothing was deleted: it is still used by ${users.join(', ')}. Take it off there first.`,
    );
  return NextResponse.json({ ok: true });
});

/** Everything owned, with the trips that use it. */
export const GET = handler('inventory', async ({ account }) =>
  NextResponse.json({
    items: await reading(database(), account.id, (client) => listInventory(client, account.id)),
  }),
);

const MOST = 5_000;
const { id: _id, ...fields } = ownedThingSchema.shape;
const addSchema = z.object({
  things: z.array(ownedThingSchema).min(1).max(MOST, `At most ${MOST} things at once.`),
});
const changeSchema = z.object({
  changeId: idSchema,
  changes: z
    .array(z.object({ id: idSchema, patch: withoutDefaults(fields) }))
    .min(1)
    .max(MOST, `At most ${MOST} things at once.`),
});

/** Adds things that are owned, or are still to be bought. */
export const POST = handler('add owned', async ({ request, account }) => {
  const { things } = await readJson(request, addSchema);
  await changing(database(), account.id, async (client) => {
    if ((await countOwned(client, account.id)).things + things.length > LIMITS.ownedThings)
      throw new Refusal(422, tooManyThings);
    await addThings(client, account.id, things);
  });
  return NextResponse.json({ ok: true });
});

/** Changes fields of owned things: all that is asked, or nothing. */
export const PATCH = handler('change owned', async ({ request, account }) => {
  const { changeId, changes } = await readJson(request, changeSchema);
  const outcome = await changing(database(), account.id, (client) =>
    changeThings(client, account.id, changeId, changes),
  );
  if (!outcome.ok) throw new Refusal(422, outcome.reason);
  return NextResponse.json({ things: outcome.things });
});
