import fc from 'fast-check';
import { CoreError } from '../../errors';
import { frontShare, swingOver } from './equalizer';
import { freeStep, sharedBy, stanceOf, type AxlePair, type PairEnd } from './stance';

const end = (more: Partial<PairEnd> = {}): PairEnd => ({
  rest: 100,
  rate: 60,
  tyre: 250,
  reach: 0.5,
  arm: 120,
  ...more,
});
const pair = (more: Partial<AxlePair> = {}): AxlePair => ({
  ...{ front: end(), rear: end({ arm: 130 }), spacing: 850, joined: { stop: 0.45 } },
  ...more,
});

test('a free rocker shares by its arms at any load, pitch and bump, as its statics do', () => {
  const { arms, springs } = { arms: { front: 120, rear: 130 }, springs: { outer: 330, inner: 330 } };
  const share = frontShare({ arms, springs: { front: springs, rear: springs } });
  expect(sharedBy(pair())).toBeCloseTo(share, 12);
  fc.assert(
    fc.property(
      fc.double({ min: 500, max: 9000, noNaN: true }),
      fc.double({ min: -0.02, max: 0.02, noNaN: true }),
      (load, pitch) => {
        const at = stanceOf(pair(), load, pitch, 20);
        expect(at.atStop).toBe(false);
        expect(at.front / load).toBeCloseTo(share, 12);
      },
    ),
  );
});

test('one wheel on a bump swings a free rocker as its kinematics do and moves no load', () => {
  const [flat, over] = [stanceOf(pair(), 5000, 0), stanceOf(pair(), 5000, 0, 40)];
  expect(over.front).toBeCloseTo(flat.front, 9);
  const springs = { outer: 330, inner: 330 };
  const alone = swingOver({ arms: { front: 120, rear: 130 }, springs: { front: springs, rear: springs } }, 40);
  expect(Math.sin(over.swing) - Math.sin(flat.swing)).toBeCloseTo(Math.sin(alone.angle), 9);
});

test('the work of the load is the energy of springs and tyres: force is the slope of energy over height', () => {
  const energy = ({ front, rear }: { front: number; rear: number }) =>
    (front ** 2 + rear ** 2) * (1 / 60 + 1 / 250) * 0.5;
  for (const joined of [{ stop: 0.45 }, 'apart'] as const) {
    const at = (load: number) => stanceOf(pair({ joined }), load, 0);
    const [less, more] = [at(4990), at(5010)];
    // Frame above ground: what the tyres give besides, the mean of both at one pitch.
    const down = (s: { front: number; rear: number; height: number }) => s.height - (s.front + s.rear) / 2 / 250;
    expect((energy(more) - energy(less)) / (down(less) - down(more))).toBeCloseTo(5000, 6);
  }
});

test('at its stop a rocker shares no more: what is beyond the free step loads the axle on the bump', () => {
  const free = freeStep(pair(), 5000, 0)!;
  const before = stanceOf(pair(), 5000, 0, free.up - 0.01);
  const after = stanceOf(pair(), 5000, 0, free.up + 10);
  expect(before.atStop).toBe(false);
  expect(after).toMatchObject({ atStop: true, swing: 0.45 });
  expect(after.front - before.front).toBeCloseTo(10 / (2 / 60 + 2 / 250), 6);
  expect(freeStep(pair(), 5000, 0)!.up + free.down).toBeCloseTo(2 * Math.sin(0.45) * (60 + 65), 9);
});

test('apart, pitch moves load by spring and tyre in series, and a half turn of the trailer turns the shares round', () => {
  const two = pair({ joined: 'apart', rear: end() });
  const series = 1 / (1 / 60 + 1 / 250);
  const tilted = stanceOf(two, 5000, 0.01);
  expect(tilted.front - tilted.rear).toBeCloseTo(series * 0.01 * 850, 9);
  expect(stanceOf(two, 5000, -0.01).rear).toBeCloseTo(tilted.front, 9);
  expect(() => stanceOf(two, 500, 0.05)).toThrow(CoreError);
});

test('what is no pair is refused by name', () => {
  expect(() => stanceOf(pair({ front: end({ rate: 0 }) }), 5000, 0)).toThrow(/front\.rate/);
  expect(() => stanceOf(pair({ spacing: 20 }), 5000, 0)).toThrow(/spacing/);
});
