'use client';
import { type SettlingLine } from '@/contracts/following';
import { fromCore } from '@/core/units/units';
import { HeightLines, multiples, SideMark, stepFor } from '../chart/heightMarks';
import { useRoom } from '../drawing/useRoom';
import { useLengthText } from '../measured/Figure';
import { useQuantityText } from '../measured/Quantity';
import { useView } from '../theme/View';

const PLACE = { left: 74, right: 150, top: 16, bottom: 62 };
const INK = { left: 'var(--new)', right: 'var(--ink)' } as const;
const STEPS = 60;

/** Heights over the distance driven since the work, with the law fitted to them, its band, and where it comes to rest. */
export function SettlingStage({ lines }: { lines: readonly SettlingLine[] }) {
  const [box, width, room] = useRoom<HTMLDivElement>(640);
  const { units } = useView();
  const text = useLengthText();
  const distance = useQuantityText();
  if (lines.length === 0)
    return (
      <div ref={box}>
        <p className="muted">Heights are followed from the first one read after the work.</p>
      </div>
    );
  const tall = Math.max(180, Math.min(room, 420));
  const far = Math.max(2000, ...lines.flatMap((l) => [...l.heights.map((h) => h.km * 1.25), (l.next ?? 0) * 1.1]));
  const edges = lines.flatMap((l) => [
    ...l.heights.map((h) => h.height),
    ...[0, far].flatMap((km) => {
      const { value, half90 } = l.fit.at(km);
      return [value - half90, value + half90];
    }),
  ]);
  const [low, high] = [Math.min(...edges) - 2, Math.max(...edges) + 2];
  const x = (km: number) => PLACE.left + (km / far) * (width - PLACE.left - PLACE.right);
  const y = (mm: number) => PLACE.top + ((high - mm) / (high - low)) * (tall - PLACE.top - PLACE.bottom);
  const unitKm = 1 / fromCore(1, units.distance);
  const stepKm = stepFor(far / unitKm, 8) * unitKm;
  const perLength = units.length === 'mm' ? 1 : 25.4 / 16;
  const stepMm = stepFor((high - low) / perLength, 6) * perLength;
  const curve = (of: (km: number) => number) =>
    Array.from({ length: STEPS + 1 }, (_, k) => (far * k) / STEPS)
      .map((km, k) => `${k === 0 ? 'M' : 'L'}${x(km).toFixed(1)} ${y(of(km)).toFixed(1)}`)
      .join('');
  const spread = spreadEnds(lines, (l) => y(l.fit.at(far).value));
  return (
    <div ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${tall}`}
        role="img"
        aria-label={lines
          .map(
            (l) =>
              `${l.side}: ${l.heights.map((h) => `${text(h.height)} at ${distance(h.km, 'distance')}`).join(', ')}`,
          )
          .join('; ')}
      >
        <HeightLines
          at={multiples(low, high, stepMm)}
          left={PLACE.left}
          right={width - PLACE.right}
          y={y}
          text={text}
        />
        {multiples(0, far, stepKm).map((km) => (
          <g key={km}>
            <line x1={x(km)} x2={x(km)} y1={tall - PLACE.bottom} y2={tall - PLACE.bottom + 7} stroke="var(--ink)" />
            <text x={x(km)} y={tall - PLACE.bottom + 24} textAnchor="middle" className="num">
              {Math.round(fromCore(km, units.distance))}
            </text>
          </g>
        ))}
        <line
          x1={PLACE.left}
          x2={width - PLACE.right}
          y1={tall - PLACE.bottom}
          y2={tall - PLACE.bottom}
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
        <text x={(PLACE.left + width - PLACE.right) / 2} y={tall - PLACE.bottom + 46} textAnchor="middle">
          {units.distance} driven since the work
        </text>
        {lines.map((l) => {
          const band = `${curve((km) => l.fit.at(km).value + l.fit.at(km).half90)}${Array.from(
            { length: STEPS + 1 },
            (_, k) => far - (far * k) / STEPS,
          )
            .map((km) => `L${x(km).toFixed(1)} ${y(l.fit.at(km).value - l.fit.at(km).half90).toFixed(1)}`)
            .join('')}Z`;
          return (
            <g key={`${l.side}${l.stateId}`}>
              <path d={band} fill={INK[l.side]} fillOpacity="0.1" />
              <path d={curve((km) => l.fit.at(km).value)} fill="none" stroke={INK[l.side]} strokeWidth="2" />
              {l.heights.map((h) => (
                <g key={`${h.km}${h.at}`}>
                  <line
                    x1={x(h.km)}
                    x2={x(h.km)}
                    y1={y(h.height + h.half90)}
                    y2={y(h.height - h.half90)}
                    stroke={INK[l.side]}
                    strokeWidth="1.2"
                  />
                  <SideMark side={l.side} x={x(h.km)} y={y(h.height)} ink={INK[l.side]} />
                </g>
              ))}
              <text x={width - PLACE.right + 8} y={spread(l) + 5} className="num" style={{ fill: INK[l.side] }}>
                {l.side} {text(l.fit.final.value)}
              </text>
            </g>
          );
        })}
        {lines[0]?.next ? (
          <g>
            <line
              x1={x(lines[0].next)}
              x2={x(lines[0].next)}
              y1={PLACE.top}
              y2={tall - PLACE.bottom}
              stroke="var(--amber)"
              strokeDasharray="3 4"
            />
            <text x={x(lines[0].next) + 6} y={PLACE.top + 12} style={{ fill: 'var(--amber)' }}>
              look again here
            </text>
          </g>
        ) : null}
      </svg>
    </div>
  );
}

/** Names at the end of two lines that lie close stand apart, px. */
function spreadEnds(lines: readonly SettlingLine[], at: (l: SettlingLine) => number) {
  const sorted = lines.toSorted((p, q) => at(p) - at(q));
  const places = new Map<SettlingLine, number>();
  let least = -Infinity;
  for (const l of sorted) {
    const y = Math.max(at(l), least + 20);
    places.set(l, y);
    least = y;
  }
  return (l: SettlingLine) => places.get(l)!;
}
