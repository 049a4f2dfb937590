import { loadPage, whoAtPage } from '@/server/pages';
import { YouScreen } from '@/ui/door/YouScreen';

export default async function Page() {
  const { people, person } = await loadPage('read', () => Promise.resolve(null));
  return <YouScreen people={people} person={person} given={(await whoAtPage())?.given ?? false} />;
}
