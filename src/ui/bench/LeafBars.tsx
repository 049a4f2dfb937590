import { type PartLeaf } from '@/core/parts/kinds';
import { fit } from '../drawing/scale';
import { ScaleBar } from '../drawing/ScaleBar';
import { useWidth } from '../drawing/useWidth';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';

interface Props {
  leaves: readonly PartLeaf[];
  spoken: string;
}

const ROW = 26;

/** Leaves laid flat one under the other on the pin, lengths to scale; thickness drawn five times, since a true one would be a hair. */
export function LeafBars({ leaves, spoken }: Props) {
  const [box, width] = useWidth<HTMLElement>(400);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const front = Math.max(1, ...leaves.map((l) => l.front));
  const rear = Math.max(1, ...leaves.map((l) => l.rear));
  const s = fit({ left: -front, right: rear, top: 0, bottom: 0 }, width, { left: 30, right: 14, top: 8, bottom: 0 });
  const tall = leaves.length * ROW + 16;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg className="drawing" viewBox={`0 0 ${width} ${tall + 34}`} role="img" aria-label={spoken}>
        <line x1={s.x(0)} x2={s.x(0)} y1={2} y2={tall} stroke="var(--ink)" strokeDasharray="10 3 2 3" />
        {leaves.map((leaf, i) => {
          const high = Math.min(ROW - 6, Math.max(3, leaf.thickness * s.perMm * 5));
          const y = 8 + i * ROW + ROW / 2;
          return (
            <g key={i}>
              <text x={8} y={y + 5} className="num">
                {i + 1}
              </text>
              <rect
                x={s.x(-leaf.front)}
                y={y - high / 2}
                width={(leaf.front + leaf.rear) * s.perMm}
                height={high}
                fill="var(--steel)"
                stroke="var(--ink)"
              />
              {leaf.eyes === 'both' || leaf.eyes === 'front' ? (
                <circle cx={s.x(-leaf.front)} cy={y - 5} r={6} fill="var(--sheet)" stroke="var(--ink)" />
              ) : null}
              {leaf.eyes === 'both' || leaf.eyes === 'rear' ? (
                <circle cx={s.x(leaf.rear)} cy={y - 5} r={6} fill="var(--sheet)" stroke="var(--ink)" />
              ) : null}
            </g>
          );
        })}
        <ScaleBar s={s} across={front + rear} lengths={lengths} left={30} top={tall + 22} />
      </svg>
      <figcaption className="muted small">
        Each leaf flat on the pin: {lengthText(front)} in front, {lengthText(rear)} behind. Thickness drawn larger.
      </figcaption>
    </figure>
  );
}
