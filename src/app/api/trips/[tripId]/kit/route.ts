import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { writeKitCsv } from '@/core/formats/kitCsv';
import { whereIn } from '@/core/plan/where';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';

/** The kit as CSV. */
export const GET = handler<{ tripId: string }>('export kit', async ({ params, account }) => {
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  return new NextResponse(writeKitCsv(stored.plan.things, whereIn(stored.plan)), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${fileName(stored.plan.trip.name)}-kit.csv"`,
    },
  });
});
