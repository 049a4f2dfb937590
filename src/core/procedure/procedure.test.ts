import fc from 'fast-check';
import { type KindId, procedureOf } from '../suspension/registry';
import { type Way } from './common';
import { compose, goneWrong } from './compose';
import { HAZARDS } from './hazards';
import { type Procedure } from './procedure';
import { progressOf } from './progress';

const LEAF = [
  'addLeaf',
  'removeLeaf',
  'pack',
  'rearch',
  'eyes',
  'block',
  'wedge',
  'shackle',
  'overAxle',
  'ubolts',
  'helper',
  'axleWidth',
];
const BESIDE = ['stopPad', 'stopCut', 'shocks', 'line', 'swayLinks', 'wrapBar'];
const KINDS = {
  longitudinalLeaf: [...LEAF, ...BESIDE],
  coilBeam: ['coil', 'spacer', ...BESIDE],
  tandemEqualizer: ['springs', 'shackle', 'rocker', 'slipper', 'riser', 'overAxle', 'hitch', ...BESIDE],
  tandemSlipper: ['springs', 'slipper', 'riser', 'overAxle', 'hitch', ...BESIDE],
  transverseLeaf: ['crossSpring', 'spindles', 'dropAxle', ...BESIDE],
  twinBeam: ['coil', 'spacer', 'pivotBush', ...BESIDE],
  torsionBeam: ['coil', 'spacer', 'pivotBush', ...BESIDE],
  coilOver: ['coil', 'spacer', 'perch', ...BESIDE],
  rubberShear: ['shearBlock', 'blockHoles', ...BESIDE],
} as const satisfies Partial<Record<KindId, readonly string[]>>;

const job = fc.constantFrom(...(Object.keys(KINDS) as (keyof typeof KINDS)[])).chain((kind) =>
  fc.record({
    kind: fc.constant(kind),
    changes: fc.uniqueArray(fc.constantFrom(...KINDS[kind]), { maxLength: 5 }),
    way: fc.record<Way>({
      sides: fc.constantFrom('one', 'both'),
      bonded: fc.constantFrom(true, false, null),
      packInPlace: fc.boolean(),
      driveUnit: fc.boolean(),
    }),
  }),
);
type Job = typeof job extends fc.Arbitrary<infer T> ? T : never;

const made = ({ kind, changes, way }: Job): Procedure =>
  procedureOf(
    kind,
    changes.map((c) => ({ kind: c })),
    way,
  )!;

test('2,000 plans and schools: every order is whole, ends driven and tight, and passes through no hazard', () => {
  fc.assert(
    fc.property(job, (given) => {
      const { start, operations, hazards } = made(given);
      const { steps, refused } = compose(start, operations, hazards);
      expect(refused).toBeNull();
      expect(new Set(steps.map((s) => s.operation.id)).size).toBe(operations.length);
      expect(steps.flatMap(({ after }) => HAZARDS.filter((h) => h.in(after)).map((h) => h.id))).toEqual([]);
      const end = steps.at(-1)!.after;
      expect(end).toMatchObject({ frame: 'on its wheels', lines: 'clipped', chocks: 'out', driven: 'yes' });
      const open = Object.entries(end).filter(([, is]) => ['out', 'loose', 'run on', 'snug', 'by hand'].includes(is));
      expect(open.filter(([place]) => place !== 'chocks')).toEqual([]);
      expect(
        goneWrong(
          start,
          steps.map((s) => s.operation),
          hazards,
        ),
      ).toBeNull();
    }),
    { numRuns: 2000 },
  );
});

test('an order with any one supporting step left out is refused', () => {
  fc.assert(
    fc.property(job, (given) => {
      const { start, operations, hazards } = made(given);
      const order = compose(start, operations, hazards).steps.map((s) => s.operation);
      for (const left of order.filter((o) => o.holds)) {
        const without = order.filter((o) => o !== left);
        expect(`${left.id}: ${goneWrong(start, without, hazards) === null ? 'goes through' : 'refused'}`).toBe(
          `${left.id}: refused`,
        );
        expect(compose(start, without, hazards).refused).not.toBeNull();
      }
    }),
    { numRuns: 300 },
  );
});

test('each hazard of the trade is refused by its own words', () => {
  const plan = made({
    kind: 'longitudinalLeaf',
    changes: ['pack', 'addLeaf'],
    way: { sides: 'one', bonded: true, packInPlace: false },
  });
  const open = made({
    kind: 'longitudinalLeaf',
    changes: ['addLeaf'],
    way: { sides: 'one', bonded: true, packInPlace: true },
  });
  const go = ({ start, operations, hazards }: Procedure, first: string, gives: Record<string, string>, needs = {}) =>
    goneWrong(start, [{ ...operations.find((o) => o.id === first)!, needs, gives }], hazards)?.reason;
  expect(go(plan, 'lift', { frame: 'on stands' })).toContain('not chocked');
  expect(go(plan, 'wheelOff.left', { chocks: 'in', 'wheel.left': 'off' })).toContain('a jack alone');
  expect(go(plan, 'uboltsOff.left', { 'ubolts.left': 'out' })).toContain('axle is not held');
  expect(go(plan, 'uboltsOff.left', { axle: 'held', 'ubolts.left': 'out' })).toContain('still loaded');
  expect(go(open, 'centreOff.left', { 'centre.left': 'out' })).toContain('spring apart');
  expect(go(plan, 'unload.left', { 'spring.left': 'slack' })).toContain('tear');
});

