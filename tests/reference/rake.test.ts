import { Matrix, solve } from 'ml-matrix';
import { levelOf } from '@/core/height/level';
import { settleBody } from '@/core/vehicle/body';

/*
 * The vehicle told another way: unknowns are the body's rise at each axle, the sink of each axle in its tyres and the spring forces;
 * equations are force and moment balance of the body, of every axle, and one law a spring. Solved by a general linear solver.
 */
const G = 9.80665;

interface Axle {
  at: number;
  spring: number;
  tyre: number;
  lift: number;
}
function bySystem(axles: Axle[], cargo: { mass: number; station: number }[]) {
  const n = axles.length;
  // Unknowns: a, b (body rise a + b x), s_i (axle sink, up positive), f_i (more force of the spring on the body).
  const size = 2 + 2 * n;
  const [A, y] = [Matrix.zeros(size, size), Matrix.zeros(size, 1)];
  axles.forEach(({ at, spring, tyre, lift }, i) => {
    const [s, f] = [2 + i, 2 + n + i];
    // f = k (lift + s − rise)
    A.set(i, f, 1);
    A.set(i, s, -spring);
    A.set(i, 0, spring);
    A.set(i, 1, spring * at);
    y.set(i, 0, spring * lift);
    // tyre: −f = kt · s
    A.set(n + i, f, 1);
    A.set(n + i, s, tyre);
    A.set(2 * n, f, 1);
    A.set(2 * n + 1, f, at);
  });
  y.set(
    2 * n,
    0,
    cargo.reduce((sum, c) => sum + c.mass * G, 0),
  );
  y.set(
    2 * n + 1,
    0,
    cargo.reduce((sum, c) => sum + c.mass * G * c.station, 0),
  );
  const x = solve(A, y);
  return axles.map(({ at }, i) => ({ rise: x.get(0, 0) + x.get(1, 0) * at, load: x.get(2 + n + i, 0) }));
}
const series = (k: number, t: number) => 1 / (1 / k + 1 / t);

test('a body on four axles settles as a general linear system says, heights within 0.001 mm, loads within 0.1 N', () => {
  const axles: Axle[] = [
    { at: 0, spring: 210, tyre: 900, lift: 0 },
    { at: 3400, spring: 380, tyre: 1800, lift: 42 },
    { at: 4700, spring: 380, tyre: 1800, lift: 0 },
    { at: 6000, spring: 240, tyre: 900, lift: -15 },
  ];
  const cargo = [
    { mass: 2600, station: 4100 },
    { mass: -120, station: 900 },
  ];
  const said = settleBody(
    axles.map(({ at, spring, tyre, lift }) => ({ station: at, rate: series(spring, tyre), lift })),
    cargo,
  );
  bySystem(axles, cargo).forEach(({ rise, load }, i) => {
    expect(Math.abs(said.rises[i]! - rise)).toBeLessThan(1e-3);
    expect(Math.abs(said.loads[i]! - load)).toBeLessThan(0.1);
  });
});

test('the rake of a two-axle vehicle, with fuel, crew and a tongue aboard, before and after a lift of its rear', () => {
  const wheelbase = 3300;
  const [front, rear] = [2 * 38, 2 * 52];
  const tyre = 2 * 240;
  const lift = 36;
  const loads: Record<string, { mass: number; station: number }> = {
    fuel: { mass: 78, station: 2500 },
    crew: { mass: 240, station: 1500 },
    towing: { mass: 130, station: 4500 },
  };
  // A spring of even rate, in the words of a prediction: what the load takes, what all of it does.
  const sideOf = (stateId: string) => {
    const { mass, station } = loads[stateId] ?? { mass: 0, station: 0 };
    const sunk = (-mass * G * station) / wheelbase / rear;
    const change = lift + sunk;
    const ledger = [{ kind: 'load', label: '', value: sunk, half90: 0 }];
    return { id: stateId, ledger, beforeHere: 500 + sunk, after: 500 + change, change, firstOrder: 5 };
  };
  const side = { states: ['today', ...Object.keys(loads)].map(sideOf) };
  const levels = levelOf(
    { left: side, right: side },
    {
      ...{ rake: 62, position: 'rear', wheelbase, aboard: loads, tyreRate: tyre / 2 },
      other: { rate: { value: series(front, tyre), half90: 5, origin: 'measured' }, from: 'read' },
    },
  );
  for (const [k, id] of Object.keys(loads).entries()) {
    const stands = (raised: number) => {
      const axles = [
        { at: 0, spring: front, tyre, lift: 0 },
        { at: wheelbase, spring: rear, tyre, lift: raised },
      ];
      const [f, r] = bySystem(axles, [loads[id]!]);
      return 62 + r!.rise - f!.rise;
    };
    expect(Math.abs(levels[k + 1]!.rake!.before - stands(0))).toBeLessThan(0.5);
    expect(Math.abs(levels[k + 1]!.rake!.after - stands(lift))).toBeLessThan(0.5);
  }
});
