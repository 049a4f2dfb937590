import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { ChooseStation } from '@/ui/choose/ChooseStation';

export default async function ChoosePage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <ChooseStation first={page.data} people={page.people} person={page.person} />;
}
