// npm run -s route -- FILE.gpx --nights N [--plan PLAN.json]: a route divided into days, as JSON.
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import tzlookup from '@photostructure/tz-lookup';
import { evaluate } from '@/core/evaluation/evaluate';
import { rideOf } from '@/core/facts/ride';
import { parsePlanFile } from '@/core/formats/planFile';
import { emptyPlan } from '@/core/plan/plan';
import { parseGeojson } from '@/core/trip/route/geojson';
import { parseGpx } from '@/core/trip/route/gpx';
import { makeRoute } from '@/core/trip/route/makeRoute';
import { simulatedElevation } from '@/standins/elevation';
import { exitOn, Plain } from './lib/say';

async function main(): Promise<void> {
  const { values, positionals } = parseArgs({
    options: { nights: { type: 'string' }, plan: { type: 'string' } },
    allowPositionals: true,
  });
  const file = positionals[0];
  if (!file) throw new Plain('Usage: npm run -s route -- FILE.gpx --nights N [--plan PLAN.json]');
  const nights = Number(values.nights ?? 1);
  if (!Number.isInteger(nights) || nights < 0 || nights > 30)
    throw new Plain('--nights is a whole number from 0 to 30.');
  const text = readFileSync(file, 'utf8');
  const parsed = text.trimStart().startsWith('{') ? parseGeojson(text) : parseGpx(text);
  if (!parsed.ok) throw new Plain(`${file}: ${parsed.error}`);
  let ids = 0;
  const made = await makeRoute(
    parsed.value.tracks,
    parsed.value.waypoints,
    async (lat, lon) => Float64Array.from(await simulatedElevation.heights([...lat], [...lon])),
    () => `place-${(ids += 1)}`,
    tzlookup,
  );
  if (!made.ok) throw new Plain(`${file}: ${made.error}`);
  let plan = emptyPlan('Route');
  if (values.plan) {
    const read = parsePlanFile(readFileSync(values.plan, 'utf8'));
    if (!read.ok) throw new Plain(read.error.join('\n'));
    plan = read.value;
  }
  const { route, line, places, days, steepest, steepestRideable, walkedM, cyclist, secondsPerKg, problem } =
    rideOf(evaluate({ ...plan, trip: { ...plan.trip, nights }, route: made.value }))!;
  console.log(
    JSON.stringify(
      {
        name: route.name,
        lengthM: line.lengthM,
        recorded: route.recorded,
        cleaned: line.cleaned,
        places: places.map(({ place, ...where }) => ({ name: place.name, kind: place.kind, ...where })),
        days: days.map(({ sleepsAt, toM, fromM, ...day }) => ({
          ...day,
          fromM,
          toM,
          lengthM: toM - fromM,
          sleepsAt: sleepsAt?.name ?? null,
        })),
        gears: { ...cyclist, steepest, steepestRideable, walkedM },
        secondsPerKg,
        problem,
        leftOut: parsed.value.leftOut,
      },
      null,
      2,
    ),
  );
}

main().catch(exitOn);
