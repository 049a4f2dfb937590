import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { CheckStation } from '@/ui/check/CheckStation';

export default async function CheckPage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <CheckStation first={page.data} people={page.people} person={page.person} />;
}
