import { isDeepStrictEqual } from 'node:util';
import { send, type Target } from './client';
import { routes } from './malformed';

export interface Foreign {
  sent: number;
  bad: string[];
}

/** What no stranger's answer may contain: names that only the owner's trip has. */
const SECRETS = ['Steel hardtail', 'Down quilt', 'Seat pack'];

/** Sends every route's own request with another rider's ids: nothing of that rider is read, and nothing of theirs is changed. */
export async function probeForeign(owner: Target, stranger: Target, tripId: string): Promise<Foreign> {
  const bad: string[] = [];
  const all = async () => JSON.parse((await send(owner, 'GET', '/api/account/export')).body) as unknown;
  const before = await all();
  const tried = [
    ...routes(tripId).filter(([, path]) => path.includes(tripId)),
    ...['trip', 'bike', 'kit', 'load'].map(
      (stage) => ['GET', `/trips/${tripId}/${stage}`, undefined] as const,
    ),
    ['GET', `/api/trips/${tripId}/events`, undefined] as const,
    ['DELETE', `/api/trips/${tripId}`, {}] as const,
    ['POST', '/api/trips', { from: 'trip', tripId, name: 'Mine' }] as const,
    ['DELETE', '/api/inventory', { thing: ['down-quilt'], bag: ['seat-pack'], bike: ['hardtail'] }] as const,
  ];
  for (const [method, path, body] of tried) {
    const { status, body: answer } = await send(
      stranger,
      method,
      path,
      body === undefined ? '' : JSON.stringify(body),
    );
    const leaks = SECRETS.filter((secret) => answer.includes(secret));
    if (leaks.length > 0) bad.push(`${method} ${path} shows ${leaks.join(', ')}`);
    if (path.includes(tripId) && status !== 404) bad.push(`${method} ${path} is answered with ${status}`);
  }
  if (!isDeepStrictEqual(await all(), before)) bad.push('the owner has something else than before');
  return { sent: tried.length, bad };
}
