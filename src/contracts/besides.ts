import { type Besides } from '@/core/beside/besides';
import { type BesideRead } from '@/core/beside/readRow';
import { BUSH_POINTS } from '@/core/sheet/bushes';
import { AXLE_CLASSES } from '@/core/sheet/axleClass';
import { DRIVELINE_POINTS } from '@/core/sheet/driveline';
import { JOINT_POINTS } from '@/core/sheet/joints';
import { WHEEL_POINTS } from '@/core/sheet/wheels';
import { BUSHES_TURN } from '@/core/travel/survey';
import { formOf } from '@/core/vehicle/form';
import { type Side } from '@/core/vehicle/side';
import { type AxleView } from './job';
import { takes } from './planKinds';

/** Points that are asked for at Check, besides what ends the travel. */
export const BESIDE_POINTS = { ...BUSH_POINTS, ...JOINT_POINTS, ...WHEEL_POINTS, ...DRIVELINE_POINTS };

/**
 * What was read and planned of bushes, joints of the stack and how the vehicle stands on its wheels.
 * @param heaviest on the axle with the heaviest load, kg; null where it was not weighed
 */
export function besidesOf(view: AxleView, heaviest: number | null = null): Besides {
  const { axle, plan, readings, survey, vehicle } = view;
  const before = readings.filter((r) => r.phase === 'before');
  const at = (point: string, side: Side | null = null): number | null =>
    before.find((r) => r.point === point && r.side === side)?.value ?? null;
  const read: BesideRead = Object.fromEntries(
    before.flatMap((r) => (r.point in BESIDE_POINTS ? [[r.point, r.value]] : [])),
  );
  const turn = survey.find((s) => s.item === BUSHES_TURN)?.answer;
  const change = <K extends (typeof plan.changes)[number]['kind']>(kind: K) =>
    plan.changes.findLast((c): c is Extract<typeof c, { kind: K }> => c.kind === kind);
  // An eye on each end is what takes a leaf spring's shackle.
  const eyes = takes(axle.suspension, 'eyes');
  const over = change('overAxle');
  const block = change('block')?.height ?? over?.height ?? at('blockHeight') ?? 0;
  const width = at('leafWidth');
  const pack = change('pack');
  const front = at('eyeBore');
  const ubolts = view.torques.find((t) => t.joint === 'uBolts');
  return {
    read,
    bushes: eyes
      ? {
          eyes: { front, rear: at('eyeBoreRear') ?? front },
          halves: { front: at('eyeToPinFront'), rear: at('eyeToPinRear') },
          kind: turn === 'ok' ? 'turns' : turn === 'none' ? 'bonded' : null,
        }
      : null,
    stack:
      axle.arrangement !== null && takes(axle.suspension, 'wedge')
        ? {
            arrangement: over ? 'over' : axle.arrangement,
            dowel: at('dowelDiameter'),
            block: block > 0 ? block : null,
            wedge: change('wedge')?.height ?? null,
          }
        : null,
    clamped:
      axle.arrangement !== null && takes(axle.suspension, 'wedge')
        ? {
            thread: before.find((r) => r.point === 'uboltThread')?.typed ?? null,
            torque: ubolts?.value ?? null,
            lubrication: ubolts?.lubrication ?? 'notKnown',
            heaviest,
          }
        : null,
    stands: {
      hubToHub: { left: at('hubToHub', 'left'), right: at('hubToHub', 'right') },
      wheelbase: vehicle.wheelbase,
      wider: pack && width !== null ? pack.width - width : 0,
      width: change('axleWidth') ?? null,
      drives: !formOf(vehicle.form).hitched,
    },
    steered: axle.steered,
    driven: AXLE_CLASSES[axle.axleClass].driven,
  };
}
