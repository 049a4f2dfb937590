import { besidesSpring } from '../../procedure/besides';
import { DRIVEN_IN, each, getDown, getUp, handOver, type Way, wordsOf } from '../../procedure/common';
import { HAZARDS, ONE_SIDE } from '../../procedure/hazards';
import { type Operation } from '../../procedure/operation';
import { bushFacts, freed, freeing } from '../../procedure/seized';
import { type Planned, type Procedure } from '../../procedure/procedure';
import { type Side } from '../../vehicle/side';

const WORDS = {
  chock:
    'Coupled to its truck and braked, or its nose held on a stand and the ground level: chocks both ways wherever a wheel stays down',
  hold: 'Stands under both axles at both their ends, no lower than brake wires and hoses reach; a jack where it is worked',
};

function workOf(planned: readonly Planned[]) {
  const has = (...kinds: string[]) => planned.some(({ kind }) => kinds.includes(kind));
  const slipper = has('slipper');
  const springs = has('springs') || slipper;
  const over = has('overAxle');
  const stack = has('riser') || over;
  return { slipper, springs, over, stack, rocker: has('rocker'), shackle: has('shackle'), hitch: has('hitch') };
}
type Work = ReturnType<typeof workOf>;
/** Springs come off their axles. */
const off = (work: Work): boolean => work.springs || work.over;
/** The U-bolts of both axles come off. */
const ubolts = (work: Work): boolean => off(work) || work.stack;
/** What joins the two springs in the middle, or a spring to its hanger, comes off. */
const middle = (work: Work): boolean => work.rocker || work.slipper || work.shackle;
const any = (work: Work): boolean => ubolts(work) || middle(work);

function apart(side: Side, work: Work, way: Way): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const ops: Operation[] = [
    {
      ...{
        id: at('unload'),
        side,
        act: 'Slacken the nuts of shackles and eyes, then move each axle a little until shackles and rocker swing by hand: both springs are slack',
      },
      needs: { axle: ['held'], lines: ['free'], [at('shock')]: ['out'], [at('shackle')]: ['tight'] },
      ...{ gives: { [at('spring')]: 'slack', [at('shackle')]: 'loose' }, holds: true },
      caution: 'The rocker can swing its other arm into a hand.',
    },
  ];
  if (ubolts(work))
    ops.push({
      ...{
        picture: true,
        id: at('uboltsOff'),
        side,
        act: 'U-bolts of both axles, nuts in turn, then U-bolts and plates off; only those that the work asks for',
      },
      needs: { [at('spring')]: ['slack'], [at('ubolts')]: ['tight'] },
      gives: { [at('ubolts')]: 'out' },
      mark: 'Picture of plates and of which hole the dowel sits in.',
    });
  if (off(work) || middle(work))
    ops.push(
      ...freeing(side, off(work) ? 'Shackle and eye bolts' : 'Shackle bolts', way, {
        ...{ [at('spring')]: ['slack'], ...(ubolts(work) && { [at('ubolts')]: ['out'] }) },
      }),
      {
        ...{
          picture: true,
          id: at('shackleOff'),
          side,
          act: off(work)
            ? 'Shackles and eye bolts out, a tie strap’s two nuts together; each spring onto the bench with a helper'
            : 'Shackles off the rocker and springs let hang on their outer eyes, held',
        },
        needs: {
          [at('spring')]: ['slack'],
          [at('shackle')]: ['loose'],
          ...(ubolts(work) && { [at('ubolts')]: ['out'] }),
          ...freed(side, way),
        },
        gives: { [at('shackle')]: 'out', ...(off(work) && { [at('pack')]: 'on the bench' }) },
        mark: 'Mark each spring’s axle, side and front end; which end the clip is nearer.',
        caution: 'No flame at an eye with a bush in it or under the floor.',
      },
    );
  if (work.rocker || work.slipper)
    ops.push({
      ...{ id: at('rockerOff'), side, act: 'Rocker’s bolt out, rocker off; look at hanger and hole' },
      ...{ needs: { [at('shackle')]: ['out'] }, gives: { [at('rocker')]: 'out' } },
    });
  return ops;
}

