import { finish } from '../../finish';
import { assemble } from './assemble';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { predictAxle } from '../solvers';
import { SpringUnderLoad, type SpringAnswer, type SpringView } from './underLoad';

const { input } = assemble(flatbedSheet());
const spring = new SpringUnderLoad(input, 'left');
const load = input.sides.left.spring!.load.value;
const shown = (answer: SpringAnswer | null): SpringView => {
  if (!answer || 'refused' in answer) throw new Error('no state');
  return answer;
};

test('at the load of the day it stands where the prediction says', () => {
  const { left } = finish(predictAxle(input, false)).sides;
  const { old, built } = spring.at(load, 'installed');
  const [state] = left!.states;
  expect(shown(old).height).toBeCloseTo(0, 4);
  expect(shown(built).height).toBeCloseTo(state!.change, 2);
  expect(shown(old).arch).toBeCloseTo(state!.old!.arch, 3);
  expect(shown(old).rate / state!.old!.rate).toBeCloseTo(1, 3);
  expect(Math.max(...shown(built).budget.map((b) => Math.abs(b.peak)))).toBeCloseTo(
    Math.max(...state!.built!.peakStress),
    1,
  );
});

test('more load: lower, flatter, more stress; the planned leaf is drawn', () => {
  const [light, heavy] = [spring.at(0.5 * load, 'installed'), spring.at(1.5 * load, 'installed')];
  expect(shown(heavy.old).height!).toBeLessThan(shown(light.old).height!);
  expect(shown(heavy.old).arch).toBeLessThan(shown(light.old).arch);
  expect(Math.abs(shown(heavy.old).budget[0]!.peak)).toBeGreaterThan(Math.abs(shown(light.old).budget[0]!.peak));
  expect(shown(heavy.built).leaves).toHaveLength(shown(heavy.old).leaves.length + 1);
});

test('on the bench the eyes lie level, nothing is clamped, and with no load it has the assembled arch', () => {
  const { old } = spring.at(0, 'bench');
  const view = shown(old);
  expect(view.rearEye.y).toBe(0);
  expect(view.height).toBeNull();
  expect(view.seat.y).toBeCloseTo(-view.arch, 9);
  // The U-bolts flatten the seat: bare, the pack stands higher.
  expect(view.arch).toBeGreaterThan(shown(spring.at(0, 'installed').old).arch);
});

test('a load that no shackle can carry is refused in words, not drawn', () => {
  const { old } = spring.at(60 * load, 'installed');
  expect('refused' in old).toBe(true);
});

test('an axle that hangs pulls on the main leaf alone: lower than with nothing on it, other leaves at rest', () => {
  const hanging = shown(spring.at(-input.hanging!, 'installed').old);
  const empty = shown(spring.at(0, 'installed').old);
  expect(hanging.arch).toBeGreaterThan(empty.arch + 10);
  expect(hanging.height!).toBeGreaterThan(empty.height! + 10);
  const reach = spring.reach(-input.hanging!, 2 * load, 'installed');
  for (const leaf of hanging.leaves)
    for (const { y } of leaf.points) {
      expect(y).toBeGreaterThanOrEqual(reach.bottom);
      expect(y).toBeLessThanOrEqual(reach.top);
    }
});
