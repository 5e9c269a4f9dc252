import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { idSchema } from '@/core/units/measures';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';
import { simulatedScale } from '@/standins/scale';

const questionSchema = z.union([
  z.object({ bag: idSchema }),
  z.object({ under: z.enum(['front', 'rear']), rider: z.enum(['yes', 'no']) }),
]);

/** Reads the scale under one wheel of this trip's bike, or with one of its packed bags. Simulated: a real one answers behind the same interface. */
export const GET = handler<{ tripId: string }>('read scale', async ({ request, params, account }) => {
  const question = questionSchema.safeParse(Object.fromEntries(request.nextUrl.searchParams));
  if (!question.success)
    throw new Refusal(422, 'Say which bag is on the scale, or which wheel and whether the rider sits.');
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  const { data } = question;
  const scale = simulatedScale(stored.plan, Math.random);
  if ('bag' in data) {
    if (!stored.plan.bags.some(({ id }) => id === data.bag))
      throw new Refusal(404, 'This bag is no longer on this trip.');
    return NextResponse.json({ massG: await scale.read({ bagId: data.bag }) });
  }
  if (!stored.plan.bike) throw new Refusal(422, 'There is no bike on the scale yet.');
  const massG = await scale.read({ under: data.under, rider: data.rider === 'yes' });
  return NextResponse.json({ massG });
});
