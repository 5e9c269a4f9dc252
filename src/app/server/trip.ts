import { idSchema } from '@/core/units/measures';
import { reading } from '@/db/access';
import { readDraft } from '@/db/history';
import { database } from './database';
import { log } from './log';

/** A trip's plan with its history, as a page or a tab takes it up; null without one. */
export async function openTrip(accountId: string, tripId: string) {
  if (!idSchema.safeParse(tripId).success) return null;
  const found = await reading(database(), accountId, (client) => readDraft(client, accountId, tripId));
  if (!found) return null;
  const { unreadable, ...draft } = found;
  if (unreadable.length > 0) log.warn({ tripId, steps: unreadable }, 'steps of the history cannot be read');
  return draft;
}
