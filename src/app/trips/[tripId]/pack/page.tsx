import { database } from '@/app/server/database';
import { requireAccount } from '@/app/server/session';
import { reading } from '@/db/access';
import { readEarlierTests } from '@/db/entries';
import { PackStage } from '@/ui/pack/PackStage';

export const metadata = { title: 'Pack' };

interface Props {
  params: Promise<{ tripId: string }>;
  searchParams: Promise<{ show?: string }>;
}

export default async function PackPage({ params, searchParams }: Props) {
  const account = await requireAccount();
  const { tripId } = await params;
  const earlier = await reading(database(), account.id, (client) =>
    readEarlierTests(client, account.id, tripId),
  );
  return <PackStage earlier={earlier} isBeforeLeaving={(await searchParams).show === 'before'} />;
}
