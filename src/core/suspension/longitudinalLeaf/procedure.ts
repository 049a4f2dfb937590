import {
  DRIVE_UNIT,
  DRIVEN_IN,
  each,
  getDown,
  getUp,
  handOver,
  ONE_AXLE,
  wordsOf,
  type Way,
} from '../../procedure/common';
import { BUSH_TYPES, type BushTypeId } from '../../bush/types';
import { bushWork } from '../../procedure/bush';
import { bushFacts, freed, freeing } from '../../procedure/seized';
import { HAZARDS, ONE_SIDE } from '../../procedure/hazards';
import { type Operation } from '../../procedure/operation';
import { besidesSpring } from '../../procedure/besides';
import { type Procedure, type Planned } from '../../procedure/procedure';
import { type Side } from '../../vehicle/side';

/** What a plan asks of the springs. */
function workOf(planned: readonly Planned[], packInPlace: boolean) {
  const renewed = planned.find(({ kind }) => kind === 'eyeBush');
  const bush = renewed && isBush(renewed.bush) ? renewed.bush : null;
  const eyes = bush !== null && renewed?.ends !== 'shackle';
  const has = (...kinds: string[]) => planned.some(({ kind }) => kinds.includes(kind));
  const leaves = has('addLeaf', 'removeLeaf', 'mendLeaf');
  const swap = has('pack', 'rearch', 'eyes');
  const over = has('overAxle');
  const narrow = has('axleWidth');
  const out = swap || over || narrow || eyes || (leaves && !packInPlace);
  const stack = has('block', 'wedge') || over;
  return {
    leaves,
    swap,
    over,
    /** The axle itself comes out and goes back on other pads. */
    narrow,
    out,
    stack,
    wedge: has('wedge'),
    block: has('block'),
    /** The shackle is renewed, or comes off for what turns in it. */
    newShackle: has('shackle'),
    shackle: has('shackle') || bush !== null,
    /** New bushes, in the spring's eyes or at the shackle. */
    bush,
    bushAt: renewed?.ends === 'shackle' ? 'Shackle' : renewed?.ends === 'all' ? 'Eyes and shackle' : 'Eyes',
    /** Into the pack that goes in, be it the old one or a new one; what is broken goes with the old one. */
    opened: has('addLeaf', 'removeLeaf') || (leaves && !swap),
    newUbolts: has('ubolts'),
    ubolts: out || leaves || stack || has('ubolts'),
  };
}

const isBush = (type: string | undefined): type is BushTypeId => type !== undefined && Object.hasOwn(BUSH_TYPES, type);

/** Off the axle: each side by itself. */
function apart(side: Side, work: ReturnType<typeof workOf>, way: Way): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const ops: Operation[] = [
    {
      ...{
        id: at('unload'),
        side,
        act: 'Slacken the shackle’s nuts, then move the axle a little up or down until the shackle swings by hand: the spring is slack',
      },
      needs: { axle: ['held'], lines: ['free'], [at('shock')]: ['out'], [at('shackle')]: ['tight'] },
      ...{ gives: { [at('spring')]: 'slack', [at('shackle')]: 'loose' }, holds: true as const },
      loose: 'The shackle, until the weight is on.',
    },
  ];
  if (work.ubolts)
    ops.push({
      ...{
        picture: true,
        id: at('uboltsOff'),
        side,
        act: 'U-bolt nuts in turn, a few threads each, then U-bolts and plate off',
      },
      needs: { [at('spring')]: ['slack'], [at('ubolts')]: ['tight'] },
      gives: { [at('ubolts')]: 'out' },
      mark: 'Picture of plate, block and wedge as they lie: which end is thick, which face is up.',
      caution: 'Cut ones throw their ends: glasses on, nobody opposite.',
    });
  if (work.out || work.shackle)
    ops.push(
      ...freeing(side, work.out ? 'Shackle and eye bolts' : 'Shackle bolts', way, {
        ...{ [at('spring')]: ['slack'], ...(work.out && { [at('ubolts')]: ['out'] }) },
      }),
    );
  if (work.out)
    ops.push(
      {
        ...{
          id: at('shackleOff'),
          side,
          act: work.shackle
            ? 'Shackle off at both ends; measure the old one from hole to hole'
            : 'Shackle off at the spring’s eye',
        },
        needs: { [at('ubolts')]: ['out'], [at('shackle')]: ['loose'], ...freed(side, way) },
        gives: { [at('shackle')]: 'out' },
        mark: 'Mark the spring’s front end and its side before it can be turned.',
      },
      {
        ...{
          id: at('frontOff'),
          side,
          act: PACK_OUT[way.people ?? 0],
        },
        ...(way.people === 2 && { two: true as const }),
        needs: { [at('shackle')]: ['out'] },
        gives: { [at('front')]: 'out', [at('pack')]: 'on the bench' },
        caution: 'No flame at an eye with rubber in it or beside a hose.',
      },
    );
  else if (work.shackle)
    ops.push({
      ...{ id: at('shackleOff'), side, act: 'Shackle off at both ends; measure the old one from hole to hole' },
      needs: { [at('spring')]: ['slack'], [at('shackle')]: ['loose'], ...freed(side, way) },
      gives: { [at('shackle')]: 'out' },
    });
  return ops;
}

