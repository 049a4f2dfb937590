import fc from 'fast-check';
import { type KindId, procedureOf } from '../suspension/registry';
import { BUSH_ENDS, BUSH_TYPE_IDS } from '../bush/types';
import { TOOL_KIND_IDS } from '../prepare/toolKinds';
import { crewOf, type Way } from './common';
import { compose, goneWrong } from './compose';
import { HAZARDS } from './hazards';
import { type Procedure } from './procedure';
import { progressOf } from './progress';
import { removalOf } from './removal';

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
  'eyeBush',
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
    bush: fc.constantFrom(...BUSH_TYPE_IDS),
    ends: fc.constantFrom(...BUSH_ENDS),
    way: fc.record<Way, 'sides' | 'bonded' | 'packInPlace' | 'driveUnit'>(
      {
        sides: fc.constantFrom('one', 'both'),
        bonded: fc.constantFrom(true, false, null),
        packInPlace: fc.boolean(),
        driveUnit: fc.boolean(),
        people: fc.constantFrom(1, 2),
        tools: fc.subarray([...TOOL_KIND_IDS]).map((kinds) => new Set(kinds)),
        hoist: fc.boolean(),
        seized: fc.constantFrom('heat', 'cut'),
        metalBushes: fc.boolean(),
        drillPlate: fc.double({ min: 10, max: 26, noNaN: true }),
        boltTail: fc.double({ min: 1, max: 60, noNaN: true }),
      },
      { requiredKeys: ['sides', 'bonded', 'packInPlace', 'driveUnit'] },
    ),
  }),
);
type Job = Omit<typeof job extends fc.Arbitrary<infer T> ? T : never, 'bush' | 'ends'> & {
  bush?: string;
  ends?: string;
};

const made = ({ kind, changes, way, bush, ends }: Job): Procedure =>
  procedureOf(
    kind,
    changes.map((c) => ({ kind: c, ...(bush && { bush }), ...(ends && { ends }) })),
    way,
  )!;

