import { doorBook } from '@/server/door/shop';
import { loadPage } from '@/server/pages';
import { ShopScreen } from '@/ui/door/ShopScreen';

export default async function Page() {
  const { people, person, data } = await loadPage('own', (tx) => doorBook(tx));
  return <ShopScreen people={people} person={person} {...data} />;
}
