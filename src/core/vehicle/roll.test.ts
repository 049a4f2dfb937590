import { atLips } from './roll';

test('one spring longer by 17.9 mm lifts its own lip by more and lowers the other one: a rigid body on two springs, by hand', () => {
  const moved = atLips({ left: 17.9, right: 0 }, 1.64);
  expect(moved.left).toBeCloseTo(23.6, 1);
  expect(moved.right).toBeCloseTo(-5.7, 1);
});

test('both alike: the lips do what the springs do, whatever the spans; the mean is never changed', () => {
  expect(atLips({ left: 30, right: 30 }, 1.7)).toEqual({ left: 30, right: 30 });
  const { left, right } = atLips({ left: 12, right: -5 }, 1.5);
  expect((left + right) / 2).toBeCloseTo(3.5, 9);
  expect(left - right).toBeCloseTo(1.5 * 17, 9);
});
