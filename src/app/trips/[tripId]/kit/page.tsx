import { KitStage } from '@/ui/kit/KitStage';

export const metadata = { title: 'Kit' };

export default function KitPage() {
  return <KitStage />;
}
