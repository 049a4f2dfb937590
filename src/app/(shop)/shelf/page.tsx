import { shelfAskSchema } from '@/contracts/shelf';
import { loadPage } from '@/server/pages';
import { shelfPage } from '@/server/shelf';
import { ShelfScreen } from '@/ui/shelf/ShelfScreen';

export default async function Page() {
  const { people, person, data } = await loadPage('read', (tx) => shelfPage(tx, shelfAskSchema.parse({})));
  return <ShelfScreen first={data} people={people} person={person} />;
}
