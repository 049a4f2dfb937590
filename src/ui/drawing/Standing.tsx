import { type Scale } from './scale';

// What a vehicle stands on while it is worked on, drawn alike on the lifting plan and at each step.

/** The floor, hatched. */
export function Ground({ s, to }: { s: Scale; to: number }) {
  const y = s.y(0);
  const hatch = Array.from({ length: Math.floor(to / 12) }, (_, k) => `M${12 * k + 8} ${y}l-7 7`).join('');
  return (
    <>
      <path d={hatch} stroke="var(--graphite)" strokeWidth="0.7" />
      <line x1={0} x2={to} y1={y} y2={y} stroke="var(--ink)" strokeWidth="2" />
    </>
  );
}

export function Wheel({
  s,
  x,
  y,
  r,
  ghost = false,
  touched = false,
}: {
  s: Scale;
  x: number;
  y: number;
  r: number;
  ghost?: boolean;
  touched?: boolean;
}) {
  const place = s.at({ x, y });
  const stroke = ghost ? 'var(--graphite)' : 'var(--ink)';
  const px = r * s.perMm;
  return (
    <g fill="none" stroke={stroke} strokeDasharray={ghost ? '4 4' : undefined}>
      <circle {...place} r={px} strokeWidth={ghost ? 1 : 2} fill={ghost ? 'none' : 'var(--sheet)'} />
      {ghost ? null : <circle {...place} r={px * 0.45} strokeWidth="1" />}
      {ghost ? null : <circle {...place} r={2.5} fill="var(--ink)" />}
      {touched ? <circle {...place} r={px + 5} stroke="var(--new)" strokeWidth="2" /> : null}
    </g>
  );
}

/** Before and behind a wheel that stays on the ground. */
export function Chocks({ s, x, r }: { s: Scale; x: number; r: number }) {
  const [px, y, size] = [s.x(x), s.y(0), r * s.perMm];
  return (
    <path
      d={[-1, 1]
        .map(
          (d) =>
            `M${px + d * size * 0.55} ${y}L${px + d * size * 0.82} ${y - size * 0.42}L${px + d * size * 1.3} ${y}Z`,
        )
        .join('')}
      fill="var(--ink)"
    />
  );
}

/** A stand under the frame; dotted while nothing says how high. */
export function Stand({ s, x, top, known }: { s: Scale; x: number; top: number; known: boolean }) {
  const [px, y, head] = [s.x(x), s.y(0), s.y(top)];
  const tall = y - head;
  const wide = Math.min(11, tall * 0.24);
  const line = { stroke: known ? 'var(--ink)' : 'var(--graphite)', strokeDasharray: known ? undefined : '2 4' };
  return (
    <g {...line} strokeWidth="1.6" strokeLinejoin="round">
      <path
        d={`M${px - tall * 0.3} ${y}L${px - tall * 0.1} ${head + tall * 0.3}h${tall * 0.2}L${px + tall * 0.3} ${y}Z`}
        fill={known ? 'var(--steel)' : 'none'}
      />
      <path
        d={`M${px} ${head + tall * 0.3}V${head + 4}M${px - wide} ${head}h${2 * wide}v4h${-2 * wide}z`}
        fill={known ? 'var(--ink)' : 'none'}
      />
    </g>
  );
}
