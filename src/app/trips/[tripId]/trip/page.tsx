import { TripStage } from '@/ui/trip/TripStage';

export const metadata = { title: 'Trip' };

export default function TripPage() {
  return <TripStage />;
}
