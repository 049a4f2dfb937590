import { loadPage } from '@/server/pages';
import { partIfThere } from '@/server/shelf';
import { BenchScreen } from '@/ui/bench/BenchScreen';

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string | string[]>> }) {
  const { pack, beside } = await searchParams;
  const { people, person, data } = await loadPage(async (tx) => ({
    pack: await partIfThere(tx, pack),
    beside: await partIfThere(tx, beside),
  }));
  return <BenchScreen {...data} people={people} person={person} />;
}
