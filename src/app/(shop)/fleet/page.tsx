import { fleetPage } from '@/server/fleet';
import { loadPage } from '@/server/pages';
import { FleetScreen } from '@/ui/fleet/FleetScreen';

export const dynamic = 'force-dynamic';

export default async function FleetPage() {
  const { people, person, data } = await loadPage('read', fleetPage);
  return <FleetScreen {...data} people={people} person={person} />;
}
