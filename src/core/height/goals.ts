import { type Side } from '../vehicle/side';
import { type PointId } from '../measure/points';
import { type Phase, type SheetReading } from '../sheet/reading';

/** What a goal besides the height change is about, and how it is measured. */
export const GOAL_KINDS = ['lean', 'rake', 'square', 'ride', 'noise'] as const;
export type GoalKind = (typeof GOAL_KINDS)[number];

export interface MeasuredGoal {
  kind: GoalKind;
  /** mm, or marks out of ten. */
  target: number;
  tolerance: number;
}

/** Which readings a goal is judged by. */
export const GOAL_POINTS: Record<GoalKind, readonly PointId[]> = {
  lean: ['hubToLip'],
  rake: ['groundToLip', 'otherAxleLip'],
  square: ['hubToHub'],
  ride: ['rideScore'],
  noise: ['noiseScore'],
};

export interface GoalVerdict {
  /** null while readings are missing. */
  value: number | null;
  met: boolean | null;
  /** Points still to be read. */
  missing: PointId[];
}

type Readings = readonly SheetReading[];

function read(
  readings: Readings,
  phase: Phase,
  point: PointId,
  side: Side | null,
  stateId: string,
): number | undefined {
  return readings.find(
    (r) => r.point === point && r.phase === phase && r.side === side && (r.stateId === null || r.stateId === stateId),
  )?.value;
}

/**
 * What a goal's own quantity is in one phase and load state; undefined while a reading is missing.
 * Lean: left less right hub-to-lip height, mm. Rake: rear less front height of the arch lips from the ground, both sides'
 * mean, mm. Square: left less right hub-to-hub length, mm. Ride and noise: the driver's marks.
 */
export function goalValue(
  kind: GoalKind,
  readings: Readings,
  phase: Phase,
  stateId: string,
  position: 'front' | 'rear',
): number | undefined {
  const at = (point: PointId, side: Side | null) => read(readings, phase, point, side, stateId);
  const pair = (point: PointId): [number, number] | undefined => {
    const [left, right] = [at(point, 'left'), at(point, 'right')];
    return left === undefined || right === undefined ? undefined : [left, right];
  };
  const less = (p: [number, number] | undefined) => p && p[0] - p[1];
  switch (kind) {
    case 'lean':
      return less(pair('hubToLip'));
    case 'square':
      return less(pair('hubToHub'));
    case 'rake': {
      const [own, other] = [pair('groundToLip'), pair('otherAxleLip')];
      if (!own || !other) return undefined;
      const higher = (own[0] + own[1] - other[0] - other[1]) / 2;
      return position === 'rear' ? higher : -higher;
    }
    case 'ride':
      return at('rideScore', null);
    case 'noise':
      return at('noiseScore', null);
  }
}

/** Whether a goal is met after the work. Marks count as met from the target less the tolerance upwards. */
export function judgeGoal(
  goal: MeasuredGoal,
  readings: Readings,
  stateId: string,
  position: 'front' | 'rear',
): GoalVerdict {
  const value = goalValue(goal.kind, readings, 'after', stateId, position);
  if (value === undefined) {
    const has = (point: PointId) => readings.some((r) => r.point === point && r.phase === 'after');
    const lacking = GOAL_POINTS[goal.kind].filter((point) => !has(point));
    return { value: null, met: null, missing: lacking.length > 0 ? lacking : [...GOAL_POINTS[goal.kind]] };
  }
  const mark = goal.kind === 'ride' || goal.kind === 'noise';
  const met = mark ? value >= goal.target - goal.tolerance : Math.abs(value - goal.target) <= goal.tolerance;
  return { value, met, missing: [] };
}
