import { lengthRule } from '../units/rules';
import { point, type Point } from './point';

/** Where a vehicle is held while it is worked on; read once at Prepare, before it is lifted. */
export const LIFTING_POINTS = {
  frameAtStand: point(
    'lifting',
    'Ground to frame where the stand goes',
    'Level ground up to the underside of the frame, the lower side, as it stands.',
    lengthRule(80, 2000, 500),
    5,
  ),
  standAhead: point(
    'lifting',
    'From the axle to the stand',
    'Along the frame from above the hub towards the other axle; minus beyond the axle.',
    lengthRule(-3000, 8000, 600),
    20,
  ),
  boltHead: point(
    'lifting',
    'Ground to the head of the longest bolt that comes out downwards',
    'Where one does: as it stands. It tells whether it can be drawn.',
    lengthRule(50, 2000, 400),
    10,
  ),
  boltDrawn: point('lifting', 'That bolt, under its head', 'What has to come out of its hole.', lengthRule(20, 900), 2),
} as const satisfies Record<string, Point>;
export type LiftingPoint = keyof typeof LIFTING_POINTS;
export const LIFTING_POINT_IDS = Object.keys(LIFTING_POINTS) as LiftingPoint[];
