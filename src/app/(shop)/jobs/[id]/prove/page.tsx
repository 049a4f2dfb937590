import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { ProveStation } from '@/ui/prove/ProveStation';

export default async function ProvePage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <ProveStation first={page.data} people={page.people} person={page.person} />;
}
