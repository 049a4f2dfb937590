import { CoreError } from '../../errors';
import { type ChangeLine, type Rising } from '../kind';
import { moveOf, thicknessRise } from './built';
import { type DrawnChange, type DrawnInput } from './input';

/** What a change is called in the ledger of a leaf spring. */
export const LEAF_LINES = [
  'mendLeaf',
  'leafThickness',
  'leafArch',
  'removeLeaf',
  'pack',
  'rearch',
  'eyes',
  'block',
  'wedge',
  'shackle',
  'overAxle',
  'helper',
] as const;
export type LeafLine = (typeof LEAF_LINES)[number];

export const LINE: Record<DrawnChange['kind'], { kind: LeafLine; label: string; thickness?: string }> = {
  mendLeaf: { kind: 'mendLeaf', label: 'broken leaf made good' },
  addLeaf: { kind: 'leafArch', label: 'added leaf, arch', thickness: 'added leaf, thickness' },
  removeLeaf: { kind: 'removeLeaf', label: 'leaf taken out, arch', thickness: 'leaf taken out, thickness' },
  pack: { kind: 'pack', label: 'other pack, arch and eyes', thickness: 'other pack, thickness' },
  rearch: { kind: 'rearch', label: 're-arched' },
  eyes: { kind: 'eyes', label: 'eye form' },
  block: { kind: 'block', label: 'block' },
  wedge: { kind: 'wedge', label: 'wedge' },
  shackle: { kind: 'shackle', label: 'shackle' },
  overAxle: { kind: 'overAxle', label: 'spring over the axle' },
  helper: { kind: 'helper', label: 'helper springs' },
};
const HELPER_OFF: (typeof LINE)[DrawnChange['kind']] = { kind: 'helper', label: 'helper springs off' };

/**
 * Every change alone on the measured base, mm; with a move over the axle, on the moved spring. Leaf thickness in the stack is a line
 * of its own; a block that goes with a move stands in the move's line. What cannot stand alone but does with the rest of the plan is
 * counted as the last of it.
 */
export function leafLines(drawn: DrawnInput, model: Rising<DrawnChange>): ChangeLine<LeafLine>[] {
  const base = model.rise([], 0);
  const move = moveOf(drawn.changes);
  const moved = move.length > 0 ? model.rise(move, 0) : base;
  const alone = (change: DrawnChange): { value: number; last: boolean } => {
    if (move.includes(change)) return { value: moved - base, last: false };
    try {
      return { value: model.rise([...move, change], 0) - moved, last: false };
    } catch (error) {
      if (!(error instanceof CoreError) || drawn.changes.length === 1) throw error;
      const rest = drawn.changes.filter((c) => c !== change);
      return { value: model.rise(drawn.changes, 0) - model.rise(rest, 0), last: true };
    }
  };
  return drawn.changes.flatMap((change): ChangeLine<LeafLine>[] => {
    if (move.length > 0 && change.kind === 'block') return [];
    if (change.kind === 'helper' && change.fitted === 'stays') return [];
    const line = change.kind === 'helper' && change.fitted === 'off' ? HELPER_OFF : LINE[change.kind];
    const thickness = thicknessRise(drawn, change, move);
    const { value, last } = alone(change);
    const how = last ? ', after the others' : change.kind === 'overAxle' && move.length > 1 ? ', with its block' : '';
    return [
      ...(line.thickness ? [{ kind: 'leafThickness' as const, label: line.thickness, value: thickness }] : []),
      { kind: line.kind, label: line.label + how, value: value - thickness },
    ];
  });
}
