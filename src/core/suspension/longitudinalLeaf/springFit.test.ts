import { type LeafReading } from './sheet';
import { finish } from '../../finish';
import { assemble } from './assemble';
import { flatbedSheet } from '../../../../tests/reference/sheets';
import { predictAxle } from '../solvers';
import { springFit, taught } from './springFit';
import { agreementName } from './agreement';
import { SpringUnderLoad, type SpringView } from './underLoad';

/** The flatbed with a second, weighed load and what the model itself says its spring does there; `change` plants a slip. */
function withSecondLoad(change: { arch?: number; weighed?: boolean } = {}) {
  const sheet = flatbedSheet();
  const base = sheet.states[0]!.id;
  const second = { id: 'second', name: 'second load', addedMass: 400, station: sheet.wheelbase };
  const axle = sheet.readings.find((r) => r.point === 'axleLoad')!.value;
  const { input } = assemble(sheet);
  const spring = new SpringUnderLoad(input, 'left');
  const extra = (400 / 2) * 9.80665;
  const today = input.sides.left.spring!.load.value;
  const view = spring.at(today + extra, 'installed').old as SpringView;
  const reading = (point: LeafReading['point'], stateId: string, value: number, side: 'left' | 'right' | null) => ({
    point,
    phase: 'before' as const,
    side,
    leafId: null,
    stateId,
    value,
    rolled: true,
  });
  const toTop = input.pack!.leaves[0]!.thickness.value / 2;
  const pads = (stateId: string, mass: number) =>
    (['left', 'right'] as const).map((side) => reading('padLoad', stateId, mass / 2, side));
  return assemble({
    ...sheet,
    states: [sheet.states[0]!, second],
    readings: [
      ...sheet.readings,
      ...(change.weighed ? [...pads(base, axle), ...pads(second.id, axle + 400)] : []),
      reading('axleLoad', second.id, axle + 400, null),
      reading('loadedArch', second.id, view.arch - toTop + (change.arch ?? 0), 'left'),
      reading('hubToLip', second.id, input.sides.left.height!.value + view.height!, 'left'),
    ],
  }).input;
}

test('readings that agree fit one spring; without any others there is nothing to fit', () => {
  expect(springFit(assemble(flatbedSheet()).input, 'left')).toBeNull();
  const fit = springFit(withSecondLoad({ weighed: true }), 'left')!;
  expect(fit.contradiction).toBeNull();
  expect(Math.abs(fit.rateFactor.value - 1)).toBeLessThan(0.03);
  expect(fit.agreement).toHaveLength(fit.names.readings.length + fit.names.loads.length);
});

test('a slip of 26 mm in the second arch is among those named, and the prediction falls back on arch and load', () => {
  const input = withSecondLoad({ arch: 26, weighed: true });
  const { fit, input: used } = taught(input, 'left');
  const named = [fit!.contradiction!.worst, ...fit!.contradiction!.orElse].map((a) => agreementName(fit!, a));
  expect(named).toContain('loaded arch, second load');
  expect(used.pack).toEqual(input.pack);
  expect(used.sides.left.spring!.more).toBeUndefined();
});

test('readings that no spring comes near refuse nothing: the prediction stands on arch and load and says why', () => {
  const input = withSecondLoad({ arch: 2000 });
  const plain = finish(predictAxle(assemble(flatbedSheet()).input, false)).sides.left!;
  const { left } = finish(predictAxle(input, false)).sides;
  expect(left!.states[0]!.change).toBeCloseTo(plain.states[0]!.change, 3);
  expect(left!.fit?.contradiction ?? left!.unfit).toBeTruthy();
});
