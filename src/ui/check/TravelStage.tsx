'use client';
import { useEffect, useRef, useState } from 'react';
import { type JobView } from '@/contracts/job';
import { SURVEY_TEXT } from '@/contracts/surveyText';
import { hubDrop, type HubDrop } from '@/core/travel/hubTravel';
import { ASSUMED_TRAVEL, type LimiterId } from '@/core/travel/limits';
import { lengthAtDrop } from '@/core/travel/shock';
import { type VerdictState } from '@/core/verdict';
import { SIDES, type Side } from '@/core/vehicle/side';
import { fit, type Scale } from '../drawing/scale';
import { PullHandle } from '../drawing/PullHandle';
import { ScaleBar } from '../drawing/ScaleBar';
import { spread } from '../drawing/spread';
import { useRoom } from '../drawing/useRoom';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/Providers';
import { firstOf, type Travel } from './useTravel';

interface Props {
  view: JobView;
  travel: Travel;
  /** How each row of the list stands, for its mark on the ruler. */
  states: Readonly<Record<string, VerdictState>>;
  stateName: string;
}

const NAMES: Record<LimiterId, string> = {
  stopTouches: 'stop touches',
  stopSolid: 'stop solid',
  shockShut: 'shock shut',
  shockOpen: 'shock open',
  axleToFrame: 'axle to frame',
  tyreToArch: 'tyre to body',
};
/** The row of the list that tells of a limiter. */
const ROW: Partial<Record<LimiterId, string>> = {
  stopTouches: 'stopGap',
  shockShut: 'shockShut',
  shockOpen: 'shockLength',
  axleToFrame: 'axleToFrame',
  tyreToArch: 'tyreToArch',
};

interface Tick {
  key: string;
  name: string;
  at: HubDrop;
  state: VerdictState | 'sits' | 'was' | 'end';
}

/** Width of the ruler with its words, px. */
const RULER = 300;
const LINE = 19;
/** Room of the button over the drawing's left end, px. */
const BUTTON = 118;
/** One way through the travel, ms. */
const RUN = 2600;

