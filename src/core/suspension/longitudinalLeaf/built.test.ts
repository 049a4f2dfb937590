import { flatbedSheet } from '../../../../tests/reference/sheets';
import { finish } from '../../finish';
import { assemble } from './assemble';
import { chordUnderCamber, camberFromCurvature } from '../../mechanics/leafpack/arc';
import { draw } from '../../estimate/tree';
import { type LeafAxleInput, type Change } from './input';
import { LeafSideModel } from './sideModel';
import { builtPack } from './built';
import { type Estimate } from '../../estimate/estimate';
import { ledgerValue, type LedgerLine } from '../../prediction/ledger';
import { central, extraLoads } from '../../prediction/lines';
import { standingOf } from '../registry';
import { predictAxle } from '../solvers';
import { type PlannedChange } from './sheet';
import { taught } from './springFit';

const exact = (value: number): Estimate => ({ value, half90: 0, origin: 'measured' });
const base = (): LeafAxleInput => ({ ...assemble(flatbedSheet()).input, changes: [] });
const after = (changes: Change[]): LeafAxleInput => ({ ...base(), changes });

/** Rise of the frame that some changes make in the state of the day, mm. */
function rise(changes: Change[]): number {
  const drawn = draw(after(changes), central);
  const model = new LeafSideModel(drawn, 'left');
  return model.state(drawn.changes, 0).rise - model.state([], 0).rise;
}

/** The calibrated pack of the left side as a change that puts the very same pack in. */
function samePack(used = true): Extract<Change, { kind: 'pack' }> {
  const drawn = draw(base(), central);
  const { pack } = new LeafSideModel(drawn, 'left').state([], 0).spring!.solver;
  return {
    kind: 'pack',
    used,
    width: exact(pack.leaves[0]!.width),
    eyeOffset: exact(pack.eyeOffset.front),
    leaves: pack.leaves.map((leaf) => {
      // Over any chord: the change reads camber and chord together.
      const chord = 0.98 * (leaf.front + leaf.rear);
      return {
        front: exact(leaf.front),
        rear: exact(leaf.rear),
        thickness: exact(leaf.thickness),
        camber: exact(camberFromCurvature(leaf.curvature, chord)),
        chord: exact(chord),
      };
    }),
  };
}

test('the very same pack put in changes nothing', () => {
  expect(rise([samePack()])).toBeCloseTo(0, 2);
});

test('a leaf taken out and one of its sizes added gives the pack as it was', () => {
  const { leaves } = samePack();
  const leaf = leaves[3]!;
  expect(
    rise([
      { kind: 'removeLeaf', leaf: 3 },
      { kind: 'addLeaf', ...leaf },
    ]),
  ).toBeCloseTo(0, 2);
  expect(rise([{ kind: 'removeLeaf', leaf: 3 }])).toBeLessThan(-leaf.thickness.value - 3);
});

test('the main leaf is not taken out, nor one that is not there', () => {
  expect(() => rise([{ kind: 'removeLeaf', leaf: 0 }])).toThrow(/no leaf 1 that can be taken out/);
  expect(() => rise([{ kind: 'removeLeaf', leaf: 9 }])).toThrow(/no leaf 10/);
});

test('eyes rolled higher raise the frame by about what the eye centre moves', () => {
  const now = base().pack!.eyeOffset.value;
  const up = rise([{ kind: 'eyes', form: 'upturned', offset: exact(now + 10) }]);
  expect(up).toBeGreaterThan(8);
  expect(up).toBeLessThan(12);
  expect(rise([{ kind: 'eyes', form: 'upturned', offset: exact(now) }])).toBeCloseTo(0, 4);
});

test('re-arching keeps nested leaves nested and raises the pack by nearly the camber gained', () => {
  const drawn = draw(base(), central);
  const { pack } = new LeafSideModel(drawn, 'left').state([], 0).spring!.solver;
  const { leaves } = builtPack(pack, [{ kind: 'rearch', camber: 30 }]);
  const radius = leaves.map((leaf) => 1 / leaf.curvature);
  radius.slice(1).forEach((r, i) => {
    const between = (leaves[i]!.thickness + leaves[i + 1]!.thickness) / 2;
    expect(r - radius[i]!).toBeCloseTo(between, 1);
  });
  const gained = rise([{ kind: 'rearch', camber: exact(30) }]);
  expect(gained).toBeGreaterThan(24);
  expect(gained).toBeLessThan(36);
  expect(rise([{ kind: 'rearch', camber: exact(-30) }])).toBeLessThan(-24);
});

