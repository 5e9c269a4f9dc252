import { NavigationRoute, Serwist, type PrecacheEntry, type SerwistPlugin } from 'serwist';

/**
 * The service worker. It keeps Gorvin's scripts, styles and one empty page, and nothing of any account: what an account keeps is in
 * its own database, which the empty page opens. The page is shown where the server cannot be reached.
 */
/** Put in by the build: every file of this version, and the empty page. */
declare const FILES: PrecacheEntry[];

const EMPTY_PAGE = '/offline';
/** Longer than a slow page takes; on a weak network the rider is not left waiting for what is on the phone. */
const PATIENCE_MS = 8000;

/**
 * A worker takes its address from the answer, where that has one, and then lacks what came after the "#": what the bundler tells it there.
 * A new answer has no address.
 */
const withoutAddress: SerwistPlugin = {
  handlerWillRespond: async ({ response }) => new Response(response.body, response),
};

const serwist = new Serwist({
  precacheEntries: FILES,
  precacheOptions: { cleanupOutdatedCaches: true, plugins: [withoutAddress] },
  skipWaiting: true,
  clientsClaim: true,
});

serwist.registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      try {
        const response = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) });
        // What stands before the server says that the server is not there.
        if (![502, 503, 504].includes(response.status)) return response;
      } catch {
        // No network.
      }
      return (await serwist.matchPrecache(EMPTY_PAGE)) ?? Response.error();
    },
    { allowlist: [/^\/$/, /^\/trips\/(?!new$)[^/]+/] },
  ),
);

serwist.addEventListeners();
