import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { MeasureStation } from '@/ui/measure/MeasureStation';

export default async function MeasurePage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <MeasureStation first={page.data} people={page.people} person={page.person} />;
}
