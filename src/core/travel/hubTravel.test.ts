import { flatbedSheet, ADDED_LEAF } from '../../../tests/reference/sheets';
import { draw } from '../estimate/tree';
import { type DrawnInput } from '../suspension/longitudinalLeaf/input';
import { LeafSideModel } from '../suspension/longitudinalLeaf/sideModel';
import { sideRate } from '../suspension/longitudinalLeaf/sideState';
import { central } from '../prediction/lines';
import { assemble } from '../suspension/longitudinalLeaf/assemble';
import { type PlannedChange } from '../suspension/longitudinalLeaf/sheet';
import { hubDrop, hubTravel, TODAY, withLoads, worstTravel } from './hubTravel';
import { slackVerdicts } from './survey';

const travelOf = (model: LeafSideModel, { changes, sides, hanging }: DrawnInput) =>
  hubTravel(model, changes, sides.left.spring?.load, hanging);
const modelOf = (changes: PlannedChange[]) => {
  const { input } = assemble(flatbedSheet(changes));
  const drawn = draw(input, central);
  const model = new LeafSideModel(drawn, 'left');
  return { input, drawn, model, travel: travelOf(model, drawn) };
};

test('droop is the way from ride height to hanging by the axle’s own weight, as the rate adds it up', () => {
  const { input, drawn, model, travel } = modelOf([ADDED_LEAF]);
  const load = drawn.sides.left.spring!.load;
  // The frame rises by the load let off over the rate, summed in small steps of load.
  // Close to no load at all the pack is soft for a short way, so the steps are fine.
  const steps = 400;
  const lifted = -input.hanging! - load;
  const rate = (extra: number) => sideRate(model.state([], extra).spring!);
  let sum = 0;
  for (let k = 0; k < steps; k++) sum += -lifted / steps / rate((lifted * (k + 0.5)) / steps);
  expect(travel.today).toBe(0);
  expect(travel.droopToday! / sum).toBeCloseTo(1, 2);
  expect(travel.droopToday!).toBeGreaterThan(40);
});

test('more lift never leaves more slack, whatever makes the lift', () => {
  const left = (change: PlannedChange) => {
    const { travel } = modelOf([change]);
    const [hose] = slackVerdicts([{ item: 'brakeHose', answer: 'ok', slack: 150 }], travel);
    return { planned: travel.planned, left: hose!.left! };
  };
  const ladders: PlannedChange[][] = [
    [0, 20, 40, 60].map((height) => ({ kind: 'block', height })),
    [90, 110, 130].toReversed().map((length) => ({ kind: 'shackle', length })),
    [110, 130, 150].map((camber) => ({ ...ADDED_LEAF, camber }) as PlannedChange),
  ];
  for (const ladder of ladders) {
    const steps = ladder.map(left).toSorted((p, q) => p.planned - q.planned);
    for (let k = 1; k < steps.length; k++) expect(steps[k]!.left).toBeLessThanOrEqual(steps[k - 1]!.left + 1e-6);
  }
  // A block lifts and nothing else: every millimetre of it comes off the slack.
  const [none, sixty] = [left({ kind: 'block', height: 0 }), left({ kind: 'block', height: 60 })];
  expect(none.left - sixty.left).toBeCloseTo(60, 6);
});

test('without a spring the lift of a block is still known, and no droop', () => {
  const sheet = flatbedSheet([{ kind: 'block', height: 60 }]);
  const { input } = assemble({ ...sheet, readings: sheet.readings.filter((r) => r.point === 'hubToLip') });
  const drawn = draw(input, central);
  const travel = travelOf(new LeafSideModel(drawn, 'left'), drawn);
  expect(travel).toEqual({ today: 0, planned: 60, droopToday: null, droopPlanned: null });
});

test('in every load: the one that presses it furthest up and the one that lets it furthest down, of the worse side', () => {
  const model = {
    rise: (changes: readonly number[], extra: number) => 100 + changes.reduce((a, b) => a + b, 0) - extra / 50,
  };
  const bare = { today: TODAY, planned: hubDrop(30), droopToday: null, droopPlanned: null };
  const one = withLoads(bare, model, [30], [0, 2000, -500]);
  expect([one.laden, one.lightest]).toEqual([-10, 40]);
  const other = withLoads(bare, model, [30], [0, 3000]);
  expect(worstTravel({ left: { travel: one }, right: { travel: other } })).toMatchObject({ laden: -30, lightest: 40 });
});
