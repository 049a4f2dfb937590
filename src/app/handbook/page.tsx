import { loadPage } from '@/server/pages';
import { HandbookScreen } from '@/ui/handbook/HandbookScreen';

/** Sums and tables without a job. */
export default async function Page({ searchParams }: PageProps<'/handbook'>) {
  const { people, person } = await loadPage(() => Promise.resolve(null));
  const asked = Object.fromEntries(
    Object.entries(await searchParams).flatMap(([key, value]) => (typeof value === 'string' ? [[key, value]] : [])),
  );
  return <HandbookScreen people={people} person={person} asked={asked} />;
}