/** The axle from behind, pulled through its travel, and a ruler beside it on which everything stands where it acts. */
export function TravelStage({ view, travel, states, stateName }: Props) {
  const [ref, width, room] = useRoom<HTMLElement>(760);
  const { lengths } = useView();
  const text = useLengthText();
  const { sits, held } = travel;
  const rests = hubDrop(Math.min(sits.will.left, sits.will.right));
  const [pulled, setPulled] = useState<number | null>(null);
  const now = hubDrop(rests + (pulled ?? 0));
  const ids = [...new Set(travel.limiters.map((l) => l.id))];
  const ticks: Tick[] = [
    ...ids.flatMap((id): Tick[] => {
      const first = firstOf(travel.limiters, id);
      return first ? [{ key: id, name: NAMES[id], at: first.at, state: states[ROW[id] ?? ''] ?? 'end' }] : [];
    }),
    ...travel.taut.map(({ item, at }): Tick => ({
      key: item,
      name: `${SURVEY_TEXT[item]} taut`,
      at,
      state: states[item] ?? 'end',
    })),
    ...(typeof held?.droopPlanned === 'number'
      ? [
          {
            key: 'hangs',
            name: travel.travel?.droopPlanned === held.droopPlanned ? 'spring hangs loose' : 'held by the shocks',
            at: held.droopPlanned,
            state: 'end' as const,
          },
        ]
      : []),
    { key: 'sits', name: 'sits here', at: rests, state: 'sits' },
    ...(Math.abs(rests - sits.was.left) > 1
      ? [{ key: 'was', name: 'sat here before', at: sits.was.left, state: 'was' as const }]
      : []),
  ];
  const top = Math.min(-60, ...ticks.map((t) => t.at)) - 12;
  const bottom = Math.max(60, ...ticks.map((t) => t.at)) + 12;
  const reach = { up: rests - top, down: bottom - rests };

  // Once up and once down again; nothing moves by itself where that is not wanted.
  const [runs, setRuns] = useState(false);
  const frame = useRef(0);
  useEffect(() => {
    if (!runs) return;
    if (window.matchMedia('(prefers-reduced-motion: reduce)').matches) return;
    const began = performance.now();
    const step = (at: number) => {
      const t = (at - began) / RUN;
      if (t >= 2) {
        setPulled(null);
        setRuns(false);
        return;
      }
      const wave = Math.sin(Math.PI * t);
      setPulled(wave > 0 ? -wave * reach.up : -wave * reach.down);
      frame.current = requestAnimationFrame(step);
    };
    frame.current = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame.current);
    // The travel that was there when it began is run through.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [runs]);

  const narrow = width < 720;
  const across = narrow ? width : width - RULER;
  const tall = Number.isFinite(room) ? room : 380;
  const parts = partsOf(view, travel);
  const s = fit(
    { left: -parts.half, right: parts.half, top: parts.top, bottom: -parts.radius - Math.max(0, bottom) },
    across,
    { left: narrow ? 14 : BUTTON, right: 14, top: 8, bottom: 40 },
    narrow ? Infinity : tall,
  );
  const rulerTop = narrow ? s.height + 24 : 16;
  const rulerTall = Math.max(narrow ? 300 : 120, (narrow ? 0 : tall) - 32);
  const perMm = rulerTall / (bottom - top);
  const y = (at: number) => rulerTop + (at - top) * perMm;
  const x = narrow ? 70 : across + 64;
  const ordered = ticks.toSorted((p, q) => p.at - q.at);
  const words = spread(
    ordered.map((t) => y(t.at)),
    LINE,
    { least: rulerTop, most: rulerTop + rulerTall },
  );
  const height = narrow ? rulerTop + rulerTall + 20 : Math.max(s.height, tall);
  const up = rests - now;
  const at = (mm: number) => `${mm > 0 ? '+' : ''}${text(mm).replace(/ (mm|in)$/, '')}`;
  return (
    <figure className="figure-sheet" ref={ref}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${height.toFixed(1)}`}
        role="group"
        aria-label={`The axle from behind in “${stateName}”, and what ends its travel: ${ordered
          .map((t) => `${t.name} ${at(rests - t.at)}`)
          .join(', ')}`}
      >
        <AxleFromBehind s={s} view={view} travel={travel} parts={parts} now={now} rests={rests} />
        <ScaleBar s={s} across={2 * parts.half} lengths={lengths} left={14} top={s.height - 12} front={false}>
          from behind
        </ScaleBar>
        <rect
          x={x}
          y={rulerTop}
          width={30}
          height={rulerTall}
          fill="var(--tape)"
          stroke="var(--tick)"
          strokeWidth="1"
        />
        {Array.from(
          { length: Math.floor((bottom - top) / 10) + 1 },
          (_, k) => Math.ceil((rests - bottom) / 10) * 10 + k * 10,
        )
          .filter((mm) => rests - mm >= top && rests - mm <= bottom)
          .map((mm) => (
            <g key={mm}>
              <path
                d={`M${x} ${y(rests - mm).toFixed(1)}h${mm % 50 === 0 ? 14 : 7}`}
                stroke="var(--tick)"
                strokeWidth={mm % 50 === 0 ? 1.4 : 0.8}
              />
              {mm % 50 === 0 && Math.abs(y(rests - mm) - y(now)) > 26 ? (
                <text
                  x={x - 6}
                  y={y(rests - mm) + 5}
                  textAnchor="end"
                  className="num"
                  style={{ fill: 'var(--graphite)' }}
                >
                  {at(mm)}
                </text>
              ) : null}
            </g>
          ))}
        {ordered.map((tick, k) => {
          const ink =
            tick.state === 'does not fit'
              ? 'var(--stop)'
              : tick.state === 'look'
                ? 'var(--amber)'
                : tick.state === 'was'
                  ? 'var(--graphite)'
                  : 'var(--ink)';
          const there = y(tick.at).toFixed(1);
          const word = words[k]!;
          return (
            <g key={tick.key} data-limiter={tick.key}>
              <path
                d={`M${x} ${there}h30l10 ${(word - y(tick.at)).toFixed(1)}h6`}
                fill="none"
                stroke={ink}
                strokeWidth={tick.state === 'sits' ? 2.4 : 1.5}
                strokeDasharray={tick.state === 'was' ? '4 3' : undefined}
              />
              <text x={x + 50} y={word + 5} style={{ fill: ink }} className={tick.state === 'sits' ? 'strong' : ''}>
                {tick.name.length > 24 ? `${tick.name.slice(0, 23)}…` : tick.name}
              </text>
              <text x={width - 6} y={word + 5} textAnchor="end" className="num" style={{ fill: ink }}>
                {tick.state === 'does not fit' ? 'STOP ' : tick.state === 'look' ? '▲ ' : ''}
                {at(rests - tick.at)}
              </text>
            </g>
          );
        })}
        <path
          d={`M${s.x(0).toFixed(1)} ${s.y(-now).toFixed(1)}L${x} ${y(now).toFixed(1)}`}
          stroke="var(--ink)"
          strokeWidth="1"
          strokeDasharray="2 4"
        />
        <PullHandle
          of={{ x, y: y(now) }}
          at={{ x: x - 24, y: y(now) }}
          label=""
          text=""
          planned={up !== 0}
          value={up}
          least={-reach.down}
          most={reach.up}
          step={lengths === 'in' ? 25.4 / 16 : 1}
          perPixel={1 / perMm}
          onHold={(value) => setPulled(-value)}
          onKeep={(value) => setPulled(-value)}
          onLetGo={() => setPulled(null)}
          spoken="Hub through its travel"
          spokenText={at(up)}
        />
      </svg>
      <div className="acts travel-acts">
        <button type="button" className="act quiet" aria-pressed={runs} onClick={() => setRuns(!runs)}>
          {runs ? 'hold' : 'run travel'}
        </button>
        {pulled === null ? null : (
          <button
            type="button"
            className="act quiet"
            onClick={() => {
              setRuns(false);
              setPulled(null);
            }}
          >
            back to where it sits
          </button>
        )}
        <output data-testid="hub-at">{pulled === null ? '' : nowText(travel, now, rests, at)}</output>
      </div>
    </figure>
  );
}

/** What the hub meets where it is held. */
function nowText(travel: Travel, now: HubDrop, rests: HubDrop, at: (mm: number) => string): string {
  const touches = firstOf(travel.limiters, 'stopTouches');
  const squeezed = touches ? touches.at - now : 0;
  const rest = travel.known.travel!.read.left.shockLength;
  const lean = travel.known.travel!.read.left.shockLean ?? ASSUMED_TRAVEL.lean.value;
  return [
    `hub ${at(rests - now)}`,
    squeezed > 0.5 ? `stop squeezed ${Math.round(squeezed)}` : '',
    rest === undefined ? '' : `shock ${Math.round(lengthAtDrop(rest, lean, now))} long`,
  ]
    .filter(Boolean)
    .join(', ');
}

interface Parts {
  radius: number;
  track: number;
  base: number;
  tube: number;
  /** Underside of the frame above the hub of today. */
  frame: number;
  /** Body above the hub of today. */
  body: number;
  half: number;
  top: number;
}

/** Sizes of the drawing; what nobody read stands in at a usual size, as on the measuring figure. */
function partsOf(view: JobView, travel: Travel): Parts {
  const read = (point: string, usual: number) =>
    view.readings.find((r) => r.point === point && r.phase === 'before')?.value ?? usual;
  const { left, right } = travel.known.travel!.read;
  const of = (point: 'axleToFrame' | 'tyreToArch' | 'stopGap' | 'stopHeight') => left[point] ?? right[point];
  const radius = read('groundToHub', 350);
  const tube = read('tubeDiameter', 80);
  const stop = (of('stopGap') ?? 60) + (of('stopHeight') ?? 50);
  const frame = tube / 2 + Math.max(of('axleToFrame') ?? 0, stop + 10);
  const body = radius + (of('tyreToArch') ?? 140);
  const track = read('trackWidth', 1600);
  return {
    ...{ radius, track, tube, frame, body },
    base: Math.min(read('springBase', 1050), track - 0.75 * radius) - 140,
    half: track / 2 + 0.45 * radius,
    top: Math.max(frame + 130, body + 20),
  };
}

const sideOf = (m: number): Side => (m < 0 ? 'left' : 'right');

/** Frame, stops, shocks, springs' seats, axle and wheels. */
function AxleFromBehind({
  s,
  view,
  travel,
  parts,
  now,
  rests,
}: {
  s: Scale;
  view: JobView;
  travel: Travel;
  parts: Parts;
  now: HubDrop;
  rests: HubDrop;
}) {
  const { radius, track, base, tube, frame, body, half } = parts;
  const { read, absent } = travel.known.travel!;
  const { stopPad, shock } = travel.fittings;
  const box = (x: number, y: number, wide: number, high: number) => ({
    x: s.x(x - wide / 2),
    y: s.y(y + high),
    width: wide * s.perMm,
    height: high * s.perMm,
  });
  const wheel = 0.55 * radius;
  const axle = (drop: number, ghost: boolean) => (
    <g
      fill={ghost ? 'none' : 'var(--sheet)'}
      stroke={ghost ? 'var(--graphite)' : 'var(--ink)'}
      strokeWidth={ghost ? 1 : 1.8}
      strokeDasharray={ghost ? '5 4' : undefined}
    >
      {[-1, 1].map((m) => (
        <rect key={m} {...box((m * track) / 2, -drop - radius, wheel, 2 * radius)} rx={0.16 * radius * s.perMm} />
      ))}
      <rect {...box(0, -drop - tube / 2, track - wheel, tube)} fill={ghost ? 'none' : 'var(--steel)'} />
    </g>
  );
  const rail = base / 2;
  return (
    <g>
      {[-1, 1].map((m) => {
        const inner = m * (track / 2 - wheel * 0.85);
        const under = body - 0.5 * radius;
        return (
          <path
            key={m}
            d={`M${s.x(inner)} ${s.y(under)}V${s.y(body)}H${s.x(m * half)}V${s.y(under)}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
            strokeLinejoin="round"
            strokeDasharray={read[sideOf(m)].tyreToArch === undefined ? '2 4' : undefined}
          />
        );
      })}
      <rect {...box(0, frame + 20, 2 * rail, 70)} fill="none" stroke="var(--ink)" strokeWidth="1" />
      {Math.abs(now - rests) > 0.5 ? axle(rests, true) : null}
      {axle(now, false)}
      {[-1, 1].map((m) => {
        const side = sideOf(m);
        const of = read[side];
        const x = m * rail;
        const height = of.stopHeight ?? 50;
        const gap = of.stopGap;
        const tip = gap === undefined ? frame - height : tube / 2 + gap - stopPad;
        // Held in mid-bump the stop is as high as what strikes it leaves it.
        const strikes = tube / 2 - now;
        const low = gap === undefined ? tip : Math.max(tip, strikes);
        const root = tip + height;
        const seen = of.shockLength !== undefined && !absent.includes('shocks');
        const lean = of.shockLean ?? ASSUMED_TRAVEL.lean.value;
        const rest = of.shockLength ?? 0;
        const foot = { x: m * (base / 2 - 85), y: -now };
        const head = { x: foot.x - m * rest * Math.sin(lean), y: rest * Math.cos(lean) };
        const shut = shock?.shut ?? of.shockShut ?? rest * 0.75;
        const long = lengthAtDrop(rest, lean, now);
        const bodyEnd = Math.min(1, (shut * 0.86) / Math.max(long, 1));
        const along = (t: number) => ({ x: head.x + (foot.x - head.x) * t, y: head.y + (foot.y - head.y) * t });
        const barrel = along(bodyEnd);
        return (
          <g key={m} data-side={side}>
            <rect {...box(x, frame, 76, 120)} fill="var(--tape)" stroke="var(--ink)" strokeWidth="1.6" />
            {view.axle.arrangement === null ? null : (
              <rect
                {...box(
                  m * (base / 2 + 72),
                  view.axle.arrangement === 'over' ? tube / 2 - now : -tube / 2 - 44 - now,
                  60,
                  44,
                )}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth="1.4"
              />
            )}
            {absent.includes('stops') ? null : (
              <>
                {root < frame ? (
                  <rect {...box(x, root, 46, frame - root)} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
                ) : null}
                {stopPad > 0 ? (
                  <rect {...box(x, root, 62, stopPad)} fill="var(--new-wash)" stroke="var(--new)" strokeWidth="1.6" />
                ) : null}
                <rect
                  {...box(x, low, 50 + Math.max(0, low - tip) * 0.4, Math.max(2, root - low))}
                  rx="3"
                  fill={gap === undefined ? 'none' : 'var(--graphite)'}
                  stroke="var(--ink)"
                  strokeWidth="1.4"
                  strokeDasharray={gap === undefined ? '2 4' : undefined}
                />
              </>
            )}
            {seen ? (
              <g>
                <path
                  d={`M${s.x(head.x)} ${s.y(head.y)}L${s.x(foot.x)} ${s.y(foot.y)}`}
                  stroke={shock ? 'var(--new)' : 'var(--ink)'}
                  strokeWidth={Math.max(2.5, 16 * s.perMm)}
                />
                <path
                  d={`M${s.x(head.x)} ${s.y(head.y)}L${s.x(barrel.x)} ${s.y(barrel.y)}`}
                  stroke={shock ? 'var(--new)' : 'var(--ink)'}
                  strokeWidth={Math.max(6, 46 * s.perMm)}
                />
                <path
                  d={`M${s.x(head.x)} ${s.y(head.y)}L${s.x(barrel.x)} ${s.y(barrel.y)}`}
                  stroke={shock ? 'var(--new-wash)' : 'var(--sheet)'}
                  strokeWidth={Math.max(3, 46 * s.perMm - 3)}
                />
                {[head, foot].map((p, k) => (
                  <circle key={k} {...s.at(p)} r="4.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.8" />
                ))}
              </g>
            ) : null}
          </g>
        );
      })}
      <circle {...s.at({ x: 0, y: -now })} r="5" fill="var(--ink)" />
      {SIDES.map((side) => (
        <text
          key={side}
          x={s.x(side === 'left' ? -half : half)}
          y={s.y(-now - radius) + 20}
          textAnchor={side === 'left' ? 'start' : 'end'}
        >
          {side}
        </text>
      ))}
    </g>
  );
}