/** The pack off its front bolt: by nobody said how many, one alone, two. */
const PACK_OUT = [
  'Jack or a helper under the spring, front eye bolt out, pack onto the bench',
  'Pack strapped to the saddle of a jack under its middle, front eye bolt out, let down and drawn out: it is not carried alone',
  'One at each end of the pack: front eye bolt out, pack onto the bench together',
] as const;

/** The leaves, on the bench or where they are. */
function leaves(side: Side, work: ReturnType<typeof workOf>, way: Way): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const place = { [at('pack')]: [work.out ? 'on the bench' : 'in'] };
  const compared: Operation[] = work.swap
    ? [
        {
          ...{
            id: at('compare'),
            side,
            act: 'Lay the new pack beside the old one: lengths before and behind the centre bolt, width, eyes, dowel, side',
          },
          needs: { [at('pack')]: ['on the bench'] },
          gives: { [at('leaves')]: 'as planned' },
          mark: 'Which end of the new pack is the front.',
        },
      ]
    : [];
  if (!work.opened) return compared;
  return [
    ...compared,
    {
      ...{ id: at('clamp'), side, act: 'Two clamps on the pack, before and behind the centre bolt; clips open' },
      needs: { ...place, [at('ubolts')]: ['out'], [at('clamps')]: ['off'] },
      ...{ gives: { [at('clamps')]: 'on' }, holds: true },
      caution: 'The leaves are sprung against one another until the clamps are let go, evenly.',
      takes: { tool: 'clamp', else: 'Nothing else holds a pack whose centre bolt comes out: it springs apart.' },
    },
    {
      ...{ id: at('centreOff'), side, act: 'Centre bolt out' },
      needs: { [at('clamps')]: ['on'], [at('centre')]: ['final'] },
      gives: { [at('centre')]: 'out' },
    },
    {
      ...{
        picture: true,
        id: at('leafWork'),
        side,
        act: 'Let the clamps go in turn; change the leaves as planned, by their length, holes in line over a drift',
      },
      needs: { [at('centre')]: ['out'] },
      gives: { [at('leaves')]: 'as planned' },
      mark: 'Order of the leaves and which way each lies.',
    },
    {
      ...{
        id: at('centreOn'),
        side,
        act: 'Pull the pack together with the clamps, new centre bolt to its figure, head on the axle’s side',
      },
      needs: { [at('leaves')]: ['as planned'], [at('centre')]: ['out'] },
      gives: { [at('centre')]: 'final' },
    },
    {
      ...{
        id: at('trim'),
        side,
        act: `Tail of the centre bolt cut${way.boltTail === undefined ? '' : ` by ${Math.round(way.boltTail)} mm`} to two or three threads over its nut, edge filed, nut secured: plate and stop lie flat`,
      },
      needs: { [at('centre')]: ['final'] },
      gives: { [at('tail')]: 'trimmed' },
      caution: 'Glasses on; a blade, not a torch: the leaf beside it stays cold.',
    },
    {
      ...{ id: at('unclamp'), side, act: 'Clips on, leaves free to slide in them; clamps off' },
      needs: { [at('centre')]: ['final'], [at('tail')]: ['trimmed'], [at('leaves')]: ['as planned'] },
      gives: { [at('clamps')]: 'off' },
    },
  ];
}

