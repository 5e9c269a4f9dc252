import { redirect } from 'next/navigation';

export default async function TripIndex({ params }: { params: Promise<{ tripId: string }> }) {
  redirect(`/trips/${(await params).tripId}/trip`);
}
