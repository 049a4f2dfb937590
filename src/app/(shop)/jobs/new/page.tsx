import { knownAxles } from '@/server/board';
import { loadPage } from '@/server/pages';
import { NewJobStation } from '@/ui/ask/NewJobStation';

export const dynamic = 'force-dynamic';

export default async function NewJobPage() {
  const { people, person, data } = await loadPage('read', (tx) => knownAxles(tx));
  return <NewJobStation axles={data} people={people} person={person} />;
}
