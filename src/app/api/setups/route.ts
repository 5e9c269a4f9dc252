import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { bagSchema } from '@/core/bag/bag';
import { bikeSchema } from '@/core/bike/bike';
import { idSchema, nameSchema } from '@/core/units/measures';
import { brokenReferences, emptyPlan } from '@/core/plan/plan';
import { LIMITS } from '@/core/plan/limits';
import { changing, reading } from '@/db/access';
import { countSetups, listSetups, saveSetup } from '@/db/setups';

const bodySchema = z
  .object({
    id: idSchema,
    name: nameSchema,
    bike: bikeSchema,
    bags: z.array(bagSchema).max(LIMITS.bags),
  })
  .refine(
    ({ bike, bags }) => brokenReferences({ ...emptyPlan('set-up'), bike, bags }).length === 0,
    'Two bags or compartments have the same id.',
  );

/** The account's set-ups: bikes with their bags. */
export const GET = handler('list setups', async ({ account }) =>
  NextResponse.json({
    setups: await reading(database(), account.id, (client) => listSetups(client, account.id)),
  }),
);

/** Keeps a set-up. */
export const POST = handler('keep setup', async ({ request, account }) => {
  const setup = await readJson(request, bodySchema);
  await changing(database(), account.id, async (client) => {
    if ((await countSetups(client, account.id)) >= LIMITS.setups)
      throw new Refusal(422, `At most ${LIMITS.setups} set-ups are kept. Remove one first.`);
    await saveSetup(client, account.id, setup);
  });
  return NextResponse.json({ id: setup.id }, { status: 201 });
});
