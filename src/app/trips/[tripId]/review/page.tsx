import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { missedNames } from '@/core/entries/entry';
import { learnedRates, swayFound, thingHistories } from '@/core/learning/ridden';
import { tripSummary } from '@/core/learning/summary';
import { reading } from '@/db/access';
import { readRidden } from '@/db/ridden';
import { ReviewStage } from '@/ui/review/ReviewStage';

export const metadata = { title: 'Review' };

export default async function ReviewPage() {
  const account = await requireAccount();
  const ridden = await reading(database(), account.id, (client) => readRidden(client, account.id));
  return (
    <ReviewStage
      rates={learnedRates(ridden)}
      sways={swayFound(ridden)}
      histories={thingHistories(ridden)}
      missed={ridden.flatMap(({ entries }) => missedNames(entries))}
      trips={ridden.map(tripSummary)}
    />
  );
}
