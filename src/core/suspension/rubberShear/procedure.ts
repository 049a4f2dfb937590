import { besidesSpring } from '../../procedure/besides';
import {
  DRIVEN_IN,
  each,
  getDown,
  getUp,
  handOver,
  ONE_AXLE,
  type Strip,
  type Way,
  wordsOf,
} from '../../procedure/common';
import { HAZARDS, TOOL_LEFT } from '../../procedure/hazards';
import { type Operation } from '../../procedure/operation';
import { type Planned, type Procedure } from '../../procedure/procedure';
import { type Side } from '../../vehicle/side';

/** Wheels and shocks stay on where only the blocks are worked on. */
const BLOCKS_ONLY: Strip = { wheels: false, shocks: false, lines: true };
const WORDS = {
  ...ONE_AXLE,
  lift: 'Jack at the suspension’s hanger until the tyres hang clear by a hand; stands under the frame rail, both sides; let down onto them until the tyres are just clear of the floor',
  hold: 'Jack under the middle of the axle, stands under both its ends: the axle is held whatever the noses do',
};

function apart(side: Side): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  return [
    {
      ...{
        id: at('unload'),
        side,
        act: 'Unload tool, its screw greased, or a ram that bears on the carrier below its nose: take the load over until the nose bolt turns by hand',
      },
      needs: { axle: ['held'], lines: ['free'], [at('nose')]: ['tight'] },
      gives: { [at('spring')]: 'slack', [at('nose')]: 'loose', [at('tool')]: 'on' },
      caution:
        'The block is pressed as hard as the axle stands on it. Nobody in line with the screw; a ram has its own rated foot.',
    },
    {
      ...{ picture: true, id: at('noseOff'), side, act: 'Nose bolt and its sleeve out' },
      needs: { [at('spring')]: ['slack'], [at('nose')]: ['loose'], [at('tool')]: ['on'] },
      gives: { [at('nose')]: 'out' },
      mark: 'Picture of the block from the side: which rows of holes are used, which side its higher end faces.',
    },
    {
      ...{ id: at('toolOff'), side, act: 'Let the tool go slowly: the rubber is slack' },
      needs: { [at('nose')]: ['out'], [at('tool')]: ['on'] },
      gives: { [at('tool')]: 'off' },
    },
    {
      ...{ id: at('blockOff'), side, act: 'Eight bolts out, block out; clean both faces, look at the carrier’s welds' },
      needs: { [at('nose')]: ['out'], [at('tool')]: ['off'], [at('rubber')]: ['tight'] },
      gives: { [at('rubber')]: 'out' },
    },
  ];
}

function together(side: Side, { blocks, row }: { blocks: boolean; row: boolean }): Operation[] {
  const at = (place: string) => `${place}.${side}`;
  return [
    ...(blocks
      ? [
          {
            ...{
              id: at('compare'),
              side,
              act: 'Old and new block side by side: pattern of holes, offset of its plates, mark of its rate',
            },
            needs: { [at('rubber')]: ['out'] },
            gives: { [at('compared')]: 'yes' },
          },
        ]
      : []),
    {
      ...{
        id: at('blockOn'),
        side,
        act: `${blocks ? 'New block' : 'Block'} in, its higher end to the frame’s side, drift pins through; bolts of the frame’s side in loosely, then the carrier’s${row ? ' in its new row' : ', in the rows it had'}; new locking nuts, all eight by hand`,
      },
      needs: { [at('rubber')]: ['out'], ...(blocks && { [at('compared')]: ['yes'] }) },
      gives: { [at('rubber')]: 'run on' },
      loose: 'All eight bolts, until every one of them is started.',
      caution: 'Fingers never in a hole: a drift pin finds it.',
    },
    {
      ...{ id: at('blockFinal'), side, act: 'All eight bolts to their figure, crosswise' },
      needs: { [at('rubber')]: ['run on'] },
      gives: { [at('rubber')]: 'final' },
    },
    {
      ...{ id: at('noseOn'), side, act: 'Draw the nose to its hole with the tool; sleeve and bolt in, nut snug' },
      needs: { [at('rubber')]: ['final'], [at('nose')]: ['out'], [at('tool')]: ['off'] },
      gives: { [at('nose')]: 'snug', [at('tool')]: 'on' },
      loose: 'Nose bolt, until the weight is on.',
      caution: 'The carrier’s arms must not catch on the leaf’s upper side as the nose comes down.',
    },
    {
      ...{ id: at('toolAway'), side, act: 'Let the tool go and take it out' },
      needs: { [at('nose')]: ['snug'], [at('tool')]: ['on'] },
      gives: { [at('tool')]: 'away' },
    },
  ];
}

/** The operations of an axle on rubber shear springs: one block at a time, wheels on, as long as nothing else is worked on. Common practice. */
export function shearProcedure(planned: readonly Planned[], way: Way): Procedure {
  const has = (kind: string) => planned.some((p) => p.kind === kind);
  const work = { blocks: has('shearBlock'), row: has('blockHoles') };
  const any = work.blocks || work.row;
  const beside = besidesSpring(planned, any);
  const strip = any && beside.operations.length === 0 ? BLOCKS_ONLY : beside.strip;
  const order =
    way.sides === 'one'
      ? each((s) => [...apart(s), ...together(s, work)]).flat()
      : [...each(apart).flat(), ...each((s) => together(s, work)).flat()];
  const start = Object.fromEntries(
    each((s): [string, string][] => [
      [`nose.${s}`, 'tight'],
      [`rubber.${s}`, 'tight'],
      [`tool.${s}`, 'away'],
    ]).flat(),
  );
  const done: Record<string, string[]> = {
    ...beside.done,
    ...(any && { 'nose.left': ['final'], 'nose.right': ['final'] }),
  };
  return {
    start: { ...DRIVEN_IN, ...start },
    operations: [
      ...getUp(wordsOf(WORDS, way), strip),
      ...beside.operations,
      ...(any ? order : []),
      ...beside.late,
      ...getDown((s) => (any ? { [`tool.${s}`]: ['away'], [`nose.${s}`]: ['snug'] } : {}), strip, way),
      ...(any
        ? each((side): Operation => ({
            ...{
              id: `noseFinal.${side}`,
              side,
              act: 'Nose bolt to its figure, weight on; look at all eight bolts of the block once more',
            },
            needs: { settled: ['yes'], [`nose.${side}`]: ['snug'] },
            gives: { [`nose.${side}`]: 'final' },
          }))
        : []),
      ...beside.last,
      ...handOver(done, strip),
    ],
    hazards: [...HAZARDS, TOOL_LEFT],
  };
}
