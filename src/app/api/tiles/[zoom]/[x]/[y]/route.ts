import { LRUCache } from 'lru-cache';
import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { DEEPEST_ZOOM } from '@/standins/tiles';
import { tileServer, type Tile } from '@/standins/tileServer';

const server = tileServer();
type Params = { zoom: string; x: string; y: string };

const drawn = new LRUCache<string, Tile>({ max: 500 });
const tileSchema = z
  .object({
    zoom: z.coerce.number().int().min(0).max(DEEPEST_ZOOM),
    x: z.coerce.number().int().min(0),
    y: z.coerce.number().int().min(0),
  })
  .refine(({ zoom, x, y }) => x < 2 ** zoom && y < 2 ** zoom);

/** One square of the map. */
export const GET = handler<Params>('map tile', async ({ params }) => {
  const tile = tileSchema.safeParse(params);
  if (!tile.success) throw new Refusal(404, 'There is no such square of the map.');
  const { zoom, x, y } = tile.data;
  const key = `${zoom}/${x}/${y}`;
  let square = drawn.get(key) ?? null;
  if (square === null) {
    square = await server.tile(zoom, x, y).catch(() => null);
    if (square === null) throw new Refusal(404, 'The map does not answer here.');
    drawn.set(key, square);
  }
  return new NextResponse(square.body, {
    headers: { 'content-type': square.type, 'cache-control': 'private, max-age=86400' },
  });
});
