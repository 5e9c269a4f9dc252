import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { isAlive } from './system';

/** What a run from this folder notes of itself, for the commands that work beside it and for the next run. */
export interface Run {
  pid: number;
  serverPid?: number;
  url: string;
  databaseUrl?: string;
}

const RUN_FILE = path.join('.data', 'run.json');

export function noteRun(run: Run): void {
  mkdirSync('.data', { recursive: true, mode: 0o700 });
  // The database's password stands in it, as in the cluster's own password file: for this user only.
  writeFileSync(RUN_FILE, JSON.stringify({ ...run, folder: process.cwd() }), { mode: 0o600 });
}

export const forgetRun = (): void => rmSync(RUN_FILE, { force: true });

/** What the last run noted; null without one, when the note is broken, and when it came along with a copied folder. */
export function lastRun(): Run | null {
  try {
    const run = JSON.parse(readFileSync(RUN_FILE, 'utf8')) as Run & { folder?: string };
    return run.folder === process.cwd() ? run : null;
  } catch {
    return null;
  }
}

/** Whether a process is alive and still the program we started: ids are given to others later. */
export function isOurs(pid: number, program: string): boolean {
  if (pid === process.pid || !isAlive(pid)) return false;
  const file = `/proc/${pid}/cmdline`;
  return !existsSync(file) || readFileSync(file, 'utf8').includes(program);
}

/** The run from this folder that is alive. */
export function currentRun(): Run | null {
  const run = lastRun();
  return run && isOurs(run.pid, 'bootstrap.mjs') ? run : null;
}
