import { redirect } from 'next/navigation';
import { currentAccount } from '@/app/server/session';
import { openSpaces } from '@/app/server/spaces';
import { Welcome } from '@/ui/home/Welcome';

export const metadata = { title: 'Welcome' };

export default async function WelcomePage() {
  if (await currentAccount()) redirect('/');
  return <Welcome spaces={await openSpaces()} />;
}
