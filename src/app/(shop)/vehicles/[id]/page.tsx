import { notFound } from 'next/navigation';
import { loadVehiclePage } from '@/server/pages';
import { VehicleScreen } from '@/ui/record/VehicleScreen';

export default async function VehiclePage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadVehiclePage('read', (await params).id);
  if (!page) notFound();
  return <VehicleScreen history={page.data} people={page.people} person={page.person} />;
}
