import { finish } from '../finish';
import { search } from './search';
import fc from 'fast-check';
import { flatbedSheet } from '../../../tests/reference/sheets';
import { assemble } from '../suspension/longitudinalLeaf/assemble';
import { PART_KIND_IDS, type PartLeaf } from '../parts/kinds';
import { predictAxle } from '../suspension/solvers';
import { type LeafPrediction } from '../suspension/longitudinalLeaf/onPage';
import { candidatesFor, packCambers, type Candidate } from './generate';
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

/**
 * What may be offered, written out from the rules of the trade and not from the program: a block as wide as the spring with a pin
 * that goes into its hole; a leaf as wide as the pack, no longer than the main leaf, its camber known; a pack that fits seat and
 * hangers and has both eyes; a shackle wide enough.
 */
function mayBeOffered(p: StockPart, steered: boolean): boolean {
  const wide = p.width === null ? Infinity : Math.abs(p.width - 70);
  switch (p.kind) {
    case 'block': {
      const play = (p.dowelHole ?? NaN) - (p.dowel ?? NaN);
      return !steered && p.height !== null && wide <= 4 && play >= 0 && play <= 1.5;
    }
    case 'leaf':
    case 'addLeafSet':
    case 'overload':
      return wide <= 1.5 && p.leaves.every((l) => l.camber !== null && l.front <= 673 && l.rear <= 713);
    case 'pack': {
      const [main] = p.leaves;
      if (!main || wide > 1.5 || main.eyes !== 'both') return false;
      if (Math.abs(main.front - 670) > 25 || Math.abs(main.rear - 710) > 25) return false;
      return main.camber !== null || p.freeArch !== null;
    }
    case 'shackle':
      return p.betweenBolts !== null && p.insideWidth !== null && p.insideWidth >= 70 && p.insideWidth <= 76;
    default:
      return false;
  }
}

test('whatever lies on the shelf, just what the trade allows is offered: nothing else, and all of it', () => {
  const { input } = assemble(flatbedSheet([]));
  const offered = { yes: 0, no: 0 };
  fc.assert(
    fc.property(fc.array(partArb, { maxLength: 8 }), fc.boolean(), fc.boolean(), (given, steered, strict) => {
      const parts = given.map((g, k) =>
        part({ ...g, id: `p${k}`, leaves: g.leaves.map((l) => leaf(l.front, l.rear, l)) }),
      );
      const limits = { ...NO_LIMITS, noBlock: strict, noUsed: strict, onlyParts: strict };
      const found = candidatesFor(input, parts, { ...axle, steered }, limits, 2000);
      const taken = new Set(found.flatMap((c) => c.parts.map((p) => p.id)));
      for (const p of parts) {
        // A shackle as long as the one that is there changes nothing; a strict wish leaves out blocks and used parts.
        const useless = p.kind === 'shackle' && Math.abs(p.betweenBolts! - input.shackle!.length.value) <= 2;
        const left = strict && (p.used || p.kind === 'block');
        const expected = mayBeOffered(p, steered) && !useless && !left;
        offered[expected ? 'yes' : 'no'] += 1;
        expect(`${p.kind} ${p.id} ${taken.has(p.id)}`).toBe(`${p.kind} ${p.id} ${expected}`);
      }
      // Blocks never lie on blocks, and what has to be made is never offered to who wants parts only.
      for (const { changes, made } of found) {
        expect(changes.filter((c) => c.kind === 'block').length).toBeLessThanOrEqual(1);
        if (strict) expect(made).toEqual([]);
      }
    }),
    { numRuns: 240, seed: 41 },
  );
  // The draw holds both kinds in plenty.
  expect(offered.yes).toBeGreaterThan(20);
  expect(offered.no).toBeGreaterThan(100);
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

test('leaves to be made lie on a grid about the pack’s own free curve that reaches from hardly any lift to a great one', () => {
  const { input } = assemble(flatbedSheet([]));
  const made = candidatesFor(input, [], axle, NO_LIMITS, 2000).filter(
    ({ ways, changes }) => ways.length === 1 && ways[0] === 'leafMade' && changes.length === 1,
  );
  expect(made.length).toBeGreaterThan(50);
  const wish = (change: number) =>
    finish(search(input, made, { stateId: 'today', change }, NO_LIMITS, 1)).found[0]!.miss;
  for (const change of [14, 22, 30, 38, 46]) expect([change, wish(change) < 2]).toEqual([change, true]);
});

test('a way that cannot stand on one of the things that nobody saw is led and counted by those on which it can, as a plan of it is', () => {
  const sheet = flatbedSheet([]);
  const { input: read } = assemble({ ...sheet, pack: { ...sheet.pack, seatShape: 'unknown' } });
  const input = {
    ...read,
    shackle: { ...read.shackle!, angle: { value: 2.4, half90: 0.02, origin: 'measured' as const } },
  };
  const changes = assemble(
    flatbedSheet([
      { kind: 'addLeaf', front: 560, rear: 590, thickness: 9, camber: 160, source: 'measured' },
      { kind: 'shackle', length: 130 },
    ]),
  ).input.changes;
  const way: Candidate = {
    ...{ id: 'w', name: 'a leaf and a shackle', ways: ['leafMade'], changes, sources: [null, null] },
    ...{ parts: [], made: ['a leaf'], rating: null },
  };
  const { found, impossible } = finish(search(input, [way], { stateId: 'today', change: 60 }, NO_LIMITS, 1));
  expect(impossible).toBe(0);
  const planned = finish(predictAxle({ ...input, changes }, false)) as LeafPrediction;
  const foretold = planned.sides.left!.states[0]!;
  const left = found[0]!.states[0]!;
  expect(left.change).toBeCloseTo(foretold.change, 1);
  expect(left.rate).toBeCloseTo(foretold.built!.rate, 4);
});
