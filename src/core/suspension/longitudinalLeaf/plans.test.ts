import fc from 'fast-check';
import { ADDED_LEAF, flatbedSheet } from '../../../../tests/reference/sheets';
import { toldFirst } from '../../../../tests/reference/told';
import { CoreError } from '../../errors';
import { finish } from '../../finish';
import { assemble } from './assemble';
import { type PlannedChange, type Sheet } from './sheet';
import { packCambers } from '../../selection/generate';
import { ledgerValue, summarise } from '../../prediction/ledger';
import { bandsOfAxle } from '../solvers';
import { uniformFrom } from '../../../workers/random';
import { type LeafState } from './onPage';

const leaf = fc
  .record({
    share: fc.integer({ min: 50, max: 92 }).map((n) => n / 100),
    thickness: fc.integer({ min: 65, max: 95 }).map((n) => n / 10),
    camber: fc.integer({ min: 70, max: 160 }),
  })
  .map(({ share, thickness, camber }): PlannedChange => ({
    kind: 'addLeaf',
    front: 670 * share,
    rear: 710 * share,
    thickness,
    camber: camber * share ** 2,
    source: 'measured',
  }));
const block = fc.integer({ min: 0, max: 90 }).map((height): PlannedChange => ({ kind: 'block', height }));
const shackle = fc.integer({ min: 95, max: 135 }).map((length): PlannedChange => ({ kind: 'shackle', length }));
const plan = fc
  .tuple(
    fc.option(leaf, { nil: undefined }),
    fc.option(block, { nil: undefined }),
    fc.option(shackle, { nil: undefined }),
  )
  .map((parts) => parts.filter((part) => part !== undefined))
  .filter((changes) => changes.length > 0);

/** Both load states of the left side, without bands. */
const statesOf = (sheet: Sheet): LeafState[] => toldFirst(assemble(sheet).input).sides.left!.states;
const changeOf = (changes: PlannedChange[], state = 0): number =>
  summarise(statesOf(flatbedSheet(changes))[state]!.ledger).change;

test('property: whatever the plan, each ledger adds up and before plus change is after, in every load state', () => {
  fc.assert(
    fc.property(plan, (changes) => {
      for (const state of statesOf(flatbedSheet(changes))) {
        const parts = state.ledger.filter((l) => l.kind !== 'total' && l.kind !== 'settling');
        expect(parts.reduce((sum, l) => sum + l.value, 0)).toBeCloseTo(ledgerValue(state.ledger, 'total'), 9);
        const { before, after, change } = summarise(state.ledger);
        expect(before! + change).toBeCloseTo(after!, 9);
        expect(before).toBeCloseTo(state.beforeHere!, 9);
        expect(after).toBeCloseTo(state.after!, 9);
      }
    }),
    { numRuns: 12 },
  );
});

test('property: a block adds its height to any plan, and nothing else', () => {
  fc.assert(
    fc.property(leaf, fc.integer({ min: 5, max: 90 }), (added, height) => {
      const alone = changeOf([added], 1);
      expect(changeOf([added, { kind: 'block', height }], 1)).toBeCloseTo(alone + height, 6);
    }),
    { numRuns: 8 },
  );
});

test('property: more camber and a longer shackle raise the frame', () => {
  fc.assert(
    fc.property(leaf, fc.integer({ min: 8, max: 40 }), (added, more) => {
      if (added.kind !== 'addLeaf') return;
      expect(changeOf([{ ...added, camber: added.camber + more }])).toBeGreaterThan(changeOf([added]) - 1e-6);
      expect(changeOf([{ kind: 'shackle', length: 110 + more / 2 }])).toBeGreaterThan(0.2 * more);
    }),
    { numRuns: 8 },
  );
});

test('a pulled shackle turns the sign: longer lowers the frame, by as much as a hanging one of square stance raises it', () => {
  const change = (eye: 'below' | 'above', length: number) => {
    const sheet = flatbedSheet([{ kind: 'shackle', length }]);
    const readings = sheet.readings.map((r) => (r.point === 'shackleAngle' ? { ...r, value: Math.PI / 2 } : r));
    const turned = { ...sheet, readings, pack: { ...sheet.pack, rearEnd: eye } };
    return summarise(statesOf(turned)[0]!.ledger).change;
  };
  for (const length of [118, 126]) {
    const [hanging, pulled] = [change('below', length), change('above', length)];
    // The rear eye goes by what the shackle is longer, the seat by its share of the front half: 670 of 1,380 mm.
    const share = ((length - 110) * 670) / 1380;
    expect(hanging / share).toBeCloseTo(1, 1);
    expect(pulled / -share).toBeCloseTo(1, 1);
  }
});

