import { loadPage } from '@/server/pages';
import { InstrumentsPage } from '@/ui/instruments/InstrumentsPage';

export default async function Page() {
  const { people, person } = await loadPage('read', () => Promise.resolve(null));
  return <InstrumentsPage people={people} person={person} />;
}
