import { NextResponse } from 'next/server';
import { z } from 'zod';
import { handler, readJson } from '@/app/server/api';
import { MOST_NIGHTS } from '@/core/trip/trip';
import { simulatedWeather } from '@/standins/weather';

const bodySchema = z.object({
  days: z
    .array(
      z.object({
        lat: z.number().min(-90).max(90),
        lon: z.number().min(-180).max(180),
        date: z.iso.date(),
      }),
    )
    .max(MOST_NIGHTS + 1, `At most ${MOST_NIGHTS + 1} days at once.`),
});

/** The weather of days at places. Simulated: a real service answers behind the same interface. */
export const POST = handler('weather', async ({ request }) => {
  const { days } = await readJson(request, bodySchema);
  return NextResponse.json({ days: await simulatedWeather.forecast(days) });
});
