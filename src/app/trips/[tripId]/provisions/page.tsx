import { ProvisionsStage } from '@/ui/provisions/ProvisionsStage';

export const metadata = { title: 'Provisions' };

export default function ProvisionsPage() {
  return <ProvisionsStage />;
}
