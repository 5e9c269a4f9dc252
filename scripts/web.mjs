// node scripts/web.mjs HOST PORT: the web server as several processes on one port, since a page and an edit are computed on one core
// each. They share nothing but the database. Plain JavaScript: it is run by Node.js itself, with nothing in between.
import cluster from 'node:cluster';
import { availableParallelism } from 'node:os';

const [host, port] = process.argv.slice(2);
const wanted = Number(process.env.WEB_PROCESSES) || Math.min(2, availableParallelism());

cluster.setupPrimary({
  exec: 'node_modules/next/dist/bin/next',
  args: ['start', '-H', host, '-p', port],
});

let ending = false;
/** Starts that ended within the first seconds: of a server that cannot start, not of one that broke. */
let failures = 0;

function fork() {
  const started = performance.now();
  cluster.fork().once('exit', () => {
    if (ending) return;
    failures = performance.now() - started < 10_000 ? failures + 1 : 0;
    if (failures > 2 * wanted) process.exit(1);
    fork();
  });
}

function end() {
  ending = true;
  for (const worker of Object.values(cluster.workers)) worker.process.kill('SIGTERM');
  cluster.disconnect(() => process.exit(0));
  // A tab that listens for changes never ends its request; what is being saved is done long before this.
  setTimeout(() => {
    for (const worker of Object.values(cluster.workers)) worker.process.kill('SIGKILL');
    process.exit(0);
  }, 3000).unref();
}

for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, end);
for (let i = 0; i < wanted; i += 1) fork();
