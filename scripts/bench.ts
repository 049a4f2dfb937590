// npm run bench: prints how long the core takes here, with the targets beside it. Figures, not tests.
import { performance } from 'node:perf_hooks';
import { assemble } from '@/core/measure/assemble';
import { finish } from '@/core/finish';
import { predictBands } from '@/core/height/band';
import { predictCentral } from '@/core/height/predict';
import { PackSolver } from '@/core/leafpack/solve';
import { nestedCurvatures, type Pack } from '@/core/leafpack/pack';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { uniformFrom } from '@/workers/random';
import { flatbedSheet } from '../tests/reference/sheets';

const thicknesses = Array.from({ length: 8 }, () => 8);
const curvatures = nestedCurvatures(1 / 1700, thicknesses);
const pack: Pack = {
  leaves: thicknesses.map((thickness, i) => ({
    front: 660 * (1 - i / 9),
    rear: 690 * (1 - i / 9),
    width: 70,
    thickness,
    curvature: curvatures[i]!,
  })),
  clamp: { kind: 'seat', length: 90, shape: 'flat' },
  youngs: SPRING_STEEL_E,
  eyeOffset: { front: 24, rear: 24 },
  friction: 0.3,
};

/** Median time of `repeat` runs, ms. */
function median(repeat: number, run: (k: number) => void): number {
  const times = Array.from({ length: repeat }, (_, k) => {
    const since = performance.now();
    run(k);
    return performance.now() - since;
  });
  return times.sort((a, b) => a - b)[Math.floor(repeat / 2)]!;
}

const rows: { what: string; ms: number; target: number }[] = [];
const solver = new PackSolver(pack);
let shape = solver.onRollers(8000);
rows.push({
  what: 'one equilibrium, 8 leaves, warm',
  ms: median(60, (k) => {
    shape = solver.onRollers(8000 + 40 * (k % 7), shape);
  }),
  target: 5,
});
rows.push({
  what: '41-point load curve, 8 leaves',
  ms: median(9, () => {
    const fresh = new PackSolver(pack);
    let last = fresh.onRollers(0);
    for (let k = 1; k < 41; k++) last = fresh.onRollers(k * 500, last);
  }),
  target: 60,
});
const { input } = assemble(flatbedSheet());
let prediction = finish(predictCentral(input));
rows.push({
  what: 'first answer with ledger, bands and ranking, 6 + 1 leaves, both sides',
  ms: median(3, () => {
    prediction = finish(predictCentral(input));
  }),
  target: NaN,
});
const samples = 200;
const drawn = median(1, () => finish(predictBands(input, prediction, uniformFrom(1), samples)));
rows.push({ what: '2,000-sample Monte Carlo, one side (scaled from 200 on both)', ms: (drawn * 10) / 2, target: 4000 });
for (const { what, ms, target } of rows) {
  const beside = Number.isNaN(target) ? '' : `   target ${target} ms, ratio ${(ms / target).toFixed(2)}`;
  console.log(`${ms.toFixed(1).padStart(9)} ms  ${what}${beside}`);
}
