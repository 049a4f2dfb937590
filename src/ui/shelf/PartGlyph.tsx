import { type ShelfItem } from '@/contracts/shelf';
import { valueOf } from './partText';

/** Pixels per millimetre of every glyph in a list, so that parts compare at a glance. */
const PER_MM = 0.085;
export const GLYPH_WIDTH = 130;
const HEIGHT = 40;

/** A part in the list, drawn to one scale with all the others: leaves on their pin, blocks and shackles as their outline. */
export function PartGlyph({ item }: { item: ShelfItem }) {
  const shape = item.leaves.length > 0 ? leavesPath(item.leaves) : outline(item);
  if (!shape) return null;
  return (
    <svg
      className="part-glyph"
      width={GLYPH_WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${GLYPH_WIDTH} ${HEIGHT}`}
      aria-hidden="true"
    >
      <path d={shape} fill="none" stroke="var(--ink)" strokeWidth="2" />
      {item.leaves.length > 0 ? <circle cx={GLYPH_WIDTH / 2} cy={4} r={2} fill="var(--ink)" /> : null}
    </svg>
  );
}

const middle = GLYPH_WIDTH / 2;

const leavesPath = (leaves: ShelfItem['leaves']): string => {
  const step = Math.min(6, (HEIGHT - 12) / leaves.length);
  return leaves
    .map((leaf, k) => {
      const y = (10 + k * step).toFixed(1);
      return `M${(middle - leaf.front * PER_MM).toFixed(1)} ${y}H${(middle + leaf.rear * PER_MM).toFixed(1)}`;
    })
    .join('');
};

/** Parts without leaves, from their sizes; drawn three times larger than leaves, since they are small. */
function outline(item: ShelfItem): string | null {
  const size = (id: Parameters<typeof valueOf>[1]) => (valueOf(item, id) ?? 0) * PER_MM * 3;
  const box = (width: number, height: number) => {
    const [w, h] = [Math.min(GLYPH_WIDTH - 4, width), Math.min(HEIGHT - 4, height)];
    return w > 0 && h > 0 ? `M${middle - w / 2} ${HEIGHT - 2}v${-h}h${w}v${h}z` : null;
  };
  switch (item.kind) {
    case 'block':
      return box(size('length'), size('height'));
    case 'stop':
      return box(size('width'), size('freeLength'));
    case 'bush':
      return box(size('length'), size('outside'));
    case 'shackle': {
      const half = size('betweenBolts') / 2;
      return `M${middle - half} 20h${2 * half}M${middle - half - 4} 20a4 4 0 1 0 8 0a4 4 0 1 0 -8 0M${middle + half - 4} 20a4 4 0 1 0 8 0a4 4 0 1 0 -8 0`;
    }
    case 'ubolt': {
      const [w, leg] = [size('insideWidth'), Math.min(GLYPH_WIDTH - 30, size('legLength'))];
      const r = Math.min(w / 2, HEIGHT / 2 - 3);
      return `M${GLYPH_WIDTH - 6} ${20 - r}h${-leg}a${r} ${r} 0 0 0 0 ${2 * r}h${leg}`;
    }
    case 'centreBolt':
      return box(size('length'), size('thread'));
    default:
      return null;
  }
}
