import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { missedNames } from '@/core/entries/entry';
import { thingHistories } from '@/core/learning/histories';
import { limitsFound } from '@/core/learning/limits';
import { learnedRates } from '@/core/learning/rates';
import { tripSummary } from '@/core/learning/summary';
import { reading } from '@/db/access';
import { readPlan } from '@/db/plans';
import { readRejected, readRidden } from '@/db/ridden';
import { ReviewStage } from '@/ui/review/ReviewStage';

export const metadata = { title: 'Review' };

export default async function ReviewPage({ params }: { params: Promise<{ tripId: string }> }) {
  const account = await requireAccount();
  const { tripId } = await params;
  const [ridden, rejected, own] = await reading(database(), account.id, async (client) => [
    await readRidden(client, account.id),
    await readRejected(client, account.id),
    await readPlan(client, account.id, tripId),
  ]);
  return (
    <ReviewStage
      rates={learnedRates(ridden)}
      limits={limitsFound(ridden, own?.plan.bike?.id ?? null)}
      rejected={rejected}
      histories={thingHistories(ridden)}
      missed={ridden.flatMap(({ entries }) => missedNames(entries))}
      trips={ridden.map(tripSummary)}
    />
  );
}
