import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson } from '@/app/server/api';
import { database } from '@/app/server/database';
import { calledFor } from '@/core/learning/calledFor';
import { lastDone } from '@/core/learning/lastDone';
import { thingHistories } from '@/core/learning/histories';
import { isOneLine } from '@/core/units/text';
import { changing, reading } from '@/db/access';
import { readRejected, readRidden, setRejected } from '@/db/ridden';

/** What the rider's own trips say of needs and things, for judging what to leave. */
export const GET = handler('learned', async ({ account }) => {
  const [ridden, rejected] = await reading(database(), account.id, async (client) => [
    await readRidden(client, account.id),
    await readRejected(client, account.id),
  ]);
  return NextResponse.json({
    calledFor: calledFor(ridden),
    histories: thingHistories(ridden),
    lastDone: lastDone(ridden),
    rejected,
  });
});

const rejectedSchema = z.object({
  name: z.string().min(1).max(120).refine(isOneLine, 'A rate, a limit or a need is named in one line.'),
  rejected: z.boolean(),
});

/** Whether new plans take over a rate or a limit that was learned, or ask for a need. */
export const PUT = handler('learned', async ({ request, account }) => {
  const { name, rejected } = await readJson(request, rejectedSchema, 4096);
  await changing(database(), account.id, (client) => setRejected(client, account.id, name, rejected));
  return NextResponse.json({ name, rejected });
});
