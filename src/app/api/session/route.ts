import { NextResponse, type NextRequest } from 'next/server';
import { z } from 'zod';
import { readJson, refusal, Refusal, refuseOtherSites } from '@/app/server/api';
import { door } from '@/app/server/database';
import { SESSION_COOKIE, sessionCookie } from '@/app/server/session';
import { createSession, DEMO_ACCOUNT_ID, endSession, ensureOwnAccount, OWN_ACCOUNT_ID } from '@/db/accounts';
import { seedDemo } from '@/db/demo';

const requestIdOf = (request: NextRequest) => request.headers.get('x-request-id') ?? crypto.randomUUID();

const bodySchema = z.object({ space: z.enum(['own', 'demo'], 'Say which space to open: own or demo.') });

/** Opens the rider's own space on this machine, or the demo, where this server offers them. */
export async function POST(request: NextRequest): Promise<NextResponse> {
  try {
    refuseOtherSites(request);
    if (process.env.GORVIN_DEMO !== '1')
      throw new Refusal(404, 'This server has no space that is open to anyone.');
    const { space } = await readJson(request, bodySchema, 4096);
    const pool = door();
    if (space === 'demo') await seedDemo(pool);
    else await ensureOwnAccount(pool);
    const token = await createSession(pool, space === 'demo' ? DEMO_ACCOUNT_ID : OWN_ACCOUNT_ID);
    const response = NextResponse.json({ ok: true });
    response.cookies.set(sessionCookie(token, request.nextUrl.protocol === 'https:'));
    return response;
  } catch (error) {
    return refusal(error, 'session', requestIdOf(request));
  }
}

/** Signs out. */
export async function DELETE(request: NextRequest): Promise<NextResponse> {
  try {
    refuseOtherSites(request);
    const token = request.cookies.get(SESSION_COOKIE)?.value;
    if (token) await endSession(door(), token);
    const response = NextResponse.json({ ok: true });
    response.cookies.delete(SESSION_COOKIE);
    return response;
  } catch (error) {
    return refusal(error, 'session', requestIdOf(request));
  }
}
