'use client';
import { type Fill, type Ink, type Picture, type Shape } from '@/core/handbook/picture';
import { decimalText } from '@/core/units/format';
import { ScaleBar } from '../drawing/ScaleBar';
import { fit, pathOf, type Scale } from '../drawing/scale';
import { useWidth } from '../drawing/useWidth';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';

const INK: Record<Ink, string> = {
  ink: 'var(--ink)',
  new: 'var(--new)',
  quiet: 'var(--graphite)',
  stop: 'var(--stop)',
};
const FILL: Record<Fill, string> = {
  none: 'none',
  steel: 'var(--steel)',
  tape: 'var(--tape)',
  new: 'var(--new-wash)',
  paper: 'var(--sheet)',
  rubber: 'var(--graphite)',
};
/** Never taller than this, px. */
const TALL = 300;
/** Room about the drawn parts for figures, px. */
const ROOM = { left: 84, right: 88, top: 30, bottom: 44 };

/** Everything a shape covers, mm. */
function corners(shape: Shape): readonly (readonly [number, number])[] {
  switch (shape.kind) {
    case 'path':
      return shape.points;
    case 'circle':
      return [
        [shape.at[0] - shape.r, shape.at[1] - shape.r],
        [shape.at[0] + shape.r, shape.at[1] + shape.r],
      ];
    case 'across':
      return [
        [shape.from, shape.at],
        [shape.to, shape.at],
      ];
    case 'up':
      return [
        [shape.at, shape.from],
        [shape.at, shape.to],
      ];
    case 'note':
      return [shape.at];
  }
}

interface Props {
  picture: Picture;
  /** Never taller than this, px. */
  tall?: number;
  /** Without figures about it: no room is left for them. */
  tight?: boolean;
}

/** The drawing of a sum, true to scale, with a scale bar wherever it is of lengths. */
export function PictureDrawing({ picture, tall = TALL, tight = false }: Props) {
  const [ref, width] = useWidth<HTMLElement>(640);
  const { lengths } = useView();
  const all = picture.shapes.flatMap(corners);
  const [xs, ys] = [all.map((p) => p[0]), all.map((p) => p[1])];
  const extent = { left: Math.min(...xs), right: Math.max(...xs), top: Math.max(...ys), bottom: Math.min(...ys) };
  const room = tight ? { left: 8, right: 8, top: 8, bottom: 8 } : { ...ROOM, bottom: picture.bare ? 30 : ROOM.bottom };
  const s = fit(extent, width, room, tall);
  return (
    <figure className="figure-sheet sum-picture" ref={ref}>
      <svg className="drawing" viewBox={`0 0 ${width} ${s.height.toFixed(1)}`} role="img" aria-label={picture.says}>
        {picture.shapes.map((shape, k) => (
          <Drawn key={k} shape={shape} s={s} />
        ))}
        {picture.bare ? null : (
          <ScaleBar
            s={s}
            across={extent.right - extent.left}
            lengths={lengths}
            left={12}
            top={s.height - 10}
            front={picture.front ?? false}
          />
        )}
      </svg>
    </figure>
  );
}

function Drawn({ shape, s }: { shape: Shape; s: Scale }) {
  const lengthText = useLengthText();
  const { lengths } = useView();
  // Of small things the tenths count.
  const text = (mm: number) =>
    lengths === 'mm' && mm < 200 && Math.abs(mm - Math.round(mm)) > 0.05 ? `${decimalText(mm, 1)} mm` : lengthText(mm);
  const ink = INK[shape.ink ?? 'ink'];
  switch (shape.kind) {
    case 'path':
      return (
        <path
          d={`${pathOf(
            shape.points.map(([x, y]) => ({ x, y })),
            s,
          )}${shape.closed ? 'Z' : ''}`}
          fill={FILL[shape.fill ?? 'none']}
          stroke={ink}
          strokeWidth={shape.dashed || shape.ink === 'quiet' ? 1.1 : 1.6}
          strokeDasharray={shape.dashed ? '5 4' : undefined}
          strokeLinejoin="round"
        />
      );
    case 'circle':
      return (
        <circle
          {...s.at({ x: shape.at[0], y: shape.at[1] })}
          r={Math.max(1, shape.r * s.perMm)}
          fill={FILL[shape.fill ?? 'none']}
          stroke={ink}
          strokeWidth={shape.dashed || shape.ink === 'quiet' ? 1.1 : 1.6}
          strokeDasharray={shape.dashed ? '5 4' : undefined}
        />
      );
    case 'across': {
      const y = s.y(shape.at);
      const [from, to] = [s.x(shape.from), s.x(shape.to)];
      return (
        <g stroke={ink} strokeWidth="1.2">
          <path d={`M${from} ${y}H${to}M${from} ${y - 5}V${y + 5}M${to} ${y - 5}V${y + 5}`} fill="none" />
          <text x={(from + to) / 2} y={y - 7} textAnchor="middle" className="num" style={{ fill: ink }}>
            {shape.text ?? text(Math.abs(shape.to - shape.from))}
          </text>
        </g>
      );
    }
    case 'up': {
      const x = s.x(shape.at);
      const [from, to] = [s.y(shape.from), s.y(shape.to)];
      const left = shape.at < 0;
      return (
        <g stroke={ink} strokeWidth="1.2">
          <path d={`M${x} ${from}V${to}M${x - 5} ${from}H${x + 5}M${x - 5} ${to}H${x + 5}`} fill="none" />
          <text
            x={left ? x - 9 : x + 9}
            y={(from + to) / 2 + 5}
            textAnchor={left ? 'end' : 'start'}
            className="num"
            style={{ fill: ink }}
          >
            {shape.text ?? text(Math.abs(shape.to - shape.from))}
          </text>
        </g>
      );
    }
    case 'note':
      return (
        <text x={s.x(shape.at[0])} y={s.y(shape.at[1]) + 5} textAnchor={shape.anchor ?? 'middle'} style={{ fill: ink }}>
          {shape.text}
        </text>
      );
  }
}
