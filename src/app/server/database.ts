import { RIDER_ROLE } from '@/db/access';
import { Notices } from '@/db/notices';
import { createPool, type Pool } from '@/db/pool';

// Kept on the global object: in development each reload of this module would otherwise open more pools.
const shared = globalThis as { gorvinPools?: { riders: Pool; door: Pool; notices: Notices } };

function pools() {
  if (!shared.gorvinPools) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set. Start Gorvin with npm start.');
    shared.gorvinPools = {
      riders: createPool(url, RIDER_ROLE),
      door: createPool(url),
      notices: new Notices(url),
    };
  }
  return shared.gorvinPools;
}

/** Riders' data: through `reading` and `changing` (src/db/access.ts); anything else sees no rows. */
export const database = (): Pool => pools().riders;

/** What is told of trips, from whichever server. */
export const notices = (): Notices => pools().notices;

/** Accounts and sessions, which are asked for before it is known who asks. Nothing else. */
export const door = (): Pool => pools().door;
