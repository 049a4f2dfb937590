import { HandbookScreen } from '@/ui/handbook/HandbookScreen';

/** Sums and tables without a job. */
export default async function Page({ searchParams }: PageProps<'/handbook'>) {
  const asked = Object.fromEntries(
    Object.entries(await searchParams).flatMap(([key, value]) => (typeof value === 'string' ? [[key, value]] : [])),
  );
  return <HandbookScreen asked={asked} />;
}
