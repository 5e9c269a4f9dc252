import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const SOURCE = 'src/core/load/anneal/annealLoop.as.ts';
/** Where the compiled loop stands: as text, which a page, a worker, a test and the command line all read alike. */
export const LOOP = 'src/core/load/anneal/annealLoop.wasm.ts';

const OPTIONS = ['-O3', '--converge', '--noAssert', '--enable', 'simd', '--runtime', 'stub'];

/** The annealing's loop compiled to WebAssembly, as the text of a module that holds it. */
export function compiledLoop(): string {
  const folder = mkdtempSync(path.join(tmpdir(), 'gorvin-loop-'));
  try {
    const file = path.join(folder, 'loop.wasm');
    // As a program of its own: its modules wait for others at their top, which the tests' loader does not take.
    const { status, stderr } = spawnSync(
      process.execPath,
      ['node_modules/assemblyscript/bin/asc.js', SOURCE, ...OPTIONS, '--outFile', file],
      { encoding: 'utf8' },
    );
    if (status !== 0) throw new Error(`${SOURCE} does not compile:\n${stderr}`);
    return `/** Made by \`npm run loops\` from annealLoop.as.ts: not to be edited. */\nexport const ANNEAL_LOOP =\n  '${readFileSync(file).toString('base64')}';\n`;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
