import { BikeStage } from '@/ui/bike/BikeStage';

export const metadata = { title: 'Bike' };

export default function BikePage() {
  return <BikeStage />;
}