function together(side: Side, work: Work): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const ops: Operation[] = [];
  if (work.rocker || work.slipper)
    ops.push({
      ...{
        id: at('rockerOn'),
        side,
        act: work.slipper
          ? 'Slipper box onto the hanger by one bolt, squared to the frame, then its other fasteners as its maker says; label outward'
          : 'New rocker on its bolt and bush, greased, the planned arm to the front; it swings freely',
      },
      ...{ needs: { [at('rocker')]: ['out'] }, gives: { [at('rocker')]: 'final' } },
    });
  if (off(work) || middle(work))
    ops.push({
      ...{
        id: at('shackleOn'),
        side,
        act: `${off(work) ? `Springs in${work.over ? ' over the axles' : ''}, outer eyes first` : 'Springs to rocker and shackles'}${
          work.slipper
            ? ', their free ends in the box, stop bolts under them'
            : `, ${work.shackle ? 'new ' : ''}shackles last`
        }; all only run on`,
      },
      needs: { [at('shackle')]: ['out'], ...((work.rocker || work.slipper) && { [at('rocker')]: ['final'] }) },
      gives: { [at('shackle')]: 'run on', [at('pack')]: 'in' },
      loose: 'Eyes and shackles, until U-bolts are snug and the axles hang square.',
    });
  if (!ubolts(work)) return ops;
  if (work.stack)
    ops.push({
      ...{
        id: at('stack'),
        side,
        act: `${work.over ? 'Springs onto their new perches' : 'Risers onto both axles’ pads'}, dowel in its hole`,
      },
      needs: { [at('ubolts')]: ['out'], [at('pack')]: ['in'] },
      gives: { [at('stack')]: 'as planned' },
    });
  ops.push(
    {
      ...{
        picture: true,
        id: at('seat'),
        side,
        act: 'Bring each axle to its spring until the dowel is in its hole; look from above and below',
      },
      needs: { [at('ubolts')]: ['out'], [at('pack')]: ['in'], ...(work.stack && { [at('stack')]: ['as planned'] }) },
      gives: { [at('dowel')]: 'home' },
      caution: 'Fingers out from between pad and spring.',
    },
    {
      ...{
        id: at('uboltsOn'),
        side,
        act: 'Plates and U-bolts on, nuts in cross order until each plate is level and its four ends stand out alike',
      },
      needs: { [at('dowel')]: ['home'], [at('ubolts')]: ['out'] },
      gives: { [at('ubolts')]: 'snug' },
      loose: 'U-bolts snug only, until the weight is on.',
    },
  );
  return ops;
}

/** The operations of two axles on a rocker or slippers, worked on as one. Common practice. */
export function tandemProcedure(planned: readonly Planned[], way: Way): Procedure {
  const work = workOf(planned);
  const beside = besidesSpring(planned, any(work));
  const order =
    way.sides === 'one'
      ? each((s) => [...apart(s, work, way), ...together(s, work)]).flat()
      : [...each((s) => apart(s, work, way)).flat(), ...each((s) => together(s, work)).flat()];
  const finals = [
    ...(ubolts(work) ? each(uboltsFinal) : []),
    ...each((side): Operation => ({
      id: `pivotsFinal.${side}`,
      side,
      act: 'Eyes, shackles and rocker firm: they must swing; bonded rubber to its figure as it stands',
      needs: { settled: ['yes'], [`ubolts.${side}`]: ['final', 'tight'] },
      gives: { [`shackle.${side}`]: 'final' },
    })),
  ];
  const done = Object.assign(
    { ...beside.done, ...(work.hitch && { hitch: ['as planned'] }) },
    ...(any(work)
      ? each((s) => ({ [`shackle.${s}`]: ['final'], ...(ubolts(work) && { [`ubolts.${s}`]: ['final'] }) }))
      : []),
  ) as Record<string, string[]>;
  const start = each((s): [string, string][] => [
    ...([`ubolts.${s}`, `shackle.${s}`, `rocker.${s}`].map((place) => [place, 'tight']) as [string, string][]),
    [`pack.${s}`, 'in'],
  ]).flat();
  return {
    start: { ...DRIVEN_IN, ...bushFacts(way), ...Object.fromEntries(start) },
    operations: [
      ...getUp(wordsOf(WORDS, way), beside.strip),
      ...beside.operations,
      ...(any(work) ? order : []),
      ...beside.late,
      ...getDown(
        (s) =>
          any(work)
            ? { [`shackle.${s}`]: ['run on', 'loose'], ...(ubolts(work) && { [`ubolts.${s}`]: ['snug'] }) }
            : {},
        beside.strip,
        way,
      ),
      ...(any(work) ? finals : []),
      ...(work.hitch
        ? [
            {
              ...{ id: 'hitch', side: null, act: 'Coupling to its planned height; the frame level as it is towed' },
              ...{ needs: { settled: ['yes'] }, gives: { hitch: 'as planned' } },
            },
          ]
        : []),
      ...beside.last,
      ...handOver(done, beside.strip),
    ],
    hazards: way.sides === 'one' ? [...HAZARDS, ONE_SIDE] : HAZARDS,
  };
}

const uboltsFinal = (side: Side): Operation => ({
  ...{ id: `uboltsFinal.${side}`, side, act: 'U-bolts of both axles to their figure in cross order, in three rounds' },
  needs: { settled: ['yes'], [`ubolts.${side}`]: ['snug'] },
  gives: { [`ubolts.${side}`]: 'final' },
});
