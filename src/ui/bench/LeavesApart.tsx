'use client';
import { type BenchLeaf, type BenchPack } from '@/core/bench/benchPack';
import { LeafStroke, leafThick } from '../drawing/LeafStroke';
import { fit } from '../drawing/scale';
import { ScaleBar } from '../drawing/ScaleBar';
import { spread } from '../drawing/spread';
import { useRoom } from '../drawing/useRoom';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';

interface Props {
  pack: BenchPack;
  /** A leaf that was not in it as it was brought. */
  isNew: (leaf: BenchLeaf) => boolean;
}

/** Daylight drawn between two leaves that lie apart, mm. */
const APART = 34;
const STEPS = 24;
/** Height of a line of figures, px. */
const LINE = 18;

/** Height of a leaf over its own pin, lying free with this camber: drawn as a parabola through its tips, only to show it. mm */
const riseAt = ({ front, rear }: BenchLeaf, camber: number, x: number): number => (camber * x * x) / (front * rear);

/** Where each leaf's pin hangs, from the first one down: clear of the leaf above, also at its tips. mm */
function hung(leaves: readonly BenchLeaf[]): number[] {
  const pins: number[] = [];
  leaves.forEach((leaf, k) => {
    const above = leaves[k - 1];
    if (!above) return pins.push(0);
    const ends = [-leaf.front, leaf.rear].map(
      (x) =>
        riseAt(leaf, leaf.camber ?? 0, x) -
        riseAt(above, above.camber ?? 0, Math.max(-above.front, Math.min(above.rear, x))),
    );
    return pins.push(pins[k - 1]! - Math.max(0, ...ends) - APART);
  });
  return pins;
}

/** Every leaf by itself at its own free arch, to scale, one under the other on the line of the pin. */
export function LeavesApart({ pack, isNew }: Props) {
  const [box, width, tall] = useRoom<HTMLElement>(800);
  const { lengths } = useView();
  const lengthText = useLengthText();
  // Nobody measured it: drawn straight and dotted, never guessed.
  const cambers = pack.leaves.map((leaf) => leaf.camber ?? 0);
  const pins = hung(pack.leaves);
  const [front, rear] = [
    Math.max(1, ...pack.leaves.map((l) => l.front)),
    Math.max(1, ...pack.leaves.map((l) => l.rear)),
  ];
  const tops = pack.leaves.flatMap((leaf, k) =>
    [-leaf.front, 0, leaf.rear].map((x) => pins[k]! + riseAt(leaf, cambers[k]!, x)),
  );
  const extent = { left: -front - 20, right: rear + 20, top: Math.max(...tops) + 24, bottom: Math.min(...tops) - 24 };
  const s = fit(extent, width, { left: 44, right: 120, top: 8, bottom: 34 }, tall);
  // Words stand clear of one another where the leaves lie closer than a line.
  const rows = { least: 14, most: s.height - 44 };
  const numbers = spread(
    pins.map((pin) => s.y(pin)),
    LINE,
    rows,
  );
  const words = spread(
    pack.leaves.map((leaf, k) => s.y(pins[k]! + riseAt(leaf, cambers[k]!, leaf.rear))),
    LINE,
    rows,
  );
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${s.height.toFixed(1)}`}
        role="img"
        aria-label={`${pack.name} taken apart: ${pack.leaves.length} leaves, ${pack.leaves
          .map(
            (leaf, k) =>
              `${k + 1} ${leaf.camber === null ? 'of unknown camber' : `with a camber of ${lengthText(leaf.camber)}`}`,
          )
          .join(', ')}`}
      >
        <path d={`M${s.x(0)} 4V${s.height - 36}`} stroke="var(--tick)" strokeDasharray="10 3 2 3" />
        {pack.leaves.map((leaf, k) => {
          const points = Array.from({ length: STEPS + 1 }, (_, n) => {
            const x = -leaf.front + ((leaf.front + leaf.rear) * n) / STEPS;
            return { x, y: pins[k]! + riseAt(leaf, cambers[k]!, x) };
          });
          const path = points
            .map((p, n) => `${n === 0 ? 'M' : 'L'}${s.x(p.x).toFixed(1)} ${s.y(p.y).toFixed(1)}`)
            .join('');
          const ink = isNew(leaf) ? 'var(--new)' : 'var(--ink)';
          const eyes = [
            ...(leaf.eyes === 'both' || leaf.eyes === 'front' ? [points[0]!] : []),
            ...(leaf.eyes === 'both' || leaf.eyes === 'rear' ? [points.at(-1)!] : []),
          ];
          const tip = points.at(-1)!;
          return (
            <g key={leaf.id} data-leaf={k + 1}>
              {leaf.camber === null ? (
                <path d={path} fill="none" stroke="var(--graphite)" strokeWidth="2" strokeDasharray="2 4" />
              ) : (
                <LeafStroke d={path} thick={leafThick(leaf.thickness, s.perMm)} stroke={ink} hollow={isNew(leaf)} />
              )}
              {eyes.map((eye) => (
                <circle
                  key={eye.x}
                  {...s.at({ x: eye.x, y: eye.y + 12 })}
                  r={Math.max(5, 17 * s.perMm)}
                  fill="var(--sheet)"
                  stroke={ink}
                  strokeWidth="1.8"
                />
              ))}
              <text x={16} y={numbers[k]! + 5} className="num">
                {k + 1}
              </text>
              <text x={s.x(tip.x) + 12} y={words[k]! + 5} className="num" style={{ fill: ink }}>
                {leaf.camber === null ? 'camber ?' : lengthText(leaf.camber)}
              </text>
            </g>
          );
        })}
        <ScaleBar s={s} across={front + rear} lengths={lengths} left={44} top={s.height - 12}>
          lying free, camber behind each tip
        </ScaleBar>
      </svg>
    </figure>
  );
}
