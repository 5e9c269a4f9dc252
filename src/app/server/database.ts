import { createPool, type Pool } from '@/db/pool';

// Kept on the global object: in development each reload of this module would otherwise open another pool.
const shared = globalThis as { gorvinPool?: Pool };

export function database(): Pool {
  if (!shared.gorvinPool) {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set. Start Gorvin with npm start.');
    shared.gorvinPool = createPool(url);
  }
  return shared.gorvinPool;
}
