import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { InspectStation } from '@/ui/inspect/InspectStation';

export default async function InspectPage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <InspectStation first={page.data} people={page.people} person={page.person} />;
}
