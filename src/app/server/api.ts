import { NextResponse, type NextRequest } from 'next/server';
import type { z } from 'zod';
import { idSchema } from '@/core/units/measures';
import type { Account } from '@/db/accounts';
import { isBusy, isUnstorable } from '@/db/access';
import { countRequest } from './limits';
import { log } from './log';
import { Refusal } from './refusal';
import { currentAccount } from './session';

export { Refusal };

interface OpenContext<Params> {
  request: NextRequest;
  params: Params;
  requestId: string;
  /** Where the request comes from, as far as that is known. */
  address: string;
}
interface Context<Params> extends OpenContext<Params> {
  account: Account;
}
type Route<Params> = (request: NextRequest, context: { params: Promise<Params> }) => Promise<NextResponse>;

/**
 * Wraps a route handler that anyone may ask: refuses requests from other sites, turns refusals into JSON with a sentence
 * and anything unexpected into a 500 that says nothing was lost, and writes one log line.
 */
export function openHandler<Params extends Record<string, string>>(
  name: string,
  work: (context: OpenContext<Params>) => Promise<NextResponse>,
): Route<Params> {
  return async (request, context) => {
    const started = performance.now();
    const requestId = request.headers.get('x-request-id') ?? crypto.randomUUID();
    let response: NextResponse;
    try {
      refuseOtherSites(request);
      // A route without parts in its address gets none.
      const params = (await context.params) ?? ({} as Params);
      const address = request.headers.get('x-forwarded-for')?.split(',').at(-1)?.trim() ?? 'unknown';
      response = await work({ request, params, requestId, address });
    } catch (error) {
      response = refusal(error, name, requestId);
    }
    response.headers.set('x-request-id', requestId);
    log.info({
      requestId,
      route: name,
      status: response.status,
      ms: Math.round(performance.now() - started),
    });
    return response;
  };
}

/** Wraps a route handler for whoever is signed in; as `openHandler`, with the account. */
export const handler = <Params extends Record<string, string>>(
  name: string,
  work: (context: Context<Params>) => Promise<NextResponse>,
): Route<Params> =>
  openHandler(name, async (context) => {
    const account = await currentAccount();
    if (!account)
      throw new Refusal(401, 'You are signed out. Sign in again; what you did is kept in this tab.');
    countRequest(account.id);
    // An address that no id could stand in leads nowhere, and is not asked about.
    if (!Object.values(context.params).every((id) => idSchema.safeParse(id).success))
      throw new Refusal(404, 'There is nothing at this address.');
    return work({ ...context, account });
  });

function refusal(error: unknown, route: string, requestId: string): NextResponse {
  if (error instanceof Refusal) {
    return NextResponse.json(
      { error: error.message, ...error.details },
      {
        status: error.status,
        headers: error.retryAfter ? { 'retry-after': String(error.retryAfter) } : {},
      },
    );
  }
  log.error({ requestId, route, err: error }, 'unexpected');
  if (isBusy(error))
    return NextResponse.json(
      { error: 'The server is busy. What you did is kept in this tab and tried again by itself.' },
      { status: 503, headers: { 'retry-after': '2' } },
    );
  if (isUnstorable(error))
    return NextResponse.json(
      { error: 'This holds something that cannot be stored. Nothing was changed.', requestId },
      { status: 422 },
    );
  return NextResponse.json(
    {
      error: 'Something failed on the server. Nothing that was saved is lost; it will be tried again.',
      requestId,
    },
    { status: 500 },
  );
}

/** A browser names the page's own origin on every change it sends; one from elsewhere is refused. */
function refuseOtherSites(request: NextRequest): void {
  if (request.method === 'GET' || request.method === 'HEAD') return;
  const origin = request.headers.get('origin');
  const host = request.headers.get('x-forwarded-host') ?? request.headers.get('host');
  if (!origin || hostOf(origin) !== host)
    throw new Refusal(403, 'This request did not come from a Gorvin page.');
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}

/** Reads the body as text, up to a number of bytes; a larger one is refused without being read on. */
export async function readText(request: NextRequest, limit: number): Promise<string> {
  const tooLarge = () =>
    new Refusal(413, `That is more than ${Math.round(limit / 1024 / 1024)} MB; it was not read.`);
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
  const reader = request.body?.getReader();
  if (!reader) return '';
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.length;
    if (size > limit) {
      await reader.cancel();
      throw tooLarge();
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks).toString('utf8');
}

/** How the schema library begins a message of its own; ours are sentences. */
const OF_THE_LIBRARY = /^(Invalid|Too|Unrecognized)/;

/** Reads the body as JSON of a schema; what does not suit is refused with the place and the reason. */
export async function readJson<Schema extends z.ZodType>(
  request: NextRequest,
  schema: Schema,
  limit = 6 * 1024 * 1024,
): Promise<z.infer<Schema>> {
  let data: unknown;
  try {
    data = JSON.parse(await readText(request, limit));
  } catch (error) {
    if (error instanceof Refusal) throw error;
    throw new Refusal(400, 'The request is not valid JSON.');
  }
  const parsed = schema.safeParse(data);
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  // A rider is told what is wrong; where in the request it stands only as the name of the field, where that helps.
  const field = issue?.path.filter((part) => typeof part === 'string').at(-1);
  const message = issue?.message ?? 'not understood';
  throw new Refusal(422, field && OF_THE_LIBRARY.test(message) ? `${field}: ${message}` : message);
}
