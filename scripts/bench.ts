// npm run bench: prints how long the core takes here, with the targets beside it, and how that grows. Figures, not tests.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { finish } from '@/core/finish';
import { bandsOfAxle, predictAxle } from '@/core/suspension/solvers';
import { fitSpring } from '@/core/suspension/longitudinalLeaf/fit';
import { COARSE, FINE } from '@/core/mechanics/leafpack/half';
import { PackSolver, type Fineness } from '@/core/mechanics/leafpack/solve';
import { nestedCurvatures, type Pack } from '@/core/mechanics/leafpack/pack';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { limitersOfBoth, NO_FITTINGS } from '@/core/travel/limits';
import { hubDrop } from '@/core/travel/hubTravel';
import { travelRowsOf, worseSide } from '@/core/travel/travelRows';
import { stockPartOf } from '@/contracts/stock';
import { candidatesFor } from '@/core/selection/generate';
import { NO_LIMITS } from '@/core/selection/parts';
import { search } from '@/core/selection/search';
import { solveFrom, type SpringCase } from '@/core/springCase/springCase';
import { uniformFrom } from '@/workers/random';
import { demoParts } from '../demo/shelf';
import { CASES } from '../tests/reference/fem/cases';
import { type FemResults } from '../tests/reference/fem/results';
import { flatbedSheet } from '../tests/reference/sheets';

function packOf(leaves: number, added?: { half: number; curvature: number }): Pack {
  const thicknesses = Array.from({ length: leaves }, () => 8);
  const curvatures = nestedCurvatures(1 / 1700, thicknesses);
  const graduated = thicknesses.map((thickness, i) => ({
    front: 660 * (1 - i / (leaves + 1)),
    rear: 690 * (1 - i / (leaves + 1)),
    width: 70,
    thickness,
    curvature: curvatures[i]!,
  }));
  if (added) {
    const leaf = { front: added.half, rear: added.half, width: 70, thickness: 8, curvature: added.curvature };
    graduated.splice(graduated.findLastIndex((l) => l.front >= added.half) + 1, 0, leaf);
  }
  return {
    leaves: graduated,
    clamp: { kind: 'seat', length: 90, shape: 'flat' },
    youngs: SPRING_STEEL_E,
    eyeOffset: { front: 24, rear: 24 },
    friction: 0.3,
  };
}

/** Median time of `repeat` runs, ms. */
function median(repeat: number, run: (k: number) => void): number {
  const times = Array.from({ length: repeat }, (_, k) => {
    const since = performance.now();
    run(k);
    return performance.now() - since;
  });
  return times.sort((a, b) => a - b)[Math.floor(repeat / 2)]!;
}

function print(what: string, ms: number, target?: number): void {
  const beside = target === undefined ? '' : `   target ${target} ms, ratio ${(ms / target).toFixed(2)}`;
  console.log(`${ms.toFixed(1).padStart(9)} ms  ${what}${beside}`);
}

const warm = (pack: Pack, fineness?: Fineness): number => {
  const solver = new PackSolver(pack, undefined, fineness);
  let shape = solver.onRollers(8000);
  return median(120, (k) => {
    shape = solver.onRollers(8000 + 40 * (k % 7), shape);
  });
};
const curve = (pack: Pack, points: number): number =>
  median(15, () => {
    const fresh = new PackSolver(pack);
    let last = fresh.onRollers(0);
    for (let k = 1; k < points; k++) last = fresh.onRollers((k * 20_000) / (points - 1), last);
  });

const eight = packOf(8);
print('one equilibrium, 8 leaves, warm', warm(eight), 5);
print('41-point load curve, 8 leaves, from nothing', curve(eight, 41), 25);

const { input } = assemble(flatbedSheet());
const toHeights = () => {
  const work = predictAxle(input);
  for (let step = work.next(); !step.done; step = work.next()) if (step.value) return;
};
const answer = median(5, toHeights);
print('first answer with ledger, bands and ranking, 6 + 1 leaves, both sides', answer, 250);
print(
  '  with its curves of 15 loads',
  median(5, () => void finish(predictAxle(input))),
);
const bandOf = (given: typeof input, seed: number) =>
  finish(bandsOfAxle(given, finish(predictAxle(given, false)), uniformFrom(seed), 20_000)).left![0]!.half;
print(
  'bands of both sides, all states, 20,000 outcomes',
  median(5, (k) => void bandOf(input, k)),
  150,
);
const unseen = assemble({ ...flatbedSheet(), pack: { ...flatbedSheet().pack, seatShape: 'unknown' } }).input;
print(
  '  the same where nobody saw the seat (three branches)',
  median(3, (k) => void bandOf(unseen, k)),
);
const halves = [1, 2, 3, 4, 5, 6].map((seed) => bandOf(input, seed));
console.log(
  `          half-width over six seeds ${Math.min(...halves).toFixed(2)} to ${Math.max(...halves).toFixed(2)} mm`,
);

