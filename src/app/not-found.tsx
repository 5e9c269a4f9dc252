import Link from 'next/link';
import { Empty } from '@/ui/shared/States';

export default function NotFound() {
  return (
    <main style={{ padding: '12vh 1.25rem', display: 'grid', placeItems: 'center' }}>
      <Empty title="There is nothing at this address" actions={<Link href="/">All trips</Link>}>
        The trip may have been deleted, or it belongs to another account.
      </Empty>
    </main>
  );
}
