import { loadPage } from '@/server/pages';
import { recordOfShop } from '@/server/record';
import { RecordScreen } from '@/ui/record/RecordScreen';

export const dynamic = 'force-dynamic';

export default async function RecordPage() {
  const { people, person, data } = await loadPage('read', recordOfShop, 'copy');
  return <RecordScreen record={data} people={people} person={person} />;
}
