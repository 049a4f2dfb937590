import { type GoalKind } from '@/core/height/goals';
import { type FieldRule } from '@/core/units/parse';
import { lengthRule, massRule } from '@/core/units/rules';

const marks: FieldRule = { dimension: 'count', unit: 'count', min: 0, max: 10 };

/** What the fields of Ask take. */
export const ASK_RULES = {
  wanted: lengthRule(-300, 300),
  tolerance: lengthRule(0, 100),
  guess: lengthRule(-300, 300),
  wheelbase: lengthRule(500, 20_000, 3000),
  station: lengthRule(-20_000, 40_000),
  mass: massRule(-20_000, 20_000),
  tank: massRule(0.5, 5000, 60),
  rating: massRule(20, 30_000, 1800),
  budget: { dimension: 'count', unit: 'count', min: 0, max: 1e7 } satisfies FieldRule,
};

/** A goal besides the height change: what it is called, what its figure is and how it is read. */
export const GOALS: Record<
  GoalKind,
  { name: string; figure: string; read: string; rule: FieldRule; within: FieldRule }
> = {
  lean: {
    name: 'level side to side',
    figure: 'Left above right',
    read: 'hub to arch lip, left less right',
    rule: lengthRule(-300, 300),
    within: lengthRule(0, 100),
  },
  rake: {
    name: 'level front to rear',
    figure: 'Rear above front',
    read: 'arch lips from the ground, rear less front',
    rule: lengthRule(-600, 600),
    within: lengthRule(0, 200),
  },
  square: {
    name: 'axle square',
    figure: 'Left longer than right',
    read: 'hub to hub, left less right',
    rule: lengthRule(-100, 100),
    within: lengthRule(0, 50),
  },
  ride: {
    name: 'ride',
    figure: 'Ride, at least',
    read: 'driver’s mark on a stated route, 10 is like new',
    rule: marks,
    within: marks,
  },
  noise: {
    name: 'noise',
    figure: 'Quiet, at least',
    read: 'driver’s mark on a stated route, 10 is silent',
    rule: marks,
    within: marks,
  },
};
