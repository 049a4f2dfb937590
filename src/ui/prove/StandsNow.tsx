'use client';
import { type JobView } from '@/contracts/job';
import { goalValue } from '@/core/height/goals';
import { BODIES, laidOut } from '@/core/vehicle/outline';
import { Ground } from '../drawing/Standing';
import { ScaleBar } from '../drawing/ScaleBar';
import { type Scale } from '../drawing/scale';
import { useRoom } from '../drawing/useRoom';
import { VehicleBody, Wheels } from '../drawing/VehicleSketch';
import { sketchedAxles } from '../frame/VehicleHead';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { type Corner } from './corners';

/** The rake is drawn so many times over, so that half a degree shows. */
const TIMES = 10;
/** Room beside the body for a height and what it was, px. */
const FIGURES = 136;

const mean = (values: readonly (number | null)[]): number | null => {
  const there = values.filter((v): v is number => v !== null);
  return there.length === 0 ? null : there.reduce((sum, v) => sum + v, 0) / there.length;
};

/** An axle as it stood and as it stands: by the tape, or as foretold while it is not read. */
function axleHeights(corners: readonly Corner[], position: 'front' | 'rear') {
  const own = corners.filter(({ view }) => (view.axle.position === 'front') === (position === 'front'));
  const now = mean(own.map(({ outcome, foretold }) => outcome?.measured ?? foretold?.height ?? null));
  return {
    was: mean(own.map((c) => c.was)),
    now,
    read: own.length > 0 && own.every((c) => c.outcome !== null),
  };
}

