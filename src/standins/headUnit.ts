import { mkdir, readdir, writeFile } from 'node:fs/promises';
import path from 'node:path';
import { fail, ok, type Result } from '@/core/result';

/** What takes routes along on the bar. The simulated one is a folder; a real one would be reached over a cable or the air. */
export interface HeadUnit {
  /** What it can hold: points in a track, letters in a name, files. */
  limits: { points: number; nameLetters: number; files: number };
  /** Stores one file; a file of the same name is replaced. */
  write(name: string, text: string): Promise<Result<void>>;
}

const LIMITS = { points: 5000, nameLetters: 24, files: 40 };

/** A head unit as a folder on this machine. */
export function folderHeadUnit(folder: string): HeadUnit {
  return {
    limits: LIMITS,
    async write(name, text) {
      try {
        await mkdir(folder, { recursive: true });
        const files = await readdir(folder);
        if (!files.includes(name) && files.length >= LIMITS.files)
          return fail(`The head unit is full: it holds ${LIMITS.files} files. Remove some and try again.`);
        await writeFile(path.join(folder, name), text);
        return ok(undefined);
      } catch {
        return fail('The head unit cannot be written to. Is it connected? You can save the files instead.');
      }
    },
  };
}
