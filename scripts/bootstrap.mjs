// The one entrance of all commands: makes sure the packages are installed, then runs scripts/NAME.ts.
// Plain JavaScript without imports from packages, since it is what installs them.
import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = path.dirname(path.dirname(fileURLToPath(import.meta.url)));
process.chdir(root);
process.env.NEXT_TELEMETRY_DISABLED = '1';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 11)) {
  console.error(`Gorvin needs Node.js 20.11 or newer; this is ${process.versions.node}.`);
  process.exit(1);
}

// The stamp is written only after a whole install, so a run that was killed half-way installs again.
const stamp = path.join(root, 'node_modules', '.gorvin-installed');
const wanted = createHash('sha256')
  .update(readFileSync(path.join(root, 'package-lock.json')))
  .update(process.versions.node)
  .digest('hex');
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== wanted) {
  console.error('Installing packages …');
  // `npm ci` wants every platform's optional binaries in the lock file, and refuses where a registry serves only
  // some platforms. `npm install --no-save` takes the locked versions just the same and writes no file.
  const install = spawnSync(
    'npm',
    ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel', 'error'],
    {
      stdio: ['ignore', 2, 2],
      shell: process.platform === 'win32',
    },
  );
  if (install.status !== 0) {
    console.error(
      'The packages could not be installed. Is the package registry reachable? Run this again then.',
    );
    process.exit(1);
  }
  mkdirSync(path.dirname(stamp), { recursive: true });
  writeFileSync(stamp, wanted);
}

const [name, ...rest] = process.argv.slice(2);
process.argv = [process.argv[0], path.join(root, 'scripts', `${name}.ts`), ...rest];
const { register } = await import('tsx/esm/api');
register({ tsconfig: path.join(root, 'tsconfig.json') });
await import(pathToFileURL(process.argv[1]).href);
