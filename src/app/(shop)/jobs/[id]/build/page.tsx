import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { BuildStation } from '@/ui/build/BuildStation';

export default async function BuildPage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <BuildStation first={page.data} people={page.people} person={page.person} />;
}
