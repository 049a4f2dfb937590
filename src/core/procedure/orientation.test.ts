import fc from 'fast-check';
import { cardOf, ORIENTED, type OrientedPart } from './orientation';

const mm = (v: number) => `${Math.round(v)} mm`;
const size = fc.double({ min: 20, max: 900, noNaN: true });
const PARTS: fc.Arbitrary<OrientedPart> = fc.oneof(
  fc.record({ kind: fc.constant('leaf' as const), front: size, rear: size }),
  fc.record({
    kind: fc.constant('pack' as const),
    leaves: fc.array(fc.record({ front: size, rear: size }), { minLength: 1, maxLength: 9 }),
  }),
  fc.record({
    kind: fc.constant('wedge' as const),
    height: fc.double({ min: 1, max: 60, noNaN: true }),
    angle: fc.double({ min: 0.003, max: 0.3, noNaN: true }),
    thick: fc.constantFrom('front' as const, 'rear' as const),
  }),
  fc.record({
    kind: fc.constant('block' as const),
    height: fc.double({ min: 1, max: 300, noNaN: true }),
    pinDown: fc.boolean(),
  }),
  fc.record({ kind: fc.constant('shackle' as const), length: size }),
  fc.record({
    kind: fc.constant('coil' as const),
    wire: fc.double({ min: 4, max: 45, noNaN: true }),
    outside: size,
    free: size,
  }),
  fc.record({ kind: fc.constant('rocker' as const), front: size, rear: size }),
  fc.record({ kind: fc.constant('slipper' as const) }),
  fc.record({
    kind: fc.constant('shear' as const),
    thick: size,
    offset: fc.double({ min: -200, max: 200, noNaN: true }),
  }),
  fc.record({
    kind: fc.constant('perch' as const),
    left: fc.integer({ min: -20, max: 20 }),
    right: fc.integer({ min: -20, max: 20 }),
    pitch: size,
  }),
  fc.record({ kind: fc.constant('spindle' as const), left: size, right: size }),
);
/** Every place a path goes through, whatever its commands are. */
function places(d: string): { x: number; y: number }[] {
  let [x, y] = [0, 0];
  return [...d.matchAll(/([MLHVhvaQlZ])([^MLHVhvaQlZ]*)/g)].flatMap(([, c, rest]) => {
    const v = (rest!.match(/-?[\d.]+/g) ?? []).map(Number);
    const step = c === 'a' ? 7 : c === 'Q' ? 4 : 'HVhv'.includes(c!) ? 1 : 2;
    const found = [];
    for (let k = 0; k < v.length; k += step) {
      const w = v.slice(k, k + step);
      if (c === 'H') x = w[0]!;
      else if (c === 'V') y = w[0]!;
      else if (c === 'h') x += w[0]!;
      else if (c === 'v') y += w[0]!;
      else if (c === 'l') [x, y] = [x + w[0]!, y + w[1]!];
      else if (c === 'a') [x, y] = [x + w[5]!, y + w[6]!];
      else if (c === 'Q') [x, y] = [w[2]!, w[3]!];
      else [x, y] = [w[0]!, w[1]!];
      found.push({ x, y });
    }
    return found;
  });
}

test('the right card is the left one in a mirror, place by place and word by word, but for what is made for one side', () => {
  fc.assert(
    fc.property(PARTS, (part) => {
      const [left, right] = [cardOf(part, 'left', mm), cardOf(part, 'right', mm)];
      expect(left.mirrored).toBe(!ORIENTED[part.kind].own);
      if (!left.mirrored) return;
      const path = (card: typeof left) => card.lines.flatMap(({ d }) => places(d));
      const other = path(right);
      path(left).forEach(({ x, y }, k) => {
        expect(other[k]!.x).toBeCloseTo(100 - x, 1);
        expect(other[k]!.y).toBeCloseTo(y, 1);
      });
      const said = (card: typeof left) => card.words.map((w) => w.text.replace(/[←→]/g, '').trim());
      expect(said(right)).toEqual(said(left));
      left.words.forEach((w, k) => expect(right.words[k]!.x).toBeCloseTo(100 - w.x, 6));
    }),
  );
});

test('a card is drawn from the job: the long half, the thick end, the planned arm lie where they belong, on both sides of a vehicle', () => {
  const wedge = (thick: 'front' | 'rear', side: 'left' | 'right') =>
    cardOf({ kind: 'wedge', height: 12, angle: 0.07, thick }, side, mm).words.find((w) => w.text === 'thick end')!.x;
  // On the left the front is left, on the right it is right.
  expect([wedge('front', 'left'), wedge('rear', 'left')]).toEqual([10, 90]);
  expect([wedge('front', 'right'), wedge('rear', 'right')]).toEqual([90, 10]);
  const leaf = cardOf({ kind: 'leaf', front: 400, rear: 600 }, 'left', mm);
  expect(leaf.words.map((w) => w.text)).toEqual(['← front', '400 mm', '600 mm']);
  expect(leaf.words[1]!.x).toBeLessThan(leaf.words[2]!.x);
  const seat = (side: 'left' | 'right') =>
    cardOf({ kind: 'perch', left: 3, right: -2, pitch: 10 }, side, mm).words.map((w) => w.text);
  expect(seat('left')).toContain('3 up');
  expect(seat('right')).toContain('2 down');
});
