import { shelfAskSchema } from '@/contracts/shelf';
import { loadPage } from '@/server/pages';
import { partIfThere, shelfPage } from '@/server/shelf';
import { ShelfScreen } from '@/ui/shelf/ShelfScreen';

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function Page({ searchParams }: Props) {
  const { part } = await searchParams;
  const { people, person, data } = await loadPage('read', async (tx) => ({
    first: await shelfPage(tx, shelfAskSchema.parse({})),
    open: await partIfThere(tx, part),
  }));
  return <ShelfScreen {...data} people={people} person={person} />;
}
