// npm run probe -- malformed [COUNT]: an instance of its own is asked what no page of Gorvin would ask. Ends with 1 where it fails.
import { createPool } from '@/db/pool';
import { probeMalformed } from '../tests/probes/malformed';
import { newRider } from '../tests/probes/rider';
import { withApp } from './lib/app';
import { exitOn, Plain } from './lib/say';

const [name, ...rest] = process.argv.slice(2);
const count = Number(rest[0]) || undefined;

const PROBES: Record<string, (app: { url: string; databaseUrl: string }) => Promise<{ bad: unknown[] }>> = {
  malformed: async ({ url, databaseUrl }) => {
    const pool = createPool(databaseUrl);
    const { token, tripIds } = await newRider(pool);
    await pool.end();
    return probeMalformed({ url, token }, tripIds[0]!, count ?? 2000, 31);
  },
};

const probe = PROBES[name ?? ''];
if (!probe) exitOn(new Plain(`Say what to try: ${Object.keys(PROBES).join(', ')}.`));
else
  withApp(async (app) => {
    const result = await probe(app);
    console.log(JSON.stringify(result, null, 2));
    console.log(result.bad.length, 'bad');
    if (result.bad.length > 0) process.exitCode = 1;
  }).catch(exitOn);
