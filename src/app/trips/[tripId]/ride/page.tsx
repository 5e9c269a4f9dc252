import { RideStage } from '@/ui/ride/RideStage';

export const metadata = { title: 'Ride' };

export default function RidePage() {
  return <RideStage />;
}
