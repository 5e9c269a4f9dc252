import { demoPlan } from '@/core/demo/plan';
import { ownedOf } from '@/core/kit/thing';
import { planFileText } from '@/core/formats/planFile';
import { seededRandom } from '@/core/random';
import { send, type Target } from './client';

/** What should not be where it is: types, sizes, depths, characters. */
const VALUES: unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  2 ** 53,
  '',
  'x',
  '\u0000',
  'half \ud83c',
  '🏕️'.repeat(300),
  'x'.repeat(100_000),
  [],
  {},
  [[[[[[[[]]]]]]]],
  { kind: 'several', label: 'x', edits: [] },
  '0000-01-01',
  '../../etc/passwd',
  { __proto__: 1, constructor: { prototype: 1 } },
];

/** Every route, with what a page would send to it. */
export const routes = (tripId: string): [method: string, path: string, body: unknown][] => [
  ['POST', `/api/trips/${tripId}/changes`, change({ kind: 'set trip', patch: { name: 'x' } })],
  [
    'POST',
    `/api/trips/${tripId}/changes`,
    change({ kind: 'put things', things: demoPlan().things.slice(0, 2) }),
  ],
  ['POST', `/api/trips/${tripId}/changes`, change({ kind: 'put bags', bags: demoPlan().bags.slice(0, 2) })],
  ['POST', `/api/trips/${tripId}/changes`, change({ kind: 'set bike', bike: demoPlan().bike })],
  ['POST', `/api/trips/${tripId}/changes`, change({ kind: 'set route', route: demoPlan().route })],
  [
    'POST',
    `/api/trips/${tripId}/changes`,
    change({
      kind: 'change route',
      patch: { places: demoPlan().route!.places.slice(0, 2), stops: [30_000] },
    }),
  ],
  [
    'POST',
    `/api/trips/${tripId}/changes`,
    change({
      kind: 'set trip',
      patch: { menu: demoPlan().trip.menu.slice(0, 2), eating: demoPlan().trip.eating },
    }),
  ],
  ['GET', `/api/trips/${tripId}/along?as=calendar`, undefined],
  ['GET', `/api/trips/${tripId}/along?as=home.pdf`, undefined],
  ['GET', `/api/trips/${tripId}/along?as=days.pdf`, undefined],
  ['POST', `/api/trips/${tripId}/head-unit`, {}],
  ['POST', `/api/trips/${tripId}/changes`, { revision: 0, change: { id: 'c', op: 'undo' } }],
  ['POST', '/api/weather', { days: [{ lat: 45, lon: -30, date: '2027-04-16' }] }],
  ['GET', '/api/inventory', undefined],
  ['GET', '/api/learned', undefined],
  ['POST', '/api/inventory', { things: demoPlan().things.slice(0, 2).map(ownedOf) }],
  [
    'PATCH',
    '/api/inventory',
    {
      changeId: 'c',
      changes: [
        {
          id: 'mug',
          patch: { massG: 90, dueOn: '2027-04-16', contents: [{ name: 'x' }], specs: { clo: 1 } },
        },
      ],
    },
  ],
  ['GET', '/api/inventory/list?format=csv', undefined],
  ['GET', '/api/inventory/scale?thing=mug&pieces=2', undefined],
  ['GET', `/api/trips/${tripId}/todo`, undefined],
  ['POST', '/api/elevation', { lat: [45], lon: [-30] }],
  ['GET', '/api/tiles/12/1700/1480', undefined],
  ['GET', `/api/trips/${tripId}/route?format=gpx`, undefined],
  ['POST', '/api/trips', { from: 'nothing', name: 'x' }],
  ['POST', '/api/trips', { from: 'trip', tripId, name: 'x' }],
  ['PUT', '/api/learned', { name: 'drinking', rejected: true }],
  ['POST', '/api/trips', { from: 'file', plan: JSON.parse(planFileText(demoPlan())) as unknown }],
  ['POST', '/api/setups', { id: 's', name: 'x', bike: demoPlan().bike, bags: demoPlan().bags }],
  [
    'POST',
    `/api/trips/${tripId}/entries`,
    {
      entries: [
        { id: 'e', at: '2027-04-16T06:30:00Z', kind: 'packed', thingId: 'mug', packed: true },
        { id: 'f', at: '2027-04-16T06:31:00Z', kind: 'weighed', bagId: 'seat-pack', massG: 2400 },
        { id: 'g', at: '2027-04-16T06:32:00Z', kind: 'done', taskId: 'charge phone', done: true },
        {
          id: 'h',
          at: '2027-04-16T06:33:00Z',
          kind: 'tested',
          check: 'sway',
          bikeId: 'b',
          bagId: 'seat-pack',
          isGood: true,
        },
        {
          id: 'i',
          at: '2027-04-16T06:34:00Z',
          kind: 'logged',
          what: 'drank',
          day: 1,
          amount: 750,
          thingId: 'mug',
          bagId: 'seat-pack',
          trouble: 'sways',
          note: 'x',
          alongM: 1200,
        },
        { id: 'j', at: '2027-04-16T06:35:00Z', kind: 'struck', entryId: 'i' },
        { id: 'k', at: '2027-04-16T06:36:00Z', kind: 'reviewed', thingId: 'mug', answer: 'used' },
        { id: 'l', at: '2027-04-16T06:37:00Z', kind: 'missed', name: 'Mittens' },
      ],
    },
  ],
  ['PUT', `/api/trips/${tripId}/departure`, {}],
  ['DELETE', `/api/trips/${tripId}/departure`, {}],
  ['GET', `/api/trips/${tripId}/card?paper=a4`, undefined],
  ['PUT', '/api/account/passphrase', { name: 'x', passphrase: 'password123', current: '' }],
  ['POST', '/api/accounts', { name: 'x', passphrase: 'password123' }],
  ['GET', '/api/account/export', undefined],
  ['DELETE', '/api/setups/s', {}],
  ['DELETE', '/api/inventory', { thing: ['x'], bag: [], bike: [] }],
  ['PUT', '/api/account', { units: 'metric' }],
  ['POST', '/api/session', { space: 'demo' }],
  ['GET', `/api/trips/${tripId}`, undefined],
  ['GET', `/api/trips/${tripId}/plan`, undefined],
  ['GET', `/api/trips/${tripId}/kit`, undefined],
  ['GET', `/api/trips/${tripId}/bags/frame/template?format=pdf&paper=a4`, undefined],
  ['GET', `/api/trips/${tripId}/scale?under=front&rider=no`, undefined],
  ['GET', `/trips/${tripId}/load`, undefined],
  ['GET', `/lists/${tripId}`, undefined],
  ['GET', '/', undefined],
];

