'use client';
import { type Card, type CardLine } from '@/core/procedure/orientation';

const INK: Record<CardLine['ink'], { stroke: string; fill: string; width: number; dash?: string }> = {
  bold: { stroke: 'var(--ink)', fill: 'none', width: 1 },
  thin: { stroke: 'var(--graphite)', fill: 'none', width: 0.5 },
  dash: { stroke: 'var(--graphite)', fill: 'none', width: 0.5, dash: '3 1.6' },
  fill: { stroke: 'var(--ink)', fill: 'var(--steel)', width: 0.9 },
};

/** Which way round a part goes in on one side, drawn from the job's own figures; seen from that side of the vehicle. */
export function OrientationCard({ card }: { card: Card }) {
  const { name, side, says, height, lines, words } = card;
  return (
    <figure className="way-round" data-card={`${card.part}.${side}`}>
      <figcaption>
        <strong>{name}</strong>, {side} <span className="muted small">{says}</span>
      </figcaption>
      <svg
        className="drawing"
        viewBox={`0 0 100 ${height}`}
        role="img"
        aria-label={`${name}, ${side}, seen from its side: ${words.map((w) => w.text).join('; ')}`}
      >
        {lines.map(({ d, ink }, k) => {
          const { stroke, fill, width, dash } = INK[ink];
          return <path key={k} d={d} stroke={stroke} fill={fill} strokeWidth={width} strokeDasharray={dash} />;
        })}
        {words.map(({ x, y, text, anchor }, k) => (
          <text key={k} x={x} y={y} textAnchor={anchor} className="card-word">
            {text}
          </text>
        ))}
      </svg>
    </figure>
  );
}
