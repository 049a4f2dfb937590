import { finish } from '@/core/finish';
import { predictAxle } from '@/core/suspension/solvers';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { pointOf, type PointId } from '@/core/measure/points';
import { parseMeasured } from '@/core/units/parse';
import { uniformFrom } from '@/workers/random';
import { flatbedSheet } from '../tests/reference/sheets';
import { type Texts } from './job';
import { JOBS } from './scenario';
import { hiddenHeight } from './truth';

const { input } = assemble(flatbedSheet());
const hidden = (truth: { spread: number; camberShort: number }, seed = 1, state = 'laden') =>
  hiddenHeight(input, 'left', state, truth, uniformFrom(seed));

test('a hidden spring that is as it was measured ends where it was foretold', () => {
  const states = finish(predictAxle(input, false)).sides.left!.states;
  expect(hidden({ spread: 0, camberShort: 0 })).toBeCloseTo(states[1]!.after!, 3);
  expect(hidden({ spread: 0, camberShort: 0 }, 1, 'today')).toBeCloseTo(states[0]!.after!, 3);
});

test('a leaf with less camber than its label ends lower, and scatter is the seed’s', () => {
  const straight = hidden({ spread: 0, camberShort: 0 });
  expect(hidden({ spread: 0, camberShort: 40 })).toBeLessThan(straight - 5);
  expect(hidden({ spread: 0.5, camberShort: 0 }, 3)).toBe(hidden({ spread: 0.5, camberShort: 0 }, 3));
  expect(hidden({ spread: 0.5, camberShort: 0 }, 3)).not.toBe(hidden({ spread: 0.5, camberShort: 0 }, 4));
});

const texts = (all: Texts) => Object.entries(all) as [PointId, string][];

test.each(JOBS.map((job) => [job.ask.vehicle.kind === 'new' ? job.ask.vehicle.name : '', job] as const))(
  'every reading of the demo’s %s can be typed at its field',
  (_, job) => {
    const leaves = job.leaves.flatMap(([thickness, front, rear]): [PointId, string][] => [
      ['leafThickness', thickness],
      ...(front ? [['leafFront', front] as [PointId, string]] : []),
      ...(rear ? [['leafRear', rear] as [PointId, string]] : []),
    ]);
    for (const [point, typed] of [...texts(job.once), ...texts(job.left), ...texts(job.right), ...leaves])
      expect([point, typed, parseMeasured(typed, pointOf(point).rule).kind]).not.toContain('refused');
  },
);
