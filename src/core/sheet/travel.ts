import { type FieldRule } from '../units/parse';
import { lengthRule } from '../units/rules';
import { point, type Point } from './point';

const LEAN: FieldRule = { dimension: 'angle', unit: 'deg', min: 0, max: 1.3, expected: 0.26 };

/**
 * What ends the travel of a hub, read where the height was read. Asked for where a check needs it, never as a sheet. Expected values
 * are common practice for a pickup-size axle.
 */
export const TRAVEL_POINTS = {
  stopGap: point(
    'travel',
    'Bump stop, gap',
    'From the tip of the stop straight to what it strikes, weight on, rolled.',
    lengthRule(-20, 400, 70),
    3,
    { sided: true },
  ),
  stopHeight: point(
    'travel',
    'Bump stop, height',
    'The rubber or foam alone, from its cup or bracket to its tip.',
    lengthRule(5, 300, 60),
    2,
    { sided: true },
  ),
  stopSolid: point(
    'travel',
    'Bump stop, squeezed solid',
    'How high it still is when nothing more gives, from its maker or a press.',
    lengthRule(2, 280),
    3,
    { sided: true },
  ),
  stopMarks: point(
    'travel',
    'Bump stop, from mark to mark',
    'Where rings or lines are moulded in it to cut it at; leave empty without.',
    lengthRule(2, 60),
    0.5,
    { sided: true },
  ),
  shockLength: point(
    'travel',
    'Shock, bolt to bolt',
    'Between its bolts as it stands, weight on, rolled.',
    lengthRule(100, 1200, 420),
    3,
    { sided: true },
  ),
  shockShut: point(
    'travel',
    'Shock shut',
    'Bolt to bolt pushed in all the way, from its label or off the vehicle.',
    lengthRule(80, 1000, 330),
    2,
    { sided: true },
  ),
  shockOpen: point(
    'travel',
    'Shock open',
    'Bolt to bolt pulled out all the way, from its label or off the vehicle.',
    lengthRule(100, 1400, 520),
    2,
    { sided: true },
  ),
  shockLean: point('travel', 'Shock leans', 'From upright, whichever way it leans.', LEAN, 0.035, { sided: true }),
  axleToFrame: point(
    'travel',
    'Axle to frame',
    'From the highest part of axle, plate or bolt end straight up to what it would strike.',
    lengthRule(0, 600, 160),
    3,
    { sided: true },
  ),
  tyreToArch: point(
    'travel',
    'Tyre to body above',
    'From the tyre straight up to the nearest body or bracket, wheels straight.',
    lengthRule(0, 800, 150),
    3,
    { sided: true },
  ),
  tyreAtLock: point(
    'travel',
    'Tyre at full lock',
    'Wheels turned to the stop, the worse way: from the tyre straight up to the body, spring or arm that it would meet first.',
    lengthRule(0, 800, 120),
    5,
    { sided: true },
  ),
} as const satisfies Record<string, Point>;
export type TravelPoint = keyof typeof TRAVEL_POINTS;
export const TRAVEL_POINT_IDS = Object.keys(TRAVEL_POINTS) as TravelPoint[];
