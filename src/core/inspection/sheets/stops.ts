import { seen, type InspectionRule } from '../rule';

/** Stops and shocks. */
export const STOPS_RULES = {
  unitTop: seen(
    'stops',
    'Top mount of the unit',
    'A hand on the coil while somebody steers: it must turn without a jerk; rubber whole, nuts there, no rust under it.',
    [
      ['sound', 'sound, turns freely', 'pass'],
      ['worn', 'worn, knocks or binds', 'replace'],
      ['loose', 'a nut gone, or the tower cracked', 'stop'],
    ],
    { pair: true, order: ['top mounts and their bearings, both sides'] },
  ),
  bumpStop: seen(
    'stops',
    'Bump stop',
    'Whole, tab in its hole, stud not rusted through.',
    [
      ['whole', 'whole', 'pass'],
      ['cracked', 'cracked', 'watch'],
      ['gone', 'split, half gone or missing', 'replace'],
    ],
    { pair: true, order: ['bump stops, both sides'] },
  ),
  shock: seen(
    'stops',
    'Shock absorber',
    'Dry, bushes firm, not bottomed at this height.',
    [
      ['dry', 'dry and firm', 'pass'],
      ['sweats', 'sweating', 'watch'],
      ['leaks', 'leaking, or a mount is broken', 'replace'],
    ],
    { pair: true, order: ['shocks, both sides'] },
  ),
} as const satisfies Record<string, InspectionRule>;
