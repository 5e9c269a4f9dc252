// npm run bench:kits -- [--fit] [--seeds 1-20] [--things 60,80] [--seconds T] [--warm W]: bench:load for each of those kits, one
// after the other and each in a process of its own, with its JSON lines; and at last a line of what the measures ask of all.
// By default those the measures name: by fit in three quarters of an hour, beside HiGHS in an hour and a half.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { text } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { kitsOf, summaryOf, type Kit, type KitLine } from './lib/kits';
import { exitOn } from './lib/say';

const { values } = parseArgs({
  options: {
    seeds: { type: 'string', default: '1-20' },
    things: { type: 'string' },
    seconds: { type: 'string' },
    fit: { type: 'boolean', default: false },
    warm: { type: 'string' },
  },
});
const {
  fit,
  warm,
  seconds = fit ? '30' : '60',
  things: sizes = fit ? '60,80,100,120' : '40,60,80,120',
} = values;
const options = ['--seconds', seconds, ...(fit ? ['--fit'] : []), ...(warm ? ['--warm', warm] : [])];

async function lineOf({ seed, things }: Kit): Promise<string> {
  const kit = ['--seed', String(seed), '--things', String(things)];
  const child = spawn(process.execPath, ['scripts/bootstrap.mjs', 'bench-load', ...kit, ...options], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const [line, [status]] = await Promise.all([text(child.stdout), once(child, 'close')]);
  if (status !== 0) throw new Error(`bench:load ended with ${status} at ${kit.join(' ')}.`);
  return line;
}

async function all(): Promise<void> {
  const lines: KitLine[] = [];
  for (const kit of kitsOf(values.seeds, sizes)) {
    const line = await lineOf(kit);
    process.stdout.write(line);
    lines.push(JSON.parse(line) as KitLine);
  }
  console.log(JSON.stringify(summaryOf(lines)));
}

all().catch(exitOn);
