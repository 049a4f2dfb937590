import { besidesSpring } from '../../procedure/besides';
import { DRIVEN_IN, each, getDown, getUp, handOver, ONE_AXLE, type Way, wordsOf } from '../../procedure/common';
import { HAZARDS, ONE_SIDE } from '../../procedure/hazards';
import { type Operation } from '../../procedure/operation';
import { type Planned, type Procedure } from '../../procedure/procedure';
import { type Side } from '../../vehicle/side';

/** One coil out. @param carries what is let down */
export function coilApart(side: Side, carries: 'axle' | 'beam'): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  return [
    {
      ...{ id: at('unload'), side, act: `Lower the ${carries}, evenly, until the coil turns by hand in its seats` },
      needs: { axle: ['held'], lines: ['free'], [at('shock')]: ['out'] },
      ...{ gives: { [at('spring')]: 'slack' }, holds: true },
      caution: 'A coil that is still pressed at full droop comes out with a compressor of its size, or not at all.',
    },
    {
      ...{
        picture: true,
        id: at('coilOff'),
        side,
        act: 'Clamps or retainers off, coil out; clean both seats, look at the rubber',
      },
      needs: { [at('spring')]: ['slack'], [at('seat')]: ['tight'] },
      gives: { [at('seat')]: 'out' },
      mark: 'Where the coil’s end lies in its seat, and which end is up.',
    },
  ];
}

/** And in again, until it just takes weight. */
export function coilTogether(side: Side, spacer: boolean, carries: 'axle' | 'beam'): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  return [
    ...(spacer
      ? [
          {
            ...{ id: at('spacer'), side, act: 'Spacer into its seat, located, the way it sits flat' },
            ...{ needs: { [at('seat')]: ['out'] }, gives: { [at('spacer')]: 'as planned' } },
          },
        ]
      : []),
    {
      ...{
        id: at('coilOn'),
        side,
        act: 'Clamps laid inside the coil first where their heads do not pass between its turns; coil in, its end against its stop in the seat; clamps started by hand',
      },
      needs: { [at('seat')]: ['out'], ...(spacer && { [at('spacer')]: ['as planned'] }) },
      gives: { [at('seat')]: 'run on' },
      loose: 'Both clamps, until the spring is loaded.',
    },
    {
      ...{
        id: at('coilSeated'),
        side,
        act: `Raise the ${carries} until the coil just takes weight; look that it sits all round, above and below`,
      },
      ...{ needs: { [at('seat')]: ['run on'] }, gives: { [at('seat')]: 'snug' } },
      caution: 'Fingers out of the coil.',
    },
  ];
}

export const coilFinal = (side: Side): Operation => ({
  ...{ id: `coilFinal.${side}`, side, act: 'Clamps or retainers of the coil to their figure, weight on' },
  ...{ needs: { settled: ['yes'], [`seat.${side}`]: ['snug'] }, gives: { [`seat.${side}`]: 'final' } },
});

/** The operations of a beam axle on coils. Common practice. */
export function coilProcedure(planned: readonly Planned[], way: Way): Procedure {
  const has = (...kinds: string[]) => planned.some(({ kind }) => kinds.includes(kind));
  const springs = has('coil', 'spacer');
  const spacer = has('spacer');
  const beside = besidesSpring(planned, springs);
  const order =
    way.sides === 'one'
      ? each((s) => [...coilApart(s, 'axle'), ...coilTogether(s, spacer, 'axle')]).flat()
      : [...each((s) => coilApart(s, 'axle')).flat(), ...each((s) => coilTogether(s, spacer, 'axle')).flat()];
  return {
    start: { ...DRIVEN_IN, 'seat.left': 'tight', 'seat.right': 'tight' },
    operations: [
      ...getUp(wordsOf(ONE_AXLE, way), beside.strip),
      ...beside.operations,
      ...(springs ? order : []),
      ...beside.late,
      ...getDown((s) => (springs ? { [`seat.${s}`]: ['snug'] } : {}), beside.strip, way),
      ...(springs ? each(coilFinal) : []),
      ...beside.last,
      ...handOver(
        { ...beside.done, ...(springs && { 'seat.left': ['final'], 'seat.right': ['final'] }) },
        beside.strip,
      ),
    ],
    hazards: way.sides === 'one' ? [...HAZARDS, ONE_SIDE] : HAZARDS,
  };
}
