import { loadPage } from '@/server/pages';
import { HandbookScreen } from '@/ui/handbook/HandbookScreen';

/** Sums and tables without a job. */
export default async function Page() {
  const { people, person } = await loadPage(() => Promise.resolve(null));
  return <HandbookScreen people={people} person={person} />;
}
