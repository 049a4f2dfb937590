import { draw } from '../../estimate/tree';
import { central } from '../../prediction/lines';
import { bestFirst, boughtFor, meanStates, solvedSides, type SolvedWay, type WayPart } from '../../prediction/ways';
import { SIDES } from '../../vehicle/side';
import { type Verdict } from '../../verdict';
import { planned, type PlannedShearChange } from './assemble';
import { shearChecks, type ShearCheck } from './checks';
import { type ShearAxleInput } from './input';
import { ShearSideModel } from './sideModel';
import { standingOf } from './standing';
import { taughtShear } from './taught';

/** A block of the shelf; mm and N/mm. */
export interface ShearPart extends WayPart {
  rate: number | null;
  thick: number | null;
  offset: number | null;
  rows: number | null;
}

/** One way to another height: a pair of blocks of the shelf, with the carrier in its row or in the next one. */
export interface ShearWay extends SolvedWay {
  parts: ShearPart[];
  changes: PlannedShearChange[];
  states: { id: string; change: number; rate: number; rateBefore: number; strain: number }[];
  checks: Verdict<ShearCheck>[];
}

/** Rows of holes further apart than this do not take the old bolts, mm. */
const SUITS = 1;
/** Why a block is never offered for this axle; null when it may be. @param rows of the block that is there, mm; null where nobody read them */
export function shearRefusal(part: ShearPart, rows: number | null): string | null {
  if (part.rate === null || part.thick === null) return 'its rate or its rubber is not known';
  if (part.offset === null) return 'its free offset is not known';
  if (rows !== null && part.rows !== null && Math.abs(part.rows - rows) > SUITS)
    return 'its holes are not those of this carrier';
  return null;
}

const changeOf = (part: ShearPart): PlannedShearChange => ({
  ...{ kind: 'shearBlock', rate: part.rate!, thick: part.thick!, offset: part.offset! },
  ...{ used: part.used, source: 'catalogue' },
});
/** The carrier one row lower or higher, where the rows are known. */
const rowsOf = (rows: number | null): PlannedShearChange[] =>
  rows === null ? [] : [rows, -rows].map((by) => ({ kind: 'blockHoles', by }));
const rowText = (by: number): string => `carrier a row ${by > 0 ? 'lower' : 'higher'} on its block`;

/**
 * Blocks of what the shelf holds and the carrier in another row of holes, alone and together, solved in every load state; what no check forbids first,
 * then nearest to the wish. @param wanted the frame this much higher in that state, mm @param rows of holes apart, mm; null where nobody read them
 */
export function shearWays(
  input: ShearAxleInput,
  parts: readonly ShearPart[],
  wanted: { stateId: string; change: number },
  rows: number | null,
): ShearWay[] {
  const sides = SIDES.filter((side) => input.sides[side].spring !== null);
  if (sides.length === 0) return [];
  const fit = parts.filter((part) => shearRefusal(part, rows) === null);
  const moved = rowsOf(rows);
  const sets = [
    ...fit.map((part) => ({ parts: [part], changes: [changeOf(part)] })),
    ...moved.map((change) => ({ parts: [], changes: [change] })),
    ...fit.flatMap((part) => moved.map((change) => ({ parts: [part], changes: [changeOf(part), change] }))),
  ];
  const wayOf = ({ parts: bought, changes }: (typeof sets)[number]): ShearWay | undefined => {
    const solved = solvedSides(() =>
      sides.map((side) => {
        const drawn = draw({ ...taughtShear(input, side).input, changes: changes.map(planned) }, central);
        return { drawn, model: new ShearSideModel(drawn, side) };
      }),
    );
    if (!solved) return undefined;
    const states = meanStates(input.states, solved).map((state, k) => ({
      ...state,
      strain: Math.max(...solved.map((side) => Math.abs(side[k]!.built.strain))),
    }));
    const there = states.find((s) => s.id === wanted.stateId) ?? states[0]!;
    const row = changes.find((c) => c.kind === 'blockHoles');
    return {
      id: [...bought.map((p) => p.id), ...(row ? [`row${row.by}`] : [])].join('+'),
      name: [...bought.map((p) => p.name), ...(row ? [rowText(row.by)] : [])].join(', '),
      ...{ parts: bought, changes, states },
      off: there.change - wanted.change,
      checks: shearChecks(
        bought.length > 0,
        solved.flatMap((side) => side.map(({ old, built }) => standingOf(old, built))),
      ),
      // One a side.
      ...boughtFor(
        bought,
        bought.map(() => 2),
      ),
    };
  };
  return sets.flatMap((set) => wayOf(set) ?? []).toSorted(bestFirst);
}
