import { type KindId } from '@/core/suspension/registry';
import { type ChangeKind, type ChangeRow } from './plan';

/** What the springs know nothing of, on any axle: it ends the travel elsewhere. */
export const FITTING_KINDS = [
  'stopPad',
  'stopCut',
  'shocks',
  'ubolts',
  'line',
] as const satisfies readonly ChangeKind[];
export const isFitting = (change: { kind: ChangeKind }): boolean =>
  (FITTING_KINDS as readonly ChangeKind[]).includes(change.kind);

/** What the springs know nothing of and what ends no travel: bushes, links beside them, the axle's own width. */
export const LINK_KINDS = ['eyeBush', 'swayLinks', 'wrapBar', 'axleWidth'] as const satisfies readonly ChangeKind[];
/** Links that an axle of a kind may have; another width only where springs lie on pads. */
export const linksOf = (kind: KindId): readonly ChangeKind[] =>
  kind === 'longitudinalLeaf' ? LINK_KINDS : LINK_KINDS.filter((link) => link === 'swayLinks');
/** Whether a change is of the springs themselves. */
export const isOfSprings = (change: { kind: ChangeKind }): boolean =>
  !isFitting(change) && !(LINK_KINDS as readonly ChangeKind[]).includes(change.kind);

/** What may be planned on the springs of an axle of each kind. */
export const CHANGE_KINDS = {
  longitudinalLeaf: [
    'addLeaf',
    'removeLeaf',
    'pack',
    'rearch',
    'eyes',
    'block',
    'wedge',
    'shackle',
    'overAxle',
    'helper',
  ],
  coilBeam: ['coil', 'spacer'],
  tandemEqualizer: ['springs', 'shackle', 'rocker', 'slipper', 'riser', 'overAxle', 'hitch'],
  tandemSlipper: ['springs', 'slipper', 'riser', 'overAxle', 'hitch'],
  transverseLeaf: ['crossSpring', 'spindles', 'dropAxle'],
  twinBeam: ['coil', 'spacer', 'pivotBush'],
  torsionBeam: ['coil', 'spacer', 'pivotBush'],
  coilOver: ['coil', 'spacer', 'perch'],
  rubberShear: ['shearBlock', 'blockHoles'],
} as const satisfies Record<KindId, readonly ChangeKind[]>;
export type ChangeOf<K extends KindId> = Extract<ChangeRow, { kind: (typeof CHANGE_KINDS)[K][number] }>;
/** Whether a plan on an axle of this kind may hold such a change. */
export const takes = (kind: KindId, change: ChangeRow['kind']): boolean =>
  (CHANGE_KINDS[kind] as readonly string[]).includes(change);
export const changesOfKind = <K extends KindId>(kind: K, changes: readonly ChangeRow[]): ChangeOf<K>[] =>
  changes.filter((c): c is ChangeOf<K> => (CHANGE_KINDS[kind] as readonly ChangeKind[]).includes(c.kind));
