import { besidesSpring } from '../../procedure/besides';
import { DRIVEN_IN, each, getDown, getUp, handOver, type Way, wordsOf } from '../../procedure/common';
import { HAZARDS } from '../../procedure/hazards';
import { type Operation } from '../../procedure/operation';
import { type Planned, type Procedure } from '../../procedure/procedure';
import { type Side } from '../../vehicle/side';

const WORDS = {
  chock:
    'Chock the rear wheels, both ways; park brake on, key out, main switch off where there is one; level firm ground',
  hold: 'Both hubs held: each on its own stand, or tied up to the frame, so that nothing hangs by its hose, its tie rod or its shock',
};

function workOf(planned: readonly Planned[]) {
  const has = (kind: string) => planned.some((p) => p.kind === kind);
  return { spring: has('crossSpring'), spindles: has('spindles'), beam: has('dropAxle') };
}
type Work = ReturnType<typeof workOf>;
/** The spring's ends come off what they carry. */
const ends = (work: Work): boolean => work.spring || work.beam;
/** The steering comes off the wheels. */
const steering = (work: Work): boolean => work.spindles || work.beam;
const any = (work: Work): boolean => ends(work) || steering(work);

function apart(side: Side, work: Work): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const ops: Operation[] = [];
  if (steering(work))
    ops.push(
      {
        ...{
          picture: true,
          id: at('tieOff'),
          side,
          act: 'Cotter out, castle nut off, tie rod’s end off with its puller or by a tap on the arm beside it',
        },
        needs: { axle: ['held'], [at('wheel')]: ['off'], [at('tie')]: ['tight'] },
        gives: { [at('tie')]: 'out' },
        mark: 'Picture of how the tie rod sits in its arm; count the threads that show.',
      },
      {
        ...{
          picture: true,
          id: at('kingpinOff'),
          side,
          act: 'Kingpin’s nut and bolt out, spindle off with its hub; bushes and thrust washer laid down in their order',
        },
        needs: { axle: ['held'], [at('tie')]: ['out'], [at('kingpin')]: ['tight'] },
        gives: { [at('kingpin')]: 'out' },
        mark: 'Which side the arm belongs to, which way up the washer lay.',
        caution: 'The hub is heavy and its hose short: it is held before the bolt comes out.',
      },
    );
  if (ends(work))
    ops.push(
      {
        ...{
          id: at('unload'),
          side,
          act: 'Jack under this end of the spring until its eye bolt turns by hand: this half is slack',
        },
        needs: { axle: ['held'], lines: ['free'], [at('shock')]: ['out'], [at('eye')]: ['tight'] },
        ...{ gives: { [at('spring')]: 'slack', [at('eye')]: 'loose' }, holds: true },
        caution: 'The other half is still loaded; an eye driven off a loaded half flies.',
      },
      {
        ...{
          id: at('eyeOff'),
          side,
          act: 'Eye bolt out, this hub left hanging in its tie; let the spring’s end down on the jack',
        },
        needs: { [at('spring')]: ['slack'], [at('eye')]: ['loose'] },
        gives: { [at('eye')]: 'out' },
      },
    );
  return ops;
}

/** The spring itself, once for both halves. */
const swap = (): Operation[] => [
  {
    ...{
      picture: true,
      id: 'clampOff',
      side: null,
      act: 'Front pair of the clamp’s bolts and the centre nut out; the rear pair only run to the end of their thread; spring out to the front',
    },
    needs: { 'eye.left': ['out'], 'eye.right': ['out'], clamp: ['tight'] },
    gives: { clamp: 'loose', 'pack.left': 'on the bench', 'pack.right': 'on the bench' },
    mark: 'Picture of the clamp plate: which way round it lies, and which end of the spring was left.',
  },
  {
    ...{
      id: 'compare',
      side: null,
      act: 'Old and new spring side by side: eye to eye, width, bolt in the middle, bushes of the same bore',
    },
    needs: { 'pack.left': ['on the bench'] },
    gives: { compared: 'yes' },
  },
  {
    ...{
      id: 'packIn',
      side: null,
      act: 'New spring under the plate, centre bolt through, front pair with new lock washers run on; all bolts only run on',
    },
    needs: { compared: ['yes'], 'pack.left': ['on the bench'], clamp: ['loose'] },
    gives: { 'pack.left': 'in', 'pack.right': 'in', clamp: 'run on' },
    loose: 'All bolts of the clamp, until the centre nut is seen square in its opening.',
  },
  {
    ...{
      picture: true,
      id: 'clampFinal',
      side: null,
      act: 'Centre nut square in its opening, then the clamp’s bolts crosswise to their figure, front and rear pair alike',
    },
    needs: { 'pack.left': ['in'], clamp: ['run on'] },
    gives: { clamp: 'final' },
    mark: 'Picture of the centre nut in its opening.',
  },
];

