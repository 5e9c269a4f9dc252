import { NextResponse, type NextRequest } from 'next/server';
import { refusal, Refusal, refuseOtherSites } from '@/app/server/api';
import { database } from '@/app/server/database';
import { SESSION_COOKIE, sessionCookie } from '@/app/server/session';
import { createSession, endSession } from '@/db/accounts';
import { seedDemo } from '@/db/demo';
import { DEMO_ACCOUNT_ID } from '@/db/accounts';

const requestIdOf = (request: NextRequest) => request.headers.get('x-request-id') ?? crypto.randomUUID();

/** Signs in to the demo account, where this server offers it. */
export async function POST(request: NextRequest): Promise<NextResponse> {
  try {
    refuseOtherSites(request);
    if (process.env.GORVIN_DEMO !== '1') throw new Refusal(404, 'This server has no demo account.');
    const pool = database();
    await seedDemo(pool);
    const token = await createSession(pool, DEMO_ACCOUNT_ID);
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
    if (token) await endSession(database(), token);
    const response = NextResponse.json({ ok: true });
    response.cookies.delete(SESSION_COOKIE);
    return response;
  } catch (error) {
    return refusal(error, 'session', requestIdOf(request));
  }
}
