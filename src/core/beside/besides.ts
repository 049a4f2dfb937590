import { BUSH_ITEMS, bushRows, type BushesOf } from './bushes';
import { clampedRow, type ClampedOf } from './clamped';
import { locatedRow, type StackOf } from './located';
import { STEERING_ITEMS, steeringRows } from './steering';
import { shaftTravelRow } from './shaft';
import { STANDS_ITEMS, standsRows, type StandsOf } from './stands';
import { told, type BesideRead, type ReadRow } from './readRow';

/** What binds besides the travel: bushes, joints of the stack, how the wheels and the vehicle stand. */
export const BESIDE_ITEMS = [
  ...BUSH_ITEMS,
  'joints',
  'clamped',
  'shaftTravel',
  ...STEERING_ITEMS,
  ...STANDS_ITEMS,
] as const;
export type BesideItem = (typeof BESIDE_ITEMS)[number];

/** What was read and planned of it. */
export interface Besides {
  read: BesideRead;
  /** null where the axle's springs have no eyes. */
  bushes: Pick<BushesOf, 'eyes' | 'halves' | 'kind'> | null;
  /** null where no spring is clamped on the axle. */
  stack: StackOf | null;
  /** null as above. */
  clamped: ClampedOf | null;
  stands: Pick<StandsOf, 'hubToHub' | 'wheelbase' | 'wider' | 'width' | 'drives'>;
  steered: boolean;
  driven: boolean;
}

/** What the solved plan says for it; null where it is not solved. */
export interface BesideFacts {
  lift: number | null;
  noseUp: number | undefined;
  hangs: number | null;
  up: number | null;
  rate: number | null;
}

/** Every row, read or not. */
export function besideRows(
  { read, bushes, stack, clamped, stands, steered, driven }: Besides,
  position: 'front' | 'rear',
  { lift, noseUp, hangs, up, rate }: BesideFacts,
): ReadRow<BesideItem>[] {
  return [
    ...(bushes ? bushRows(read, { ...bushes, hangs, up, rate }) : []),
    ...(stack ? [told('joints', () => locatedRow(read, stack))] : []),
    ...(clamped ? [told('clamped', () => clampedRow(clamped, read))] : []),
    ...(driven ? [told('shaftTravel', () => shaftTravelRow(read, { position, noseUp, lift, hangs, up }))] : []),
    ...(steered ? steeringRows(read, lift, noseUp) : []),
    ...standsRows(read, { ...stands, position, lift }),
  ];
}
