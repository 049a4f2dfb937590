'use client';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type BenchLeaf, type BenchPack, type BenchStep } from '@/core/bench/benchPack';
import { useWidth } from '../drawing/useWidth';
import { ScaleBar } from '../drawing/ScaleBar';
import { fit } from '../drawing/scale';
import { useView } from '../theme/View';
import { LeafSizes, LeafStrip, type BenchScale } from './LeafStrip';

interface Props {
  pack: BenchPack;
  was: BenchPack;
  donor: BenchPack | null;
  picked: string | null;
  onPick: (leaf: string) => void;
  onStep: (step: BenchStep) => unknown;
}

/** A leaf of the other pack as it lies in this one: the same leaf, under a name of its own. */
export const takenFrom = (leaf: BenchLeaf): BenchLeaf => ({ ...leaf, id: `${leaf.id}|${crypto.randomUUID()}` });

/** Room beside a strip for its number and sizes, px. */
const BESIDE = 330;
/** On a narrower sheet the sizes stand below their strip: room for grip and number only, px. */
const NARROW = 640;
const BEFORE = 92;

/** The leaves of a pack on the pin, and the other pack's below; carried about by hand or by keys. */
export function LeafRows({ pack, was, donor, picked, onPick, onStep }: Props) {
  const [box, width] = useWidth<HTMLDivElement>(760);
  const { lengths } = useView();
  const all = [...pack.leaves, ...was.leaves, ...(donor?.leaves ?? [])];
  const front = Math.max(100, ...all.map((l) => l.front));
  const rear = Math.max(100, ...all.map((l) => l.rear));
  const strip = Math.max(140, width - (width < NARROW ? BEFORE : BESIDE));
  const perMm = (strip - 24) / (front + rear);
  const scale: BenchScale = { perMm, pin: 12 + front * perMm, width: strip };
  const s = fit({ left: -front, right: rear, top: 0, bottom: 0 }, strip, { left: 12, right: 12, top: 0, bottom: 0 });
  const old = new Set(was.leaves.map((l) => l.id));
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const place = (id: unknown) => pack.leaves.findIndex((l) => l.id === id);
  const nameOf = (id: unknown): string => {
    const at = place(id);
    if (at >= 0) return `leaf ${at + 1} of ${pack.name}`;
    const there = donor?.leaves.findIndex((l) => l.id === id) ?? -1;
    return there >= 0 ? `leaf ${there + 1} of ${donor!.name}` : 'the leaf';
  };
  const announcements: Announcements = {
    onDragStart: ({ active }) =>
      `${nameOf(active.id)} picked up. Arrow keys move it, space lays it down, Escape puts it back.`,
    onDragOver: ({ active, over }) => {
      if (over?.id === active.id) return undefined;
      return over ? `${nameOf(active.id)} is over ${nameOf(over.id)}.` : `${nameOf(active.id)} is over nothing.`;
    },
    onDragEnd: ({ active, over }) => (over ? `${nameOf(active.id)} laid down at ${nameOf(over.id)}.` : 'Laid back.'),
    onDragCancel: ({ active }) => `${nameOf(active.id)} put back.`,
  };
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const to = place(over.id);
    if (to < 0) return;
    if (place(active.id) >= 0) onStep({ kind: 'move', leaf: String(active.id), to });
    else {
      const leaf = donor?.leaves.find((l) => l.id === active.id);
      if (leaf) onStep({ kind: 'insertAt', leaf: takenFrom(leaf), to });
    }
  };
  return (
    <div ref={box} className="bench-rows">
      <DndContext
        id="pack-bench"
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements }}
        onDragEnd={drop}
      >
        <h3>
          {pack.name} <span className="muted small">front ← → rear; dashed: the other pack on the same pin</span>
        </h3>
        <SortableContext items={pack.leaves.map((l) => l.id)} strategy={verticalListSortingStrategy}>
          <ol className="leaves" aria-label={`Leaves of ${pack.name}`}>
            {pack.leaves.map((leaf, k) => (
              <Row
                key={leaf.id}
                leaf={leaf}
                index={k}
                name={`leaf ${k + 1}`}
                picked={leaf.id === picked}
                onPick={() => onPick(leaf.id)}
              >
                <LeafStrip leaf={leaf} index={k} scale={scale} under={donor?.leaves[k]} added={!old.has(leaf.id)} />
              </Row>
            ))}
          </ol>
        </SortableContext>
        {donor ? (
          <>
            <h3>
              {donor.name} <span className="muted small">take leaves from here</span>
            </h3>
            <SortableContext items={donor.leaves.map((l) => l.id)} strategy={verticalListSortingStrategy}>
              <ol className="leaves" aria-label={`Leaves of ${donor.name}`}>
                {donor.leaves.map((leaf, k) => (
                  <Row
                    key={leaf.id}
                    leaf={leaf}
                    index={k}
                    name={`leaf ${k + 1} of ${donor.name}`}
                    picked={false}
                    onTake={() => onStep({ kind: 'insert', leaf: takenFrom(leaf) })}
                  >
                    <LeafStrip leaf={leaf} index={k} scale={scale} />
                  </Row>
                ))}
              </ol>
            </SortableContext>
          </>
        ) : null}
      </DndContext>
      <svg className="strip-scale" width={strip} height={24} viewBox={`0 0 ${strip} 24`} aria-hidden="true">
        <ScaleBar s={s} across={front + rear} lengths={lengths} left={12} top={14} />
      </svg>
    </div>
  );
}

interface RowProps {
  leaf: BenchLeaf;
  index: number;
  name: string;
  picked: boolean;
  onPick?: () => void;
  onTake?: () => void;
  children: React.ReactNode;
}

function Row({ leaf, index, name, picked, onPick, onTake, children }: RowProps) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: leaf.id,
  });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`bench-leaf ${picked ? 'picked' : ''} ${isDragging ? 'carried' : ''}`}
    >
      <button
        type="button"
        className="grip"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Carry ${name}`}
      >
        <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
          <path d="M3 5h12M3 9h12M3 13h12" stroke="currentColor" strokeWidth="2" />
        </svg>
      </button>
      <span className="figure">{index + 1}</span>
      {children}
      <LeafSizes leaf={leaf} />
      {onPick ? (
        <button type="button" className="act quiet" aria-pressed={picked} onClick={onPick}>
          Work<span className="hidden-word"> on {name}</span>
        </button>
      ) : null}
      {onTake ? (
        <button type="button" className="act quiet" onClick={onTake}>
          Take<span className="hidden-word"> {name}</span>
        </button>
      ) : null}
    </li>
  );
}
