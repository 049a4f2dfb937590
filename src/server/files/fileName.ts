import { type JobView } from '@/contracts/job';

/** `gravelwort-ice-house-flatbed-rear-parts.csv`: plain letters, so that every system takes it. */
export const fileName = (view: Pick<JobView, 'vehicle' | 'axle'>, what: string, ending: string): string =>
  `${['gravelwort', view.vehicle.name, view.axle.position, what]
    .join('-')
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 80)}.${ending}`;
