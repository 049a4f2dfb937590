import { type Estimate } from '../estimate/estimate';
import { uboltOrders, uboltSuits, type UboltStack } from './uboltOrder';

const read = (value: number): Estimate => ({ value, half90: 0.5, origin: 'measured' });
const stack: UboltStack = {
  tube: read(76),
  perch: read(18),
  block: 40,
  pack: 51,
  packWidth: 63,
  plate: read(9),
  washer: read(3),
  nut: read(13),
  pitch: read(1.5),
  thread: 'M14 x 1.5',
  bend: 'tube',
};

test('the leg is everything it spans, washer, nut and three threads, worked out line by line', () => {
  const [order] = uboltOrders(stack);
  // 76 + 18 + 40 + 51 + 9 + 3 + 13 + 4.5 = 214.5
  expect(order!.working.reduce((sum, line) => sum + line.value, 0)).toBeCloseTo(214.5, 9);
  expect(order).toMatchObject({ form: 'round', insideWidth: 76, leg: 215, count: 4, thread: 'M14 x 1.5', assumed: [] });
  // Three threads, nut and washer, and twelve to take up: 32.5.
  expect(order!.threadLength).toBe(35);
});

test('a bend nobody looked at gives both orders; what stands in unmeasured is named', () => {
  const both = uboltOrders({ ...stack, bend: null, plate: { value: 10, half90: 4, origin: 'assumed' } });
  expect(both.map((o) => [o.form, o.insideWidth])).toEqual([
    ['round', 76],
    ['square', 64],
  ]);
  expect(both[0]!.assumed).toEqual(['spring plate']);
  expect(() => uboltOrders({ ...stack, tube: read(5) })).toThrow(expect.objectContaining({ field: 'tubeDiameter' }));
});

test.each([
  ['the very one', {}, true],
  ['a little longer', { legLength: 235 }, true],
  ['too short', { legLength: 210 }, false],
  ['far too long', { legLength: 260 }, false],
  ['another thread', { diameter: 12 }, false],
  ['another pitch', { pitch: 2 }, false],
  ['too narrow', { insideWidth: 70 }, false],
  ['square for a tube', { form: 'square' }, false],
  ['too little thread', { threadLength: 30 }, false],
  ['nobody measured its leg', { legLength: null }, false],
])('a shelf part, %s', (_, more, suits) => {
  const part = { diameter: 14, pitch: 1.5, insideWidth: 78, legLength: 220, threadLength: 65, form: 'round', ...more };
  expect(uboltSuits(part, uboltOrders(stack)[0]!, 14)).toBe(suits);
});
