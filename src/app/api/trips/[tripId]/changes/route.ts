import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { editSchema } from '@/core/plan/edit';
import { idSchema } from '@/core/units/measures';
import { saveChange } from '@/db/history';

const bodySchema = z.object({
  revision: z.int().min(0).max(2_147_483_647),
  change: z.discriminatedUnion('op', [
    z.object({ id: idSchema, op: z.literal('edit'), edit: editSchema }),
    z.object({ id: idSchema, op: z.literal('undo') }),
    z.object({ id: idSchema, op: z.literal('redo') }),
  ]),
});

/** Takes one change to a plan against the revision it was made on. */
export const POST = handler<{ tripId: string }>('change plan', async ({ request, params, account }) => {
  const { revision, change } = await readJson(request, bodySchema);
  const outcome = await saveChange(database(), account.id, params.tripId, revision, change);
  switch (outcome.kind) {
    case 'saved':
      return NextResponse.json({ revision: outcome.revision });
    case 'stale':
      return NextResponse.json(
        { error: 'This plan was changed elsewhere.', revision: outcome.revision, since: outcome.since },
        { status: 409 },
      );
    case 'refused':
      throw new Refusal(422, outcome.reason, { revision: outcome.revision });
    case 'no such trip':
      throw new Refusal(404, 'This trip is no longer there.');
  }
});