const builds = 1000;
const ranked = median(1, () => {
  let solver: PackSolver | undefined;
  const found = Array.from({ length: builds }, (_, k) => {
    const build = packOf(6, { half: 330 + (k % 40) * 7, curvature: 1 / (900 + 14 * Math.floor(k / 40)) });
    const rough = { settled: 1e-3, divisions: COARSE };
    if (!solver?.retune(build)) solver = new PackSolver(build, solver, rough);
    return { k, arch: solver.onRollers(6000).arch };
  });
  found.sort((a, b) => b.arch - a.arch);
});
print(`5,000 builds with one leaf more, by arch at one load (scaled from ${builds})`, (ranked * 5000) / builds, 10_000);

const { input: standing } = assemble(flatbedSheet([]));
const suiting = { width: 70, front: 670, rear: 710, steered: false, arrangement: 'over' as const };
// A shelf four times as full as the demo's, so that there are 5,000 ways.
const stock = [0, 1, 2, 3].flatMap((k) => demoParts((n) => `${k}-${n}`).map(stockPartOf));
const ways = candidatesFor(standing, stock, suiting, NO_LIMITS, 5000);
let answered = 0;
const searched = median(1, () => {
  const since = performance.now();
  const work = search(standing, ways, { stateId: 'laden', change: 40 }, NO_LIMITS, 40);
  for (let step = work.next(); !step.done; step = work.next())
    if (answered === 0 && step.value.done === ways.length) answered = performance.now() - since;
});
print(`${ways.length} candidates looked at, both sides, the nearest 80 solved exactly in every state`, searched, 2000);
print('  of it the first look at all of them', answered, 300);

const case5 = (k: number): SpringCase => ({
  format: 'spring-case/1',
  material: { E: SPRING_STEEL_E },
  leaves: [0, 1, 2, 3, 4].map((i) => ({
    ...{ front: (600 + (k % 97)) * (1 - i / 6), rear: (640 + (k % 53)) * (1 - i / 6) },
    ...{ width: 65, thickness: 8, freeRadius: 1500 + 10 * (k % 31) },
  })),
  ...{ clamp: { kind: 'seat', length: 90, shape: 'flat' }, ends: { kind: 'rollers' } },
  ...{ friction: 0.3, loads: [5000 + (k % 700)] },
});
let kept: PackSolver | undefined;
print(
  'one case of five leaves at one load, of many like it (a thread of `solve`)',
  median(300, (k) => {
    ({ solver: kept } = solveFrom(case5(k), kept));
  }),
  1,
);

const fitted = median(5, () => {
  fitSpring({
    pack: { ...eight, leaves: eight.leaves },
    seat: { length: 130, shape: 'flat' },
    hold: { length: 105, angle: 1.7 },
    inactive: { value: 0.67, half90: 0.25 },
    friction: { value: 0.3, half90: 0.15 },
    rateHalf90: 0.08,
    loads: [
      { value: 6000, half90: 200 },
      { value: 9000, half90: 300 },
    ],
    readings: [
      { kind: 'loadedArch', value: 70, half90: 3, load: 0 },
      { kind: 'loadedArch', value: 38, half90: 3, load: 1 },
    ],
  });
});
print('one spring fitted to two arches under two loads, 8 leaves', fitted);

console.log('\ngrowth, warm equilibrium:');
for (const leaves of [1, 2, 4, 8, 12]) print(`  ${leaves} leaves`, warm(packOf(leaves)));
for (const divisions of [6, 12, FINE, 48])
  print(`  8 leaves, ${divisions} elements`, warm(eight, { settled: 1e-5, divisions }));
for (const points of [11, 41, 161]) print(`  curve of ${points} points`, curve(eight, points));

const { program, cases } = JSON.parse(
  readFileSync(join(process.cwd(), 'tests/reference/fem/results.json'), 'utf8'),
) as FemResults;
console.log(`\nbeside the finite-element program, same packs and loads (${program}; its times as stored):`);
for (const fem of CASES) {
  const stored = cases[fem.name];
  if (!stored) continue;
  const ms = median(3, () => {
    const solver = new PackSolver({ ...eight, leaves: fem.leaves, clamp: fem.clamp, eyeOffset: { front: 0, rear: 0 } });
    let last;
    for (const load of fem.loads) last = solver.onRollers(load, last);
  });
  print(`  ${fem.name}: ${((1000 * stored.seconds) / ms).toFixed(0)} times faster than ${stored.seconds} s`, ms);
}

// Everything that ends the travel of both sides, judged at 41 places of the hub: twelve limiters, ten rows.
const READ = {
  ...{ stopGap: 52, stopHeight: 46, shockLength: 447, shockShut: 366, shockOpen: 552, shockLean: 0.28 },
  ...{ axleToFrame: 128, tyreToArch: 117 },
};
print(
  'travel of both sides, 12 limiters at 41 places',
  median(50, () => {
    for (let k = 0; k < 41; k++) {
      limitersOfBoth({ left: READ, right: READ }, NO_FITTINGS);
      const at = hubDrop(4 * k - 80);
      worseSide(travelRowsOf('left', READ, at, NO_FITTINGS), travelRowsOf('right', READ, at, NO_FITTINGS));
    }
  }),
  150,
);
print(
  'a whole answer, with its curves and where the springs themselves end the travel',
  median(5, () => {
    const work = predictAxle(input, false);
    while (work.next().done !== true);
  }),
);
