import { spawn, type ChildProcess } from 'node:child_process';
import { Plain } from './say';
import { freePort } from './system';

export interface WebServer {
  url: string;
  process: ChildProcess;
  stop(): Promise<void>;
}

/**
 * Serves the production build on loopback and waits until it answers.
 *
 * @param port the port to try first; a busy one gives way to the next free one
 * @param quiet keep the server's own log to itself unless it fails
 * @param onSpawn told the process id as soon as there is one, so that a run killed while waiting is cleaned up after
 */
export async function serve(
  databaseUrl: string,
  port: number,
  quiet = false,
  onSpawn: (pid: number) => void = () => {},
): Promise<WebServer> {
  const chosen = await freePort(port);
  const url = `http://127.0.0.1:${chosen}`;
  const child = spawn(process.execPath, ['scripts/web.mjs', '127.0.0.1', String(chosen)], {
    stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
    },
    // Out of the terminal's process group: Ctrl-C reaches this script alone, which then stops things in order.
    detached: true,
  });
  if (child.pid !== undefined) onSpawn(child.pid);
  const kept: string[] = [];
  child.stdout?.on('data', (data) => kept.push(String(data)));
  child.stderr?.on('data', (data) => kept.push(String(data)));
  const stop = (): Promise<void> =>
    new Promise((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve();
      child.once('exit', () => resolve());
      child.kill('SIGTERM');
      setTimeout(() => child.kill('SIGKILL'), 8000).unref();
    });
  for (let attempt = 0; attempt < 300; attempt += 1) {
    if (child.exitCode !== null) throw new Plain(`The server stopped at its start.\n${kept.join('')}`);
    const healthy = await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(2000) }).then(
      (response) => response.ok,
      () => false,
    );
    if (healthy) return { url, process: child, stop };
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  await stop();
  throw new Plain(`The server did not answer within 30 s.\n${kept.join('')}`);
}
