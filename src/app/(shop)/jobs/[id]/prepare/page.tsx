import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { PrepareStation } from '@/ui/prepare/PrepareStation';

export default async function PreparePage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <PrepareStation first={page.data} people={page.people} person={page.person} />;
}