/** Back onto the axle, and run on. */
function together(side: Side, work: ReturnType<typeof workOf>, way: Way): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  const opened = work.leaves || work.swap;
  const carried = way.driveUnit === true && work.stack;
  const ops: Operation[] =
    work.bush === null
      ? []
      : bushWork(
          side,
          work.bush,
          work.bushAt,
          way,
          work.out ? { [at('pack')]: ['on the bench'] } : { [at('shackle')]: ['out'] },
        );
  const renewed = work.bush === null ? {} : { [at('newBush')]: ['in'] };
  if (work.out)
    ops.push({
      ...{
        id: at('packIn'),
        side,
        act: `Pack ${work.over ? 'over the axle' : 'back'}: front eye bolt first, then the ${work.newShackle ? 'new ' : ''}shackle; both only run on`,
      },
      ...(way.people === 2 && { two: true as const }),
      needs: {
        ...renewed,
        [at('pack')]: ['on the bench'],
        [at('clamps')]: ['off'],
        ...(opened && { [at('leaves')]: ['as planned'] }),
      },
      gives: { [at('pack')]: 'in', [at('front')]: 'run on', [at('shackle')]: 'run on' },
      loose: 'Front eye and shackle, until the weight is on.',
    });
  else if (work.shackle)
    ops.push({
      ...{
        id: at('shackleOn'),
        side,
        act: `${work.newShackle ? 'New shackle' : 'Shackle'} on, greased where its bushes want it; bolts only run on`,
      },
      needs: { [at('shackle')]: ['out'], ...renewed },
      gives: { [at('shackle')]: 'run on' },
      loose: 'The shackle, until the weight is on.',
    });
  if (!work.ubolts) return ops;
  if (work.stack)
    ops.push({
      ...{ id: at('stack'), side, act: stackText(work) },
      needs: { [at('ubolts')]: ['out'], [at('pack')]: ['in'] },
      gives: { [at('stack')]: 'as planned' },
    });
  ops.push(
    {
      ...{
        picture: true,
        id: at('seat'),
        side,
        act: 'Raise the axle slowly until the dowel is in its hole; look from above and from below',
      },
      needs: {
        ...{ [at('ubolts')]: ['out'], [at('pack')]: ['in'], [at('clamps')]: ['off'] },
        ...(opened && { [at('leaves')]: ['as planned'] }),
        ...(work.stack && { [at('stack')]: ['as planned'] }),
      },
      gives: { [at('dowel')]: 'home' },
      caution: 'Fingers out from between pad and spring.',
    },
    ...(carried ? [brackets(side, work.over)] : []),
    ...(way.drillPlate === undefined ? [] : [drilled(side, way.drillPlate)]),
    {
      ...{
        id: at('uboltsOn'),
        side,
        act: `Plate and ${work.newUbolts ? 'the new ' : ''}U-bolts on, nuts in cross order until the plate is level and the four ends stand out alike`,
      },
      needs: {
        ...{ [at('dowel')]: ['home'], [at('ubolts')]: ['out'] },
        ...(carried && { [at('brackets')]: ['as planned'] }),
        ...(way.drillPlate !== undefined && { [at('plate')]: ['drilled'] }),
      },
      gives: { [at('ubolts')]: 'snug' },
      loose: 'U-bolts snug only, until the weight is on.',
    },
  );
  return ops;
}

