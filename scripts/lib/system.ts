import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync } from 'node:fs';
import { createServer } from 'node:net';
import path from 'node:path';
import { Plain, say } from './say';

const isRoot = process.getuid?.() === 0;

/** Installs Debian packages when this user may; otherwise names the command that does. */
export function installPackages(packages: readonly string[], why: string): void {
  const command = `apt-get install -y ${packages.join(' ')}`;
  const sudo = !isRoot && spawnSync('sudo', ['-n', 'true']).status === 0;
  if (!isRoot && !sudo) throw new Plain(`${why} Install it and run this again:\n  sudo ${command}`);
  say(`${why} Installing ${packages.join(', ')} …`);
  const run = (args: string[]) =>
    spawnSync(sudo ? 'sudo' : 'apt-get', sudo ? ['-n', 'apt-get', ...args] : args, {
      stdio: ['ignore', 'ignore', 'pipe'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
      encoding: 'utf8',
    });
  run(['update', '-q']);
  const done = run(['install', '-y', '-q', '--no-install-recommends', ...packages]);
  if (done.status !== 0) throw new Plain(`That failed:\n${done.stderr}\nTry it by hand:\n  sudo ${command}`);
}

/** The directory of the newest PostgreSQL server's programs, or null when none is installed. */
function findPostgres(): string | null {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).filter((name) => /^\d+$/.test(name)) : [];
  return (
    versions
      .sort((a, b) => Number(b) - Number(a))
      .map((version) => path.join(base, version, 'bin'))
      .find((directory) => existsSync(path.join(directory, 'initdb'))) ?? null
  );
}

/** Programs of a PostgreSQL server, installed if need be. */
export function postgresPrograms(): string {
  const found = findPostgres();
  if (found) return found;
  installPackages(['postgresql'], 'PostgreSQL is not installed.');
  const installed = findPostgres();
  if (!installed)
    throw new Plain('PostgreSQL was installed, but its programs are not in /usr/lib/postgresql.');
  return installed;
}

export const CHROMIUM = '/usr/bin/chromium';

/** Debian's Chromium, installed if need be. */
export function chromium(): string {
  if (!existsSync(CHROMIUM))
    installPackages(['chromium'], 'Chromium, which the browser tests drive, is not installed.');
  return CHROMIUM;
}

/** Debian's poppler, with which tests look at printed pages, installed if need be. */
export function poppler(): void {
  if (!existsSync('/usr/bin/pdftoppm'))
    installPackages(
      ['poppler-utils'],
      'poppler, which the tests render printed pages with, is not installed.',
    );
}

/** Debian's converter of tracks, with which tests read what Gorvin wrote, installed if need be. */
export function gpsbabel(): void {
  if (!existsSync('/usr/bin/gpsbabel'))
    installPackages(['gpsbabel'], 'gpsbabel, which the tests read exported tracks with, is not installed.');
}

/** The first free port on loopback from `from` on; with 0, any. */
export async function freePort(from: number): Promise<number> {
  for (let port = from; port < Math.max(from, 1) + 200; port += 1) {
    const got = await tryPort(port);
    if (got !== null) return got;
  }
  throw new Plain(`No free port between ${from} and ${from + 200}.`);
}

const tryPort = (port: number): Promise<number | null> =>
  new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(null));
    server.listen({ port, host: '127.0.0.1', exclusive: true }, () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : null));
    });
  });

/** Whether a process with this id runs. */
export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