const beamOver = (): Operation[] => [
  {
    ...{ id: 'beamOut', side: null, act: 'Old beam down on its jack with a helper, out under the vehicle' },
    needs: { 'eye.left': ['out'], 'eye.right': ['out'], 'kingpin.left': ['out'], 'kingpin.right': ['out'] },
    gives: { beam: 'out' },
    two: true,
  },
  {
    ...{
      id: 'beamIn',
      side: null,
      act: 'New beam up under the spring, its front to the front, held on its jack and stands',
    },
    ...{ needs: { beam: ['out'], axle: ['held'] }, gives: { beam: 'in' }, two: true },
  },
];

function together(side: Side, work: Work): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const ops: Operation[] = [];
  if (ends(work))
    ops.push({
      ...{
        id: at('eyeOn'),
        side,
        act: 'Draw the spring’s end to its bolt with strap or jack, never by hand; bolt in, nut run on',
      },
      needs: { [at('eye')]: ['out'], ...(work.spring && { clamp: ['final'] }), ...(work.beam && { beam: ['in'] }) },
      gives: { [at('eye')]: 'run on' },
      loose: 'Eye bolts, until the weight is on.',
      caution: 'Fingers out from between eye and bracket.',
    });
  if (steering(work))
    ops.push(
      {
        ...{
          id: at('spindleOn'),
          side,
          act: `${work.spindles ? 'Lifted spindle of this side' : 'Spindle'} on its kingpin, greased, thrust washer on top, steering arm of its own side; ${work.spindles ? 'its hub moved over, bearings greased and set, slotted nut with a new cotter pin; kingpin’s ' : ''}nut to its figure, new cotter pin; it turns by hand without play`,
        },
        needs: { [at('kingpin')]: ['out'], ...(work.beam && { beam: ['in'] }) },
        gives: { [at('kingpin')]: 'final' },
      },
      {
        ...{
          id: at('tieOn'),
          side,
          act: 'Tie rod’s end into its arm, castle nut to its figure and on to the next slot, new cotter pin',
        },
        needs: { [at('tie')]: ['out'], [at('kingpin')]: ['final'] },
        gives: { [at('tie')]: 'final' },
      },
    );
  return ops;
}

/** Toe is set after every change of height: the tie rods do not move as the spring's ends do. */
const TOE: Operation = {
  ...{
    id: 'toe',
    side: null,
    act: 'Toe: tread to tread in front and behind at hub height, half a turn on and once more; both tie rods turned alike, jam nuts tight, steering wheel straight',
  },
  ...{ needs: { settled: ['yes'] }, gives: { toe: 'set' } },
};

/** The operations of an axle on one spring across. Both halves are one spring: its ends come off one after the other. Common practice. */
export function crossProcedure(planned: readonly Planned[], way: Way): Procedure {
  const work = workOf(planned);
  const beside = besidesSpring(planned, any(work));
  const middle = [...(work.spring ? swap() : []), ...(work.beam ? beamOver() : [])];
  const bySide = way.sides === 'one' && !ends(work);
  const order = bySide
    ? each((s) => [...apart(s, work), ...together(s, work)]).flat()
    : [...each((s) => apart(s, work)).flat(), ...middle, ...each((s) => together(s, work)).flat()];
  const done = Object.assign(
    { ...beside.done, ...(any(work) && { toe: ['set'] }), ...(work.spring && { clamp: ['final'] }) },
    ...each((s) => ({
      ...(ends(work) && { [`eye.${s}`]: ['final'] }),
      ...(steering(work) && { [`tie.${s}`]: ['final'], [`kingpin.${s}`]: ['final'] }),
    })),
  ) as Record<string, string[]>;
  const start = Object.fromEntries(
    each((s): [string, string][] => [
      ...(['eye', 'tie', 'kingpin'].map((place) => [`${place}.${s}`, 'tight']) as [string, string][]),
      [`pack.${s}`, 'in'],
    ]).flat(),
  );
  return {
    start: { ...DRIVEN_IN, ...start, clamp: 'tight', beam: 'in' },
    operations: [
      ...getUp(wordsOf(WORDS, way), beside.strip),
      ...beside.operations,
      ...order,
      ...beside.late,
      ...getDown(
        (s) => ({
          ...(ends(work) && { [`eye.${s}`]: ['run on'] }),
          ...(steering(work) && { [`tie.${s}`]: ['final'] }),
        }),
        beside.strip,
        way,
      ),
      ...(ends(work)
        ? each((side): Operation => ({
            ...{
              id: `eyesFinal.${side}`,
              side,
              act: 'Eye bolt to its figure with the weight on; it must still turn in a bush that turns',
            },
            needs: { settled: ['yes'], [`eye.${side}`]: ['run on'] },
            gives: { [`eye.${side}`]: 'final' },
          }))
        : []),
      ...(any(work) ? [TOE] : []),
      ...beside.last,
      ...handOver(done, beside.strip),
    ],
    hazards: HAZARDS,
  };
}
