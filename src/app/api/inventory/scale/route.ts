import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { idSchema } from '@/core/units/measures';
import { reading } from '@/db/access';
import { readOwned } from '@/db/owned';
import { ESTIMATE_OFF, messagesOfScale, SENDS_EVERY_MS } from '@/standins/benchScale';

const questionSchema = z.object({
  thing: idSchema,
  pieces: z.coerce.number().int().min(1).max(200).default(1),
  unit: z.enum(['metric', 'imperial']).default('metric'),
});

/** What a scale sends while a thing is put on it, message by message. Simulated: a real one sends the same to the browser. */
export const GET = handler('scale messages', async ({ request, account }) => {
  const question = questionSchema.safeParse(Object.fromEntries(request.nextUrl.searchParams));
  if (!question.success) throw new Refusal(422, 'Say which thing is on the scale, and how many of it.');
  const { thing: id, pieces, unit } = question.data;
  const owned = await reading(database(), account.id, (client) =>
    readOwned(client, account.id, { bikes: [], bags: [], things: [id] }),
  );
  const thing = owned.things.get(id);
  if (!thing) throw new Refusal(404, 'This thing is no longer in the inventory.');
  const truthG = pieces * thing.massG * (thing.massSource === 'estimate' ? ESTIMATE_OFF : 1);
  return NextResponse.json({
    everyMs: SENDS_EVERY_MS,
    messages: messagesOfScale(truthG, unit, Math.random).map((bytes) => [...bytes]),
  });
});
