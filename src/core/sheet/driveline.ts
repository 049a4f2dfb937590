import { type FieldRule } from '../units/parse';
import { lengthRule } from '../units/rules';
import { point, type Point } from './point';

const SLOPE: FieldRule = { dimension: 'angle', unit: 'deg', min: -0.7, max: 0.7 };

/** What a drive shaft's joints are reckoned from, read at ride height with an angle gauge. Asked for only where the axle is driven. */
export const DRIVELINE_POINTS = {
  outputSlope: point(
    'driveline',
    'Slope of the output',
    'Flange or housing of the gearbox or transfer box, of a two-piece shaft the tube of its front piece; plus where it goes down towards the axle.',
    SLOPE,
    0.009,
  ),
  shaftSlope: point(
    'driveline',
    'Slope of the shaft',
    'Along its tube; plus where it goes down towards the axle.',
    SLOPE,
    0.009,
  ),
  pinionSlope: point(
    'driveline',
    'Slope of the pinion',
    'Flange or a machined face of the axle; plus where its nose points up.',
    SLOPE,
    0.009,
  ),
  shaftLength: point(
    'driveline',
    'Shaft, joint to joint',
    'Between the middles of its joints.',
    lengthRule(150, 4000, 1200),
    5,
  ),
  slipOut: point(
    'driveline',
    'Sliding joint, out',
    'How far it can still come out before half of its splines are bare, weight on.',
    lengthRule(0, 400),
    3,
  ),
  slipIn: point(
    'driveline',
    'Sliding joint, in',
    'How far it can still go in until it bottoms, weight on.',
    lengthRule(0, 400),
    3,
  ),
  jointMost: point(
    'driveline',
    'Joint, most it bends',
    'From its maker, or bent by hand on the bench until its yokes touch.',
    { dimension: 'angle', unit: 'deg', min: 0.05, max: 1.2 },
    0.02,
  ),
} as const satisfies Record<string, Point>;
export type DrivelinePoint = keyof typeof DRIVELINE_POINTS;
export const DRIVELINE_POINT_IDS = Object.keys(DRIVELINE_POINTS) as DrivelinePoint[];
