import { LoadStage } from '@/ui/load/LoadStage';

export const metadata = { title: 'Load' };

export default function LoadPage() {
  return <LoadStage />;
}
