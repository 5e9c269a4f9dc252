import path from 'node:path';
import { NextResponse } from 'next/server';
import { handler, Refusal } from '@/app/server/api';
import { database } from '@/app/server/database';
import { fileName } from '@/app/server/fileName';
import { evaluate } from '@/core/evaluation/evaluate';
import { rideOf } from '@/core/facts/ride';
import { writeGpx } from '@/core/trip/route/writeGpx';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';
import { folderHeadUnit } from '@/standins/headUnit';

/** Where the simulated head unit is, beside the database. */
const FOLDER = process.env.GORVIN_HEAD_UNIT ?? path.join(process.cwd(), '.data', 'head-unit');

/** Puts each day's route with its places on the head unit, within what it can hold. */
export const POST = handler<{ tripId: string }>('head unit', async ({ params, account }) => {
  const stored = await reading(database(), account.id, (client) =>
    readPlan(client, account.id, params.tripId),
  );
  if (!stored) throw new Refusal(404, 'This trip is no longer there.');
  const ride = rideOf(evaluate(stored.plan));
  if (!ride) throw new Refusal(422, 'This trip has no route. Add one under Trip.');
  const unit = folderHeadUnit(path.join(FOLDER, fileName(account.id)));
  const files: string[] = [];
  for (const { day, fromM, toM } of ride.days) {
    const places = ride.places.filter((each) => each.day === day).map(({ place }) => place);
    const name = `${fileName(ride.route.name)}-day-${day}.gpx`;
    const text = writeGpx(
      { ...ride.route, places },
      [{ name: `Day ${day} ${ride.route.name}`, fromM, toM }],
      unit.limits,
    );
    const written = await unit.write(name, text);
    if (!written.ok)
      throw new Refusal(409, `${written.error} ${files.length} of ${ride.days.length} days are on it.`);
    files.push(name);
  }
  return NextResponse.json({ files, limits: unit.limits });
});
