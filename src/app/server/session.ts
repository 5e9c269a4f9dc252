import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { NextResponse, type NextRequest } from 'next/server';
import { accountOfSession, createSession, endSession, SESSION_DAYS, type Account } from '@/db/accounts';
import { door } from './database';

export const SESSION_COOKIE = 'gorvin_session';

/** The signed-in account, or null. */
export async function currentAccount(): Promise<Account | null> {
  const token = (await cookies()).get(SESSION_COOKIE)?.value;
  return token ? accountOfSession(door(), token) : null;
}

/** The signed-in account; anyone else is sent to the welcome page. */
export async function requireAccount(): Promise<Account> {
  return (await currentAccount()) ?? redirect('/welcome');
}

/** The cookie's attributes: out of reach of scripts, and not sent along from other sites' forms. */
const sessionCookie = (token: string, secure: boolean) =>
  ({
    name: SESSION_COOKIE,
    value: token,
    httpOnly: true,
    sameSite: 'lax',
    secure,
    path: '/',
    maxAge: SESSION_DAYS * 86_400,
  }) as const;

/** An answer that signs in: a session of its own, in place of what the browser had. */
export async function signedIn(request: NextRequest, accountId: string, status = 200): Promise<NextResponse> {
  const earlier = request.cookies.get(SESSION_COOKIE)?.value;
  if (earlier) await endSession(door(), earlier);
  const token = await createSession(door(), accountId);
  const response = NextResponse.json({ ok: true }, { status });
  response.cookies.set(sessionCookie(token, request.nextUrl.protocol === 'https:'));
  return response;
}
