import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';
import { simulatedScale } from '@/standins/scale';

const questionSchema = z.object({ under: z.enum(['front', 'rear']), rider: z.enum(['yes', 'no']) });

/** Reads the scale under one wheel of this trip's bike. Simulated: a real one answers behind the same interface. */
export const GET = handler<{ tripId: string }>('read scale', async ({ request, params, account }) => {
  const question = questionSchema.safeParse(Object.fromEntries(request.nextUrl.searchParams));
  if (!question.success)
    throw new Refusal(422, 'Say which wheel is on the scale, and whether the rider sits.');
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  if (!stored.plan.bike) throw new Refusal(422, 'There is no bike on the scale yet.');
  const scale = simulatedScale(stored.plan, Math.random);
  const massG = await scale.read({ under: question.data.under, rider: question.data.rider === 'yes' });
  return NextResponse.json({ massG });
});
