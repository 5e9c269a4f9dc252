import { cookies } from 'next/headers';
import { redirect } from 'next/navigation';
import { accountOfSession, SESSION_DAYS, type Account } from '@/db/accounts';
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
export const sessionCookie = (token: string, secure: boolean) =>
  ({
    name: SESSION_COOKIE,
    value: token,
    httpOnly: true,
    sameSite: 'lax',
    secure,
    path: '/',
    maxAge: SESSION_DAYS * 86_400,
  }) as const;
