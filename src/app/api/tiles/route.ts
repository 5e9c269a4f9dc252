import { NextResponse } from 'next/server';
import { handler } from '@/app/server/api';
import { tileServer } from '@/standins/tileServer';

/** Whose map it is. */
export const GET = handler('tile credit', () =>
  Promise.resolve(NextResponse.json({ credit: tileServer().credit })),
);
