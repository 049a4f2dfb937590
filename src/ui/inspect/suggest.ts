import { type JobView } from '@/contracts/job';
import { type Side } from '@/core/vehicle/side';
import { type RuleId } from '@/core/inspection/rules';
import { type PointId } from '@/core/measure/points';
import { decimalText } from '@/core/units/format';

/** Values a rule's measures would take from the measuring sheet, and where they come from. */
export interface Suggestion {
  values: Record<string, number>;
  because: string;
}

const other = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** What the measuring sheet already says of a rule; undefined where it says nothing. */
export function suggestion(view: JobView, rule: RuleId, side: Side | null): Suggestion | undefined {
  const base = view.states[0]?.id;
  const at = (point: PointId, of: Side) =>
    view.readings.find(
      (r) => r.point === point && r.phase === 'before' && r.side === of && (r.stateId === null || r.stateId === base),
    )?.value;
  if (rule === 'sag' && side) {
    for (const [point, name] of [
      ['freeArch', 'free arch'],
      ['loadedArch', 'loaded arch'],
    ] as const) {
      const [found, expected] = [at(point, side), at(point, other(side))];
      if (found !== undefined && expected !== undefined)
        return { values: { expected, found }, because: `${name} of both sides` };
    }
  }
  if (rule === 'square') {
    const [left, right] = [at('hubToHub', 'left'), at('hubToHub', 'right')];
    if (left !== undefined && right !== undefined) {
      const longer = left > right ? 'left' : 'right';
      return {
        values: { off: Math.abs(left - right) },
        because: `hub to hub, ${longer} longer: ${skewText(left - right, view)}`,
      };
    }
  }
  return undefined;
}

/** Skew of the axle from the difference of the sides over the track, in words. */
function skewText(difference: number, view: JobView): string {
  const track = view.readings.find((r) => r.point === 'trackWidth')?.value ?? 1600;
  const assumed = view.readings.some((r) => r.point === 'trackWidth') ? '' : ', track assumed 1600 mm';
  return `${decimalText((Math.atan(Math.abs(difference) / track) * 180) / Math.PI, 2)}° skew${assumed}`;
}