const stackText = ({ over, block, wedge }: ReturnType<typeof workOf>): string =>
  [
    over && 'spring onto the new perch, its hole over the dowel',
    block && 'block as planned on the pad, dowel in dowel, taper to its side',
    wedge && 'wedge, thick end to the planned side, its pin in the hole',
  ]
    .filter(Boolean)
    .join('; ')
    .replace(/^./, (c) => c.toUpperCase());

/** A plate whose holes are too narrow for the U-bolts' thread. @param hole mm */
const drilled = (side: Side, hole: number): Operation => ({
  ...{
    id: `drill.${side}`,
    side,
    act: `Plate’s four holes opened to ${Number(hole.toFixed(1))} mm on the bench, clamped down, a step at a time; edges broken, rust guarded`,
  },
  needs: { [`ubolts.${side}`]: ['out'] },
  gives: { [`plate.${side}`]: 'drilled' },
  caution: 'Glasses on, no gloves at a drill. Only the plate: a spring leaf or its pad is never drilled.',
});

/** The axle out from under the springs, and what was made of it back in. */
const axleOver = (): Operation[] => [
  {
    ...{
      picture: true,
      id: 'axleFree',
      side: null,
      act: 'Oil drained, prop shaft off its flange and tied up; brake pipes shut, park-brake cables out of their plates; axle shafts out, seals covered',
    },
    needs: { axle: ['held'], lines: ['free'] },
    gives: { driveline: 'off' },
    mark: 'Picture of flange and yoke to one another, of pipes and cables, of shims at the bearings; look at the oil for glitter.',
    caution: 'A prop shaft is tied up, never hung by its joint. Opened brakes are bled and tried before it rolls.',
  },
  {
    ...{
      id: 'axleOut',
      side: null,
      act: 'Axle down evenly on its jack with a helper, walked out from under the springs',
    },
    needs: { 'pack.left': ['on the bench'], 'pack.right': ['on the bench'], driveline: ['off'], axle: ['held'] },
    gives: { beam: 'out' },
    two: true,
    caution: 'It is heavier on the side of its gears and rolls.',
  },
  {
    ...{
      id: 'axleMade',
      side: null,
      act: 'Housing as planned: width, pads centre to centre and at their angle, shafts of their new length tried in their splines before anything is painted',
    },
    needs: { beam: ['out'] },
    gives: { beam: 'made' },
    caution: 'Cut and welded by whoever is allowed to, straight by dial gauge; never with a spring on its pad.',
  },
  {
    ...{ id: 'axleIn', side: null, act: 'Axle back under on its jack, pads under their hangers, held on stands' },
    needs: { beam: ['made'], axle: ['held'] },
    gives: { beam: 'in' },
    two: true,
  },
];
const axleBack = (): Operation => ({
  ...{
    id: 'axleBack',
    side: null,
    act: 'Shafts in past their seals, prop shaft to its marks, brake pipes and cables of their new length, bled and tried; oil to its mark',
  },
  needs: { beam: ['in'], 'ubolts.left': ['snug'], 'ubolts.right': ['snug'] },
  gives: { driveline: 'on' },
});

/** What hangs on a cart's axle and moves with its spring. */
const brackets = (side: Side, over: boolean): Operation => ({
  ...{
    picture: true,
    id: `brackets.${side}`,
    side,
    act: over
      ? 'Shock bracket onto the U-bolts in its new place; brake cable’s clip off the old plate and onto the new one, its plate drilled where it has no hole, never the spring'
      : 'Brake cable out of its bracket and wired to the frame; shock bracket on the new U-bolts, as high as the riser lifted it',
  },
  needs: { [`dowel.${side}`]: ['home'], [`ubolts.${side}`]: ['out'] },
  gives: { [`brackets.${side}`]: 'as planned' },
  mark: 'Picture of how the cable runs; it has slack at full droop.',
});

