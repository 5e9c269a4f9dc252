// npm run backup FILE: the whole database in one file, taken as of one moment, while Gorvin runs or not.
import { spawnSync } from 'node:child_process';
import { existsSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { onDatabase } from './lib/open';
import { exitOn, Plain, say } from './lib/say';
import { postgresPrograms } from './lib/system';

function backup(url: string): void {
  const file = process.argv[2];
  if (!file) throw new Plain('Name the file to write: npm run backup gorvin.backup');
  if (existsSync(file)) throw new Plain(`${file} is there already. Choose another name, or move it away.`);
  // Whole, or not there: a backup that was broken off must not be taken for one.
  const part = `${file}.part`;
  const done = spawnSync(
    path.join(postgresPrograms(), 'pg_dump'),
    ['--format=custom', '--file', part, '--dbname', url],
    { encoding: 'utf8' },
  );
  if (done.status !== 0) {
    rmSync(part, { force: true });
    throw new Plain(`The backup was not made:\n${done.stderr || String(done.error)}`);
  }
  renameSync(part, file);
  say(`${file}: ${(statSync(file).size / 1024).toFixed(0)} kB. npm run restore ${file} puts it back.`);
}

onDatabase(backup).catch(exitOn);
