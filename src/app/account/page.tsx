import type { Metadata } from 'next';
import { requireAccount } from '@/app/server/session';
import { DEMO_ACCOUNT_ID } from '@/db/accounts';
import { AccountPage } from '@/ui/home/AccountPage';

export const metadata: Metadata = { title: 'Your account' };

export default async function Page() {
  const { id, name, isGuarded } = await requireAccount();
  return <AccountPage name={name} isGuarded={isGuarded} isDemo={id === DEMO_ACCOUNT_ID} />;
}
