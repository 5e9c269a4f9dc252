// npm run bench:kits -- [--fit] [--seeds 1-20] [--things 60,80] [--seconds T] [--warm W]: bench:load for each of those kits, one
// after the other and each in a process of its own, with its JSON lines; and at last a line of what the measures ask of all.
// With --again N each kit that is over --near (1.01) by fit is asked N times more, with other searches, and the middle counts.
// By default those the measures name: by fit in three quarters of an hour, beside HiGHS in an hour and a half.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { text } from 'node:stream/consumers';
import { parseArgs } from 'node:util';
import { kitsOf, kitsOver, summaryOf, type Kit, type KitLine } from './lib/kits';
import { exitOn, Plain } from './lib/say';

const { values } = parseArgs({
  options: {
    seeds: { type: 'string', default: '1-20' },
    things: { type: 'string' },
    seconds: { type: 'string' },
    fit: { type: 'boolean', default: false },
    warm: { type: 'string' },
    again: { type: 'string', default: '0' },
    near: { type: 'string', default: '1.01' },
  },
});
const {
  fit,
  warm,
  seconds = fit ? '30' : '60',
  things: sizes = fit ? '60,80,100,120' : '40,60,80,120',
} = values;
const options = ['--seconds', seconds, ...(fit ? ['--fit'] : []), ...(warm ? ['--warm', warm] : [])];

const [again, near] = [Number(values.again), Number(values.near)];
if (!(Number.isInteger(again) && again >= 0 && near > 0))
  exitOn(new Plain('--again takes a whole number, as 4; --near a ratio, as 1.01.'));

async function ask({ seed, things }: Kit, search: number): Promise<KitLine> {
  const kit = ['--seed', String(seed), '--things', String(things), '--search', String(search)];
  const child = spawn(process.execPath, ['scripts/bootstrap.mjs', 'bench-load', ...kit, ...options], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const [line, [status]] = await Promise.all([text(child.stdout), once(child, 'close')]);
  if (status !== 0) throw new Error(`bench:load ended with ${status} at ${kit.join(' ')}.`);
  process.stdout.write(line);
  return JSON.parse(line) as KitLine;
}

async function all(): Promise<void> {
  const lines: KitLine[] = [];
  for (const kit of kitsOf(values.seeds, sizes)) lines.push(await ask(kit, 1));
  for (const kit of kitsOver(lines, near))
    for (let search = 2; search <= 1 + again; search += 1) lines.push(await ask(kit, search));
  console.log(JSON.stringify(summaryOf(lines)));
}

all().catch(exitOn);
