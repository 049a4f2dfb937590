import { packForBench } from '@/server/choose';
import { loadPage } from '@/server/pages';
import { idIn, partIfThere } from '@/server/shelf';
import { BenchScreen } from '@/ui/bench/BenchScreen';

export default async function Page({ searchParams }: { searchParams: Promise<Record<string, string | string[]>> }) {
  const { pack, beside, job } = await searchParams;
  const jobId = idIn(job);
  const { people, person, data } = await loadPage('read', async (tx) => ({
    pack: await partIfThere(tx, pack),
    beside: await partIfThere(tx, beside),
    own: jobId ? { jobId, pack: await packForBench(tx, jobId) } : null,
  }));
  return <BenchScreen {...data} people={people} person={person} />;
}
