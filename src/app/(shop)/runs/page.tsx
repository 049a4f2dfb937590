import { loadPage } from '@/server/pages';
import { runsPage } from '@/server/runs';
import { RunsScreen } from '@/ui/runs/RunsScreen';

export const dynamic = 'force-dynamic';

export default async function RunsPage() {
  const { people, person, data } = await loadPage('read', runsPage);
  return <RunsScreen {...data} people={people} person={person} />;
}