/** The operations of an axle on leaf springs along the vehicle. Common practice. */
export function leafProcedure(planned: readonly Planned[], way: Way): Procedure {
  const work = workOf(planned, way.packInPlace);
  const springs = work.ubolts || work.shackle;
  const open = work.leaves || work.swap;
  const side = (s: Side) => [...apart(s, work, way), ...(open ? leaves(s, work, way) : []), ...together(s, work, way)];
  const both = [
    ...(work.narrow ? axleOver().slice(0, 1) : []),
    ...each((s) => apart(s, work, way)).flat(),
    ...(work.narrow ? axleOver().slice(1) : []),
    ...(open ? each((s) => leaves(s, work, way)).flat() : []),
    ...each((s) => together(s, work, way)).flat(),
    ...(work.narrow ? [axleBack()] : []),
  ];
  const bySide = way.sides === 'one' && !work.narrow;
  const beside = besidesSpring(planned, springs);
  const done = {
    ...beside.done,
    ...(work.narrow && { driveline: ['on'] }),
    ...(Object.assign(
      {},
      ...each((s) => ({
        ...(work.ubolts && { [`ubolts.${s}`]: ['final'] }),
        ...(springs && { [`shackle.${s}`]: ['final'] }),
        ...(work.out && { [`front.${s}`]: ['final'] }),
      })),
    ) as Record<string, string[]>),
  };
  return {
    start: {
      ...DRIVEN_IN,
      ...bushFacts(way),
      ...Object.fromEntries(
        each((s) => [
          ...[
            [`ubolts.${s}`, 'tight'],
            [`front.${s}`, 'tight'],
            [`shackle.${s}`, 'tight'],
          ],
          ...[
            [`centre.${s}`, 'final'],
            [`clamps.${s}`, 'off'],
            [`pack.${s}`, 'in'],
          ],
        ]).flat() as [string, string][],
      ),
    },
    operations: [
      ...getUp(wordsOf(way.driveUnit ? DRIVE_UNIT : ONE_AXLE, way), beside.strip),
      ...beside.operations,
      ...(springs ? (bySide ? each(side).flat() : both) : []),
      ...beside.late,
      ...getDown(
        (s) => ({
          ...(work.ubolts && { [`ubolts.${s}`]: ['snug'] }),
          ...(springs && { [`shackle.${s}`]: ['run on', 'loose'] }),
          [`clamps.${s}`]: ['off'],
          ...(work.narrow && { driveline: ['on'] }),
        }),
        beside.strip,
        way,
      ),
      ...(work.ubolts ? each((s) => uboltsFinal(s)) : []),
      ...(springs
        ? each((s) => pivotsFinal(s, work.out, work.bush === null ? way.bonded : work.bush === 'bonded'))
        : []),
      ...beside.last,
      ...handOver(done, beside.strip),
    ],
    hazards: bySide ? [...HAZARDS, ONE_SIDE] : HAZARDS,
  };
}

const uboltsFinal = (side: Side): Operation => ({
  ...{
    id: `uboltsFinal.${side}`,
    side,
    act: 'U-bolts to their figure in cross order, in three rounds; ends and plate looked at again',
  },
  needs: { settled: ['yes'], [`ubolts.${side}`]: ['snug'] },
  gives: { [`ubolts.${side}`]: 'final' },
});

const pivotsFinal = (side: Side, front: boolean, bonded: boolean | null): Operation => ({
  id: `pivotsFinal.${side}`,
  side,
  act: `${front ? 'Front eye and shackle' : 'Shackle'} ${
    bonded === false
      ? 'firm: bushes with a sleeve of their own must still swing'
      : bonded
        ? 'to their figure with the weight on: the rubber is at rest as it stands'
        : 'with the weight on; bonded rubber to its figure, any other bush firm and swinging'
  }`,
  needs: { settled: ['yes'], [`ubolts.${side}`]: ['final', 'tight'] },
  gives: { [`shackle.${side}`]: 'final', ...(front && { [`front.${side}`]: 'final' }) },
});
