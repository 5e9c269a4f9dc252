import { wrap, type Remote } from 'comlink';
import type { RouteWorker } from '@/workers/route.worker';

export interface RouteThread {
  api: Remote<RouteWorker>;
  stop(): void;
}

/** Starts the thread that reads routes. */
export function startRouteWorker(): RouteThread {
  const thread = new Worker(new URL('../../workers/route.worker.ts', import.meta.url), { type: 'module' });
  return { api: wrap<RouteWorker>(thread), stop: () => thread.terminate() };
}

/** Asks that thread once. */
export async function onRouteWorker<Answer>(
  ask: (api: Remote<RouteWorker>) => Promise<Answer>,
): Promise<Answer> {
  const thread = startRouteWorker();
  try {
    return await ask(thread.api);
  } finally {
    thread.stop();
  }
}

/** As 2027-04-16: stands in where a trip has no first day. */
export const today = (): string => new Date().toISOString().slice(0, 10);
