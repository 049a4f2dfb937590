import { handbookEstimate } from '../../mechanics/leafpack/handbook';
import { clampHalf } from '../../mechanics/leafpack/pack';
import { type PackSolver } from '../../mechanics/leafpack/solve';
import { type ChangeLine } from '../kind';
import { changesPack, changesThickness, moveOf, thicknessRise } from './built';
import { LINE } from './lines';
import { type DrawnInput } from './input';
import { type LeafSideModel } from './sideModel';

/** What a prediction of a leaf spring says beside the model. */
export interface LeafBeside {
  /** Handbook estimate of the same change; null without a spring. `change` is null where the rule has nothing on what is planned. */
  handbook: { rateBefore: number; rateAfter: number; change: number | null } | null;
  /** Assembled arch on the bench without load, bolted only at the seat, mm. */
  assembled: { before: number; after: number } | null;
}

/** Handbook estimate and assembled arch of the same packs. */
export function besideModel(drawn: DrawnInput, model: LeafSideModel, lines: readonly ChangeLine[]): LeafBeside {
  const before = model.state([], 0).spring;
  const after = model.state(drawn.changes, 0).spring;
  if (!before || !after) return { handbook: null, assembled: null };
  const estimate = (solver: PackSolver) =>
    handbookEstimate(solver.pack.leaves, clampHalf(solver.pack.clamp), solver.pack.youngs);
  const old = estimate(before.solver);
  const built = estimate(after.solver);
  const load = before.load;
  const archChange = built.freeArch - load / built.rate - (old.freeArch - load / old.rate);
  const move = moveOf(drawn.changes);
  const stack = drawn.changes.reduce((sum, change) => {
    if (changesThickness(change)) return sum + thicknessRise(drawn, change, move);
    if (changesPack(change)) return sum;
    const line = lines.find((l) => l.kind === LINE[change.kind].kind);
    return sum + (line?.value ?? 0);
  }, 0);
  const otherPack = drawn.changes.some(changesPack);
  // The rule knows leaves and loads: of the eyes' form, and of a break made good, it says nothing.
  const silent = drawn.changes.some((c) => c.kind === 'eyes' || c.kind === 'mendLeaf');
  const change = silent ? null : stack + (otherPack ? archChange : 0);
  return {
    handbook: { rateBefore: old.rate, rateAfter: built.rate, change },
    assembled: { before: before.solver.onRollers(0).arch, after: after.solver.onRollers(0).arch },
  };
}
