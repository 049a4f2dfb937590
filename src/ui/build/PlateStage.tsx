'use client';
import { type JobView } from '@/contracts/job';
import { decimalText, quantityText } from '@/core/units/format';
import { useRoom } from '../drawing/useRoom';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { type Plate } from './plate';

interface Props {
  view: JobView;
  plate: Plate;
  picked: number | null;
  onPick: (nut: number) => void;
}

/** Four nuts seen from above, front to the left, in the order they are drawn up, each with what it was read at. */
export function PlateStage({ view, plate: { pattern, round, unit }, picked, onPick }: Props) {
  const { side, joint, bolts, name } = pattern;
  const [ref, width, room] = useRoom<HTMLElement>(620);
  const text = useLengthText();
  const { lengths } = useView();
  const tall = Number.isFinite(room) ? Math.max(230, room) : 340;
  const [cx, cy] = [width / 2, tall / 2 - 6];
  const [half, deep] = [Math.min(150, width * 0.17), Math.min(112, tall * 0.3)];
  const radius = Math.min(30, deep * 0.32);
  const at = (nut: number) => {
    const { x, y } = bolts[nut]!;
    const [dx, dy] = [half - radius - 14, deep - radius - 12];
    // The wheel is below on the left side and above on the right; in the middle the left is below.
    return { x: cx + x * dx, y: cy - (side === 'right' ? -y : y) * dy };
  };
  const read = (nut: number) => view.torqueReadings.find((r) => r.joint === joint && r.bolt === bolts[nut]!.bolt);
  const legAt = (what: 'thread' | 'gap') => (nut: number) =>
    view.legThreads.find((l) => l.what === what && l.leg === bolts[nut]!.bolt);
  const [thread, gap] = [legAt('thread'), legAt('gap')];
  const lengthText = (mm: number) => (lengths === 'mm' ? `${decimalText(mm, 1)} mm` : text(mm));
  const next = round?.next ?? null;
  return (
    <figure className="figure-sheet plate" ref={ref}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${tall}`}
        role="group"
        aria-label={`${[name || 'The plate', side].filter(Boolean).join(', ')}, from above: ${bolts.map(({ says }, k) => `nut ${k + 1}, ${says}, ${read(k)?.typed ?? 'not read'}`).join('; ')}`}
      >
        <rect x={cx - half * 0.5} y={6} width={half} height={tall - 40} fill="var(--tape)" opacity="0.5" />
        <path
          d={`M${cx} 6V${tall - 34}M20 ${cy}H${width - 20}`}
          stroke="var(--graphite)"
          strokeDasharray="14 4 3 4"
          strokeWidth="0.8"
        />
        <path
          d={`M${cx - half} ${cy - deep + 14}l14 -14H${cx + half - 14}l14 14V${cy + deep - 14}l-14 14H${cx - half + 14}l-14 -14Z`}
          fill="var(--steel)"
          stroke="var(--ink)"
          strokeWidth="2"
        />
        <rect
          x={cx - 22}
          y={cy - 22}
          width={44}
          height={44}
          fill="var(--sheet)"
          stroke="var(--ink)"
          strokeWidth="1.3"
        />
        <circle cx={cx} cy={cy} r={11} fill="none" stroke="var(--ink)" strokeDasharray="4 3" />
        {[0, 1, 2].map((k) => {
          const [from, to] = [at(k), at(k + 1)];
          const length = Math.hypot(to.x - from.x, to.y - from.y);
          const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
          const [x1, y1] = [from.x + ux * (radius + 6), from.y + uy * (radius + 6)];
          const [x2, y2] = [to.x - ux * (radius + 8), to.y - uy * (radius + 8)];
          const done = next !== null && k + 1 <= next;
          return (
            <path
              key={k}
              d={`M${x1} ${y1}L${x2} ${y2}M${x2 - ux * 10 - uy * 5} ${y2 - uy * 10 + ux * 5}L${x2} ${y2}L${x2 - ux * 10 + uy * 5} ${y2 - uy * 10 - ux * 5}`}
              fill="none"
              stroke={done ? 'var(--new)' : 'var(--ink)'}
              strokeWidth="1.8"
              strokeDasharray={done ? undefined : '6 4'}
            />
          );
        })}
        {bolts.map(({ bolt, says }, k) => {
          const { x, y } = at(k);
          const of = read(k);
          const has = of !== undefined && round !== null && of.value >= round.target * 0.96;
          const here = (picked ?? next) === k;
          const left = x < cx;
          const tx = left ? cx - half - 16 : cx + half + 16;
          const above = y < cy;
          const ty = above ? cy - deep + 22 : cy + deep - 40;
          const ends = [thread(k), gap(k)].flatMap((l) => (l ? [`${l.what} ${lengthText(l.value)}`] : []));
          return (
            <g
              key={bolt}
              className="nut"
              role="button"
              tabIndex={0}
              aria-label={`Nut ${k + 1}, ${says}`}
              aria-pressed={here}
              onClick={() => onPick(k)}
              onKeyDown={(event) => (event.key === 'Enter' || event.key === ' ') && onPick(k)}
            >
              <circle cx={x} cy={y} r={Math.max(24, radius + 8)} fill="transparent" />
              <circle
                cx={x}
                cy={y}
                r={radius + 4}
                fill="var(--sheet)"
                stroke={here ? 'var(--ink)' : 'var(--graphite)'}
                strokeWidth={here ? 3.4 : 1.2}
              />
              <path
                d={`M${[0, 1, 2, 3, 4, 5].map((n) => `${x + radius * Math.cos((n * Math.PI) / 3 + 0.2)} ${y + radius * Math.sin((n * Math.PI) / 3 + 0.2)}`).join('L')}Z`}
                fill={has ? 'color-mix(in srgb, var(--new) 25%, var(--sheet))' : 'var(--steel)'}
                stroke={has ? 'var(--new)' : 'var(--ink)'}
                strokeWidth="1.6"
              />
              <text x={x} y={y + 6} textAnchor="middle" className="num strong">
                {k + 1}
              </text>
              <text x={tx} y={ty - 22} textAnchor={left ? 'end' : 'start'} className={here ? 'strong' : ''}>
                {here ? `nut ${k + 1}, now` : `nut ${k + 1}`}
              </text>
              <text
                x={tx}
                y={ty + 6}
                textAnchor={left ? 'end' : 'start'}
                className="num plate-figure"
                style={has ? { fill: 'var(--new)' } : {}}
              >
                {of ? quantityText(of.value, unit) : '–'}
              </text>
              <text x={tx} y={ty + 28} textAnchor={left ? 'end' : 'start'} style={{ fill: 'var(--graphite)' }}>
                {ends.join(', ')}
              </text>
            </g>
          );
        })}
        <text x={cx} y={20} textAnchor="middle">
          {side === null ? 'right' : side === 'left' ? 'frame this side' : 'wheel this side'}
        </text>
        <text x={cx} y={tall - 40} textAnchor="middle">
          {side === null ? 'left' : side === 'left' ? 'wheel this side' : 'frame this side'}
        </text>
        <text x={8} y={tall - 12}>
          ← front
        </text>
        <text x={width - 8} y={tall - 12} textAnchor="end" style={{ fill: 'var(--graphite)' }}>
          {name ? `${name}, ` : ''}from above, as a sign
        </text>
      </svg>
    </figure>
  );
}
