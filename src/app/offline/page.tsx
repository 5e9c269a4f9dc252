import { OfflinePage } from '@/ui/offline/OfflinePage';

export const metadata = { title: 'Gorvin' };

/** The page that the service worker keeps; it holds nothing of any account. */
export default function Offline() {
  return <OfflinePage />;
}
