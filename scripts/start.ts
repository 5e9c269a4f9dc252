// npm start: everything a rider needs, from a fresh clone to an address to open.
import type { Cluster } from './lib/cluster';
import { ensureBuild } from './lib/build';
import { openDatabase, prepareDatabase } from './lib/open';
import { currentRun, forgetRun, isOurs, lastRun, noteRun } from './lib/running';
import { exitOn, say } from './lib/say';
import { serve, type WebServer } from './lib/server';
import { wantedPort } from './lib/settings';

let cluster: Cluster | null = null;
let server: WebServer | null = null;
let ending = false;

async function end(code: number): Promise<void> {
  if (ending) return;
  ending = true;
  say('\nStopping. Your data stays.');
  await server?.stop();
  cluster?.stop();
  forgetRun();
  process.exit(code);
}

async function main(): Promise<void> {
  const port = wantedPort();
  const running = currentRun();
  if (running) {
    say(`Gorvin already runs from this folder:\n\n  ${running.url}\n`);
    return;
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void end(0));
  // A terminal that was closed takes no more words; what is running is still stopped in order.
  for (const stream of [process.stdout, process.stderr]) stream.on('error', () => void end(0));
  endLeftOver();
  const claim = (url: string, serverPid?: number, databaseUrl?: string) =>
    noteRun({ pid: process.pid, serverPid, url, databaseUrl });
  const starting = '(it is still starting)';
  claim(starting);

  const database = await openDatabase();
  cluster = database.cluster;
  await prepareDatabase(database.url);
  await ensureBuild();
  if (ending) return;
  server = await serve(database.url, port, false, (serverPid) => claim(starting, serverPid));
  claim(server.url, server.process.pid, database.url);
  if (!server.url.endsWith(`:${port}`)) say(`Port ${port} is busy; another one was taken.`);
  say(`\nGorvin is ready:\n\n  ${server.url}\n\nCtrl-C stops it.`);
  server.process.once('exit', (code) => {
    if (!ending) {
      say(`The web server ended by itself (${code ?? 'killed'}).`);
      void end(1);
    }
  });
  if (cluster) watch(cluster);
}

/** How often the database is looked after, and how often it may have to be started again within a minute. */
const LOOK_EVERY_MS = 1000;
const MOST_RESTARTS = 5;

/** Starts the database again where it died, on the port that the web server knows. */
function watch(watched: Cluster): void {
  const restarts: number[] = [];
  setInterval(() => {
    if (ending || watched.isRunning()) return;
    const now = performance.now();
    while (restarts.length > 0 && now - restarts[0]! > 60_000) restarts.shift();
    if (restarts.length === MOST_RESTARTS) {
      say('The database stopped again and again.');
      void end(1);
      return;
    }
    restarts.push(now);
    // Where its last processes have not ended yet it does not start; the next look tries again.
    say('The database stopped; it is started again.');
    watched.restart();
  }, LOOK_EVERY_MS).unref();
}

/** Ends the web server of a run that was killed before it could; the database server is seen to by the cluster. */
function endLeftOver(): void {
  const pid = lastRun()?.serverPid;
  if (pid && isOurs(pid, 'web.mjs')) {
    say('Stopping a web server left over from an earlier run.');
    process.kill(pid, 'SIGTERM');
  }
}

main().catch(async (error) => {
  await server?.stop();
  cluster?.stop();
  forgetRun();
  exitOn(error);
});
