import { finish } from '@/core/finish';
import { draw } from '@/core/estimate/tree';
import { LeafSideModel } from '@/core/suspension/longitudinalLeaf/sideModel';
import { central } from '@/core/prediction/lines';
import { predictAxle } from '@/core/suspension/solvers';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { flatbedSheet } from '../tests/reference/sheets';
import { demoPack, pressLoop } from './press';

test('the loop stands higher while it is loaded than while it is let off, and falls with the load', () => {
  const loop = pressLoop(demoPack(), 6000, 12);
  expect(loop).toHaveLength(26);
  const at = (force: number, branch: string) =>
    loop.find((p) => Math.abs(p.force - force) < 1 && p.branch === branch)!.archTop;
  for (const force of [1000, 3000, 5000]) {
    expect(at(force, 'loading')).toBeGreaterThan(at(force, 'unloading') + 0.5);
    expect(at(force, 'loading')).toBeLessThan(at(force - 1000, 'loading'));
  }
});

test('a loop of a spring 8 % stiffer than its leaves say teaches the prediction its rate', () => {
  const sheet = flatbedSheet();
  const { input } = assemble(sheet);
  // The same spring as the sheet's loaded arch tells, but 8 % stiffer, taken out and put in the press.
  const hidden = draw(input, central);
  hidden.pack!.rateFactor = 1.08;
  const points = pressLoop(new LeafSideModel(hidden, 'left').onBench([])!.pack, 6000, 12);
  const { sides } = finish(predictAxle(assemble({ ...sheet, press: [{ side: 'left', points }] }).input, false));
  expect(sides.left!.fit!.rateFactor.value).toBeGreaterThan(1.04);
  expect(sides.left!.fit!.rateFactor.value).toBeLessThan(1.12);
});
