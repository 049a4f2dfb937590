import { finish } from '../../finish';
import { hubDrop, type SpringPlace } from '../../travel/hubTravel';
import { NO_FITTINGS, type TravelRead } from '../../travel/limits';
import { springEndRows } from '../../travel/travelRows';
import { nominalStress } from '../../mechanics/leafpack/stress';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { predictAxle } from '../solvers';
import { assemble } from './assemble';
import { SHACKLE_FLAT, springEnds, usedOf } from '../../mechanics/leafpack/ends';
import { SpringUnderLoad, type SpringView } from './underLoad';

const { input } = assemble(flatbedSheet());
const { travel } = finish(predictAxle(input, false)).sides.left!;

const usedIn = (view: SpringView, load: number) => {
  const leaves = input.pack!.leaves.map((leaf) => ({
    width: input.pack!.width.value,
    thickness: leaf.thickness.value,
  }));
  const half = (input.pack!.seatLength.value * input.pack!.inactive.value) / 2;
  const arms = { front: view.seat.x - view.frontEye.x, rear: view.rearEye.x - view.seat.x };
  return usedOf(
    nominalStress(leaves, load, arms, half),
    view.budget.map((b) => b.peak),
  );
};

test('where the leaves reach their limit is where the solver, asked for that height, finds that stress', () => {
  const limit = travel!.endsToday!.find((end) => end.id === 'packLimit')!;
  expect(limit.at).toBeLessThan(-20);
  const spring = new SpringUnderLoad(input, 'left');
  const load = input.sides.left.spring!.load.value;
  // Found again by halving, with no straight line between.
  let [low, high] = [load, 8 * load];
  for (let k = 0; k < 12; k++) {
    const middle = (low + high) / 2;
    const { old } = spring.at(middle, 'installed');
    if (!old || 'refused' in old || usedIn(old, middle) > 1) high = middle;
    else low = middle;
  }
  const { old } = spring.at(low, 'installed');
  if (!old || 'refused' in old) throw new Error('no state');
  expect(Math.abs(-limit.at - -old.height!)).toBeLessThan(3);
  expect(limit.half90).toBeGreaterThan(2);
});

test('a line between steps of the load; past what the shackle allows nothing is told', () => {
  const rise = (extra: number) => 100 - extra / 40;
  const ends = springEnds(2000, (extra) => ({
    rise: rise(extra),
    used: 0.3 + extra * 2e-4,
    shackle: Math.PI / 2 + extra * 2e-4,
  }));
  // All of it at 3,500 N more; 160 degrees at 6,109 N more.
  expect(ends).toMatchObject([{ id: 'packLimit' }]);
  expect(ends[0]!.rise).toBeCloseTo(100 - 87.5, 6);
  // A shackle that is past it beyond the steel's limit is not told; one that is so before, is.
  const sooner = springEnds(2000, (extra) => ({
    ...{ rise: rise(extra), used: 0.3 + extra * 1e-4 },
    shackle: Math.PI / 2 + extra * 5e-4,
  }));
  expect(sooner.map((end) => end.id)).toEqual(['shackleFlat', 'packLimit']);
  expect(sooner[0]!.rise).toBeCloseTo(rise((Math.PI / 2 - SHACKLE_FLAT) / 5e-4), 6);
  expect(springEnds(2000, (extra) => ({ rise: rise(extra), used: 0.9 + extra * 2e-4, shackle: null }))).toHaveLength(1);
});

const READ: TravelRead = { stopGap: 60, stopHeight: 50, stopSolid: 30, shockLength: 430, shockOpen: 540, shockLean: 0 };
const rowOf = (end: SpringPlace, held: number | null = null) =>
  springEndRows('left', READ, [end], NO_FITTINGS, held)[0]!;

test('the stop must be solid before turns meet: that stops a build; before steel or shackle are past their limit: that is to be looked at', () => {
  expect(rowOf({ id: 'coilBind', at: hubDrop(-75), half90: 1 })).toMatchObject({
    state: 'does not fit',
    figure: { value: -5, margin: -15 },
  });
  expect(rowOf({ id: 'packLimit', at: hubDrop(-75), half90: 1 }).state).toBe('look');
  expect(rowOf({ id: 'packLimit', at: hubDrop(-110), half90: 1 }).state).toBe('fits');
  // Told to no better than its band.
  expect(rowOf({ id: 'packLimit', at: hubDrop(-110), half90: 40 }).state).toBe('look');
  const unread = springEndRows('left', {}, [{ id: 'packLimit', at: hubDrop(-90), half90: 1 }], NO_FITTINGS, null)[0]!;
  expect(unread).toMatchObject({ state: 'not checked', wants: ['stopGap', 'stopHeight'] });
  expect(rowOf({ id: 'coilLoose', at: hubDrop(100), half90: 1 }, 110)).toMatchObject({ state: 'look' });
  expect(rowOf({ id: 'coilLoose', at: hubDrop(120), half90: 1 }, 110)).toMatchObject({ state: 'fits' });
});
