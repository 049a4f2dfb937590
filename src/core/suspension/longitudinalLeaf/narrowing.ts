import { estimatesOf } from '../../estimate/tree';
import { type LeafAxleInput } from './input';
import { type Contribution } from '../../prediction/sensitivity';
import { ASSUMED } from './assumed';
import { leafPointOf, type LeafPoint } from './points';
import { readingAt } from '../../sheet/reading';
import { type PlannedChange, type Sheet } from './sheet';

/** Which reading would replace an assumed input; inputs that no tape reaches have none. */
export const POINT_OF: Record<string, LeafPoint> = {
  'shackle.length': 'shackleLength',
  'shackle.angle': 'shackleAngle',
  tubeDiameter: 'tubeDiameter',
  perch: 'perchHeight',
  'pack.eyeOffset': 'eyeBore',
  block: 'blockHeight',
  'sides.left.spring.load': 'padLoad',
  'sides.right.spring.load': 'padLoad',
  'sides.left.spring.archTop': 'loadedArch',
  'sides.right.spring.archTop': 'loadedArch',
};

/** An input that was not read, and what that does to a predicted height. */
export interface Assumption {
  path: string;
  /** The reading that would replace it; null where none can. */
  point: LeafPoint | null;
  /** Effect of its own 90 % half-width on the height, mm. */
  effect: number;
  /** By how much the height's 90 % half-width would shrink were it read, mm; 0 where it cannot be. */
  narrows: number;
}

/**
 * Assumed inputs ranked by what they do to a height. Squares add up in a band of independent errors, so a reading that
 * shrinks one effect from e to e·m/a takes H − √(H² − e²(1 − m²/a²)) off the whole half-width H.
 * @param contributions of the height, as a prediction ranks them @param half its first-order half-width H, mm
 */
export function rankAssumptions(
  input: LeafAxleInput,
  contributions: readonly Contribution[],
  half: number,
): Assumption[] {
  const widths = new Map(estimatesOf(input).map(({ path, estimate }) => [path, estimate.half90]));
  return contributions
    .filter((c) => c.origin === 'assumed' && c.effect > 0)
    .map(({ path, effect }) => {
      const point = POINT_OF[path] ?? null;
      const assumed = widths.get(path) ?? 0;
      const measured = point ? readHalf(point, path, input) : assumed;
      const left = assumed > 0 ? Math.min(1, measured / assumed) : 1;
      const narrows = half - Math.sqrt(Math.max(0, half * half - effect * effect * (1 - left * left)));
      return { path, point, effect, narrows: point ? narrows : 0 };
    })
    .toSorted((p, q) => q.effect - p.effect);
}

/** Half-width of an input once its point is read. */
function readHalf(point: LeafPoint, path: string, input: LeafAxleInput): number {
  if (point === 'eyeBore') return leafPointOf(point).half90 / 2;
  if (point !== 'padLoad') return leafPointOf(point).half90;
  const load = path.includes('.left.') ? input.sides.left.spring?.load : input.sides.right.spring?.load;
  return (load?.value ?? 0) * ASSUMED.padShare;
}

/**
 * A leaf to try when nothing is planned yet: one more like the second leaf (or the main leaf of a single-leaf pack), nested.
 * For ranking what was not read; never shown as a plan. Undefined while the pack is not measured.
 */
export function trialLeaf(sheet: Sheet): PlannedChange | undefined {
  const [main, second] = sheet.leafIds;
  const at = (point: LeafPoint, leafId: string | null = null) => readingAt(sheet, { point, leafId })?.value;
  const thickness = at('leafThickness', second ?? main ?? null);
  const eyes = { front: at('eyeToPinFront'), rear: at('eyeToPinRear') };
  const front = second ? at('leafFront', second) : eyes.front;
  const rear = second ? at('leafRear', second) : eyes.rear;
  const arch = readingAt(sheet, { point: 'loadedArch', side: 'left', stateId: sheet.states[0]?.id ?? null })?.value;
  if (thickness === undefined || front === undefined || rear === undefined || !eyes.front || !eyes.rear)
    return undefined;
  // Free arch of the pack is taken as its loaded arch and a tenth of its half length: only the ranking hangs on it.
  const free = (arch ?? 60) + 0.1 * (eyes.front + eyes.rear) * 0.5;
  const share = (front + rear) / (eyes.front + eyes.rear);
  return { kind: 'addLeaf', front, rear, thickness, camber: free * share * share, source: 'measured' };
}
