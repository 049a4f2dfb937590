import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { AskStation } from '@/ui/ask/AskStation';

export default async function AskPage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <AskStation first={page.data} people={page.people} person={page.person} />;
}
