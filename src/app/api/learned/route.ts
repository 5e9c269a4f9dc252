import { NextResponse } from 'next/server';
import { handler } from '@/app/server/api';
import { database } from '@/app/server/database';
import { calledFor } from '@/core/learning/calledFor';
import { thingHistories } from '@/core/learning/ridden';
import { reading } from '@/db/access';
import { readRidden } from '@/db/ridden';

/** What the rider's own trips say of needs and things, for judging what to leave. */
export const GET = handler('learned', async ({ account }) => {
  const ridden = await reading(database(), account.id, (client) => readRidden(client, account.id));
  return NextResponse.json({ calledFor: calledFor(ridden), histories: thingHistories(ridden) });
});
