import { Refusal } from './refusal';

/** Requests an account may make: a burst, and then so many a second. */
const BURST = 200;
const A_SECOND = 40;

interface Bucket {
  left: number;
  at: number;
}
const buckets = new Map<string, Bucket>();

/** Counts a request of an account; refuses it where there were too many in the last seconds. */
export function countRequest(accountId: string, now = performance.now()): void {
  const bucket = buckets.get(accountId) ?? { left: BURST, at: now };
  const left = Math.min(BURST, bucket.left + ((now - bucket.at) / 1000) * A_SECOND);
  if (left < 1) throw new Refusal(429, 'Too many requests at once. It will be tried again.', {}, 1);
  // Oldest first, so that those of riders who have left are found at the front.
  buckets.delete(accountId);
  buckets.set(accountId, { left: left - 1, at: now });
  for (const [id, { at }] of buckets) {
    if (now - at < (1000 * BURST) / A_SECOND) break;
    buckets.delete(id);
  }
}
