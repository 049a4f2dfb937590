import { type Way } from '@/core/procedure/common';
import { compose } from '@/core/procedure/compose';
import { type KindId, procedureOf } from '@/core/suspension/registry';

/*
 * The order in which the trade was seen to do a piece of work (common practice), in the steps of this house. Where this house goes another way,
 * the step stands under `moved` with the reason; a difference that is none any more fails too.
 */
interface Work {
  of: string;
  kind: KindId;
  changes: readonly string[];
  way?: Partial<Way>;
  trade: string;
  moved?: Readonly<Record<string, string>>;
  /** What is left alone because the work does not ask for it. */
  alone?: string;
}
const SLACK_FIRST = 'the spring is slack before a bolt of it comes out, so the clamp may go first and nothing swings';
const WORK: readonly Work[] = [
  {
    ...{ of: 'rocker out, slippers in', kind: 'tandemEqualizer', changes: ['slipper'], way: { sides: 'both' } },
    trade:
      'crack.left lift wheelOff.left holdAxle shackleOff.left shackleOff.right uboltsOff.left rockerOn.left shackleOn.left uboltsOn.left wheelOn.left down wheelTight.left',
    moved: { 'uboltsOff.left': SLACK_FIRST },
  },
  {
    ...{ of: 'a trailer’s springs on the road', kind: 'tandemEqualizer', changes: ['springs'] },
    trade:
      'lift wheelOff.left holdAxle unload.left shackleOff.left uboltsOff.left shackleOn.left seat.left uboltsOn.left wheelOn.left down pivotsFinal.left',
    moved: { 'uboltsOff.left': SLACK_FIRST },
  },
  {
    ...{ of: 'a narrower axle under it', kind: 'longitudinalLeaf', changes: ['axleWidth'], way: { sides: 'both' } },
    trade:
      'crack.left lift wheelOff.left axleFree shockOff.left shackleOff.left uboltsOff.left axleOut axleMade axleIn axleBack down',
    moved: {
      'shockOff.left': 'the shocks come off while the axle is held, before the brakes are opened',
      'uboltsOff.left': SLACK_FIRST,
    },
  },
  {
    ...{ of: 'rubber shear blocks', kind: 'rubberShear', changes: ['shearBlock'] },
    trade:
      'chock lift holdAxle unload.left noseOff.left toolOff.left blockOff.left blockOn.left blockFinal.left noseOn.left toolAway.left unload.right blockOff.right toolAway.right down noseFinal.left',
    alone: 'wheelOff.left shockOff.left',
  },
  {
    ...{ of: 'another pack, shackles turned', kind: 'longitudinalLeaf', changes: ['pack', 'shackle'] },
    trade:
      'lift uboltsOff.left shackleOff.left frontOff.left compare.left packIn.left seat.left uboltsOn.left uboltsOff.right uboltsOn.right down uboltsFinal.left pivotsFinal.left roadTest',
  },
  {
    ...{ of: 'a coil-over in another groove', kind: 'coilOver', changes: ['coil', 'perch'] },
    trade:
      'camsMarked.left unitOff.left compress.left stemOff.left perchSet.left stemOn.left release.left unitOn.left unitOff.right unitOn.right down unitFinal.left camsFinal.left',
  },
  {
    ...{ of: 'leaves added on the bench', kind: 'longitudinalLeaf', changes: ['addLeaf'] },
    trade:
      'uboltsOff.left clamp.left centreOff.left leafWork.left centreOn.left packIn.left uboltsOn.left uboltsOff.right',
  },
  {
    ...{
      of: 'a leaf added with the pack in place',
      kind: 'longitudinalLeaf',
      changes: ['addLeaf'],
      way: { packInPlace: true },
    },
    trade:
      'lift freeLines shockOff.left uboltsOff.left clamp.left centreOff.left leafWork.left centreOn.left unclamp.left seat.left uboltsOn.left shockOn.left',
    alone: 'frontOff.left shackleOff.left',
  },
  {
    ...{ of: 'a cart’s broken spring across', kind: 'transverseLeaf', changes: ['crossSpring'] },
    trade:
      'wheelOff.left eyeOff.left eyeOff.right clampOff holdAxle packIn clampFinal eyeOn.left eyeOn.right wheelOn.left down eyesFinal.left',
    moved: { holdAxle: 'the hubs are tied up before the spring lets go of them, not after' },
  },
  {
    ...{ of: 'a cart’s drop axle', kind: 'transverseLeaf', changes: ['dropAxle'] },
    trade:
      'wheelOff.left tieOff.left kingpinOff.left shockOff.left eyeOff.left beamOut beamIn shockOn.left spindleOn.left tieOn.left toe',
    moved: {
      'shockOff.left': 'the shocks come off with the hubs held, before the steering is opened',
      'shockOn.left': 'the spindles are on their beam before the shocks close it',
    },
  },
  {
    ...{ of: 'a cart’s lifted spindles', kind: 'transverseLeaf', changes: ['spindles'] },
    trade: 'wheelOff.left tieOff.left kingpinOff.left spindleOn.left tieOn.left wheelOn.left down toe',
    alone: 'eyeOff.left clampOff',
  },
  {
    ...{ of: 'other coils on a beam axle', kind: 'coilBeam', changes: ['coil'] },
    trade:
      'lift holdAxle unload.left coilOff.left coilOn.left coilSeated.left unload.right coilOff.right down coilFinal.left roadTest',
  },
  {
    ...{
      of: 'a cart’s springs over their axle',
      kind: 'longitudinalLeaf',
      changes: ['overAxle', 'block'],
      way: { driveUnit: true },
    },
    trade:
      'wheelOff.left shockOff.left uboltsOff.left shackleOff.left stack.left brackets.left uboltsOn.left shockOn.left uboltsOff.right wheelOn.left down pivotsFinal.left',
    moved: { 'shockOn.left': 'both shocks go on when both springs carry their axle, so that no end hangs by one' },
  },
  {
    ...{
      of: 'the same, both sides at once',
      kind: 'longitudinalLeaf',
      changes: ['overAxle', 'block'],
      way: { driveUnit: true, sides: 'both' },
    },
    trade:
      'lift holdAxle shockOff.left uboltsOff.left uboltsOff.right packIn.left packIn.right stack.left brackets.left uboltsOn.left shockOn.left wheelOn.left',
    moved: {
      'packIn.right': 'one spring is clamped before the next is brought up: the axle is never on loose ones alone',
    },
  },
  {
    ...{ of: 'a block out', kind: 'longitudinalLeaf', changes: ['block'] },
    trade: 'uboltsOff.left stack.left seat.left uboltsOn.left uboltsOff.right uboltsOn.right uboltsFinal.left roadTest',
    alone: 'frontOff.left shackleOff.left',
  },
  {
    ...{
      of: 'packs, shackles and sway links',
      kind: 'longitudinalLeaf',
      changes: ['pack', 'shackle', 'swayLinks'],
      way: { sides: 'both' },
    },
    trade:
      'lift wheelOff.left shockOff.left swayOff.left uboltsOff.left shackleOff.left frontOff.left packIn.left seat.left uboltsOn.left uboltsFinal.left pivotsFinal.left swayOn.left shockOn.left wheelOn.left down swayFinal.left measure',
    moved: {
      'uboltsFinal.left': 'to their figure on the wheels, rolled: the same weight, and the tyres let go first',
      'pivotsFinal.left': 'bonded rubber at rest only as the vehicle stands',
    },
  },
  {
    ...{ of: 'a bump stop', kind: 'longitudinalLeaf', changes: ['stopPad'] },
    trade: 'chock stop.left stop.right roadTest',
    alone: 'shockOff.left freeLines uboltsOff.left',
  },
  {
    ...{ of: 'a stop inside a coil', kind: 'coilBeam', changes: ['stopPad'] },
    trade: 'chock lift wheelOff.left stop.left stop.right wheelOn.left down',
    alone: 'shockOff.left freeLines coilOff.left',
  },
  {
    ...{ of: 'shocks', kind: 'longitudinalLeaf', changes: ['shocks'] },
    trade: 'shockOff.left newShock.left shockOn.left down shockTight.left',
    alone: 'freeLines uboltsOff.left',
  },
  {
    ...{ of: 'a beam’s pivot bush', kind: 'twinBeam', changes: ['pivotBush'] },
    trade:
      'wheelOff.left shockOff.left coilOff.left pivotOff.left bushIn.left pivotOn.left coilOn.left pivotOff.right wheelOn.left beamFinal.left',
  },
  {
    ...{ of: 'a trailing beam’s bush', kind: 'torsionBeam', changes: ['pivotBush'] },
    trade:
      'bracketOff.left pivotOff.left bushIn.left pivotOn.left bracketOn.left pivotOff.right bracketOn.right wheelOn.left down beamFinal.left',
  },
];

test.each(WORK)('$of goes in the order of the trade', ({ kind, changes, way, trade, moved = {}, alone = '' }) => {
  const how: Way = { sides: 'one', bonded: true, packInPlace: false, ...way };
  const planned = changes.map((change) => ({ kind: change }));
  const { start, operations, hazards } = procedureOf(kind, planned, how)!;
  const { steps, refused } = compose(start, operations, hazards);
  expect(refused).toBeNull();
  const ours = steps.map((s) => s.operation.id);
  const theirs = trade.split(' ');
  expect(theirs.filter((id) => !ours.includes(id))).toEqual([]);
  const inOrder = (ids: readonly string[]) =>
    ids.every((id, k) => k === 0 || ours.indexOf(ids[k - 1]!) < ours.indexOf(id));
  const rest = theirs.filter((id) => !(id in moved));
  expect(rest.toSorted((p, q) => ours.indexOf(p) - ours.indexOf(q))).toEqual(rest);
  // With any one of those put back where the trade has it, the order is another.
  for (const id of Object.keys(moved))
    expect([id, inOrder(theirs.filter((t) => t === id || !(t in moved)))]).toEqual([id, false]);
  if (alone) expect(ours.filter((id) => alone.split(' ').includes(id))).toEqual([]);
});
