import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { listUnused } from '@/db/inventory';
import { listTrips } from '@/db/trips';
import { TripList, type ListedTrip } from '@/ui/home/TripList';
import type { NextTrip } from '@/ui/home/Next';
import { answerOf } from '@/core/evaluation/answer';
import { evaluate } from '@/core/evaluation/evaluate';
import { formatterFor } from '@/core/units/format';
import { reading } from '@/db/access';
import type { Account } from '@/db/accounts';
import { doneTasks } from '@/core/entries/entry';
import { todoList } from '@/core/readiness/todo';
import { readEntries } from '@/db/entries';
import { readPlan } from '@/db/plans';
import type { Client } from '@/db/pool';

export const metadata = { title: 'Trips' };

/** Of so many findings the page of trips tells. */
const TOLD = 4;

/** The trip that is next by its date, or else the one last worked on, with what remains to be done for it. */
async function nextTrip(
  client: Client,
  account: Account,
  trips: readonly ListedTrip[],
): Promise<NextTrip | null> {
  const today = new Date().toISOString().slice(0, 10);
  const planned = trips.filter(({ hasSetOut }) => !hasSetOut);
  const dated = planned
    .filter(({ startDate }) => startDate !== null && startDate >= today)
    .sort((a, b) => a.startDate!.localeCompare(b.startDate!));
  const trip = dated[0] ?? planned[0];
  if (!trip) return null;
  const stored = await readPlan(client, account.id, trip.id);
  if (!stored) return null;
  const format = formatterFor(account.units);
  const evaluation = evaluate(stored.plan, format);
  const done = doneTasks(await readEntries(client, account.id, trip.id));
  return {
    id: trip.id,
    name: trip.name,
    startDate: trip.startDate,
    answer: answerOf(evaluation, format).sentence,
    remaining: evaluation.findings
      .filter(({ severity }) => severity !== 'note')
      .slice(0, TOLD)
      .map(({ id, severity, stage, message }) => ({ id, severity, stage, message })),
    todos: todoList(evaluation, format)
      .filter(({ id }) => !done.has(id))
      .slice(0, TOLD)
      .map(({ id, words, latest }) => ({ id, words, latest })),
  };
}

export default async function TripsPage() {
  const account = await requireAccount();
  const found = await reading(database(), account.id, async (client) => {
    const trips = await listTrips(client, account.id);
    return {
      trips,
      next: await nextTrip(client, account, trips),
      unused: await listUnused(client, account.id),
    };
  });
  return <TripList {...found} units={account.units} />;
}
