import { notFound } from 'next/navigation';
import { loadJobPage } from '@/server/pages';
import { FollowStation } from '@/ui/follow/FollowStation';

export default async function FollowPage({ params }: { params: Promise<{ id: string }> }) {
  const page = await loadJobPage('read', (await params).id);
  if (!page) notFound();
  return <FollowStation first={page.data} people={page.people} person={page.person} />;
}
