'use client';
import { useWidth } from '../drawing/useWidth';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { type Corner } from './corners';

/** From where to where every ruler of a page reaches, mm. */
export interface Span {
  low: number;
  high: number;
}

const TAPE = { top: 22, height: 24 };
const TALL = 78;
const EDGE = 12;

/** One scale for all corners, so that they can be held against one another. */
export function spanOf(corners: readonly Corner[]): Span | null {
  const marks = corners.flatMap(({ was, foretold, guess, outcome }) => [
    ...(was === null ? [] : [was]),
    ...(guess === null ? [] : [guess]),
    ...(outcome === null ? [] : [outcome.measured]),
    ...(foretold ? [foretold.height - foretold.reach.below, foretold.height + foretold.reach.above] : []),
  ]);
  return marks.length === 0 ? null : { low: Math.min(...marks) - EDGE, high: Math.max(...marks) + EDGE };
}

/** A piece of tape with the height before, the foretold band, the tape's reading and the guess. */
export function CornerRuler({ corner, span, label }: { corner: Corner; span: Span; label: string }) {
  const { lengths } = useView();
  const text = useLengthText();
  const [box, width] = useWidth<HTMLDivElement>(420);
  const x = (mm: number) => 6 + ((mm - span.low) / (span.high - span.low)) * (width - 12);
  const perMm = (width - 12) / (span.high - span.low);
  const steps = lengths === 'mm' ? [1, 2, 5, 10, 20] : [25.4 / 16, 25.4 / 8, 25.4 / 4, 25.4 / 2, 25.4];
  const step = steps.find((mm) => mm * perMm >= 5) ?? steps.at(-1)!;
  const long = step * (lengths === 'mm' ? 5 : 4);
  const named = long * Math.max(1, Math.ceil(64 / (long * perMm)));
  const every = (by: number) =>
    Array.from(
      { length: Math.max(0, Math.floor(span.high / by) - Math.ceil(span.low / by) + 1) },
      (_, k) => (Math.ceil(span.low / by) + k) * by,
    );
  const bare = (mm: number) => text(mm).replace(/ (mm|in)$/, '');
  const { was, foretold, guess, outcome } = corner;
  const floor = TAPE.top + TAPE.height;
  return (
    <div ref={box} className="corner-ruler">
      <svg className="drawing" viewBox={`0 0 ${width} ${TALL}`} role="img" aria-label={label}>
        <rect x="0.5" y={TAPE.top} width={width - 1} height={TAPE.height} fill="var(--tape)" stroke="var(--rule)" />
        {foretold ? (
          <rect
            x={x(foretold.height - foretold.reach.below)}
            y={TAPE.top}
            width={x(foretold.height + foretold.reach.above) - x(foretold.height - foretold.reach.below)}
            height={TAPE.height}
            fill="var(--new)"
            fillOpacity="0.3"
            stroke="var(--new)"
            strokeWidth="1.5"
          />
        ) : null}
        {every(step).map((mm) => (
          <line
            key={mm}
            x1={x(mm)}
            x2={x(mm)}
            y1={floor}
            y2={floor - (Math.abs(mm / long - Math.round(mm / long)) < 1e-6 ? 13 : 7)}
            stroke="var(--ink)"
            strokeWidth={Math.abs(mm / long - Math.round(mm / long)) < 1e-6 ? 1.4 : 0.8}
          />
        ))}
        {every(named)
          .filter(
            (mm) =>
              x(mm) > 18 && x(mm) < width - 18 && (corner.guess === null || Math.abs(x(mm) - x(corner.guess)) > 26),
          )
          .map((mm) => (
            <text key={mm} x={x(mm)} y={floor + 16} textAnchor="middle" className="num small">
              {bare(mm)}
            </text>
          ))}
        {was === null ? null : (
          <line
            x1={x(was)}
            x2={x(was)}
            y1={TAPE.top - 8}
            y2={floor}
            stroke="var(--graphite)"
            strokeWidth="1.6"
            strokeDasharray="4 3"
          />
        )}
        {foretold ? (
          <line
            x1={x(foretold.height)}
            x2={x(foretold.height)}
            y1={TAPE.top}
            y2={floor}
            stroke="var(--new)"
            strokeWidth="2"
          />
        ) : null}
        {guess === null ? null : (
          <path d={`M${x(guess)} ${floor + 2}l7 12h-14z`} fill="var(--sheet)" stroke="var(--amber)" strokeWidth="1.8" />
        )}
        {outcome === null ? null : (
          <path
            d={`M${x(outcome.measured)} ${TAPE.top + 2}l-8 -14h16z M${x(outcome.measured) - 1.2} ${TAPE.top}v${TAPE.height}h2.4v-${TAPE.height}z`}
            fill="var(--ink)"
          />
        )}
      </svg>
    </div>
  );
}

/** What the marks on every ruler are. */
export function RulerKey({ guessed }: { guessed: boolean }) {
  return (
    <p className="ruler-key muted">
      <span>
        <svg viewBox="0 0 16 14" aria-hidden="true">
          <path d="M8 13L0.5 0.5h15z" fill="var(--ink)" />
        </svg>{' '}
        tape
      </span>
      <span>
        <svg viewBox="0 0 26 14" aria-hidden="true">
          <rect
            x="1"
            y="1"
            width="24"
            height="12"
            fill="var(--new)"
            fillOpacity="0.3"
            stroke="var(--new)"
            strokeWidth="1.5"
          />
        </svg>{' '}
        foretold, nine in ten
      </span>
      {guessed ? (
        <span>
          <svg viewBox="0 0 16 14" aria-hidden="true">
            <path d="M8 1.5L14.5 13h-13z" fill="var(--sheet)" stroke="var(--amber)" strokeWidth="1.8" />
          </svg>{' '}
          your guess
        </span>
      ) : null}
      <span>
        <svg viewBox="0 0 8 14" aria-hidden="true">
          <path d="M4 0v14" stroke="var(--graphite)" strokeWidth="1.8" strokeDasharray="4 3" />
        </svg>{' '}
        was
      </span>
    </p>
  );
}
