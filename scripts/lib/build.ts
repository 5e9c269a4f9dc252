import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Plain, step } from './say';
import { buildServiceWorker } from './serviceWorker';

const STAMP = '.next/gorvin-built';
const INPUTS = [
  'src',
  'scripts/lib/serviceWorker.ts',
  'package.json',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];

/** Builds for production unless the last build was of exactly these sources. */
export async function ensureBuild(): Promise<void> {
  const wanted = fingerprint();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted) return;
  await step('Building', async () => {
    rmSync(STAMP, { force: true });
    const lines: string[] = [];
    const child = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'build'], {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NODE_ENV: 'production' },
    });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => lines.push(String(data)));
    const code = await new Promise((resolve) => child.on('close', resolve));
    if (code !== 0) throw new Plain(`The build failed:\n${lines.join('')}`);
    await buildServiceWorker();
    writeFileSync(STAMP, wanted);
  });
}

function fingerprint(): string {
  const hash = createHash('sha256').update(process.versions.node);
  const add = (file: string): void => {
    if (!existsSync(file)) return;
    if (statSync(file).isDirectory()) {
      for (const name of readdirSync(file).sort()) add(path.join(file, name));
    } else if (!/\.test\.tsx?$/.test(file)) {
      hash.update(file).update(readFileSync(file));
    }
  };
  INPUTS.forEach(add);
  return hash.digest('hex');
}
