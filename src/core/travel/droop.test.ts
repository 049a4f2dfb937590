import { flatbedSheet } from '../../../tests/reference/sheets';
import { draw } from '../height/axleInput';
import { SideModel, sideRate } from '../height/axleModel';
import { central } from '../height/predict';
import { assemble } from '../measure/assemble';
import { droopTravel } from './droop';

test('droop is the way from ride height to hanging by the axle’s own weight, as the rate adds it up', () => {
  const { input } = assemble(flatbedSheet());
  const drawn = draw(input, central);
  const model = new SideModel(drawn, 'left');
  const droop = droopTravel(model, drawn, 'left')!;
  const load = drawn.sides.left.spring!.load;
  // The frame rises by the load let off over the rate, summed in small steps of load.
  // Close to no load at all the pack is soft for a short way, so the steps are fine.
  const steps = 400;
  const lifted = -input.hanging! - load;
  const rate = (extra: number) => sideRate(model.state([], extra).spring!);
  let sum = 0;
  for (let k = 0; k < steps; k++) sum += -lifted / steps / rate((lifted * (k + 0.5)) / steps);
  expect(droop.now / sum).toBeCloseTo(1, 2);
  expect(droop.now).toBeGreaterThan(40);
  // A leaf added stands higher and stiffer; from there the way down to hanging is another.
  expect(Math.abs(droop.planned - droop.now)).toBeGreaterThan(1);
});

test('without a spring nothing is said', () => {
  const drawn = draw(assemble({ ...flatbedSheet(), readings: [] }).input, central);
  expect(droopTravel(new SideModel(drawn, 'left'), drawn, 'left')).toBeNull();
});
