import fc from 'fast-check';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { type Side } from '../../vehicle/side';
import { assemble } from './assemble';
import { consistency, type FlagRule } from './consistency';
import { leafPointOf, type LeafPoint } from './points';
import { type Sheet, type LeafReading } from './sheet';

type At = { side?: Side; leaf?: number; state?: string };

/** The sheet with readings put in or replaced. */
function having(sheet: Sheet, ...more: [LeafPoint, number, At?][]): Sheet {
  const readings = [...sheet.readings];
  for (const [point, value, { side = null, leaf, state = 'today' } = {}] of more) {
    const row: LeafReading = {
      point,
      phase: 'before',
      side: side as Side | null,
      leafId: leaf === undefined ? null : sheet.leafIds[leaf]!,
      stateId: leafPointOf(point).loaded ? state : null,
      value,
      rolled: true,
    };
    const at = readings.findIndex(
      (r) => r.point === point && r.side === row.side && r.leafId === row.leafId && r.stateId === row.stateId,
    );
    if (at < 0) readings.push(row);
    else readings[at] = row;
  }
  return { ...sheet, readings };
}

/** Everything that can be checked is read and agrees. */
const full = (): Sheet =>
  having(
    flatbedSheet(),
    ['groundToHub', 352, { side: 'left' }],
    ['groundToHub', 350, { side: 'right' }],
    ['groundToLip', 871, { side: 'left' }],
    ['groundToLip', 875, { side: 'right' }],
    ['hubToHub', 3204, { side: 'left' }],
    ['hubToHub', 3198, { side: 'right' }],
    ['padLoad', 730, { side: 'left' }],
    ['padLoad', 716, { side: 'right' }],
    ['eyeToEye', 1374],
    ['packThickness', 48.4],
    ['dowelDiameter', 17.8],
    ['padHole', 18.5],
    ['axleLoad', 1810, { state: 'laden' }],
    ['hubToLip', 489, { side: 'left', state: 'laden' }],
    ['hubToLip', 494, { side: 'right', state: 'laden' }],
    ['loadedArch', 27, { side: 'left', state: 'laden' }],
    ['loadedArch', 27, { side: 'right', state: 'laden' }],
    ['freeArch', 140, { side: 'left' }],
    ['freeArch', 138, { side: 'right' }],
  );

/* Twelve slips as they are made on a shop floor. */
const SLIPS: [slip: string, rule: FlagRule, Parameters<typeof having>[1][]][] = [
  ['a leaf left off the sheet: the pack is thicker than its leaves', 'packSum', [['packThickness', 56.3]]],
  ['eye to eye read from the end of the tape', 'eyeSum', [['eyeToEye', 1330]]],
  ['ground to lip read a hand too high', 'heightSum', [['groundToLip', 971, { side: 'left' }]]],
  ['one height read to the wrong edge', 'sides', [['hubToLip', 560, { side: 'left' }]]],
  [
    'arch of one side read at the wrong leaf',
    'archHeight',
    [
      ['loadedArch', 71, { side: 'left' }],
      ['hubToLip', 514, { side: 'left' }],
    ],
  ],
  ['laden height entered as the empty one', 'loadOrder', [['hubToLip', 535, { side: 'left', state: 'laden' }]]],
  ['pads in pounds', 'lookAlike', [['padLoad', 1609, { side: 'left' }]]],
  ['thickness in hundredths of an inch', 'oddLeaf', [['leafThickness', 13, { leaf: 3 }]]],
  ['a leaf longer than the one above it', 'leafOrder', [['leafFront', 640, { leaf: 2 }]]],
  ['a pitch read between the marks', 'thread', [['uboltPitch', 1.62]]],
  ['a thread shorter than what shows of it', 'thread', [['uboltThreaded', 30]]],
  ['an axle weighed with one wheel off the scale', 'loadSum', [['axleLoad', 1130]]],
];

test.each(SLIPS)('%s is flagged', (_, rule, slip) => {
  const flags = consistency(having(full(), ...slip));
  expect(flags.map((f) => f.rule)).toContain(rule);
  const flag = flags.find((f) => f.rule === rule)!;
  expect(flag.at.some((at) => slip.some(([point]) => point === at.point))).toBe(true);
});

test('a front and rear exchanged is told from a leaf that is too long', () => {
  const sheet = having(full(), ['eyeToPinFront', 560], ['eyeToPinRear', 760], ['eyeToEye', 1314]);
  const share = (leaf: number) => 1 - leaf / 7;
  const ordered = having(
    sheet,
    ...[1, 2, 3, 4, 5].flatMap((leaf): [LeafPoint, number, At][] => [
      ['leafFront', 560 * share(leaf), { leaf }],
      ['leafRear', 760 * share(leaf), { leaf }],
    ]),
  );
  expect(consistency(ordered).map((f) => f.rule)).toEqual([]);
  const turned = having(ordered, ['leafFront', 760 * share(2), { leaf: 2 }], ['leafRear', 560 * share(2), { leaf: 2 }]);
  expect(consistency(turned).map((f) => f.rule)).toContain('leafTurned');
});

test('three clean jobs are silent: the full sheet, the sheet as first measured, an empty one', () => {
  for (const sheet of [full(), flatbedSheet(), { ...flatbedSheet(), readings: [] }])
    expect(consistency(sheet)).toEqual([]);
});

test('property: readings off by no more than the tape keep silent', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 80, maxLength: 80 }), (errors) => {
      const sheet = full();
      const read = sheet.readings.map((r, i) => ({
        ...r,
        value: r.value + errors[i % 80]! * leafPointOf(r.point).half90,
      }));
      expect(consistency({ ...sheet, readings: read })).toEqual([]);
    }),
    { numRuns: 60 },
  );
});

test('heights of two loads at two fills of the tank are told, and do not teach the spring', () => {
  const filled = (state: string, fuel: number) => (r: LeafReading) =>
    r.point === 'hubToLip' && r.stateId === state ? { ...r, fuel } : r;
  const sheet = full();
  const at = (fuel: number) => ({
    ...sheet,
    readings: sheet.readings.map(filled('today', 0.25)).map(filled('laden', fuel)),
  });
  expect(consistency(at(1)).map((f) => f.rule)).toEqual(['fuel']);
  expect(consistency(at(0.25))).toEqual([]);
  const heights = (fuel: number) => assemble(at(fuel)).input.sides.left.spring!.more!.states[0]!.height;
  expect(heights(1)).toBeNull();
  expect(heights(0.25)).not.toBeNull();
});
