import { type KindId } from '@/core/suspension/registry';
import { type ChangeKind, type ChangeRow } from './plan';
import { takes } from './planKinds';
import { changeText } from './planText';

/** How many of it one axle takes, both sides; of what two axles share, half. What is work and no part stands at 0. */
const WANTED: Record<ChangeKind, number> = {
  ...{ addLeaf: 2, removeLeaf: 0, pack: 2, rearch: 0, eyes: 2, block: 2, wedge: 2, shackle: 2, overAxle: 2 },
  ...{ coil: 2, spacer: 2, springs: 2, rocker: 1, slipper: 2, riser: 3, hitch: 0 },
  ...{ perch: 0, pivotBush: 2, eyeBush: 4 },
  ...{ axleWidth: 1 },
  ...{ helper: 2, swayLinks: 2, wrapBar: 1 },
  ...{ shearBlock: 2, blockHoles: 0 },
  ...{ crossSpring: 1, spindles: 2, dropAxle: 1 },
  ...{ stopPad: 2, stopCut: 0, shocks: 2, ubolts: 4, line: 1 },
};

/** What is easily fitted wrong, said where it is bought. Common practice. */
const ALIKE: Partial<Record<ChangeKind, string>> = {
  stopPad: ', both sides alike, tab the way the old one lay',
  shocks: ', as a pair',
  shearBlock: ', both sides alike',
  axleWidth: ', with shafts, seals, brake pipes and cables of its length',
  spindles: ', left and right, each with its own arm',
};

/** What one change takes, to buy or to make, for both sides; null for what is work or taken out. */
export function plannedPart(kind: KindId, change: ChangeRow): { what: string; wanted: number } | null {
  // Whose springs are changed all at once stands on two axles.
  const axles = takes(kind, 'springs') ? 2 : 1;
  const there =
    ('height' in change && change.height === 0) || (change.kind === 'helper' && change.fitted !== undefined);
  // Three on each side where both eyes and the shackle get new ones.
  const more = change.kind === 'eyeBush' && change.ends === 'all' ? 2 : 0;
  const wanted = there ? 0 : axles * (WANTED[change.kind] + more);
  return wanted === 0 ? null : { what: `${changeText(change)}${ALIKE[change.kind] ?? ''}`.slice(0, 120), wanted };
}

/** What a plan takes. */
export const planParts = (kind: KindId, changes: readonly ChangeRow[]): { what: string; wanted: number }[] =>
  changes.flatMap((change) => plannedPart(kind, change) ?? []);
