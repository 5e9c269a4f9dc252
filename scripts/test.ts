// npm test: everything that must hold, on a machine with only Node.js and apt.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { withDatabase } from './lib/app';
import { ensureBuild } from './lib/build';
import { exitOn, Plain, say, step } from './lib/say';
import { serve } from './lib/server';
import { chromium, gpsbabel, poppler } from './lib/system';

const bin = (name: string) => path.join('node_modules', '.bin', name);
const results = mkdtempSync(path.join(tmpdir(), 'gorvin-test-'));

function run(command: string, args: string[], env: Record<string, string> = {}, show = false): Promise<void> {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      stdio: ['ignore', show ? 'inherit' : 'pipe', show ? 'inherit' : 'pipe'],
      env: { ...process.env, ...env },
    });
    const lines: string[] = [];
    child.stdout?.on('data', (data) => lines.push(String(data)));
    child.stderr?.on('data', (data) => lines.push(String(data)));
    child.on('close', (code) =>
      code === 0 ? resolve() : reject(new Plain(`${command} ${args.join(' ')} failed:\n${lines.join('')}`)),
    );
  });
}

async function main(): Promise<void> {
  const started = performance.now();
  chromium();
  poppler();
  gpsbabel();
  await run(process.execPath, ['node_modules/next/dist/bin/next', 'typegen']);
  await step('Format, types, lint and layers', async () => {
    await Promise.all([
      run(bin('prettier'), ['--check', '--log-level', 'warn', '.']),
      run(bin('tsc'), ['--noEmit']),
    ]);
    await Promise.all([
      run(bin('eslint'), ['--max-warnings', '0', '.']),
      run(bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'src']),
    ]);
  });
  const jestReport = path.join(results, 'jest.json');
  const browserReport = path.join(results, 'playwright.json');
  await withDatabase(async (databaseUrl) => {
    await run(
      bin('jest'),
      ['--json', `--outputFile=${jestReport}`, '--silent'],
      { TEST_DATABASE_URL: databaseUrl },
      true,
    );
    await ensureBuild();
    const server = await serve(databaseUrl, 4100, true);
    try {
      await run(
        bin('playwright'),
        ['test'],
        { BASE_URL: server.url, TEST_DATABASE_URL: databaseUrl, PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport },
        true,
      );
    } finally {
      await server.stop();
    }
  });
  const jest = JSON.parse(readFileSync(jestReport, 'utf8')) as { numPassedTests: number };
  const browser = JSON.parse(readFileSync(browserReport, 'utf8')) as { stats: { expected: number } };
  say(`All of it in ${((performance.now() - started) / 60_000).toFixed(1)} minutes.`);
  process.stdout.write(`${jest.numPassedTests + browser.stats.expected} passed, 0 failed\n`);
}

main().catch(exitOn);
