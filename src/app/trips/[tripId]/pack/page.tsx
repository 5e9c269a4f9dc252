import { PackStage } from '@/ui/pack/PackStage';

export const metadata = { title: 'Pack' };

export default function PackPage() {
  return <PackStage />;
}
