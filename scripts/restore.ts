// npm run restore FILE: the database as it was when the backup was made, in place of what is there now.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { createInterface } from 'node:readline/promises';
import { migrate } from '@/db/migrate';
import { currentRun } from './lib/running';
import { onDatabase } from './lib/open';
import { exitOn, Plain, say } from './lib/say';
import { givenDatabase } from './lib/settings';
import { postgresPrograms } from './lib/system';

const [file, ...flags] = process.argv.slice(2);

async function confirmed(): Promise<boolean> {
  if (flags.includes('--yes')) return true;
  if (!process.stdin.isTTY) return false;
  const terminal = createInterface({ input: process.stdin, output: process.stderr });
  const answer = await terminal.question(
    'Everything that is in the database now is replaced. Type "restore" to go on: ',
  );
  terminal.close();
  return answer.trim() === 'restore';
}

async function main(): Promise<void> {
  if (!file) throw new Plain('Name the backup: npm run restore gorvin.backup');
  if (!existsSync(file)) throw new Plain(`There is no file ${file}.`);
  if (!givenDatabase() && currentRun())
    throw new Plain('Gorvin is running from this folder. Stop it first, so that nobody writes meanwhile.');
  const program = path.join(postgresPrograms(), 'pg_restore');
  const listed = spawnSync(program, ['--list', file], { encoding: 'utf8' });
  if (listed.status !== 0 || !listed.stdout.includes('TABLE public trip '))
    throw new Plain(`${file} is no backup of Gorvin. Nothing was changed.`);
  if (!(await confirmed())) throw new Plain('Nothing was changed. With --yes it is not asked.');
  await onDatabase(async (url) => {
    // Brings the role that the backup's grants name, too.
    await migrate(url);
    const done = spawnSync(
      program,
      [
        ...['--clean', '--if-exists', '--no-owner', '--single-transaction', '--exit-on-error'],
        ...['--dbname', url, file],
      ],
      { encoding: 'utf8' },
    );
    if (done.status !== 0)
      throw new Plain(`The backup was not put back, and nothing was changed:\n${done.stderr}`);
    // A backup of an earlier version is brought up to this one.
    await migrate(url);
    say(`The database is as it was in ${file}.`);
  });
}

main().catch(exitOn);
