import { type ToolKind } from '../prepare/toolKinds';
import { type Side, SIDES } from '../vehicle/side';
import { type Crew } from './compose';
import { type Facts, type Operation } from './operation';

/** What of the job decides its order, besides what is changed. */
export interface Way {
  /** One side stays bolted while the other is worked on, or both are undone together. */
  sides: 'one' | 'both';
  /** Rubber bushes bonded to their sleeves, so that pivots are tightened with the weight on; null where nobody looked. */
  bonded: boolean | null;
  /** Leaves are changed with the pack in the vehicle, or on the bench. */
  packInPlace: boolean;
  /** Motor and gears hang on the axle: it rolls over as soon as a spring lets go of it. */
  driveUnit?: boolean;
  /** How many work on it; absent where nobody said. */
  people?: 1 | 2;
  /** Kinds of tools at hand; absent where the shop wrote none down. */
  tools?: ReadonlySet<ToolKind>;
  /** The frame stands on the arms of a hoist. */
  hoist?: boolean;
  /** What has rusted in is freed by heat, or cut out; absent where fasteners turn, or nobody chose. */
  seized?: 'heat' | 'cut';
  /** Nothing in eyes and pivots burns: metal in metal. */
  metalBushes?: boolean;
  /** Holes of the plates are opened to so many mm for the U-bolts' thread. */
  drillPlate?: number;
  /** So many mm of the centre bolt in hand stand out too far. */
  boltTail?: number;
}

/** How the order is made for those who work on it. */
export const crewOf = ({ people, sides }: Way): Crew => ({
  atOnce: people === 2 && sides === 'both',
  helped: people === 1,
});

export const each = <T>(fn: (side: Side) => T): T[] => SIDES.map(fn);

/** A vehicle as it was driven in; a kind adds its own places. */
export const DRIVEN_IN: Facts = {
  chocks: 'out',
  frame: 'on its wheels',
  axle: 'on its wheels',
  lines: 'clipped',
  ...Object.fromEntries(
    SIDES.flatMap((s) => [
      [`wheel.${s}`, 'on'],
      [`spring.${s}`, 'loaded'],
      [`shock.${s}`, 'tight'],
    ]),
  ),
};

/** What is said otherwise where more than one axle is worked on. */
export interface Words {
  chock: string;
  hold: string;
  lift?: string;
}
/** The frame on a hoist instead of stands; the axle is held all the same. */
export const onHoist = (words: Words): Words => ({
  ...words,
  chock: `${words.chock}, until the arms carry it`,
  lift: HOISTED,
});
const HOISTED =
  'Arms of the hoist under the frame where its maker says, raised until the tyres just hang, shaken, then up and down onto its locks';
/** @param way on a hoist or not */
export const wordsOf = (words: Words, { hoist }: Pick<Way, 'hoist'>): Words => (hoist ? onHoist(words) : words);
/** Where the drive unit hangs on the axle. */
export const DRIVE_UNIT: Words = {
  chock:
    'Chock the front wheels, both ways; key out, main switch off, run lever to tow; park brake on, level firm ground',
  hold: 'Jack under the drive unit’s swing arm or housing, stands under both ends of the axle, and the unit tied up to the frame: it rolls over as soon as a spring lets go of it',
};
/** What comes off on the way to the spring, whatever is done to it. */
export interface Strip {
  wheels: boolean;
  shocks: boolean;
  /** Hoses and cables are unclipped only where the axle goes down or they are changed. */
  lines: boolean;
}
export const WHOLE: Strip = { wheels: true, shocks: true, lines: true };
const onEach = (is: boolean, place: string, value: string): Record<string, string[]> =>
  is ? { [`${place}.left`]: [value], [`${place}.right`]: [value] } : {};
export const ONE_AXLE: Words = {
  chock: 'Chock the wheels of the other axle, both ways; park brake on, level firm ground',
  hold: 'Jack under the middle of the axle, stands under both its ends',
};

/** Up and held, with wheels off and everything freed that would be torn when the axle goes down. */
export function getUp(words: Words = ONE_AXLE, { wheels, shocks, lines }: Strip = WHOLE): Operation[] {
  return [
    {
      ...{
        id: 'chock',
        side: null,
        act: words.chock,
      },
      ...{ needs: {}, gives: { chocks: 'in' }, holds: true },
    },
    ...(wheels
      ? each((side): Operation => ({
          ...{ id: `crack.${side}`, side, act: 'Crack the wheel nuts a quarter turn, wheel on the ground' },
          ...{
            needs: { [`wheel.${side}`]: ['on'], frame: ['on its wheels'] },
            gives: { [`wheel.${side}`]: 'nuts cracked' },
          },
        }))
      : []),
    {
      ...{ id: 'lift', side: null, act: words.lift ?? 'Lift, and let the frame down onto stands, both sides' },
      needs: { chocks: ['in'], ...onEach(wheels, 'wheel', 'nuts cracked'), frame: ['on its wheels'] },
      ...{
        gives: { frame: 'on stands', axle: 'hanging', ...(words.lift === HOISTED && { by: 'hoist' }) },
        holds: true,
      },
      caution:
        words.lift === HOISTED
          ? 'Never under arms that are not on their locks; look that nothing tips when the axle’s weight comes off, and that bolts can be drawn past the arms.'
          : 'Never under a jack alone, no timber under a stand that can split or tip; shake the vehicle before you go under.',
    },
    ...(wheels
      ? each((side): Operation => ({
          ...{ id: `wheelOff.${side}`, side, act: 'Wheel off, laid under the frame' },
          needs: { frame: ['on stands'], [`wheel.${side}`]: ['nuts cracked'] },
          gives: { [`wheel.${side}`]: 'off' },
        }))
      : []),
    {
      ...{ id: 'holdAxle', side: null, act: words.hold },
      needs: { frame: ['on stands'], ...onEach(wheels, 'wheel', 'off') },
      ...{ gives: { axle: 'held' }, holds: true },
      caution: 'Frame and axle are each held on stands from here on; the jack only moves the axle.',
    },
    ...(lines
      ? [
          {
            ...{
              picture: true,
              id: 'freeLines',
              side: null,
              act: 'Unclip brake hose, pipes, park-brake cable, sensor wires and breather from axle and frame',
            },
            ...{ needs: { axle: ['held'] }, gives: { lines: 'free' }, holds: true as const },
            mark: 'Picture of how each line runs and which clip holds it.',
            caution: 'Nothing hangs by its hose.',
          },
        ]
      : []),
    ...(shocks
      ? each((side): Operation => ({
          ...{ id: `shockOff.${side}`, side, act: 'Lower end of the shock off' },
          ...{ needs: { axle: ['held'], [`shock.${side}`]: ['tight'] }, gives: { [`shock.${side}`]: 'out' } },
          caution: 'A gas shock pushes itself open: stand beside it.',
        }))
      : []),
  ];
}