test('eyes that differ are each counted where they are: half of an offset at one end moves the pin by its share', () => {
  const sheet = flatbedSheet([{ kind: 'block', height: 0 }]);
  const archOf = (rear: 'berlin' | 'downturned' | undefined) => {
    const pack = { ...sheet.pack, eyeForm: 'berlin' as const, ...(rear && { eyeFormRear: rear }) };
    const { input } = assemble({ ...sheet, pack });
    return toldFirst(input).sides.left!.assembled!.before;
  };
  // Calibrated to one loaded arch: the free arch of a leaf with one eye 24 mm lower differs by little, and not by nothing.
  const [alike, unlike] = [archOf(undefined), archOf('downturned')];
  expect(archOf('berlin')).toBeCloseTo(alike, 9);
  expect(Math.abs(unlike - alike)).toBeGreaterThan(0.01);
  expect(Math.abs(unlike - alike)).toBeLessThan(6);
});

test('leaves that lie on one another to the last digit settle: without load rounding must not decide which of them press', () => {
  // Found by the property above: this pack's contact set went round in circles on the bench.
  const added: PlannedChange = {
    kind: 'addLeaf',
    front: 582.9,
    rear: 617.7,
    thickness: 6.5,
    camber: 109.9055,
    source: 'measured',
  };
  expect(changeOf([added])).toBeGreaterThan(10);
});

test('property: the order in which changes were planned does not matter', () => {
  fc.assert(
    fc.property(leaf, block, shackle, (added, riser, link) => {
      const total = (changes: PlannedChange[]) => statesOf(flatbedSheet(changes))[1]!.after!;
      expect(total([link, riser, added])).toBeCloseTo(total([added, riser, link]), 5);
    }),
    { numRuns: 6 },
  );
});

test('two added leaves are placed and solved together; their lines stay apart', () => {
  const [one, two] = [0.85, 0.6].map((share): PlannedChange => ({
    kind: 'addLeaf',
    front: 670 * share,
    rear: 710 * share,
    thickness: 8,
    camber: 120 * share ** 2,
    source: 'measured',
  }));
  const [state] = statesOf(flatbedSheet([one!, two!]));
  expect(state!.ledger.filter((l) => l.kind === 'leafArch')).toHaveLength(2);
  expect(ledgerValue(state!.ledger, 'leafThickness')).toBe(16);
  expect(state!.built!.elevation.leaves).toHaveLength(8);
  const lengths = state!.built!.elevation.leaves.map(({ points }) => points.at(-1)!.x - points[0]!.x);
  for (let i = 1; i < lengths.length; i++) expect(lengths[i]!).toBeLessThan(lengths[i - 1]! + 1);
});

test('a leaf as long as the main leaf may read a little longer; one truly longer is refused by name', () => {
  const full = (front: number): PlannedChange => ({
    kind: 'addLeaf',
    front,
    rear: 710,
    thickness: 8,
    camber: 140,
    source: 'measured',
  });
  // Only the chord of its camber is 6 mm longer.
  expect(Math.abs(changeOf([full(676)]) - changeOf([full(670)]))).toBeLessThan(0.5);
  try {
    changeOf([full(720)]);
    throw new Error('was accepted');
  } catch (error) {
    expect(error).toBeInstanceOf(CoreError);
    expect(error).toMatchObject({ code: 'bad-input', field: 'leaves[1]' });
  }
});

test('left and right are separate: readings changed over give predictions changed over', () => {
  const sheet = flatbedSheet();
  const lean = {
    ...sheet,
    readings: sheet.readings.map((r) => (r.point === 'loadedArch' && r.side === 'right' ? { ...r, value: 40 } : r)),
  };
  const swapped = {
    ...lean,
    readings: lean.readings.map((r) =>
      r.side === null ? r : { ...r, side: r.side === 'left' ? ('right' as const) : ('left' as const) },
    ),
  };
  const both = (s: Sheet) => toldFirst(assemble(s).input).sides;
  expect(both(swapped).left!.states[1]!.after).toBeCloseTo(both(lean).right!.states[1]!.after!, 9);
  expect(both(lean).left!.states[0]!.built!.arch).not.toBeCloseTo(both(lean).right!.states[0]!.built!.arch, 0);
});

test('readings that no spring can explain are refused with the field, not answered with a number', () => {
  const sheet = flatbedSheet();
  const absurd = {
    ...sheet,
    readings: sheet.readings.map((r) => (r.point === 'shackleAngle' ? { ...r, value: 0.05 } : r)),
  };
  expect(() => statesOf(absurd)).toThrow(CoreError);
});

