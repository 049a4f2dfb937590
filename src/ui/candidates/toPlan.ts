import { type ChangeOf } from '@/contracts/planKinds';
import { type Candidate } from '@/core/selection/generate';
import { type StockPart } from '@/core/selection/parts';

const text = (mm: number): string => `${Number(mm.toFixed(1))} mm`;

/** A candidate as the lines of a plan: every figure with its text, every part by its name. */
export function planOf(candidate: Candidate, parts: readonly StockPart[]): ChangeOf<'longitudinalLeaf'>[] {
  return candidate.changes.flatMap((change, k): ChangeOf<'longitudinalLeaf'>[] => {
    const part = parts.find((p) => p.id === candidate.sources[k]);
    // What the shelf says stays the shelf's word until somebody measures the part in hand.
    const source = 'catalogue';
    const from = part ? { partId: part.id, partName: part.name.slice(0, 160) } : {};
    switch (change.kind) {
      case 'addLeaf': {
        const { front, rear, thickness, camber } = change;
        return [
          {
            kind: 'addLeaf',
            front: front.value,
            frontTyped: text(front.value),
            rear: rear.value,
            rearTyped: text(rear.value),
            thickness: thickness.value,
            thicknessTyped: text(thickness.value),
            camber: camber.value,
            camberTyped: text(camber.value),
            ...(camber.origin === 'assumed' && { camberKnown: false }),
            source,
            ...from,
          },
        ];
      }
      case 'removeLeaf':
        return [{ kind: 'removeLeaf', leaf: change.leaf + 1, leafTyped: String(change.leaf + 1) }];
      case 'pack':
        return [
          {
            kind: 'pack',
            leaves: change.leaves.map((leaf) => ({
              front: leaf.front.value,
              rear: leaf.rear.value,
              thickness: leaf.thickness.value,
              camber: leaf.camber.value,
              camberKnown: leaf.camber.origin !== 'assumed',
            })),
            width: change.width.value,
            form: part?.form ?? null,
            bore: part?.eyeBore ?? null,
            used: change.used,
            source,
            ...(change.byFreeArch && { byFreeArch: true }),
            ...from,
          },
        ];
      case 'rearch':
        return [{ kind: 'rearch', camber: change.camber.value, camberTyped: text(change.camber.value) }];
      case 'eyes':
        return [{ kind: 'eyes', form: change.form }];
      case 'block':
        return [{ kind: 'block', height: change.height.value, heightTyped: text(change.height.value), ...from }];
      case 'wedge': {
        const { angle, height, thick } = change;
        const angleTyped = `${Number(((angle.value * 180) / Math.PI).toFixed(2))} deg`;
        const figures = { angle: angle.value, angleTyped, height: height.value, heightTyped: text(height.value) };
        return [{ kind: 'wedge', ...figures, thick, ...from }];
      }
      case 'shackle':
        return [{ kind: 'shackle', length: change.length.value, lengthTyped: text(change.length.value), ...from }];
      case 'overAxle':
        return [{ kind: 'overAxle', height: change.perch.value, heightTyped: text(change.perch.value) }];
      // Neither is ever among what a search makes up.
      case 'mendLeaf':
      case 'helper':
        return [];
    }
  });
}
