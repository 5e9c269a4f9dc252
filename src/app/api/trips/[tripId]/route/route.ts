import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { evaluate } from '@/core/evaluation/evaluate';
import { rideOf } from '@/core/facts/ride';
import { writeGeojson } from '@/core/trip/route/geojson';
import { writeGpx } from '@/core/trip/route/writeGpx';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';

const wishSchema = z.object({ format: z.enum(['gpx', 'days', 'geojson']) });

/** The trip's route as a file: one track, a track for each day, or GeoJSON; with every place. */
export const GET = handler<{ tripId: string }>('save route', async ({ request, params, account }) => {
  const wish = wishSchema.safeParse(Object.fromEntries(request.nextUrl.searchParams));
  if (!wish.success) throw new Refusal(422, 'A route comes as gpx, days or geojson.');
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  const ride = rideOf(evaluate(stored.plan));
  if (!ride) throw new Refusal(404, 'This trip has no route.');
  const { route, days } = ride;
  const { format } = wish.data;
  const legs =
    format === 'days'
      ? days.map(({ day, fromM, toM }) => ({ name: `${route.name}, day ${day}`, fromM, toM }))
      : [{ name: route.name, fromM: 0, toM: route.lengthM }];
  const isGpx = format !== 'geojson';
  return new NextResponse(isGpx ? writeGpx(route, legs) : writeGeojson(route), {
    headers: {
      'content-type': isGpx ? 'application/gpx+xml; charset=utf-8' : 'application/geo+json; charset=utf-8',
      'content-disposition': `attachment; filename="${fileName(route.name)}${format === 'days' ? '-days' : ''}.${isGpx ? 'gpx' : 'geojson'}"`,
    },
  });
});
