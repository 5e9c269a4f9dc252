import { build } from 'esbuild';
import { readdirSync, readFileSync } from 'node:fs';

/** Where the web server finds it: at the root, since a service worker rules over what is below its own address. */
const OUTPUT = 'public/sw.js';

/** Bundles the service worker with the list of what it keeps: every file of the build just made, and the empty page. */
export async function buildServiceWorker(): Promise<void> {
  const revision = readFileSync('.next/BUILD_ID', 'utf8');
  const files = readdirSync('.next/static', { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(js|css|woff2)$/.test(file))
    .sort();
  await build({
    entryPoints: ['src/workers/offline.ts'],
    outfile: OUTPUT,
    bundle: true,
    minify: true,
    format: 'iife',
    define: {
      'process.env.NODE_ENV': '"production"',
      FILES: JSON.stringify([
        // Names that carry a hash of what is in them need no revision.
        ...files.map((file) => ({ url: `/_next/static/${file}`, revision: null })),
        { url: '/offline', revision },
      ]),
    },
  });
}
