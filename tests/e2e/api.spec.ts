import { randomUUID } from 'node:crypto';
import { request as newRequest, type APIRequestContext } from '@playwright/test';
import { planFileValue } from '@/core/formats/planFile';
import { demoPlan } from '@/core/demo/plan';
import type { Thing } from '@/core/kit/thing';
import type { Edit, SimpleEdit } from '@/core/plan/edit';
import { createSession } from '@/db/accounts';
import { send } from '../probes/client';
import { probeForeign } from '../probes/foreign';
import { probeMalformed } from '../probes/malformed';
import { newRider } from '../probes/rider';
import { sampleThing } from '../support/samples';
import { expect, pool, test as journey } from './journey';

/** A signed-in client that says, as a browser does, which page it comes from. */
const test = journey.extend<{ client: APIRequestContext }>({
  client: async ({ rider, baseURL }, use) => {
    const token = await createSession(pool, rider.accountId);
    const client = await newRequest.newContext({
      baseURL,
      extraHTTPHeaders: { cookie: `gorvin_session=${token}`, origin: baseURL! },
    });
    await use(client);
    await client.dispose();
  },
});

const change = (edit: Edit, revision = 0) => ({ revision, change: { id: randomUUID(), op: 'edit', edit } });
const rename = (name: string): Edit => ({ kind: 'set trip', patch: { name } });

test('a change is taken, counted, and refused when stale, with what happened since', async ({
  client,
  rider,
}) => {
  const url = `/api/trips/${rider.tripId}/changes`;
  const first = await client.post(url, { data: change(rename('First')) });
  expect([first.status(), await first.json()]).toEqual([200, { revision: 1 }]);
  const stale = await client.post(url, { data: change(rename('Second')) });
  expect(stale.status()).toBe(409);
  expect(await stale.json()).toMatchObject({ revision: 1, since: ['Trip: name'] });
  const plan = await (await client.get(`/api/trips/${rider.tripId}`)).json();
  expect(plan.draft.plan.trip.name).toBe('First');
  expect(plan.draft.done).toHaveLength(1);
});