/** The vehicle as it stands now over its old outline, one scale, and its rake ten times over. */
export function StandsNow({ view, corners, stateId }: { view: JobView; corners: readonly Corner[]; stateId: string }) {
  const [box, width, room] = useRoom<HTMLDivElement>(640);
  const { lengths } = useView();
  const text = useLengthText();
  const { form, wheelbase } = view.vehicle;
  const unit = laidOut(form, wheelbase, 100);
  const tallest = unit.tall * unit.scale;
  const rakeTall = 92;
  const heights = { front: axleHeights(corners, 'front'), rear: axleHeights(corners, 'rear') };
  const aside = { left: heights.front.now === null ? 70 : FIGURES, right: heights.rear.now === null ? 20 : FIGURES };
  const free = width - aside.left - aside.right;
  const wide = Math.min(free, ((Math.min(room, 460) - rakeTall - 46) * 100) / tallest);
  const { scale, radius, x: inX, y: inY } = laidOut(form, wheelbase, wide);
  const left = aside.left + (free - wide) / 2;
  const x = (v: number) => left + inX(v);
  const y = (v: number) => 14 + inY(v);
  const perMm = scale / wheelbase;
  const rise = (at: 'front' | 'rear') => {
    const { was, now } = heights[at];
    return was === null || now === null ? 0 : now - was;
  };
  // The body turns as one piece between its axles.
  const tilt = (rise('rear') - rise('front')) / wheelbase;
  const lift = `matrix(1 ${-tilt} 0 1 0 ${-rise('front') * perMm + tilt * x(0)})`;
  const ground = y(0);
  const rake = rakeOf(view, stateId, rise('rear') - rise('front'));
  const floor = ground + 62;
  const s: Scale = {
    ...{ perMm, width, height: ground + rakeTall, x: (mm) => mm * perMm, y: (mm) => ground - mm * perMm },
    at: (p) => ({ cx: p.x * perMm, cy: ground - p.y * perMm }),
  };
  return (
    <div ref={box} className="stands-now">
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${ground + rakeTall + 12}`}
        role="img"
        aria-label={`How it stands: ${(['front', 'rear'] as const)
          .flatMap((at) => {
            const { was, now, read } = heights[at];
            return now === null
              ? []
              : [`${at} ${text(now)}${read ? '' : ', foretold'}${was === null ? '' : `, was ${text(was)}`}`];
          })
          .join('; ')}`}
      >
        <g>
          <VehicleBody form={form} x={x} y={y} ghost />
        </g>
        <g transform={lift}>
          <VehicleBody form={form} x={x} y={y} />
        </g>
        <Wheels axles={sketchedAxles(view)} radius={radius} scale={scale} x={x} y={y} />
        <Ground s={s} to={width} />
        {(['front', 'rear'] as const).map((at) => {
          const { was, now, read } = heights[at];
          if (now === null) return null;
          const inward = at === 'front' ? -1 : 1;
          // Beside the body, so that nothing of it lies under the figures.
          const px =
            (at === 'front' ? Math.min(x(0) - radius * scale, x(BODIES[form].left)) : x(BODIES[form].right)) +
            inward * 16;
          const anchor = at === 'front' ? 'end' : 'start';
          return (
            <g key={at}>
              <path
                d={`M${px} ${y(radius)}V${y(radius) - radius * scale * 1.6}m-4 7l4 -7l4 7M${px - 4} ${y(radius) - 7}l4 7l4 -7`}
                fill="none"
                stroke="var(--new)"
                strokeWidth="1.8"
              />
              <text
                x={px + inward * 8}
                y={y(radius) - 30}
                textAnchor={anchor}
                className="num stand-now"
                style={{ fill: read ? 'var(--new)' : 'var(--graphite)' }}
              >
                {text(now)}
              </text>
              <text x={px + inward * 8} y={y(radius) - 8} textAnchor={anchor} style={{ fill: 'var(--graphite)' }}>
                {was === null ? '' : `was ${text(was)}`}
                {read ? '' : was === null ? 'foretold' : ', foretold'}
              </text>
            </g>
          );
        })}
        <RakeLine {...{ rake, wheelbase, perMm, floor, text }} from={x(0)} to={x(1)} />
        <ScaleBar s={s} across={width / perMm} lengths={lengths} left={12} top={ground + rakeTall + 4} />
      </svg>
    </div>
  );
}

interface Rake {
  before: number;
  after: number;
  /** Read at both axles, or reckoned from what changed. */
  read: boolean;
  /** Only the change is known: before stands for level. */
  relative: boolean;
}

/** Rear less front at the lips from the ground, mm, before and now. @param change of the rear against the front */
function rakeOf(view: JobView, stateId: string, change: number): Rake {
  const { position } = view.axle;
  const at = (phase: 'before' | 'after', state: string) =>
    goalValue('rake', view.readings, phase, state, position === 'front' ? 'front' : 'rear');
  const before = at('before', view.states[0]?.id ?? '');
  const after = at('after', stateId);
  if (before === undefined) return { before: 0, after: change, read: false, relative: true };
  return { before, after: after ?? before + change, read: after !== undefined, relative: false };
}

interface RakeProps {
  rake: Rake;
  wheelbase: number;
  perMm: number;
  floor: number;
  from: number;
  to: number;
  text: (mm: number) => string;
}

/** Before dashed, now solid, over the wheelbase, ten times as steep. */
function RakeLine({ rake, wheelbase, perMm, floor, from, to, text }: RakeProps) {
  const most = 34;
  const drop = (mm: number) => Math.max(-most, Math.min(most, mm * perMm * TIMES));
  const degrees = (mm: number) =>
    `${mm < 0 ? '−' : '+'}${Math.abs((Math.atan(mm / wheelbase) * 180) / Math.PI).toFixed(1)}°`;
  const tail = (mm: number) =>
    Math.abs(mm) < 1 ? 'level' : `${text(Math.abs(mm))} ${mm > 0 ? 'tail high' : 'nose high'}`;
  return (
    <g>
      <text x={from - 16} y={floor + 5} textAnchor="end" style={{ fill: 'var(--graphite)' }}>
        rake, ×{TIMES}
      </text>
      <line
        x1={from}
        x2={to}
        y1={floor}
        y2={floor}
        stroke="var(--graphite)"
        strokeDasharray="8 3 2 3"
        strokeWidth="0.9"
      />
      <line
        x1={from}
        x2={to}
        y1={floor}
        y2={floor - drop(rake.before)}
        stroke="var(--graphite)"
        strokeDasharray="5 4"
        strokeWidth="1.2"
      />
      <path d={`M${from} ${floor}L${to} ${floor - drop(rake.after)}V${floor}Z`} fill="var(--new)" fillOpacity="0.16" />
      <line x1={from} x2={to} y1={floor} y2={floor - drop(rake.after)} stroke="var(--new)" strokeWidth="2.2" />
      <circle cx={from} cy={floor} r="4" fill="var(--ink)" />
      <text x={to + 10} y={floor - drop(rake.after) + 5} className="num rake-now" style={{ fill: 'var(--new)' }}>
        {rake.relative ? `${rake.after < 0 ? '−' : '+'}${text(Math.abs(rake.after))}` : tail(rake.after)}
      </text>
      <text x={(from + to) / 2} y={floor + 22} textAnchor="middle">
        {rake.relative ? `turned by ${degrees(rake.after)}` : `${degrees(rake.before)} → ${degrees(rake.after)}`}
      </text>
    </g>
  );
}
