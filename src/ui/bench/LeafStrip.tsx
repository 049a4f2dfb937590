'use client';
import { type ReactNode } from 'react';
import { type BenchLeaf } from '@/core/bench/benchPack';
import { Length } from '../measured/Figure';

/** Pixels per mm and where the pin stands: the same for every leaf on the bench. */
export interface BenchScale {
  perMm: number;
  pin: number;
  width: number;
}

const HIGH = 40;

interface Props {
  leaf: BenchLeaf;
  index: number;
  scale: BenchScale;
  /** Leaf of the other pack that lies under this one, dashed. */
  under?: BenchLeaf | undefined;
  /** New to this pack. */
  added?: boolean;
}

/** One leaf to scale on the pin; eyes, clip and break drawn where they are, thickness three times as large. */
export function LeafStrip({ leaf, index, scale, under, added = false }: Props) {
  const { perMm, pin, width } = scale;
  const x = (mm: number) => pin + mm * perMm;
  const high = (l: BenchLeaf) => Math.max(4, Math.min(HIGH - 14, l.thickness * perMm * 3));
  const mid = HIGH / 2;
  const eyed = (end: 'front' | 'rear') => leaf.eyes === 'both' || leaf.eyes === end;
  const tall = high(leaf);
  const trim = leaf.ends === 'trimmed' ? 8 : 0;
  const [left, right] = [x(-leaf.front), x(leaf.rear)];
  const outline = `M${left + trim} ${mid - tall / 2}H${right - trim}L${right} ${mid}L${right - trim} ${mid + tall / 2}H${left + trim}L${left} ${mid}Z`;
  const square = `M${left} ${mid - tall / 2}H${right}v${tall}H${left}Z`;
  const broken = leaf.broken && x(leaf.broken.end === 'front' ? -leaf.broken.at : leaf.broken.at);
  return (
    <svg className="leaf-strip" width={width} height={HIGH} viewBox={`0 0 ${width} ${HIGH}`} aria-hidden="true">
      <line x1={pin} x2={pin} y1={0} y2={HIGH} stroke="var(--ink)" strokeDasharray="10 3 2 3" />
      {under ? (
        <rect
          x={x(-under.front)}
          y={mid - high(under) / 2 - 4}
          width={(under.front + under.rear) * perMm}
          height={high(under) + 8}
          fill="none"
          stroke="var(--graphite)"
          strokeDasharray="6 4"
        />
      ) : null}
      <path
        d={trim ? outline : square}
        fill={added ? 'var(--new-wash)' : 'var(--steel)'}
        stroke={added ? 'var(--new)' : 'var(--ink)'}
        strokeWidth={added ? 2.4 : 1.4}
        data-leaf-shape={index}
      />
      {(['front', 'rear'] as const).filter(eyed).map((end) => (
        <circle
          key={end}
          cx={x(end === 'front' ? -leaf.front : leaf.rear)}
          cy={mid - 4}
          r={8}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
      ))}
      {leaf.clip
        ? [-0.8 * leaf.front, 0.8 * leaf.rear].map((at) => (
            <path key={at} d={`M${x(at) - 4} ${mid + 9}v-18h8v18`} fill="none" stroke="var(--ink)" strokeWidth="2" />
          ))
        : null}
      {broken !== null ? (
        <path d={`M${broken - 4} 3l6 12l-6 8l8 14`} fill="none" stroke="var(--amber)" strokeWidth="3" />
      ) : null}
    </svg>
  );
}

/** What a leaf measures, beside its strip. */
export function LeafSizes({ leaf, children }: { leaf: BenchLeaf; children?: ReactNode }) {
  return (
    <span className="leaf-sizes">
      <Length mm={leaf.front} unit={false} /> + <Length mm={leaf.rear} unit={false} />
      <span className="muted"> x </span>
      <span className="figure">{Number(leaf.thickness.toFixed(2))}</span>
      <span className="unit-text"> mm</span>
      {children}
    </span>
  );
}
