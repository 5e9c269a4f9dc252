import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DEMO_BAGS } from '@/core/demo/bags';
import { demoPlan } from '@/core/demo/plan';
import { evaluate } from '@/core/evaluation/evaluate';
import { planFileText } from '@/core/formats/planFile';
import { parsePlanFile } from '@/core/formats/planFile';
import { DEMO_ACCOUNT_ID } from '@/db/accounts';
import { resetDemo, seedDemo, DEMO_TRIP_ID } from '@/db/demo';
import { readDraft, saveChange } from '@/db/history';
import { readPlan } from '@/db/plans';
import { pool } from './database';

afterAll(() => pool.end());

const directory = mkdtempSync(path.join(tmpdir(), 'gorvin-plan-'));
const file = (name: string, text: string): string => {
  const where = path.join(directory, name);
  writeFileSync(where, text);
  return where;
};

/** Runs a command as a person does, through npm. */
function run(command: string, args: string[], env: Record<string, string> = {}) {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', command, '--', ...args], {
    encoding: 'utf8',
    env: { ...process.env, ...env },
    maxBuffer: 64 * 1024 * 1024,
  });
  return { status, stdout, stderr };
}

describe('npm run plan', () => {
  const example = 'examples/plateau-and-river-loop.json';

  test('prints the same figures and findings as the screen has, and nothing but JSON', () => {
    const { status, stdout } = run('plan', [example]);
    expect(status).toBe(0);
    const printed = JSON.parse(stdout);
    const shown = evaluate(demoPlan());
    expect(printed.totals).toEqual(shown.totals);
    expect(printed.handling).toEqual(shown.handling);
    expect(printed.findings).toEqual(shown.findings);
    expect(printed.floor).toHaveLength(67);
  });

  test('loads first when asked, says where everything went and why, the same each time for a seed', () => {
    const once = run('plan', ['--load', '--seed', '4', example]);
    const twice = run('plan', ['--load', '--seed', '4', example]);
    expect(once.stdout).toBe(twice.stdout);
    const printed = JSON.parse(once.stdout);
    expect(printed.placement.length).toBe(printed.loader.moved);
    expect(printed.loader.reasons[0]).toMatchObject({ because: expect.any(String) });
    expect(printed.compartments.every((compartment: { closes: boolean }) => compartment.closes)).toBe(true);
    // What it prints as placement is a load: put into the file, it gives the same plan.
    const loaded = parsePlanFile(planFileText({ ...demoPlan(), load: printed.placement }));
    expect(loaded.ok && evaluate(loaded.value).totals).toEqual(printed.totals);
  });

  test.each<[string, () => string[], RegExp]>([
    ['no file', () => [], /Usage/],
    ['two files', () => [example, example], /Usage/],
    ['a file that is not there', () => ['nowhere.json'], /nowhere\.json cannot be read: ENOENT/],
    ['a broken file', () => [file('broken.json', '{"format":"gorvin-plan"')], /breaks off before its end/],
    ['a later version', () => [file('later.json', '{"format":"gorvin-plan","version":99}')], /later Gorvin/],
    ['a huge file', () => [file('huge.json', ' '.repeat(6 * 1024 * 1024))], /larger than 5 MB/],
    [
      'nothing to load',
      () => [
        '--load',
        file('bare.json', planFileText({ ...demoPlan(), things: [], load: [], bags: [...DEMO_BAGS] })),
      ],
      /nothing to load/,
    ],
  ])('%s: a sentence on stderr, nothing on stdout, and a failing status', (_what, args, message) => {
    const { status, stdout, stderr } = run('plan', args());
    expect(status).toBe(1);
    expect(stdout).toBe('');
    expect(stderr).toMatch(message);
    expect(stderr).not.toMatch(/\n\s+at /);
  });
});

// In this file, since both change the one demo account and files run beside each other.
describe('the demo', () => {
  test('the demo is seeded once, and put back whole by a reset', async () => {
    await seedDemo(pool);
    const account = DEMO_ACCOUNT_ID;
    const before = (await readDraft(pool, account, DEMO_TRIP_ID))!;
    await saveChange(pool, account, DEMO_TRIP_ID, before.revision, {
      id: randomUUID(),
      op: 'edit',
      edit: { kind: 'place', moves: [{ thingId: 'mug', to: 'home' }] },
    });
    expect(await seedDemo(pool)).toBe(false);
    await resetDemo(pool);
    expect(await readDraft(pool, account, DEMO_TRIP_ID)).toEqual({
      revision: 0,
      draft: { plan: demoPlan(), done: [], undone: [] },
      unreadable: [],
    });
  });
});

describe('npm run reset-demo', () => {
  test('on a server named by DATABASE_URL, it starts none and puts the demo back', async () => {
    await resetDemo(pool);
    await pool.query('update trip set name = $1 where account_id = $2', ['Changed', DEMO_ACCOUNT_ID]);
    const { status, stderr } = run('reset-demo', [], { DATABASE_URL: process.env.TEST_DATABASE_URL! });
    expect([status, stderr]).toEqual([0, expect.stringMatching(/The demo is back as it was/)]);
    expect(stderr).not.toMatch(/Starting PostgreSQL/);
    expect((await readPlan(pool, DEMO_ACCOUNT_ID, DEMO_TRIP_ID))!.plan).toEqual(demoPlan());
  });

  test('a server that does not answer is named', () => {
    const { status, stderr } = run('reset-demo', [], { DATABASE_URL: 'postgresql://x:y@127.0.0.1:1/none' });
    expect(status).toBe(1);
    expect(stderr).toMatch(/ECONNREFUSED/);
  });
});