const refused: [string, unknown, number, RegExp][] = [
  ['not JSON', '{"revision":', 400, /not valid JSON/],
  ['no change', { revision: 0 }, 422, /change/],
  ['a negative revision', { revision: -1, change: { id: 'x', op: 'undo' } }, 422, /revision/],
  [
    'an unknown kind of edit',
    { revision: 0, change: { id: 'x', op: 'edit', edit: { kind: 'wipe' } } },
    422,
    /edit|kind/,
  ],
  ['an id that is none', { revision: 0, change: { id: "x'; drop table trip", op: 'undo' } }, 422, /An id is/],
  [
    'an edit that does not suit',
    change({ kind: 'remove things', ids: ['nothing'] }),
    422,
    /no longer in this kit/,
  ],
  [
    'a night that is no night on earth',
    change({ kind: 'set trip', patch: { nightMinimumC: 99 } }),
    422,
    /At most 55 °C/,
  ],
  ['a character that cannot be stored', change(rename('a\u0000b')), 422, /one line of plain text/],
  ['half an emoji', change(rename('half \ud83c')), 422, /whole characters/],
  [
    'a label with half an emoji',
    change({ kind: 'several', label: '\ud83c', edits: [rename('x') as SimpleEdit] }),
    422,
    /plain text/,
  ],
  ['the year 0', change({ kind: 'set trip', patch: { startDate: '0000-01-01' } }), 422, /between 1900/],
  ['a revision beyond counting', { ...change(rename('x')), revision: 2 ** 40 }, 422, /revision/],
  [
    'two things of one id',
    change({ kind: 'put things', things: [sampleThing('twice'), sampleThing('twice')] }),
    422,
    /Two things have the same id/,
  ],
  ['an undo with nothing done', { revision: 0, change: { id: 'x', op: 'undo' } }, 422, /nothing to undo/],
];
for (const [what, body, status, message] of refused) {
  test(`a change with ${what} is refused with a reason`, async ({ client, rider }) => {
    const response = await client.post(`/api/trips/${rider.tripId}/changes`, {
      data: typeof body === 'string' ? Buffer.from(body) : body,
      headers: { 'content-type': 'application/json' },
    });
    expect(response.status()).toBe(status);
    expect((await response.json()).error).toMatch(message);
    expect(response.headers()['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
    const { revision } = await (await client.get(`/api/trips/${rider.tripId}`)).json();
    expect(revision).toBe(0);
  });
}

test('a change of many parts can be read, undone and redone: the trip opens again', async ({
  client,
  rider,
}) => {
  const url = `/api/trips/${rider.tripId}/changes`;
  const things = (await (await client.get(`/api/trips/${rider.tripId}`)).json()).draft.plan.things as Thing[];
  // Each part changes all things and adds one: taken apart, the step has three times as many parts.
  const edits = Array.from({ length: 100 }, (_, i): SimpleEdit => ({
    kind: 'put things',
    things: [
      { ...things[i % things.length]!, massG: 100 + i, need: 'nice' },
      { ...things[0]!, id: `new-${i}` },
    ],
  }));
  const body = change({ kind: 'several', label: 'Replacements', edits });
  expect((await client.post(url, { data: body })).status()).toBe(200);
  const page = await client.get(`/trips/${rider.tripId}/kit`);
  expect(page.status()).toBe(200);
  for (const [revision, op] of ['undo', 'redo', 'undo'].entries()) {
    const step = { revision: revision + 1, change: { id: randomUUID(), op } };
    expect((await client.post(url, { data: step })).status()).toBe(200);
  }
  const back = (await (await client.get(`/api/trips/${rider.tripId}`)).json()).draft.plan.things as Thing[];
  expect(back).toEqual(things);
});

test('a long history of large changes does not make the page large, and the last of them can be undone', async ({
  client,
  rider,
  baseURL,
}) => {
  test.setTimeout(120_000);
  const things = Array.from({ length: 900 }, (_, i) => sampleThing(`many-${i}`, { name: `Thing ${i}` }));
  const url = `/api/trips/${rider.tripId}/changes`;
  let revision = 0;
  const take = async (edit: Edit) => {
    const answer = await client.post(url, { data: change(edit, revision) });
    expect([answer.status(), await answer.json()]).toEqual([200, { revision: revision + 1 }]);
    revision += 1;
  };
  await take({ kind: 'put things', things });
  for (let i = 0; i < 20; i += 1)
    await take({
      kind: 'change things',
      changes: things.map(({ id }) => ({ id, patch: { massG: 100 + i, name: `Thing ${id} named ${i}` } })),
    });
  const token = await createSession(pool, rider.accountId);
  const page = await send({ url: baseURL!, token }, 'GET', `/trips/${rider.tripId}/kit`, '', {
    'accept-encoding': 'gzip',
  });
  expect(page.status).toBe(200);
  expect(page.bytes).toBeLessThan(400_000);
  const step = { revision, change: { id: randomUUID(), op: 'undo' } };
  expect((await client.post(url, { data: step })).status()).toBe(200);
});

test('requests that no page would send: none is the server’s fault, and it answers on', async ({
  client,
  rider,
  baseURL,
}) => {
  const token = await createSession(pool, rider.accountId);
  const result = await probeMalformed({ url: baseURL!, token }, rider.tripId, 250, 7);
  expect(result.bad).toEqual([]);
  expect(result.sent).toBe(250);
  expect((await client.get(`/api/trips/${rider.tripId}`)).status()).toBe(200);
});

test('another rider’s ids lead nowhere, on any route', async ({ rider, baseURL }) => {
  const stranger = await newRider(pool, 0);
  const owner = { url: baseURL!, token: await createSession(pool, rider.accountId) };
  const result = await probeForeign(owner, { url: baseURL!, token: stranger.token }, rider.tripId);
  expect(result.bad).toEqual([]);
  expect(result.sent).toBeGreaterThan(15);
});

test('data is kept nowhere on the way; another name for this server, and an address cut off, are refused', async ({
  rider,
  baseURL,
}) => {
  const token = await createSession(pool, rider.accountId);
  const ask = (path: string, headers = {}) => send({ url: baseURL!, token }, 'GET', path, '', headers);
  for (const path of ['/', `/trips/${rider.tripId}/load`, `/api/trips/${rider.tripId}`, '/nothing-here']) {
    const { headers } = await ask(path);
    expect([path, headers['cache-control']]).toEqual([path, expect.stringContaining('no-store')]);
    expect(headers).toMatchObject({ 'x-content-type-options': 'nosniff', 'x-frame-options': 'DENY' });
  }
  const rebound = await ask('/', { host: 'elsewhere.example:3000' });
  expect([rebound.status, rebound.body]).toEqual([421, expect.stringContaining('ALLOWED_HOSTS')]);
  const cut = await ask('/trips/%zz');
  expect([cut.status, cut.headers['x-content-type-options']]).toEqual([400, 'nosniff']);
});

test('trips are made empty, like another, and from a file; and deleted', async ({ client, rider }) => {
  const make = async (data: unknown) => {
    const response = await client.post('/api/trips', { data });
    return { status: response.status(), body: await response.json() };
  };
  const planOf = async (id: string) => (await (await client.get(`/api/trips/${id}`)).json()).draft.plan;

  const empty = await make({ from: 'nothing', name: 'Overnight' });
  expect(empty.status).toBe(201);
  expect(await planOf(empty.body.tripId)).toMatchObject({
    trip: { name: 'Overnight' },
    bike: null,
    bags: [],
    things: [],
  });

  const again = await make({ from: 'trip', tripId: rider.tripId, name: 'Again' });
  const [first, second] = [await planOf(rider.tripId), await planOf(again.body.tripId)];
  // The very same things, on another trip.
  expect(second.things.map((thing: { id: string }) => thing.id)).toEqual(
    first.things.map((thing: { id: string }) => thing.id),
  );
  expect(second.load).toEqual([]);

  const file = await make({ from: 'file', plan: planFileValue(demoPlan()) });
  const opened = await planOf(file.body.tripId);
  expect(opened.things).toHaveLength(demoPlan().things.length);
  expect(opened.things[0].id).not.toBe('down-quilt');

  expect((await make({ from: 'trip', tripId: 'none', name: 'x' })).status).toBe(404);
  expect((await make({ from: 'nothing', name: '   ' })).body.error).toMatch(/Give it a name/);
  const bad = await make({ from: 'file', plan: { ...planFileValue(demoPlan()), version: 99 } });
  expect([bad.status, bad.body.problems[0]]).toEqual([422, expect.stringMatching(/later Gorvin/)]);

  expect((await client.delete(`/api/trips/${again.body.tripId}`)).status()).toBe(200);
  expect((await client.delete(`/api/trips/${again.body.tripId}`)).status()).toBe(404);
  expect(await planOf(rider.tripId)).toEqual(first);
});

test('a body over the limit is refused without being taken in', async ({ client }) => {
  const response = await client.post('/api/trips', { data: Buffer.alloc(6 * 1024 * 1024, 32) });
  expect(response.status()).toBe(413);
  expect((await response.json()).error).toMatch(/more than 5 MB/);
});

test('files go out with a name, a type, and as what they were', async ({ client, rider, plan }) => {
  const file = await client.get(`/api/trips/${rider.tripId}/plan`);
  expect(file.headers()['content-disposition']).toBe('attachment; filename="plateau-and-river-loop.json"');
  expect(await file.json()).toEqual(planFileValue(plan));
  const kit = await client.get(`/api/trips/${rider.tripId}/kit`);
  expect(kit.headers()['content-type']).toBe('text/csv; charset=utf-8');
  expect((await kit.text()).split('\r\n')[0]).toContain('name,system,quantity,mass (g)');
});

test('what a trip still uses is not deleted, and the trip is named', async ({ client, rider, plan }) => {
  const ids = { thing: [plan.things[0]!.id], bag: [plan.bags[0]!.id] };
  const refused = await client.delete('/api/inventory', { data: ids });
  expect(refused.status()).toBe(409);
  expect((await refused.json()).error).toBe(
    'Nothing was deleted: it is still used by Plateau and river loop. Take it off there first.',
  );
  const after = (await (await client.get(`/api/trips/${rider.tripId}`)).json()).draft.plan;
  expect(after).toEqual(plan);
  expect((await client.delete('/api/inventory', { data: { thing: ['not an id!'] } })).status()).toBe(422);
});

test('who is not signed in is told so, and reads nothing', async ({ rider, baseURL }) => {
  const nobody = await newRequest.newContext({ baseURL, extraHTTPHeaders: { origin: baseURL! } });
  for (const url of [
    `/api/trips/${rider.tripId}`,
    `/api/trips/${rider.tripId}/plan`,
    `/api/trips/${rider.tripId}/kit`,
  ]) {
    const response = await nobody.get(url);
    expect(response.status()).toBe(401);
    expect((await response.json()).error).toMatch(/signed out/);
  }
  expect((await nobody.put('/api/account', { data: { units: 'metric' } })).status()).toBe(401);
  expect((await nobody.post(`/api/trips/${rider.tripId}/changes`, { data: {} })).status()).toBe(401);
  expect((await nobody.delete('/api/inventory', { data: {} })).status()).toBe(401);
  await nobody.dispose();
});

test('a request from another site is refused, whatever cookie it brings', async ({ client, rider }) => {
  for (const origin of ['http://elsewhere.example', 'null', 'not an address']) {
    const response = await client.post(`/api/trips/${rider.tripId}/changes`, {
      headers: { origin },
      data: change(rename('Taken over')),
    });
    expect(response.status()).toBe(403);
  }
  const { rows } = await pool.query('select name from trip where id = $1', [rider.tripId]);
  expect(rows[0].name).toBe('Plateau and river loop');
});

test('the unit is the account’s, and only one of the two', async ({ client, rider }) => {
  expect((await client.put('/api/account', { data: { units: 'imperial' } })).status()).toBe(200);
  expect((await client.put('/api/account', { data: { units: 'cubits' } })).status()).toBe(422);
  const { rows } = await pool.query('select units from account where id = $1', [rider.accountId]);
  expect(rows[0].units).toBe('imperial');
});

test('signing out ends the session on the server too', async ({ client, rider }) => {
  expect((await client.get(`/api/trips/${rider.tripId}`)).status()).toBe(200);
  expect((await client.delete('/api/session')).status()).toBe(200);
  expect((await client.get(`/api/trips/${rider.tripId}`)).status()).toBe(401);
});

test('set-ups over HTTP: kept, listed, refused when they are none, deleted once', async ({
  rider,
  plan,
  page,
}) => {
  await rider.signIn(page);
  const { request } = page;
  const origin = new URL((await request.get('/api/health')).url()).origin;
  const headers = { origin };
  const setup = { id: 'a-set-up', name: 'All bags', bike: plan.bike, bags: plan.bags };
  const post = (data: unknown) => request.post('/api/setups', { data, headers });
  expect((await post(setup)).status()).toBe(201);
  const { setups } = (await (await request.get('/api/setups')).json()) as { setups: unknown[] };
  expect(setups).toEqual([setup]);
  for (const [broken, words] of [
    [{ ...setup, bike: null }, /bike/],
    [{ ...setup, name: ' ' }, /name/i],
    [{ ...setup, bags: [{ ...plan.bags[0], compartments: [] }] }, /compartment/],
    [{ ...setup, bike: { ...plan.bike, geometry: { stackMm: 6 } } }, /300/],
  ] as const) {
    const answer = await post(broken);
    expect(answer.status()).toBe(422);
    expect(((await answer.json()) as { error: string }).error).toMatch(words);
  }
  expect((await request.delete('/api/setups/a-set-up', { headers })).status()).toBe(200);
  expect((await request.delete('/api/setups/a-set-up', { headers })).status()).toBe(404);
});

test('the scale answers for this trip’s bike alone, and says what it was not asked rightly', async ({
  rider,
  page,
}) => {
  await rider.signIn(page);
  const read = (query: string, trip = rider.tripId) => page.request.get(`/api/trips/${trip}/scale?${query}`);
  const mass = async (query: string) => ((await (await read(query)).json()) as { massG: number }).massG;
  const alone = (await mass('under=front&rider=no')) + (await mass('under=rear&rider=no'));
  expect(Math.abs(alone - 13_400)).toBeLessThanOrEqual(150);
  const seated = (await mass('under=front&rider=yes')) + (await mass('under=rear&rider=yes'));
  expect(Math.abs(seated - 87_400)).toBeLessThanOrEqual(150);
  expect((await read('under=middle&rider=no')).status()).toBe(422);
  expect((await read('under=front&rider=no', 'none')).status()).toBe(404);
});

test('entries: a batch counts whole or not at all, once, from whichever phone, and by a clock that may be wrong', async ({
  client,
  rider,
}) => {
  const url = `/api/trips/${rider.tripId}/entries`;
  const send = async (entries: unknown[]) => {
    const response = await client.post(url, { data: { entries } });
    return {
      status: response.status(),
      body: (await response.json()) as { entries?: object[]; error?: string },
    };
  };
  const tick = (id: string, at: string, thingId: string, packed = true) => ({
    id,
    at,
    kind: 'packed',
    thingId,
    packed,
  });
  const first = tick('a', '2026-04-16T06:30:00Z', 'mug');
  // One that cannot be read spoils its batch, and says which.
  const half = await send([first, { ...first, id: 'b', packed: 'yes' }]);
  expect(half).toMatchObject({ status: 422, body: { error: expect.stringMatching(/entries|packed/) } });
  expect((await send([])).body.entries).toEqual([]);
  // Twice, and the later one first.
  const later = tick('c', '2026-04-16T06:31:00Z', 'mug', false);
  await send([later]);
  await send([first, later]);
  const { body } = await send([first]);
  expect(body.entries).toMatchObject([{ id: 'a' }, { id: 'c' }]);
  // A clock that is years ahead counts as now, and not after everything that will ever be recorded.
  const ahead = await send([
    tick('z', '2199-01-01T00:00:00Z', 'pot'),
    tick('d', '2199-01-01T00:00:09Z', 'pot', false),
  ]);
  const all = ahead.body.entries as { id: string; at: string }[];
  expect(all.map(({ id }) => id)).toEqual(['a', 'c', 'z', 'd']);
  expect(Date.parse(all.at(-1)!.at)).toBeLessThanOrEqual(Date.now() + 1000);
  const gone = await client.post('/api/trips/not-there/entries', { data: { entries: [first] } });
  expect(gone.status()).toBe(404);
});