/** Shocks and lines back, wheels on, down: from here on the weight is on the springs. */
export function getDown(
  fastened: (side: Side) => Readonly<Record<string, readonly string[]>>,
  { wheels, shocks, lines }: Strip = WHOLE,
  { hoist = false }: Pick<Way, 'hoist'> = {},
): Operation[] {
  const together = {
    ...onEach(shocks, 'shock', 'run on'),
    ...(shocks ? {} : { ...fastened('left'), ...fastened('right') }),
  };
  return [
    ...(shocks
      ? each((side): Operation => ({
          ...{ id: `shockOn.${side}`, side, act: 'Lower end of the shock on, nut run on only' },
          needs: { [`shock.${side}`]: ['out'], axle: ['held'], ...fastened(side) },
          gives: { [`shock.${side}`]: 'run on' },
          loose: 'Shock ends, until the weight is on.',
        }))
      : []),
    ...(lines
      ? [
          {
            ...{
              id: 'clipLines',
              side: null,
              act: 'Clip hoses, cables and wires back as on the picture; pull each at full droop',
            },
            needs: { lines: ['free'], ...together },
            gives: { lines: 'clipped', 'spring.left': 'hanging', 'spring.right': 'hanging' },
          },
        ]
      : []),
    ...(wheels
      ? each((side): Operation => ({
          ...{ id: `wheelOn.${side}`, side, act: 'Wheel on, nuts in cross order by hand' },
          needs: { [`wheel.${side}`]: ['off'], lines: ['clipped'], ...(lines ? {} : together) },
          gives: { [`wheel.${side}`]: 'by hand' },
        }))
      : []),
    {
      ...{
        id: 'down',
        side: null,
        act: hoist
          ? 'Stands out from under the axle, arms off their locks, down onto the wheels'
          : 'Stands out from under the axle, lift the frame off its stands, down onto the wheels',
      },
      needs: {
        ...{ lines: ['clipped'], frame: ['on stands'], axle: ['held'] },
        ...(lines ? {} : together),
        ...onEach(wheels, 'wheel', 'by hand'),
      },
      gives: {
        ...{ frame: 'on its wheels', axle: 'on its wheels', 'spring.left': 'loaded', 'spring.right': 'loaded' },
        let: 'down',
      },
      caution: 'Nobody under it while it comes down.',
    },
    ...(wheels
      ? each((side): Operation => ({
          ...{ id: `wheelTight.${side}`, side, act: 'Wheel nuts in cross order to their figure' },
          needs: { frame: ['on its wheels'], [`wheel.${side}`]: ['by hand'] },
          gives: { [`wheel.${side}`]: 'on' },
        }))
      : []),
    {
      ...{ id: 'roll', side: null, act: 'Roll it a length to and fro and bounce it, so that tyres and bushes let go' },
      // Before it was lifted it stood on its wheels too: only after the springs were loaded again does rolling settle it.
      needs: { ...onEach(true, 'wheel', 'on'), let: ['down'] },
      gives: { settled: 'yes' },
    },
  ];
}

/** Everything is tight: measured, tried, noted. */
export function handOver(done: Readonly<Record<string, readonly string[]>>, { shocks }: Strip = WHOLE): Operation[] {
  return [
    ...(shocks
      ? each((side): Operation => ({
          ...{ id: `shockTight.${side}`, side, act: 'Shock ends to their figure, weight on' },
          needs: { settled: ['yes'], [`shock.${side}`]: ['run on'] },
          gives: { [`shock.${side}`]: 'final' },
        }))
      : []),
    {
      ...{ id: 'chocksOut', side: null, act: 'Tools and chocks away, count them' },
      needs: { settled: ['yes'], ...onEach(shocks, 'shock', 'final'), ...done },
      gives: { chocks: 'out' },
    },
    {
      ...{ id: 'measure', side: null, act: 'Measure the heights after, both sides, at the points of before' },
      needs: { settled: ['yes'], ...done },
      gives: { measured: 'yes' },
    },
    {
      ...{ id: 'roadTest', side: null, act: 'Brakes first, then the road test; look at every nut again afterwards' },
      ...{ needs: { measured: ['yes'], chocks: ['out'] }, gives: { driven: 'yes' } },
    },
  ];
}
