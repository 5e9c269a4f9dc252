import { NextResponse } from 'next/server';
import { handler } from '@/app/server/api';
import { database } from '@/app/server/database';
import { reading } from '@/db/access';
import { exportAccount } from '@/db/exported';

/** Everything an account has, as one JSON file. */
export const GET = handler('export account', async ({ account }) => {
  const exported = await reading(database(), account.id, (client) => exportAccount(client, account));
  return new NextResponse(`${JSON.stringify(exported, null, 2)}\n`, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="gorvin-account.json"',
    },
  });
});
