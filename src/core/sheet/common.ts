import { type FieldRule } from '../units/parse';
import { lengthRule, massRule } from '../units/rules';
import { point, type Point, type PointGroup } from './point';

/** Groups of the sheet that every axle has, whatever carries it. */
export const COMMON_GROUPS = [
  { id: 'stance', place: 'ground', title: 'Heights', buys: 'block or riser change' },
  { id: 'weights', place: 'ground', title: 'Loads', buys: 'what the spring carries' },
  { id: 'square', place: 'ground', title: 'Level and square', buys: 'rake, and whether the axle stands square' },
  { id: 'road', place: 'ground', title: 'On the road', buys: 'whether ride and noise get better' },
] as const satisfies readonly PointGroup[];

/** A mark out of ten. */
const SCORE: FieldRule = { dimension: 'count', unit: 'count', min: 0, max: 10 };

/** What is read of every axle, in measuring order. Expected values are common practice for a pickup-size axle. */
export const COMMON_POINTS = {
  hubToLip: point(
    'stance',
    'Hub to arch lip',
    'Hub centre straight up to the edge of the wheel arch. Roll the vehicle first.',
    lengthRule(100, 1600, 480),
    2,
    { sided: true, loaded: true, minimal: true },
  ),
  groundToHub: point(
    'stance',
    'Ground to hub',
    'Level ground up to the hub centre: the loaded radius of the tyre.',
    lengthRule(80, 900, 350),
    2,
    { sided: true, loaded: true },
  ),
  groundToLip: point(
    'stance',
    'Ground to arch lip',
    'Level ground straight up past the hub to the edge of the wheel arch.',
    lengthRule(200, 2400, 830),
    3,
    { sided: true, loaded: true },
  ),
  padLoad: point(
    'weights',
    'Wheel load',
    'Scale pad under each wheel of this axle, all wheels on one level.',
    massRule(50, 8000, 600),
    0,
    { sided: true, loaded: true },
  ),
  axleLoad: point(
    'weights',
    'Axle load, estimated',
    'Weigh ticket or estimate for this axle, when there are no pads.',
    massRule(100, 16000, 1200),
    0,
    { loaded: true, minimal: true },
  ),
  unsprungMass: point(
    'weights',
    'Unsprung mass of the axle',
    'Axle, wheels, brakes and half of springs and shocks.',
    massRule(10, 2500, 190),
    5,
  ),
  trackWidth: point(
    'weights',
    'Track width',
    'Tyre centre to tyre centre across the axle.',
    lengthRule(500, 2600, 1600),
    5,
  ),
  springBase: point(
    'weights',
    'Spring base',
    'Centre bolt to centre bolt across the axle.',
    lengthRule(300, 2000, 1050),
    5,
  ),
  tyreRate: point(
    'weights',
    'Tyre rate',
    'From the tyre maker at this pressure.',
    { dimension: 'rate', unit: 'N/mm', min: 50, max: 1500, expected: 250 },
    25,
  ),
  otherAxleLip: point(
    'square',
    'Ground to arch lip, other axle',
    'The same height at the other axle, so that rake is known before and after.',
    lengthRule(200, 2400, 830),
    3,
    { sided: true, loaded: true },
  ),
  hubToHub: point(
    'square',
    'Hub to hub, this side',
    'Front hub centre to rear hub centre along this side, wheels straight ahead.',
    lengthRule(500, 20_000),
    2,
    { sided: true },
  ),
  otherAxleLoad: point(
    'square',
    'Axle load, other axle',
    'Weigh ticket or estimate of the axle that is not worked on. Its springs are assumed from it while nothing better is read.',
    massRule(100, 16000, 900),
    0,
    { loaded: true },
  ),
  otherAxleRate: point(
    'square',
    'Spring rate, other axle',
    'One spring of the axle that is not worked on, from its maker or a press. Its lips read again with a load aboard tell it as well.',
    { dimension: 'rate', unit: 'N/mm', min: 5, max: 3000, expected: 45 },
    5,
  ),
  rideScore: point(
    'road',
    'Ride, 0 to 10',
    'The driver’s own mark on a route that is driven again afterwards: 0 unbearable, 10 like new.',
    SCORE,
    1,
    { loaded: true },
  ),
  noiseScore: point(
    'road',
    'Quiet, 0 to 10',
    'Squeaks and knocks on the same route: 0 all the time, 10 none.',
    SCORE,
    1,
    { loaded: true },
  ),
} as const satisfies Record<string, Point>;

/** Heights of the body: friction holds them until the vehicle is rolled. */
export const HEIGHT_POINTS: readonly string[] = ['hubToLip', 'groundToLip', 'otherAxleLip'];
