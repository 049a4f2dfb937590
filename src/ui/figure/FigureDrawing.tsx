'use client';
import { useState } from 'react';
import { type JobView } from '@/contracts/job';
import { pointOf } from '@/core/measure/points';
import { ScaleBar } from '../drawing/ScaleBar';
import { fit, type Extent } from '../drawing/scale';
import { useRoom } from '../drawing/useRoom';
import { fieldKey, pointName, sameField, spokenField, type FieldAt } from '../measure/fields';
import { lowerFirst } from '../measure/missingText';
import { useView } from '../theme/View';
import { dimensionText } from './dimensionText';
import { TOUCH, type DimensionMark, type Figure } from './marks';
import { type Values } from './values';

interface Props {
  figure: Figure;
  view: JobView;
  values: Values;
  /** The field at work: its dimension is inked, its group stands out. */
  focus: FieldAt | null;
  /** Walked to next: dotted, and named. */
  next?: FieldAt | null;
  /** What is being typed at the field at work; null while nothing is. */
  typing?: string | null;
  onPick: (at: FieldAt) => void;
}

/** A figure that cannot be drawn in less than this keeps its own height, and its box scrolls, px. */
const LEAST_ROOM = 130;

const both = (p: Extent, q: Extent): Extent => ({
  left: Math.min(p.left, q.left),
  right: Math.max(p.right, q.right),
  top: Math.max(p.top, q.top),
  bottom: Math.min(p.bottom, q.bottom),
});

/** While a field of a figure is at work its scale only grows, so that nothing jumps under the eye. */
function useLocked(figure: Figure, typing: boolean): Extent {
  const [locked, setLocked] = useState<{ name: string; extent: Extent } | null>(null);
  if (typing && locked?.name !== figure.name) setLocked({ name: figure.name, extent: figure.extent });
  if (!typing && locked) setLocked(null);
  return typing && locked?.name === figure.name ? both(locked.extent, figure.extent) : figure.extent;
}

/** A to-scale figure whose dimensions are the fields: touch one and its field has the focus. */
export function FigureDrawing({ figure, view, values, focus, next = null, typing = null, onPick }: Props) {
  const { lengths, units } = useView();
  const [box, width, tall] = useRoom<HTMLElement>(520);
  const extent = useLocked(figure, focus !== null);
  const room = tall - (figure.below ?? 0) - 26;
  const high = extent.top - extent.bottom > 60;
  const s = fit(extent, width, figure.margin, high && room < LEAST_ROOM ? Infinity : Math.max(room, 60));
  const height = s.height + (figure.below ?? 0) + 26;
  const { shapes, dimensions, captions } = figure.marks(s);
  const group = focus && pointOf(focus.point).group;
  const ink = (mark: DimensionMark): string => {
    if (sameField(mark.at, focus)) return 'focus';
    if (sameField(mark.at, next)) return 'next';
    if (!focus) return 'plain';
    // Of a leaf-by-leaf group only the leaf at work stands out.
    return pointOf(mark.at.point).group === group && mark.at.leafId === focus.leafId ? 'group' : 'faint';
  };
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${height.toFixed(1)}`}
        role="group"
        aria-label={`Figure: ${figure.name}`}
      >
        {shapes.map((shape, i) => (
          <path key={i} d={shape.path} className={`shape ${shape.look} ${shape.known ? '' : 'dotted'}`} />
        ))}
        {captions.map((c) => (
          <text key={c.text} x={c.x} y={c.y} className="caption">
            {c.text}
          </text>
        ))}
        {dimensions.map((mark) => {
          const read = values(mark.at.point, mark.at.side, mark.at.leafId);
          const inked = ink(mark);
          const stored = mark.known ? dimensionText(read.value, mark.at.point, units) : '?';
          // What is typed stands at its own dimension, in a box on the line, with the caret behind it.
          const text = inked === 'focus' && typing !== null ? `${typing}▏` : stored;
          const wide = Math.max(TOUCH, text.length * (inked === 'focus' ? 12 : 10) + 12);
          const name = inked === 'next' ? `next: ${lowerFirst(pointName(view, mark.at.point))}` : null;
          return (
            <g
              key={fieldKey(mark.at)}
              role="button"
              tabIndex={-1}
              aria-label={`${spokenField(view, mark.at)}: ${mark.known ? text : 'not read yet'}`}
              data-dimension={fieldKey(mark.at)}
              data-ink={inked}
              className={`dimension ${inked} ${mark.known ? '' : 'dotted'}`}
              onClick={() => onPick(mark.at)}
            >
              <path d={mark.path} />
              <rect x={mark.x - wide / 2} y={mark.y - TOUCH / 2} width={wide} height={TOUCH} className="touch" />
              <text x={mark.x} y={mark.y + 5} textAnchor="middle" className="num">
                {text}
              </text>
              {name ? (
                <text
                  x={Math.min(width - name.length * 4 - 4, Math.max(name.length * 4 + 4, mark.x))}
                  y={mark.y - 28}
                  textAnchor="middle"
                  className="next-name"
                >
                  {name}
                </text>
              ) : null}
            </g>
          );
        })}
        {figure.scaled ? (
          <ScaleBar
            front={figure.front}
            s={s}
            across={extent.right - extent.left}
            lengths={lengths}
            left={16}
            top={height - 12}
          >
            {figure.name}
          </ScaleBar>
        ) : null}
      </svg>
    </figure>
  );
}
