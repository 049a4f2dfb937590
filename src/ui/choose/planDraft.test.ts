import { changeSchema, type ChangeKind, type ChangeRow } from '@/contracts/plan';
import { CHANGES, completeLine, lineOf } from './planDraft';

const stored: ChangeRow[] = [
  {
    kind: 'addLeaf',
    front: 484,
    frontTyped: '484',
    rear: 508,
    rearTyped: '20 in',
    thickness: 7.1,
    thicknessTyped: '7.1',
    camber: 111,
    camberTyped: '4 3/8',
    source: 'catalogue',
  },
  {
    kind: 'addLeaf',
    front: 484,
    frontTyped: '484',
    rear: 508,
    rearTyped: '508',
    thickness: 7.1,
    thicknessTyped: '7.1',
    camber: 111,
    camberTyped: '111',
    source: 'measured',
    partId: '5a1e0009-0000-4000-8000-000000000001',
    partName: 'Leaf off the shelf',
  },
  { kind: 'removeLeaf', leaf: 3, leafTyped: '3' },
  { kind: 'rearch', camber: 25, camberTyped: '1 in' },
  { kind: 'eyes', form: 'berlin' },
  {
    kind: 'pack',
    leaves: [{ front: 600, rear: 640, thickness: 8, camber: 110, camberKnown: false }],
    width: 60,
    form: null,
    bore: null,
    used: true,
    source: 'catalogue',
    partName: 'Donor',
    partId: '5a1e0009-0000-4000-8000-000000000002',
  },
  { kind: 'block', height: 0, heightTyped: '0' },
  { kind: 'shackle', length: 120, lengthTyped: '120' },
  { kind: 'overAxle', height: 20, heightTyped: '20' },
  {
    kind: 'coil',
    ...{ wire: 16.6, wireTyped: '16.6', outside: 146, outsideTyped: '146', turns: 8.75, turnsTyped: '8 3/4' },
    ...{ free: 424, freeTyped: '424', ends: 'closedGround', used: false, source: 'catalogue' },
  },
  { kind: 'spacer', height: 15, heightTyped: '15' },
  { kind: 'wedge', angle: 0.0436, angleTyped: '2.5', height: 9, heightTyped: '9', thick: 'rear' },
  {
    kind: 'springs',
    ...{ leaves: 5, leavesTyped: '5', full: 1, fullTyped: '1', width: 50, widthTyped: '50' },
    ...{ thickness: 7, thicknessTyped: '7', outer: 340, outerTyped: '340', inner: 338, innerTyped: '338' },
    ...{ free: 84, freeTyped: '84', used: true, source: 'catalogue' },
  },
  { kind: 'rocker', front: 110, frontTyped: '110', rear: 120, rearTyped: '120', below: -6, belowTyped: '-6' },
  { kind: 'slipper', drop: 116, dropTyped: '116' },
  { kind: 'riser', height: 40, heightTyped: '40' },
  {
    ...{ kind: 'crossSpring', leaves: 4, leavesTyped: '4', full: 1, fullTyped: '1', width: 44, widthTyped: '44' },
    ...{ thickness: 6.4, thicknessTyped: '6.4', half: 378, halfTyped: '378', shortest: 113, shortestTyped: '113' },
    ...{ free: 84, freeTyped: '84', used: false, source: 'measured' },
  },
  { kind: 'spindles', left: 50, leftTyped: '50', right: 50, rightTyped: '50' },
  { kind: 'dropAxle', by: 75, byTyped: '75' },
  {
    ...{ kind: 'shearBlock', rate: 120, rateTyped: '120 N/mm', thick: 80, thickTyped: '80', offset: -52 },
    ...{ offsetTyped: '-52', used: false, source: 'measured' },
  },
  {
    ...{ kind: 'helper', device: 'rubber', gap: 12, gapTyped: '12', stroke: 60, strokeTyped: '60', open: 0 },
    ...{ openTyped: '0', quarter: 60, quarterTyped: '60', half: 160, halfTyped: '160', threeQuarters: 340 },
    ...{ threeQuartersTyped: '340', whole: 720, wholeTyped: '720', source: 'catalogue' },
  },
  {
    ...{ kind: 'axleWidth', by: 50, byTyped: '50', pads: 1060, padsTyped: '1060', hanger: 12, hangerTyped: '12' },
    ...{ shackle: 12, shackleTyped: '12' },
  },
  { kind: 'swayLinks' },
  { kind: 'wrapBar' },
  { kind: 'blockHoles', by: 40, byTyped: '40' },
  { kind: 'perch', pitch: 10, pitchTyped: '10', left: 3, leftTyped: '3', right: 2, rightTyped: '2' },
  { kind: 'pivotBush', bush: 'turns' },
  { kind: 'hitch', by: -50, byTyped: '-50' },
  { kind: 'stopPad', height: 20, heightTyped: '20' },
  { kind: 'stopCut', by: 12, byTyped: '12' },
  { kind: 'shocks', shut: 352, shutTyped: '352', open: 570, openTyped: '570' },
  { kind: 'ubolts', leg: 205, legTyped: '205', bend: 'tube' },
  { kind: 'line', item: 'brakeHose', by: 40, byTyped: '40' },
];

test.each(stored)('a stored $kind becomes a line and the same change again', (change) => {
  const line = lineOf(change, 0);
  expect(completeLine(line)).toEqual(change);
  expect(changeSchema.safeParse(completeLine(line)).success).toBe(true);
});

test.each(Object.keys(CHANGES) as ChangeKind[])('a %s that lacks any of its fields is not complete', (kind) => {
  const change = stored.find((c) => c.kind === kind)!;
  for (const { id } of CHANGES[kind].fields) {
    const line = lineOf(change, 0);
    delete line.values[id];
    expect(completeLine(line)).toBeUndefined();
  }
});

test('the limits at the field are those of the contract', () => {
  for (const change of stored)
    for (const { id, rule } of CHANGES[change.kind].fields) {
      expect(changeSchema.safeParse({ ...change, [id]: rule.max }).success).toBe(true);
      expect(changeSchema.safeParse({ ...change, [id]: rule.max + 1 }).success).toBe(false);
      expect(changeSchema.safeParse({ ...change, [id]: rule.min - 1 }).success).toBe(false);
    }
});
