import { board } from '@/server/board';
import { loadPage } from '@/server/pages';
import { Board } from '@/ui/board/Board';

export const dynamic = 'force-dynamic';

export default async function BoardPage() {
  const { people, person, data } = await loadPage(board);
  return <Board rows={data.rows} today={data.today} people={people} person={person} />;
}
