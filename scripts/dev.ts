// npm run dev: the same database as npm start, with Next's development server.
import { spawn } from 'node:child_process';
import { openDatabase, prepareDatabase } from './lib/open';
import { exitOn } from './lib/say';

async function main(): Promise<void> {
  const { url, cluster } = await openDatabase();
  await prepareDatabase(url);
  const child = spawn(process.execPath, ['node_modules/next/dist/bin/next', 'dev', '-H', '127.0.0.1'], {
    stdio: 'inherit',
    env: { ...process.env, DATABASE_URL: url },
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => child.kill(signal));
  child.once('exit', (code) => {
    cluster?.stop();
    process.exit(code ?? 0);
  });
}

main().catch(exitOn);