test('each line of a ledger is its change solved alone, thickness told apart, and all add up', () => {
  const leaf = samePack().leaves[2]!;
  const thin = { ...samePack(), leaves: samePack().leaves.slice(0, 5) };
  const changes: Change[] = [thin, { kind: 'eyes', form: 'upturned', offset: exact(30) }, { kind: 'addLeaf', ...leaf }];
  const { ledger } = finish(predictAxle(after(changes), false)).sides.left!.states[0]!;
  const sum = ledger.filter((l) => l.kind !== 'total' && l.kind !== 'settling').reduce((s, l) => s + l.value, 0);
  expect(sum).toBeCloseTo(ledgerValue(ledger, 'total'), 6);
  const packThinner = ledger.filter((l) => l.kind === 'leafThickness').map((l) => l.value);
  expect(packThinner[0]).toBeCloseTo(-samePack().leaves[5]!.thickness.value, 6);
  expect(packThinner[1]).toBeCloseTo(leaf.thickness.value, 6);
  expect(ledgerValue(ledger, 'pack') + packThinner[0]!).toBeCloseTo(rise([thin]), 1);
  expect(ledgerValue(ledger, 'eyes')).toBeCloseTo(rise([changes[1]!]), 1);
  expect(ledger.at(-1)).toMatchObject({ kind: 'settling', value: -5 });
  const used = finish(predictAxle(after([samePack()]), false)).sides.left!.states[0]!.ledger.at(-1)!;
  expect(used).toMatchObject({ kind: 'settling', value: 0, half90: 3 });
});

test('a shorter or longer chord of the same circle is the same leaf', () => {
  const leaf = samePack().leaves[1]!;
  const arc = leaf.front.value + leaf.rear.value;
  const camber = camberFromCurvature(1 / 1500, chordUnderCamber(arc, 100));
  const one = rise([{ kind: 'addLeaf', ...leaf, camber: exact(camber), chord: exact(chordUnderCamber(arc, 100)) }]);
  const other = rise([
    { kind: 'addLeaf', ...leaf, camber: exact(camberFromCurvature(1 / 1500, 700)), chord: exact(700) },
  ]);
  expect(one).toBeCloseTo(other, 2);
});

test('in every load state each line is its own solve and the end is the coupled solve, within 0.1 mm', () => {
  const leaf = samePack().leaves[2]!;
  const changes: Change[] = [
    { kind: 'removeLeaf', leaf: 4 },
    { kind: 'addLeaf', ...leaf },
    { kind: 'shackle', length: exact(125) },
    { kind: 'block', height: exact(20) },
    { kind: 'rearch', camber: exact(12) },
  ];
  const input = after(changes);
  for (const side of ['left', 'right'] as const) {
    // A model of its own for every solve: nothing is warm, nothing is shared with the prediction.
    const drawn = draw(taught(input, side).input, central);
    const alone = (some: typeof drawn.changes, load: number) => new LeafSideModel(drawn, side).state(some, load).rise;
    const base = alone([], 0);
    const { states } = finish(predictAxle(input, false)).sides[side]!;
    states.forEach((state, k) => {
      const load = extraLoads(drawn, states.length)[k]!;
      const value = (...kinds: LedgerLine['kind'][]) =>
        state.ledger.filter((l) => kinds.includes(l.kind)).reduce((sum, l) => sum + l.value, 0);
      expect(Math.abs(value('total') - drawn.sides[side].height! - (alone(drawn.changes, load) - base))).toBeLessThan(
        0.1,
      );
      expect(Math.abs(value('load') - (alone([], load) - base))).toBeLessThan(0.1);
      const one = (i: number) => alone([drawn.changes[i]!], 0) - base;
      expect(Math.abs(value('removeLeaf', 'leafArch', 'leafThickness') - one(0) - one(1))).toBeLessThan(0.2);
      expect(Math.abs(value('shackle') - one(2))).toBeLessThan(0.1);
      expect(Math.abs(value('block') - one(3))).toBeLessThan(0.1);
      expect(Math.abs(value('rearch') - one(4))).toBeLessThan(0.1);
    });
  }
});

test('a wedge lifts by its height in the middle and turns the nose by its way round: over the axle and under it', () => {
  const wedge = (thick: 'front' | 'rear', ...more: PlannedChange[]) => {
    const sheet = flatbedSheet([{ kind: 'wedge', angle: 0.04, height: 9, thick }, ...more]);
    return finish(predictAxle(assemble(sheet).input, false));
  };
  const state = (p: ReturnType<typeof wedge>) => p.sides.left!.states[0]!;
  const rear = wedge('rear');
  expect(state(rear).change).toBeCloseTo(9, 6);
  expect(state(rear).ledger.find((l) => l.kind === 'wedge')!.value).toBeCloseTo(9, 6);
  expect(standingOf(rear).noseUp).toBeCloseTo(0.04, 9);
  expect(standingOf(wedge('front')).noseUp).toBeCloseTo(-0.04, 9);
  const under = { ...flatbedSheet([{ kind: 'wedge', angle: 0.04, height: 9, thick: 'rear' }]) };
  const below = assemble({ ...under, axle: { ...under.axle, arrangement: 'under' } }).input;
  const told = finish(predictAxle(below, false));
  expect(told.sides.left!.states[0]!.change).toBeCloseTo(-9, 6);
  expect(standingOf(told).noseUp).toBeCloseTo(-0.04, 9);
});
