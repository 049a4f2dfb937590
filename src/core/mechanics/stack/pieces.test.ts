import { workOut, type Locator, type Piece } from './pieces';

const head: Locator = { kind: 'pin', diameter: 16, height: 8 };
const hole: Locator = { kind: 'hole', diameter: 17, depth: 10 };
const plain: Locator = { kind: 'plain' };
const pad: Piece = { kind: 'perch', height: 20, towardsSpring: hole, towardsAxle: plain };
const block: Piece = { kind: 'block', height: 40, towardsSpring: hole, towardsAxle: head };
const wedge: Piece = {
  kind: 'wedge',
  height: 6,
  angle: 0.035,
  thickEnd: 'rear',
  towardsSpring: hole,
  towardsAxle: head,
};

test('heights add up and every located joint fits', () => {
  const stack = workOut('over', head, [block, pad]);
  expect(stack.height).toBe(60);
  expect(stack.joints.map((j) => j.verdict)).toEqual(['fits', 'fits']);
  expect(stack.verdict).toBe('fits');
  expect(stack.orientation).toEqual(['block: pin towards the axle']);
});

test('thick end to the rear lifts the nose with the spring over the axle and lowers it with the spring under', () => {
  expect(workOut('over', head, [wedge, pad]).noseUp).toBeCloseTo(0.035, 9);
  expect(workOut('under', head, [wedge, pad]).noseUp).toBeCloseTo(-0.035, 9);
  const turned: Piece = { ...wedge, thickEnd: 'front' };
  expect(workOut('over', head, [turned, wedge, pad]).noseUp).toBeCloseTo(0, 9);
  expect(workOut('over', head, [turned, pad]).orientation).toContain('wedge: thick end to the front');
});

test.each([
  ['a pin thicker than its hole', head, { ...hole, diameter: 15.5 }, 'does not fit', /thicker/],
  ['a pin with too much play', head, { ...hole, diameter: 19 }, 'does not fit', /3\.0 mm of play/],
  ['a pin that bottoms', head, { ...hole, depth: 5 }, 'does not fit', /bottoms/],
  ['two plain faces', plain, plain, 'does not fit', /no pin/],
  ['pin on pin', head, head, 'does not fit', /pin stands on pin/],
  ['a hole over a pin', hole, head, 'fits', /located/],
  ['one that nobody has looked at', head, { kind: 'unknown' }, 'not checked', /nobody/],
] as [string, Locator, Locator, string, RegExp][])('%s', (_, spring, towardsSpring, verdict, reason) => {
  const { joints, verdict: all } = workOut('over', spring, [{ ...pad, towardsSpring }]);
  expect(joints[0]).toMatchObject({ verdict, reason: expect.stringMatching(reason) as string });
  expect(all).toBe(verdict);
});

test('one joint not checked is never shown as fitting; a wrong one outweighs it', () => {
  const unknown: Piece = { ...block, towardsAxle: { kind: 'unknown' } };
  expect(workOut('over', head, [unknown, pad]).verdict).toBe('not checked');
  expect(workOut('over', plain, [unknown, pad]).verdict).toBe('does not fit');
  expect(() => workOut('over', head, [{ ...pad, height: NaN }])).toThrow(
    expect.objectContaining({ field: 'pieces[0].height' }),
  );
});