test('nothing planned is left out: what is planned besides shows in what is done', () => {
  const way: Way = { sides: 'one', bonded: true, packInPlace: false };
  const acts = (kind: keyof typeof KINDS, changes: string[]) =>
    made({ kind, changes, way } as Job)
      .operations.map((o) => o.act)
      .join('; ');
  const besides = {
    longitudinalLeaf: {
      of: 'pack',
      with: ['addLeaf', 'removeLeaf', 'block', 'wedge', 'shackle', 'overAxle', 'ubolts', 'helper', 'axleWidth'],
    },
    coilBeam: { of: 'coil', with: ['spacer'] },
    tandemEqualizer: { of: 'springs', with: ['shackle', 'rocker', 'slipper', 'riser', 'overAxle', 'hitch'] },
    transverseLeaf: { of: 'crossSpring', with: ['spindles', 'dropAxle'] },
    twinBeam: { of: 'coil', with: ['spacer', 'pivotBush'] },
    torsionBeam: { of: 'coil', with: ['spacer', 'pivotBush'] },
    coilOver: { of: 'coil', with: ['spacer', 'perch'] },
    rubberShear: { of: 'shearBlock', with: ['blockHoles'] },
  } as const;
  const silent = Object.entries(besides).flatMap(([kind, { of, with: more }]) =>
    [...more, 'stopPad', 'shocks', 'line', 'swayLinks', 'wrapBar']
      .filter((c) => acts(kind as keyof typeof KINDS, [of, c]) === acts(kind as keyof typeof KINDS, [of]))
      .map((c) => `${kind} ${c}`),
  );
  expect(silent).toEqual([]);
});

test('ticked out of order: what is not done comes next, and what cannot be so is told', () => {
  const { start, operations, hazards } = made({
    kind: 'longitudinalLeaf',
    changes: ['block'],
    way: { sides: 'one', bonded: true, packInPlace: false },
  });
  const order = compose(start, operations, hazards).steps.map((s) => s.operation);
  const at = (...done: string[]) => {
    const { next, hazards: told } = progressOf(start, order, new Set(done), hazards);
    return [next?.id ?? null, told.map((h) => h.id)];
  };
  expect(at()).toEqual(['chock', []]);
  expect(at('chock', 'crack.left', 'of another plan')).toEqual(['crack.right', []]);
  expect(at('chock', 'lift', 'uboltsOff.left')).toEqual(['crack.left', ['axleUnheld', 'loadedSpring']]);
  expect(at(...order.map((o) => o.id))).toEqual([null, []]);
});

/** In the order that mechanics told of jobs of this kind; common practice. */
test('the order is the trade’s: a pack out of the vehicle, one leaf in place, a coil', () => {
  const acts = (given: Job) => {
    const { start, operations, hazards } = made(given);
    return compose(start, operations, hazards).steps.map((s) => s.operation.id);
  };
  const follows = (order: string[], ...wanted: string[]) => {
    const places = wanted.map((id) => order.indexOf(id));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((p, q) => p - q));
  };
  const one: Way = { sides: 'one', bonded: true, packInPlace: false };
  const swap = acts({ kind: 'longitudinalLeaf', changes: ['pack', 'wedge'], way: one });
  follows(
    swap,
    'chock',
    'crack.left',
    'lift',
    'wheelOff.left',
    'holdAxle',
    'freeLines',
    'shockOff.left',
    'unload.left',
  );
  follows(swap, 'unload.left', 'uboltsOff.left', 'shackleOff.left', 'frontOff.left', 'packIn.left', 'stack.left');
  follows(swap, 'stack.left', 'seat.left', 'uboltsOn.left', 'uboltsOff.right', 'uboltsOn.right', 'down');
  follows(swap, 'down', 'roll', 'uboltsFinal.left', 'pivotsFinal.left', 'measure', 'roadTest');
  const inPlace = acts({ kind: 'longitudinalLeaf', changes: ['addLeaf'], way: { ...one, packInPlace: true } });
  expect(inPlace).not.toContain('frontOff.left');
  follows(inPlace, 'uboltsOff.left', 'clamp.left', 'centreOff.left', 'leafWork.left', 'centreOn.left', 'unclamp.left');
  const both = acts({ kind: 'longitudinalLeaf', changes: ['pack'], way: { ...one, sides: 'both' } });
  follows(both, 'uboltsOff.left', 'uboltsOff.right', 'packIn.left', 'packIn.right');
  const slipper = acts({ kind: 'tandemEqualizer', changes: ['slipper', 'hitch'], way: one });
  follows(slipper, 'holdAxle', 'unload.left', 'uboltsOff.left', 'shackleOff.left', 'rockerOff.left', 'rockerOn.left');
  follows(slipper, 'rockerOn.left', 'shackleOn.left', 'seat.left', 'uboltsOn.left', 'unload.right', 'down', 'hitch');
  const coil = acts({ kind: 'coilBeam', changes: ['coil', 'spacer'], way: one });
  follows(coil, 'holdAxle', 'unload.left', 'coilOff.left', 'spacer.left', 'coilOn.left', 'coilSeated.left', 'down');
});