test('2,000 plans and schools: every order is whole, ends driven and tight, and passes through no hazard', () => {
  fc.assert(
    fc.property(job, (given) => {
      const { start, operations, hazards } = made(given);
      const { steps, refused } = compose(start, operations, hazards, crewOf(given.way));
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
    made({ kind, changes, way, bush: 'nylon', ends: 'all' } as Job)
      .operations.map((o) => o.act)
      .join('; ');
  const besides = {
    longitudinalLeaf: {
      of: 'pack',
      with: [
        'eyeBush',
        'addLeaf',
        'removeLeaf',
        'block',
        'wedge',
        'shackle',
        'overAxle',
        'ubolts',
        'helper',
        'axleWidth',
      ],
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

const leaf = (changes: string[], way: Partial<Way>, of: { bush?: string; ends?: string } = {}) => {
  const all: Way = { sides: 'one', bonded: true, packInPlace: false, ...way };
  const procedure = made({ kind: 'longitudinalLeaf', changes, way: all, ...of } as Job);
  const { steps, refused } = compose(procedure.start, procedure.operations, procedure.hazards, crewOf(all));
  expect(refused).toBeNull();
  return { procedure, order: steps.map((s) => s.operation), ids: steps.map((s) => s.operation.id) };
};

test('rusted in: heat only where nothing beside it burns, and never without what shields it; else it is cut', () => {
  const hot = leaf(['pack'], { seized: 'heat', metalBushes: true });
  expect(hot.ids.filter((id) => /shield|heat|cool|cutBolts/.test(id))).toEqual(
    ['left', 'right'].flatMap((side) => [`shield.${side}`, `heatBolts.${side}`, `coolBolts.${side}`]),
  );
  expect(hot.ids.indexOf('coolBolts.left')).toBeLessThan(hot.ids.indexOf('shackleOff.left'));
  const rubber = leaf(['pack'], { seized: 'heat' });
  expect(rubber.ids.some((id) => id.startsWith('heat'))).toBe(false);
  expect(rubber.order.find((o) => o.id === 'cutBolts.left')?.caution).toContain('Heat was chosen');
  expect(leaf(['pack'], { seized: 'cut', metalBushes: true }).ids).toContain('cutBolts.left');
  // The checker itself: a flame lit beside rubber, beside a hose that is clipped, or with nothing before it.
  const lit = (facts: Record<string, string>) =>
    HAZARDS.filter((h) => h.in({ ...hot.procedure.start, chocks: 'in', 'flame.left': 'lit', ...facts })).map(
      (h) => h.id,
    );
  const safe = { 'bush.left': 'metal', lines: 'free', 'guard.left': 'up' };
  expect(lit(safe)).toEqual([]);
  for (const wrong of [{ 'bush.left': 'burns' }, { lines: 'clipped' }, { 'guard.left': 'down' }])
    expect(lit({ ...safe, ...wrong })).toEqual(['flame']);
});

test('those who work and what they work with decide the order', () => {
  const both = { sides: 'both' as const };
  const [one, two] = [leaf(['pack'], { ...both, people: 1 }), leaf(['pack'], { ...both, people: 2 })];
  const at = ({ ids }: { ids: string[] }, id: string) => ids.indexOf(id);
  expect(at(one, 'uboltsOff.right') - at(one, 'uboltsOff.left')).toBeGreaterThan(1);
  for (const id of ['uboltsOff', 'shackleOff', 'frontOff', 'packIn', 'seat'])
    expect([id, Math.abs(at(two, `${id}.right`) - at(two, `${id}.left`))]).toEqual([id, 1]);
  const act = (of: { order: { id: string; act: string }[] }, id: string) => of.order.find((o) => o.id === id)!.act;
  expect(act(one, 'frontOff.left')).toContain('strapped to the saddle');
  expect(act(two, 'frontOff.left')).toContain('together');
  expect(act(leaf(['pack'], { hoist: true }), 'lift')).toContain('onto its locks');
  // What is not for one alone is done while the helper is there.
  const ops = ['a', 'b', 'c', 'd'].map((id) => ({ id, side: null, act: id, needs: {}, gives: {} }));
  const [a, b, c, d] = ops as [(typeof ops)[0], (typeof ops)[0], (typeof ops)[0], (typeof ops)[0]];
  const made = compose({}, [{ ...a, two: true }, b, { ...c, two: true }, d], [], { atOnce: false, helped: true });
  expect(made.steps.map((s) => s.operation.id)).toEqual(['a', 'c', 'b', 'd']);
  const press = (tools: Way['tools']) =>
    leaf(['eyeBush'], tools ? { tools } : {}, { bush: 'bonded', ends: 'eyes' }).order.find(
      (o) => o.id === 'bushOut.left',
    )!;
  expect(press(new Set(['press'])).caution).toMatch(/^Press:/);
  expect(press(new Set(['clamp'])).caution).toMatch(/^No press at hand/);
});

test('each kind of bush comes out and goes in its own way, and only what must comes off', () => {
  const eyes = leaf(['eyeBush'], { packInPlace: true }, { bush: 'polyurethane', ends: 'eyes' });
  expect(eyes.order.find((o) => o.id === 'bushOut.left')!.act).toContain('outer shell left in');
  expect(eyes.ids.indexOf('bushIn.left')).toBeLessThan(eyes.ids.indexOf('packIn.left'));
  expect(eyes.order.find((o) => o.id === 'pivotsFinal.left')!.act).toContain('must still swing');
  const bonded = leaf(['eyeBush'], { bonded: false }, { bush: 'bonded', ends: 'all' });
  expect(bonded.order.find((o) => o.id === 'bushOut.left')!.act).toContain('with its shell');
  expect(bonded.order.find((o) => o.id === 'pivotsFinal.left')!.act).toContain('weight on');
  const shackle = leaf(['eyeBush'], {}, { bush: 'bronze', ends: 'shackle' });
  expect(removalOf(shackle.procedure)).toEqual({
    off: ['shock, lower end', 'shackle'],
    slackened: [],
    stays: ['U-bolts', 'front eye bolt', 'centre bolt'],
  });
  expect(removalOf(leaf(['addLeaf'], { packInPlace: true }).procedure)).toMatchObject({
    slackened: ['shackle'],
    stays: ['front eye bolt'],
  });
  const drilled = leaf(['ubolts'], { drillPlate: 15.5 });
  expect(drilled.order.find((o) => o.id === 'drill.left')!.act).toContain('15.5 mm');
  expect(leaf(['addLeaf'], { boltTail: 12.4 }).order.find((o) => o.id === 'trim.left')!.act).toContain('by 12 mm');
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
