import { type ReactNode } from 'react';
import { barLength, type Scale } from './scale';

interface Props {
  s: Scale;
  /** Drawn length across, mm: the bar is about a fifth of it. */
  across: number;
  lengths: 'mm' | 'in';
  left: number;
  /** Top of the bar, px. */
  top: number;
  /** Whether the drawing has a front; a view from behind has none. */
  front?: boolean;
  /** What the drawing shows, after the bar. */
  children?: ReactNode;
}

/** Scale bar and the direction of the front, as on every drawing. */
export function ScaleBar({ s, across, lengths, left, top, front = true, children }: Props) {
  const bar = barLength(across, lengths);
  const end = bar.mm * s.perMm;
  return (
    <g transform={`translate(${left} ${top.toFixed(1)})`}>
      <path d={`M0 -6V0H${end}V-6`} fill="none" stroke="var(--ink)" strokeWidth="1.5" />
      <text x={end + 10} y="2">
        {bar.text}
      </text>
      {front ? (
        <text x={end + 74} y="2">
          ← front
        </text>
      ) : null}
      {children ? (
        <text x={end + (front ? 132 : 74)} y="2">
          {children}
        </text>
      ) : null}
    </g>
  );
}
