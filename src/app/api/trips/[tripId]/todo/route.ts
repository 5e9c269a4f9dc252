import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { todoIcs } from '@/app/server/todoIcs';
import { evaluate } from '@/core/evaluation/evaluate';
import { todoList } from '@/core/readiness/todo';
import { formatterFor } from '@/core/units/format';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';

/** What is to be done before leaving, as a calendar file. */
export const GET = handler<{ tripId: string }>('todo calendar', async ({ params, account }) => {
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  const { plan } = stored;
  if (plan.trip.startDate === null)
    throw new Refusal(422, 'The trip has no first day yet, so nothing has a latest one. Set it on Trip.');
  const format = formatterFor(account.units);
  return new NextResponse(todoIcs(params.tripId, plan.trip.name, todoList(evaluate(plan, format), format)), {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${fileName(plan.trip.name)}-before-leaving.ics"`,
    },
  });
});
