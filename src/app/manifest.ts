import { type MetadataRoute } from 'next';
import { LIGHT } from '@/ui/theme/tokens';

/** What a phone needs to put the handbook among its own programs. */
export default function manifest(): MetadataRoute.Manifest {
  return {
    name: 'Gravelwort',
    short_name: 'Gravelwort',
    description: 'Sums and tables for leaf springs and beam axles; predict and prove ride height',
    start_url: '/handbook',
    display: 'standalone',
    background_color: LIGHT.paper,
    theme_color: LIGHT.ink,
    icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  };
}
