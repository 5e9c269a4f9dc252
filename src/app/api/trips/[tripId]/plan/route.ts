import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { planFileText } from '@/core/formats/planFile';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';

/** The plan as an open JSON file. */
export const GET = handler<{ tripId: string }>('export plan', async ({ params, account }) => {
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  return new NextResponse(planFileText(stored.plan), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="${fileName(stored.plan.trip.name)}.json"`,
    },
  });
});
