import { CoreError } from '../errors';
import { SPRING_STEEL_E } from '../material/steel';
import { handbookEstimate } from '../mechanics/leafpack/handbook';
import { nestedCurvatures, type Pack } from '../mechanics/leafpack/pack';
import { PackSolver, rateOnRollers } from '../mechanics/leafpack/solve';
import { steppedPack } from './steppedPack';
import { type SumInput } from './sum';

/**
 * The same pack in the contact model, flat leaves on rollers under its load, N/mm: leaves press and never pull, its seat is held straight all along. null where no such
 * state exists. Coarser than a job solves it, within a few per cent.
 */
export function modelRate(given: SumInput, count: number): number | null {
  const stepped = steppedPack(given, count);
  // Leaves that touch all along when they are laid on one another, arched so that they carry the load well short of flat.
  const [load, seat] = [given.number('load'), given.number('seat')];
  const sag = load / handbookEstimate(stepped, seat / 3, SPRING_STEEL_E).rate;
  const curvature = (8 * 1.4 * sag) / (given.number('front') + given.number('rear')) ** 2;
  const nested = nestedCurvatures(
    curvature,
    stepped.map((leaf) => leaf.thickness),
  );
  const pack: Pack = {
    leaves: stepped.map((leaf, k) => ({ ...leaf, curvature: nested[k]! })),
    clamp: seat < 2 ? { kind: 'bolt' } : { kind: 'seat', length: seat, shape: 'flat' },
    ...{ youngs: SPRING_STEEL_E, eyeOffset: { front: 0, rear: 0 }, friction: 0 },
  };
  try {
    const solver = new PackSolver(pack, undefined, { settled: 1e-4, divisions: 8 });
    return rateOnRollers(solver, load, solver.onRollers(load));
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}
