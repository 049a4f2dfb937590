import { lengthRule } from '../units/rules';
import { point, type Point } from './point';

/** Where a leaf spring turns on a bolt. */
export const BUSH_PLACES = {
  front: 'Front eye',
  rear: 'Rear eye',
  hanger: 'Shackle’s upper pivot',
} as const;
export type BushPlace = keyof typeof BUSH_PLACES;
export const BUSH_PLACE_IDS = Object.keys(BUSH_PLACES) as BushPlace[];

export type BushSize = 'Shell' | 'Sleeve' | 'Bolt' | 'Length' | 'Inside';
export type BushPoint = `${BushPlace}${BushSize}` | 'hangerBore';

const caliper = (label: string, howTo: string, min: number, max: number): Point & { group: 'bushes' } =>
  point('bushes', label, howTo, lengthRule(min, max), 0.1);

/** What of a bush decides whether it goes in, on and between; read off the new one, both sides alike. */
const sizesAt = (place: BushPlace): [BushPoint, Point & { group: 'bushes' }][] => {
  const at = BUSH_PLACES[place];
  return [
    [`${place}Shell`, caliper(`${at}: bush, outside`, 'Across the shell of the new bush, where it is widest.', 8, 150)],
    [`${place}Sleeve`, caliper(`${at}: bush, bore`, 'Inside of the sleeve that the bolt goes through.', 4, 100)],
    [`${place}Bolt`, caliper(`${at}: bolt`, 'Across the shank, not the thread.', 4, 60)],
    [`${place}Length`, caliper(`${at}: bush, length of its sleeve`, 'What the bolt clamps, end to end.', 10, 300)],
    [`${place}Inside`, caliper(`${at}: inside width`, 'Between the cheeks that the sleeve goes into.', 10, 300)],
  ];
};

/** Sizes of the bushes and of what they go into; asked for at Check only. */
export const BUSH_POINTS = Object.fromEntries([
  ...BUSH_PLACE_IDS.flatMap(sizesAt),
  ['hangerBore', caliper('Shackle’s upper pivot: bore', 'Hole that the bush goes into, bush out.', 8, 150)],
]) as Record<BushPoint, Point & { group: 'bushes' }>;
