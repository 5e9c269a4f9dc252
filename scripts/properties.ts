// npm run properties -- [seed]: the unit tests with properties tried on other values, from a seed that is printed.
import { spawnSync } from 'node:child_process';
import { randomInt } from 'node:crypto';
import path from 'node:path';
import { exitOn, Plain, say } from './lib/say';

const [given] = process.argv.slice(2);
const seed = given === undefined ? randomInt(1, 2 ** 31) : Number(given);
if (!Number.isInteger(seed))
  exitOn(new Plain('The seed is a whole number, as in: npm run properties -- 1234'));
say(`Properties from seed ${seed}; to try them again: npm run properties -- ${seed}`);
const { status } = spawnSync(path.join('node_modules', '.bin', 'jest'), ['--selectProjects', 'core'], {
  stdio: 'inherit',
  env: { ...process.env, PROPERTY_SEED: String(seed) },
});
process.exitCode = status ?? 1;
