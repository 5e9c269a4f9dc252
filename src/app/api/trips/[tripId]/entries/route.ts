import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { entrySchema, MOST_ENTRIES } from '@/core/entries/entry';
import { changing, reading } from '@/db/access';
import { addEntries, readEntries } from '@/db/entries';

type Params = { tripId: string };

const bodySchema = z.object({
  entries: z.array(entrySchema).max(MOST_ENTRIES, `At most ${MOST_ENTRIES} entries at once.`),
});

/** What was recorded of a trip. */
export const GET = handler<Params>('read entries', async ({ params, account }) =>
  NextResponse.json({
    entries: await reading(database(), account.id, (client) =>
      readEntries(client, account.id, params.tripId),
    ),
  }),
);

/** Takes a batch of entries; sent twice it counts once. Gives all that there are. */
export const POST = handler<Params>('add entries', async ({ request, params, account }) => {
  const { entries } = await readJson(request, bodySchema);
  const all = await changing(database(), account.id, async (client) =>
    (await addEntries(client, account.id, params.tripId, entries))
      ? readEntries(client, account.id, params.tripId)
      : null,
  );
  if (!all) throw new Refusal(404, 'This trip is no longer there.');
  return NextResponse.json({ entries: all });
});
