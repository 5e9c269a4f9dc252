// npm start: everything a rider needs, from a fresh clone to an address to open.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Cluster } from './lib/cluster';
import { ensureBuild } from './lib/build';
import { openDatabase, prepareDatabase } from './lib/open';
import { exitOn, say } from './lib/say';
import { serve, type WebServer } from './lib/server';
import { isAlive } from './lib/system';

const RUN_FILE = path.join('.data', 'run.json');
const wantedPort = Number(process.env.PORT) || 3000;

let cluster: Cluster | null = null;
let server: WebServer | null = null;
let ending = false;

async function end(code: number): Promise<void> {
  if (ending) return;
  ending = true;
  say('\nStopping. Your data stays.');
  await server?.stop();
  cluster?.stop();
  rmSync(RUN_FILE, { force: true });
  process.exit(code);
}

async function main(): Promise<void> {
  const running = alreadyRunning();
  if (running) {
    say(`Gorvin already runs from this folder:\n\n  ${running}\n`);
    return;
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end(0));
  endLeftOver();
  const claim = (url: string, serverPid?: number, databaseUrl?: string) => {
    mkdirSync('.data', { recursive: true, mode: 0o700 });
    // The database's password stands in it, as in the cluster's own password file: for this user only.
    writeFileSync(RUN_FILE, JSON.stringify({ pid: process.pid, serverPid, url, databaseUrl }), {
      mode: 0o600,
    });
  };
  const starting = '(it is still starting)';
  claim(starting);

  const database = await openDatabase();
  cluster = database.cluster;
  await prepareDatabase(database.url);
  await ensureBuild();
  if (ending) return;
  server = await serve(database.url, wantedPort, false, (serverPid) => claim(starting, serverPid));
  claim(server.url, server.process.pid, database.url);
  if (!server.url.endsWith(`:${wantedPort}`)) say(`Port ${wantedPort} is busy; another one was taken.`);
  say(`\nGorvin is ready:\n\n  ${server.url}\n\nCtrl-C stops it.`);
  server.process.once('exit', (code) => {
    if (!ending) {
      say(`The web server ended by itself (${code ?? 'killed'}).`);
      void end(1);
    }
  });
}

interface Run {
  pid: number;
  serverPid?: number;
  url: string;
}

/** What the last run from this folder noted of itself; null without one, or when the note is broken. */
function lastRun(): Run | null {
  try {
    return JSON.parse(readFileSync(RUN_FILE, 'utf8')) as Run;
  } catch {
    return null;
  }
}

/** Whether a process is alive and still the program we started: ids are given to others later. */
function isOurs(pid: number, program: string): boolean {
  if (pid === process.pid || !isAlive(pid)) return false;
  const file = `/proc/${pid}/cmdline`;
  return !existsSync(file) || readFileSync(file, 'utf8').includes(program);
}

/** The address of a run from this folder that is still alive. */
function alreadyRunning(): string | null {
  const run = lastRun();
  return run && isOurs(run.pid, 'bootstrap.mjs') ? run.url : null;
}

/** Ends the web server of a run that was killed before it could; the database server is seen to by the cluster. */
function endLeftOver(): void {
  const pid = lastRun()?.serverPid;
  if (pid && isOurs(pid, 'next')) {
    say('Stopping a web server left over from an earlier run.');
    process.kill(pid, 'SIGTERM');
  }
}

main().catch(async (error) => {
  await server?.stop();
  cluster?.stop();
  rmSync(RUN_FILE, { force: true });
  exitOn(error);
});
