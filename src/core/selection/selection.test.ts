import fc from 'fast-check';
import { flatbedSheet } from '../../../tests/reference/sheets';
import { assemble } from '../measure/assemble';
import { PART_KIND_IDS, type PartLeaf } from '../parts/kinds';
import { candidatesFor, packCambers } from './generate';
import { NO_LIMITS, refusal, type StockPart, type Suiting } from './parts';

const axle: Suiting = { width: 70, front: 670, rear: 710, steered: false, arrangement: 'over' };
const leaf = (front: number, rear: number, more: Partial<PartLeaf> = {}): PartLeaf => ({
  ...{ front, rear, thickness: 8, camber: 60, eyes: 'none', clip: false },
  ...more,
});
const part = (more: Partial<StockPart>): StockPart => ({
  ...{ id: 'p', kind: 'leaf', name: 'part', price: 20, days: 0, used: false, rating: null, form: null, width: 70 },
  ...{ leaves: [leaf(400, 420)], freeArch: null, eyeBore: null, height: null, dowel: null, dowelHole: null },
  ...{ betweenBolts: null, insideWidth: null },
  ...more,
});
const block = { kind: 'block' as const, leaves: [], height: 40, dowel: 15, dowelHole: 15.5 };
const pack = { kind: 'pack' as const, leaves: [leaf(672, 705, { eyes: 'both' }), leaf(500, 520)], rating: 900 };

test.each<[string, Partial<StockPart>, Partial<Suiting>, RegExp | null]>([
  ['a block on a driven axle', block, {}, null],
  ['a block on a steered axle', block, { steered: true }, /steered/],
  ['a block without a pin', { ...block, dowel: null }, {}, /locator at both ends/],
  ['a block without a hole', { ...block, dowelHole: null }, {}, /locator at both ends/],
  ['a block whose pin is too thick', { ...block, dowel: 16 }, {}, /does not go into/],
  ['a block that rattles', { ...block, dowel: 13 }, {}, /too much play/],
  ['a block too narrow', { ...block, width: 60 }, {}, /as wide/],
  ['a leaf that suits', {}, {}, null],
  ['a wider leaf', { width: 76 }, {}, /another width/],
  ['a leaf of unknown width', { width: null }, {}, /width is not known/],
  ['a leaf longer than the main leaf', { leaves: [leaf(690, 400)] }, {}, /longer/],
  ['a leaf of unknown camber', { leaves: [leaf(400, 420, { camber: null })] }, {}, /camber/],
  ['a pack that suits', pack, {}, null],
  ['a pack that is too long', { ...pack, leaves: [leaf(700, 705, { eyes: 'both' })] }, {}, /longer or shorter/],
  ['a pack without an eye', { ...pack, leaves: [leaf(672, 705)] }, {}, /lacks an eye/],
  [
    'a pack nobody knows the arch of',
    { ...pack, leaves: [leaf(672, 705, { eyes: 'both', camber: null })] },
    {},
    /free arch/,
  ],
  ['a shackle that suits', { kind: 'shackle', leaves: [], betweenBolts: 120, insideWidth: 72 }, {}, null],
  ['a shackle too narrow', { kind: 'shackle', leaves: [], betweenBolts: 120, insideWidth: 62 }, {}, /narrow/],
  ['a stop', { kind: 'stop', leaves: [] }, {}, /does not change the height/],
])('%s', (_, more, of, reason) => {
  const said = refusal(part(more), { ...axle, ...of });
  if (reason) expect(said).toMatch(reason);
  else expect(said).toBeNull();
});

const partArb = fc.record({
  kind: fc.constantFrom(...PART_KIND_IDS),
  width: fc.option(fc.constantFrom(60, 69, 70, 71, 76)),
  used: fc.boolean(),
  dowel: fc.option(fc.constantFrom(12, 15, 17)),
  dowelHole: fc.option(fc.constantFrom(15, 15.5, 18)),
  height: fc.option(fc.integer({ min: 5, max: 120 })),
  betweenBolts: fc.option(fc.integer({ min: 60, max: 200 })),
  insideWidth: fc.option(fc.constantFrom(60, 72)),
  leaves: fc.array(
    fc.record({
      front: fc.integer({ min: 100, max: 720 }),
      rear: fc.integer({ min: 100, max: 740 }),
      camber: fc.option(fc.integer({ min: 5, max: 150 })),
      eyes: fc.constantFrom('none' as const, 'both' as const, 'front' as const),
    }),
    { minLength: 1, maxLength: 4 },
  ),
});

test('whatever lies on the shelf, nothing forbidden is ever offered', () => {
  const { input } = assemble(flatbedSheet([]));
  const withBlock = { ...input, block: { value: 30, half90: 0, origin: 'measured' as const } };
  fc.assert(
    fc.property(
      fc.array(partArb, { maxLength: 8 }),
      fc.boolean(),
      fc.boolean(),
      fc.boolean(),
      (given, steered, blocked, strict) => {
        const parts = given.map((g, k) =>
          part({ ...g, id: `p${k}`, leaves: g.leaves.map((l) => leaf(l.front, l.rear, l)) }),
        );
        const limits = { ...NO_LIMITS, noBlock: strict, noUsed: strict, onlyParts: strict };
        const found = candidatesFor(blocked ? withBlock : input, parts, { ...axle, steered }, limits, 800);
        for (const { changes, ways, made, name, parts: takes } of found) {
          const blocks = changes.filter((c) => c.kind === 'block');
          // Never stacked: one block takes the place of the other.
          expect(blocks.length).toBeLessThanOrEqual(1);
          const higher = blocks.some((c) => c.height.value > 0);
          if (higher) {
            expect(steered).toBe(false);
            expect(strict).toBe(false);
            const [source] = takes.map((t) => parts.find((p) => p.id === t.id)!).filter((p) => p.kind === 'block');
            expect(source!.dowel! <= source!.dowelHole!).toBe(true);
          }
          if (ways.includes('rearch')) expect(made.join()).toMatch(/specialist, crack-tested/);
          if (strict) {
            expect(made).toEqual([]);
            expect(takes.every((t) => !t.used)).toBe(true);
          }
          expect(name).not.toMatch(/heat|weld|torch|drill/);
          // A leaf of another pack is never one that still has eyes, and never a part the axle cannot take.
          for (const t of takes)
            expect(
              refusal(
                parts.find((p) => p.id === t.id)!,
                { ...axle, steered },
              ),
            ).toBeNull();
          expect(changes.filter((c) => c.kind === 'removeLeaf').every((c) => c.leaf > 0)).toBe(true);
          expect(changes.filter((c) => c.kind === 'pack' || c.kind === 'shackle').length).toBeLessThanOrEqual(2);
        }
        expect(new Set(found.map((c) => c.id)).size).toBe(found.length);
      },
    ),
    { numRuns: 60 },
  );
});

test('cambers of a pack known by its free arch alone are nested, and its own ones stand', () => {
  const leaves = [leaf(600, 640, { camber: null }), leaf(450, 480, { camber: null }), leaf(300, 320, { camber: 70 })];
  const cambers = packCambers({ leaves, freeArch: 110, form: 'berlin', eyeBore: 36 });
  expect(cambers[0]).toBeCloseTo(114, 0);
  // Nested leaves lie on circles about one centre.
  const radius = (camber: number, arc: number) => {
    const chord = arc - (8 * camber ** 2) / (3 * arc);
    return (chord ** 2 + 4 * camber ** 2) / (8 * camber);
  };
  expect(radius(cambers[1]!, 930) - radius(cambers[0]!, 1240)).toBeCloseTo(8, -1);
  expect(cambers[2]).toBe(70);
});
