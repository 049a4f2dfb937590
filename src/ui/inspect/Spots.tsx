'use client';
import { ruleOf, type RuleId } from '@/core/inspection/rules';
import { type Scale } from '../drawing/scale';
import { spread } from '../drawing/spread';
import { worstOf, type SpotPlace, type WalkSpot } from './walk';

interface Props {
  s: Scale;
  spots: readonly WalkSpot[];
  at: RuleId;
  /** Where each spot is; what has no place on this drawing is walked by its number only. */
  places: Partial<Record<RuleId, SpotPlace>>;
  onPick: (rule: RuleId) => void;
}

/** Room of a number in its row, and how large it is drawn and touched, px. */
const WIDE = 46;
const R = 14;
const TOUCH = 44;
/** Rows of numbers over and under the drawing, px. */
export const SPOT_ROWS = { top: 40, bottom: 48 };

/** Numbers of a walk with a thread to the spot: fine is quiet, the open one loud. */
export function Spots({ s, spots, at, places, onPick }: Props) {
  const number = spots.find(({ rule }) => rule === at)?.number ?? 1;
  return (['above', 'below'] as const).flatMap((row) => {
    const all = spots.flatMap((spot) => {
      const place = places[spot.rule];
      return place?.row === row ? [{ spot, x: s.x(place.x), y: s.y(place.y) }] : [];
    });
    // Where there is no room for all, those before and after the one that is looked at.
    const room = Math.max(1, Math.floor((s.width - 8) / WIDE));
    const off = ({ spot }: (typeof all)[number]) => Math.abs(spot.number - number);
    const near = new Set(all.toSorted((p, q) => off(p) - off(q)).slice(0, room));
    const here = all.filter((one) => near.has(one));
    const y = row === 'above' ? 20 : s.height - 56;
    const xs = spread(
      here.map(({ x }) => x),
      WIDE,
      { least: 24, most: s.width - 24 },
    );
    return here.map(({ spot, x, y: to }, k) => {
      const { rule, number: own } = spot;
      const worst = worstOf(spot);
      const current = rule === at;
      const ink =
        worst === 'stop' ? 'var(--stop)' : worst === null || worst === 'pass' ? 'var(--graphite)' : 'var(--amber)';
      const px = xs[k]!;
      const quiet = worst === 'pass' && !current;
      return (
        <g
          key={rule}
          role="button"
          tabIndex={-1}
          aria-label={`${own}: ${ruleOf(rule).what}`}
          data-spot={rule}
          className="walk-spot"
          onClick={() => onPick(rule)}
        >
          <path
            d={`M${px.toFixed(1)} ${row === 'above' ? y + R : y - R}L${x.toFixed(1)} ${to.toFixed(1)}`}
            stroke={current ? 'var(--new)' : quiet ? 'var(--rule)' : ink}
            strokeWidth={current ? 2 : 1}
          />
          <circle cx={x} cy={to} r={current ? 4.5 : 2.5} fill={current ? 'var(--new)' : ink} />
          <rect x={px - TOUCH / 2} y={y - TOUCH / 2} width={TOUCH} height={TOUCH} fill="transparent" stroke="none" />
          {current ? (
            <circle cx={px} cy={y} r={R + 4} fill="var(--sheet)" stroke="var(--new)" strokeWidth="2.4" />
          ) : null}
          {worst !== null && worst !== 'pass' && !current ? (
            <path
              d={`M${px} ${y - R - 3}L${px + R + 3} ${y + R - 1}H${px - R - 3}Z`}
              fill="var(--sheet)"
              stroke={ink}
              strokeWidth="2"
            />
          ) : (
            <circle
              cx={px}
              cy={y}
              r={R}
              fill={current ? 'var(--ink)' : 'var(--sheet)'}
              stroke={current ? 'var(--ink)' : ink}
              strokeWidth={quiet ? 1 : 1.6}
              strokeDasharray={worst === null && !current ? '3 3' : undefined}
            />
          )}
          <text
            x={px}
            y={y + 6}
            textAnchor="middle"
            className="num"
            style={{ fill: current ? 'var(--sheet)' : ink, stroke: 'none' }}
          >
            {own}
          </text>
          {worst === 'stop' ? (
            <text x={px} y={row === 'above' ? y + R + 16 : y - R - 6} textAnchor="middle" className="stop-word">
              STOP
            </text>
          ) : null}
        </g>
      );
    });
  });
}