const change = (edit: unknown) => ({ revision: 0, change: { id: 'c', op: 'edit', edit } });

const PATHS = [
  '%',
  '%zz',
  '%00',
  '%c3%28',
  '%2e%2e%2f',
  'x'.repeat(5000),
  "' or 1=1 --",
  '🏕️',
  '..',
  ';',
  '?a=%',
];
const HEADERS: Record<string, string>[] = [
  { 'content-type': 'text/html' },
  { 'content-type': 'application/json; charset=utf-16' },
  { 'content-encoding': 'gzip' },
  { cookie: 'gorvin_session=%%%' },
  { cookie: `gorvin_session=${'x'.repeat(6000)}` },
  { origin: 'null' },
  { origin: 'not an address' },
  { 'x-request-id': 'x'.repeat(3000) },
  { accept: '*/*;q=no' },
  { 'accept-language': '\u00ff' },
];
const METHODS = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE', 'HEAD', 'OPTIONS', 'PROPFIND'];

export interface Malformed {
  sent: number;
  byStatus: Record<number, number>;
  /** What was answered as the server's own fault, or not at all. */
  bad: string[];
}

/**
 * Sends requests that no page of Gorvin would send: bodies with one part replaced, cut off or not JSON at all, wrong methods, types
 * and addresses. None may be answered with 500 or more, or not at all.
 */
export async function probeMalformed(
  target: Target,
  tripId: string,
  count: number,
  seed: number,
): Promise<Malformed> {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const result: Malformed = { sent: 0, byStatus: {}, bad: [] };
  const known = routes(tripId);
  for (let i = 0; i < count; i += 1) {
    const [usual, address, body] = pick(known);
    let [method, path] = [usual, address];
    let text = body === undefined ? '' : JSON.stringify(body);
    let headers: Record<string, string> = {};
    switch (Math.floor(random() * 6)) {
      case 0:
      case 1:
        text = JSON.stringify(withOnePartReplaced(body, pick(VALUES), random)) ?? '';
        break;
      case 2:
        text = pick([
          text.slice(0, Math.floor(random() * text.length)),
          text + text,
          '['.repeat(50_000),
          '\u0000',
          `${text.slice(0, -1)},"x":${'9'.repeat(400)}}`,
          '"' + 'y'.repeat(200_000),
        ]);
        break;
      case 3:
        headers = pick(HEADERS);
        break;
      case 4:
        method = pick(METHODS);
        // Rightly signed out, or without the trip, little more would be tried.
        if (method === 'DELETE' && ['/api/session', `/api/trips/${tripId}`].includes(path)) method = 'PATCH';
        break;
      default:
        path = `${path.slice(0, path.lastIndexOf('/') + 1)}${encodeWeakly(pick(PATHS))}`;
    }
    const what = `${method} ${path.slice(0, 80)} ${JSON.stringify(headers).slice(0, 60)} ${text.slice(0, 300)}`;
    result.sent += 1;
    try {
      const { status } = await send(target, method, path, text, headers);
      result.byStatus[status] = (result.byStatus[status] ?? 0) + 1;
      if (status >= 500) result.bad.push(`${status}: ${what}`);
    } catch (error) {
      // Answered before the body was read, a connection is reset while the body is still on its way, and the answer can be lost.
      const reset = ['EPIPE', 'ECONNRESET'].includes((error as NodeJS.ErrnoException).code ?? '');
      if (!reset || text.length < 40_000) result.bad.push(`${String(error)}: ${what}`);
    }
  }
  return result;
}

/** Only what the protocol itself cannot carry. */
const encodeWeakly = (path: string) => path.replace(/[^\u0021-\u007e]/gu, (c) => encodeURIComponent(c));

/** A value with one of its parts, however deep, replaced. */
function withOnePartReplaced(value: unknown, by: unknown, random: () => number): unknown {
  if (typeof value !== 'object' || value === null || random() < 0.15) return by;
  const keys = Object.keys(value);
  if (keys.length === 0) return by;
  const key = keys[Math.floor(random() * keys.length)]!;
  const part = withOnePartReplaced((value as Record<string, unknown>)[key], by, random);
  return Array.isArray(value)
    ? value.map((item, i) => (String(i) === key ? part : (item as unknown)))
    : { ...value, [key]: part };
}
