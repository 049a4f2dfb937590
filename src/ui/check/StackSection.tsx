'use client';
import { type StackOf } from '@/core/beside/located';
import { type BesideRead } from '@/core/beside/readRow';
import { useWords } from '../measured/Quantity';

interface Props {
  stack: StackOf;
  read: BesideRead;
}

/** Room of the drawing, px, and what is drawn where nobody read it, mm. */
const ROOM = { width: 420, height: 230, margin: 14 };
const USUAL = { pack: 30, pad: 14, pin: 14, pinHeight: 8, hole: 14.5, depth: 9, wide: 66 };

interface Layer {
  name: string;
  height: number;
  /** In the face above, and out of the face below: across and long, mm; 0 across for none, null where nobody read it. */
  hole: readonly [number | null, number | null];
  pin: readonly [number | null, number | null];
  planned: boolean;
}

/** The clamped pieces cut through at the pin, drawn apart so that every pin and its hole are seen, to one scale. */
export function StackSection({ stack, read }: Props) {
  const words = useWords();
  const text = (mm: number) => words(`${mm.toFixed(1)} mm`);
  const of = (a: number | undefined, b: number | undefined) => [a ?? null, b ?? null] as const;
  const { block, wedge, dowel } = stack;
  const layers: Layer[] = [
    { name: 'spring', height: USUAL.pack, hole: [0, 0], pin: [dowel, read.dowelHeight ?? null], planned: false },
    ...(wedge === null
      ? []
      : [
          {
            ...{ name: 'wedge', height: wedge, planned: true },
            hole: of(read.wedgeHole, read.wedgePin === 0 ? wedge : (read.dowelHeight ?? USUAL.depth)),
            pin: of(read.wedgePin, read.wedgePin === 0 ? 0 : read.wedgePinHeight),
          },
        ]),
    ...(block === null
      ? []
      : [
          {
            ...{ name: 'block', height: block, planned: true },
            hole: of(read.blockHole, read.blockHoleDepth),
            pin: of(read.blockPin, read.blockPinHeight),
          },
        ]),
    { name: 'axle pad', height: USUAL.pad, hole: of(read.padHole, read.padDepth), pin: [0, 0], planned: false },
  ];
  const gap = Math.max(16, ...layers.map(({ pin }) => (pin[1] ?? USUAL.pinHeight) + 6));
  const whole = layers.reduce((sum, { height }) => sum + height, 0) + gap * (layers.length - 1);
  const perMm = Math.min((ROOM.height - 2 * ROOM.margin) / whole, 2.6);
  const left = ROOM.margin;
  const wide = USUAL.wide * perMm * 1.6;
  const middle = left + wide / 2;
  const tops = layers.reduce<number[]>(
    (found, _, k) => [...found, k === 0 ? ROOM.margin : found[k - 1]! + (layers[k - 1]!.height + gap) * perMm],
    [],
  );
  return (
    <svg
      className="stack-section"
      viewBox={`0 0 ${ROOM.width} ${ROOM.height}`}
      role="img"
      aria-label={`Cut through the pin: ${layers.map((l) => l.name).join(', ')}, drawn apart.`}
    >
      <path
        d={`M${middle} 4V${ROOM.height - 4}`}
        stroke="var(--graphite)"
        strokeWidth="0.8"
        strokeDasharray="9 3 2 3"
        fill="none"
      />
      {layers.map(({ name, height, hole, pin, planned }, k) => {
        const top = tops[k]!;
        const low = top + height * perMm;
        const ink = planned ? 'var(--new)' : 'var(--ink)';
        const [holeWide, holeDeep] = [
          (hole[0] ?? USUAL.hole) * perMm,
          Math.min(height, hole[1] ?? USUAL.depth) * perMm,
        ];
        const [pinWide, pinLong] = [(pin[0] ?? USUAL.pin) * perMm, (pin[1] ?? USUAL.pinHeight) * perMm];
        const dashed = (known: boolean) => (known ? undefined : '3 3');
        return (
          <g key={name}>
            <rect
              x={left}
              y={top}
              width={wide}
              height={height * perMm}
              fill="var(--steel, var(--sheet))"
              stroke={ink}
              strokeWidth="1.5"
            />
            {k > 0 && hole[0] !== 0 ? (
              <path
                d={`M${middle - holeWide / 2} ${top}v${holeDeep}h${holeWide}v${-holeDeep}`}
                fill="var(--sheet)"
                stroke={ink}
                strokeWidth="1.3"
                strokeDasharray={dashed(hole[0] !== null && hole[1] !== null)}
              />
            ) : null}
            {pin[0] !== 0 && k < layers.length - 1 ? (
              <path
                d={`M${middle - pinWide / 2} ${low}v${pinLong}h${pinWide}v${-pinLong}`}
                fill={pin[0] !== null && pin[1] !== null ? ink : 'none'}
                stroke={ink}
                strokeWidth="1.3"
                strokeDasharray={dashed(pin[0] !== null && pin[1] !== null)}
              />
            ) : null}
            <text x={left + wide + 14} y={(top + low) / 2 + 5}>
              {name}
              {k > 0 && hole[0] ? `: hole ${text(hole[0])}` : ''}
              {pin[0] ? `${k > 0 && hole[0] ? ',' : ':'} pin ${text(pin[0])}` : ''}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