test('property: a spring moved over the axle and the block that goes with it are one line, and nothing is left to act together', () => {
  const under = (changes: PlannedChange[], old: number): Sheet => {
    const sheet = flatbedSheet(changes);
    const axle = { ...sheet.axle, arrangement: 'under' as const };
    const readings = sheet.readings.map((r) => (r.point === 'blockHeight' ? { ...r, value: old } : r));
    return { ...sheet, axle, readings };
  };
  const mm = (max: number) => fc.integer({ min: 0, max });
  fc.assert(
    fc.property(mm(60), mm(80), mm(60), fc.boolean(), (perch, height, old, first) => {
      const move: PlannedChange = { kind: 'overAxle', height: perch };
      const block: PlannedChange = { kind: 'block', height };
      const [state] = statesOf(under(first ? [move, block] : [block, move], old));
      expect(ledgerValue(state!.ledger, 'together')).toBeCloseTo(0, 6);
      expect(state!.ledger.filter((l) => l.kind === 'block')).toHaveLength(0);
      // From under the tube with its old block to over it with the new one: tube, both perches, both blocks, the pack.
      const line = ledgerValue(state!.ledger, 'overAxle');
      expect(line).toBeCloseTo(85 + 18 + perch + old + height + 6 * 8, 6);
    }),
    { numRuns: 12 },
  );
  // A leaf added besides is counted on the moved spring, where its thickness lifts the frame.
  const [both] = statesOf(under([{ kind: 'overAxle', height: 20 }, ADDED_LEAF], 0));
  expect(ledgerValue(both!.ledger, 'leafThickness')).toBeCloseTo(8, 6);
  const lines = both!.ledger.filter((l) => !['measured', 'total', 'settling', 'together'].includes(l.kind));
  const largest = Math.max(...lines.map((l) => Math.abs(l.value)));
  expect(Math.abs(ledgerValue(both!.ledger, 'together'))).toBeLessThan(0.1 * largest);
});

test('the very same pack, told by its own free arch, changes nothing when the old one was read on the same terms', () => {
  const free = 168;
  const sheet = flatbedSheet([]);
  const readings = (['left', 'right'] as const).map((side) => ({
    ...{ point: 'freeArch' as const, phase: 'before' as const, side, leafId: null, stateId: null, value: free },
    rolled: null,
  }));
  const leaves = sheet.leafIds.map((_, i) => ({
    front: 670 * (1 - i / 7),
    rear: 710 * (1 - i / 7),
    thickness: 8,
    camber: null,
    eyes: 'none' as const,
    clip: false,
  }));
  const eyes = { form: 'upturned' as const, eyeBore: 40 };
  const cambers = (arch: number) => packCambers({ leaves, freeArch: arch, ...eyes });
  const swap = (arch: number, byFreeArch: boolean): PlannedChange => ({
    kind: 'pack',
    leaves: leaves.map((leaf, i) => ({ ...leaf, camber: cambers(arch)[i]!, camberKnown: false })),
    width: 70,
    eyeForm: 'upturned',
    eyeBore: 40,
    used: false,
    source: 'catalogue',
    byFreeArch,
  });
  const change = (planned: PlannedChange) =>
    summarise(statesOf({ ...sheet, readings: [...sheet.readings, ...readings], changes: [planned] })[0]!.ledger).change;
  expect(Math.abs(change(swap(free, true)))).toBeLessThan(1);
  // Set against the free arch that its load tells instead, the same pack seems another one: that was the fault.
  expect(Math.abs(change(swap(free, false)))).toBeGreaterThan(3);
  // What differs counts: a pack that lies 20 mm higher stands higher by most of that.
  expect(change(swap(free + 20, true))).toBeGreaterThan(14);
  expect(change(swap(free + 20, true))).toBeLessThan(26);
});

test('of other eyes the handbook rule has nothing to say, and says so', () => {
  const side = toldFirst(assemble(flatbedSheet([{ kind: 'eyes', form: 'berlin' }])).input).sides.left;
  expect(side!.handbook!.change).toBeNull();
  const leaf = toldFirst(assemble(flatbedSheet()).input).sides.left;
  expect(leaf!.handbook!.change).toBeGreaterThan(10);
});

test('an added leaf read a little longer than the main leaf has a band: no variant is refused for its length', () => {
  const long = { kind: 'addLeaf', front: 670 + 14, rear: 700, thickness: 8, camber: 100, source: 'measured' } as const;
  const { input } = assemble(flatbedSheet([long]));
  expect(input.changes[0]).toMatchObject({ front: { value: 670 }, rear: { value: 700 } });
  const prediction = toldFirst(input);
  const bands = finish(bandsOfAxle(input, prediction, uniformFrom(3), 60));
  expect(bands.left![0]!.samples).toBeGreaterThan(57);
});
