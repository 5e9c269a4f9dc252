import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson } from '@/app/server/api';
import { simulatedElevation } from '@/standins/elevation';

const MOST = 120_000;
const bodySchema = z
  .object({
    lat: z.array(z.number().min(-90).max(90)).max(MOST, `At most ${MOST} points at once.`),
    lon: z.array(z.number().min(-180).max(180)),
  })
  .refine(({ lat, lon }) => lat.length === lon.length, 'As many longitudes as latitudes.');

/** Heights of points. Simulated: a real service answers behind the same interface. */
export const POST = handler('elevation', async ({ request }) => {
  const { lat, lon } = await readJson(request, bodySchema);
  return NextResponse.json({ heights: await simulatedElevation.heights(lat, lon) });
});
