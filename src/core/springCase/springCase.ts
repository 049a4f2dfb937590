import { CoreError, requireNumber } from '../errors';
import { type Clamp, type Pack } from '../mechanics/leafpack/pack';
import { PackSolver, rateOnRollers, rollerForces, type PackShape } from '../mechanics/leafpack/solve';
import { installedRate, solveInstalled, type InstalledState } from '../mechanics/linkage/installed';
import { CORE_VERSION } from '../version';

/** The open headless format `spring-case/1`: lengths mm, forces N, stress MPa, angles degrees. See docs/formats.md. */
export interface SpringCase {
  format: 'spring-case/1';
  material: { E: number };
  leaves: { front: number; rear: number; width: number; thickness: number; freeRadius: number | null }[];
  clamp: Clamp;
  ends:
    | { kind: 'rollers' }
    | { kind: 'shackle'; frontEye: [number, number]; shacklePivot: [number, number]; shackleLength: number };
  eyeOffset?: { front: number; rear: number } | undefined;
  friction: number;
  loads: number[];
}

export interface SpringStateAnswer {
  load: number;
  arch: number;
  eyeDistance: number;
  seatHeight: number | null;
  seatTilt: number;
  shackleAngle: number | null;
  rate: number;
  peakBendingStress: number[];
  frictionHalfBand: number;
}

export interface SpringAnswer {
  format: 'spring-answer/1';
  coreVersion: string;
  states: (SpringStateAnswer | { load: number; error: 'no-equilibrium' | 'no-convergence' })[];
}

const degrees = (rad: number): number => (rad * 180) / Math.PI;

/** @throws CoreError `bad-input` naming the field */
export function packOfCase(given: SpringCase): Pack {
  return {
    leaves: given.leaves.map((leaf, i) => {
      if (leaf.freeRadius !== null) {
        requireNumber(`leaves[${i}].freeRadius`, Math.abs(leaf.freeRadius), 100, 1e9);
      }
      return { ...leaf, curvature: leaf.freeRadius === null ? 0 : 1 / leaf.freeRadius };
    }),
    clamp: given.clamp,
    youngs: given.material.E,
    eyeOffset: given.eyeOffset ?? { front: 0, rear: 0 },
    friction: given.friction,
  };
}

/**
 * Solves every load of a case; a state without equilibrium is named, never returned as numbers.
 * @param spent a solver of nearly the same pack, taken over where its make-up is the same (speed only): it must not be used any more
 * @throws CoreError `bad-input` naming the field
 */
export function solveFrom(given: SpringCase, spent?: PackSolver): { answer: SpringAnswer; solver: PackSolver } {
  const pack = packOfCase(given);
  const solver = spent?.retune(pack) ? spent : new PackSolver(pack);
  let onRollers: PackShape | undefined;
  let installed: InstalledState | undefined;
  const states = given.loads.map((load, i): SpringAnswer['states'][number] => {
    requireNumber(`loads[${i}]`, load, -1e6, 1e6);
    try {
      if (given.ends.kind === 'rollers') {
        onRollers = solver.onRollers(load, onRollers);
        const rate = rateOnRollers(solver, load, onRollers);
        return {
          load,
          arch: onRollers.arch,
          eyeDistance: onRollers.eyeDistance,
          seatHeight: null,
          seatTilt: degrees(onRollers.seatTilt),
          shackleAngle: null,
          rate,
          peakBendingStress: solver.peakStress(rollerForces(load, onRollers), onRollers),
          frictionHalfBand: solver.frictionHalfBand(rollerForces(load, onRollers), onRollers, rate),
        };
      }
      const { frontEye, shacklePivot, shackleLength } = given.ends;
      const linkage = {
        kind: 'shackle' as const,
        eye: 'below' as const,
        pivot: { x: shacklePivot[0] - frontEye[0], y: shacklePivot[1] - frontEye[1] },
        length: shackleLength,
      };
      requireNumber('ends.shackleLength', shackleLength, 10, 1000);
      installed = solveInstalled(solver, linkage, load, installed?.shape);
      const rate = installedRate(solver, linkage, load, installed);
      return {
        load,
        arch: installed.shape.arch,
        eyeDistance: installed.shape.eyeDistance,
        seatHeight: installed.seat.y + frontEye[1],
        seatTilt: degrees(installed.seatTilt),
        shackleAngle: installed.shackleAngle === null ? null : degrees(installed.shackleAngle),
        rate,
        peakBendingStress: solver.peakStress(installed.forces, installed.shape),
        frictionHalfBand: solver.frictionHalfBand(installed.forces, installed.shape, rate),
      };
    } catch (error) {
      if (error instanceof CoreError && error.code !== 'bad-input') {
        onRollers = undefined;
        installed = undefined;
        return { load, error: error.code };
      }
      throw error;
    }
  });
  return { answer: { format: 'spring-answer/1', coreVersion: CORE_VERSION, states }, solver };
}

/** The same, from nothing. @throws CoreError `bad-input` naming the field */
export const solveCase = (given: SpringCase): SpringAnswer => solveFrom(given).answer;
