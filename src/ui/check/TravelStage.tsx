'use client';
import { useEffect, useRef, useState } from 'react';
import { type JobView } from '@/contracts/job';
import { SURVEY_TEXT } from '@/contracts/surveyText';
import { hubDrop, type HubDrop } from '@/core/travel/hubTravel';
import { ASSUMED_TRAVEL, type LimiterId } from '@/core/travel/limits';
import { lengthAtDrop } from '@/core/travel/shock';
import { type VerdictState } from '@/core/verdict';
import { fit } from '../drawing/scale';
import { PullHandle } from '../drawing/PullHandle';
import { ScaleBar } from '../drawing/ScaleBar';
import { spread } from '../drawing/spread';
import { useRoom } from '../drawing/useRoom';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { AxleFromBehind, partsOf } from './AxleFromBehind';
import { END_NAMES, LIMITER_NAMES, SHAFT_END_NAMES } from './limiterNames';
import { firstOf, type Travel } from './useTravel';

interface Props {
  view: JobView;
  travel: Travel;
  /** How each row of the list stands, for its mark on the ruler. */
  states: Readonly<Record<string, VerdictState>>;
  stateName: string;
}

/** The row of the list that tells of a limiter. */
const ROW: Partial<Record<LimiterId, string>> = {
  stopTouches: 'stopGap',
  shockShut: 'shockShut',
  shockOpen: 'shockLength',
  axleToFrame: 'axleToFrame',
  tyreToArch: 'tyreToArch',
  tyreAtLock: 'tyreAtLock',
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
      return first ? [{ key: id, name: LIMITER_NAMES[id], at: first.at, state: states[ROW[id] ?? ''] ?? 'end' }] : [];
    }),
    ...(held?.endsPlanned ?? []).map((end): Tick => ({
      key: end.id,
      name: END_NAMES[end.id],
      at: end.at,
      state: states[end.id] ?? 'end',
    })),
    ...travel.shaft.map(({ id, at }): Tick => ({
      key: id,
      name: SHAFT_END_NAMES[id],
      at,
      state: states.shaftTravel ?? 'end',
    })),
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
    // Figures of the ruler in inches and sixteenths reach further over.
    { left: narrow ? 14 : BUTTON, right: !narrow && lengths === 'in' ? 44 : 14, top: 8, bottom: 40 },
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
        <output data-testid="hub-at">{pulled === null ? '' : nowText(travel, now, at(up), text)}</output>
      </div>
    </figure>
  );
}

/** What the hub meets where it is held. */
function nowText(travel: Travel, now: HubDrop, up: string, text: (mm: number) => string): string {
  const touches = firstOf(travel.limiters, 'stopTouches');
  const squeezed = touches ? touches.at - now : 0;
  const rest = travel.known.travel!.read.left.shockLength;
  const lean = travel.known.travel!.read.left.shockLean ?? ASSUMED_TRAVEL.lean.value;
  return [
    `hub ${up}`,
    squeezed > 0.5 ? `stop squeezed ${text(squeezed)}` : '',
    rest === undefined ? '' : `shock ${text(lengthAtDrop(rest, lean, now))} long`,
  ]
    .filter(Boolean)
    .join(', ');
}
