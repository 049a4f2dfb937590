import { board, PAGE } from '@/server/board';
import { loadPage } from '@/server/pages';
import { Board } from '@/ui/board/Board';

export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function BoardPage({ searchParams }: Props) {
  const { q, most, find } = await searchParams;
  const words = typeof q === 'string' ? q.trim().slice(0, 80) : '';
  const asked = Number(most);
  const reach = Number.isInteger(asked) ? Math.min(1000, Math.max(PAGE, asked)) : PAGE;
  const { people, person, data } = await loadPage('read', (tx) => board(tx, { words, most: reach }), 'copy');
  return <Board {...data} find={find !== undefined} people={people} person={person} />;
}
