import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database, notices } from '@/app/server/database';
import { reading } from '@/db/access';
import { readRevision } from '@/db/trips';

/** A connection that nothing passes over is closed by what stands between; and who is signed out must not listen for ever. */
const HEARTBEAT_MS = 25_000;
const LONGEST_MS = 10 * 60_000;

/** Tells a tab the trip's revision, now and whenever it is counted up, as server-sent events. */
export const GET = handler<{ tripId: string }>('listen', async ({ request, params, account }) => {
  const { tripId } = params;
  const encoder = new TextEncoder();
  let close = () => {};
  // Listened for before it is asked what it is now, so that no change falls between.
  const early: string[] = [];
  let write = (text: string): void => void early.push(text);
  const stop = notices().listen(account.id, tripId, {
    tell: (notice) => write(`data: ${notice}\n\n`),
    lost: () => close(),
  });
  const revision = await reading(database(), account.id, (client) =>
    readRevision(client, account.id, tripId),
  );
  if (revision === null) {
    stop();
    throw new Refusal(404, 'This trip is no longer there.');
  }
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      write = (text) => controller.enqueue(encoder.encode(text));
      write(`retry: 2000\ndata: ${revision}\n\n`);
      for (const text of early) write(text);
      const beat = setInterval(() => write(': still here\n\n'), HEARTBEAT_MS);
      const limit = setTimeout(() => close(), LONGEST_MS);
      close = () => {
        close = () => {};
        write = () => {};
        clearInterval(beat);
        clearTimeout(limit);
        stop();
        controller.close();
      };
      request.signal.addEventListener('abort', () => close());
      if (request.signal.aborted) close();
    },
    cancel: () => close(),
  });
  return new NextResponse(body, {
    headers: {
      'content-type': 'text/event-stream; charset=utf-8',
      // Not held back by a proxy until there is more of it.
      'x-accel-buffering': 'no',
      'cache-control': 'no-store, no-transform',
    },
  });
});
