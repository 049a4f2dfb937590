'use client';
import { useState } from 'react';
import { type PartLine } from '@/contracts/preparation';
import { type NewArrival } from '@/contracts/needed';
import { arrivalSize, offBy, type Called, type Misfit } from '@/core/prepare/arrival';
import { decimalText } from '@/core/units/format';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useLengthText } from '../measured/Figure';
import { useWords } from '../measured/Quantity';
import { useView } from '../theme/View';
import { TypedField } from '../measured/TypedField';

/** The part in hand against what was called for, before anything is loosened. */
export function ArrivalCheck({
  job,
  lines,
  need,
  onNeed,
}: {
  job: JobHandle;
  lines: readonly PartLine[];
  need: string | null;
  onNeed: (need: string) => void;
}) {
  const words = useWords();
  const measurable = lines.filter((l) => l.called.length > 0 && l.state !== 'notWanted');
  const line =
    measurable.find((l) => l.need === need) ?? measurable.find((l) => l.arrival.misfits.length > 0) ?? measurable[0];
  if (!line) return <p className="muted">Nothing on the list has a size to be held against.</p>;
  return (
    <div className="arrival">
      <ul className="arrival-lines" aria-label="What can be measured">
        {measurable.map((l) => (
          <li key={l.need}>
            <button type="button" aria-pressed={l.need === line.need} onClick={() => onNeed(l.need)}>
              <span className="figure">{l.wanted}</span> {words(l.what)}{' '}
              {l.arrival.misfits.length > 0 ? (
                <span className="stop-word">STOP</span>
              ) : l.arrival.measured === l.wanted ? (
                <Marked kind="done">right</Marked>
              ) : (
                <span className="muted">{l.arrival.measured} measured</span>
              )}
            </button>
          </li>
        ))}
      </ul>
      <OneLine key={line.need} job={job} line={line} />
    </div>
  );
}

function OneLine({ job, line }: { job: JobHandle; line: PartLine }) {
  const { view } = job;
  const { problem, run } = useSend();
  const words = useWords();
  const pieces = Math.min(line.wanted, 12);
  const firstOpen = Array.from({ length: pieces }, (_, k) => k + 1).find((piece) =>
    line.called.some((c) => !view.arrivals.some((a) => a.need === line.need && a.piece === piece && a.size === c.size)),
  );
  const [piece, setPiece] = useState(line.arrival.misfits[0]?.piece ?? firstOpen ?? 1);
  const readOf = (size: Called['size'], of = piece) =>
    view.arrivals.find((a) => a.need === line.need && a.piece === of && a.size === size);
  const misfits = line.arrival.misfits.filter((m) => m.piece === piece);
  return (
    <div className="arrival-one">
      <p className="arrival-verdict" role="status" aria-label="Arrival">
        <Verdict misfits={misfits} read={line.called.filter((c) => readOf(c.size)).length} of={line.called.length} />
      </p>
      <div className="chips" role="group" aria-label="Piece">
        {Array.from({ length: pieces }, (_, k) => k + 1).map((n) => {
          const wrong = line.arrival.misfits.some((m) => m.piece === n);
          return (
            <button key={n} type="button" aria-pressed={n === piece} onClick={() => setPiece(n)}>
              {n} of {line.wanted} {wrong ? <span className="stop-word">STOP</span> : null}
            </button>
          );
        })}
      </div>
      <div className="arrival-fields">
        {line.called.map((called) => {
          const read = readOf(called.size);
          const { name, rule } = arrivalSize(called.size);
          return (
            <TypedField
              key={`${piece}${called.size}`}
              label={name}
              spoken={`${name}, piece ${piece}`}
              rule={rule}
              value={read ? { typed: read.typed, value: read.value } : null}
              draft={`${view.id}|arrival|${line.need}|${piece}|${called.size}`}
              hint={<CalledText called={called} />}
              onChange={({ typed, value }) =>
                void run(() =>
                  job.send('/arrivals', 'POST', {
                    ...{ id: crypto.randomUUID(), need: line.need, piece, size: called.size, typed, value },
                  } satisfies NewArrival),
                )
              }
            />
          );
        })}
      </div>
      <Drawn called={line.called} value={(size) => readOf(size)?.value ?? null} />
      {misfits.length > 0 ? (
        <p>
          It goes back. Measure the one that comes for it as piece {piece} again; until then the build does not start.{' '}
          <span className="muted">{words(line.what)}</span>
        </p>
      ) : null}
      <ProblemNote problem={problem} />
    </div>
  );
}

function Verdict({ misfits, read, of }: { misfits: readonly Misfit[]; read: number; of: number }) {
  const text = useSizeText();
  const [first] = misfits;
  if (first)
    return (
      <>
        <span className="arrival-great stop-ink">{text(first.called.size, Math.abs(first.by))}</span>{' '}
        {first.by < 0 ? 'short' : 'over'}, <span className="stop-word">STOP</span> {arrivalSize(first.called.size).name}
        {misfits.length > 1 ? `, and ${misfits.length - 1} more` : ''}
      </>
    );
  if (read === of) return <Marked kind="done">this one is right</Marked>;
  return <span className="muted">{of - read} of its sizes to measure</span>;
}

/** Under this a caliper reads it, and tenths matter, mm. */
const CALIPER = 60;

function useSizeText(): (size: Called['size'], value: number) => string {
  const text = useLengthText();
  const { lengths } = useView();
  return (size, value) =>
    size === 'angle'
      ? `${((value * 180) / Math.PI).toFixed(2)}°`
      : lengths === 'mm' && Math.abs(value) < CALIPER
        ? `${decimalText(value, 1)} mm`
        : text(value);
}

function CalledText({ called: { size, value, least, most } }: { called: Called }) {
  const text = useSizeText();
  if (size === 'thread') return <>called for {Number(value.toFixed(2))} mm across</>;
  if (least !== null && most !== null)
    return (
      <>
        called for {text(size, value)}, right from {text(size, least)} to {text(size, most)}
      </>
    );
  return (
    <>
      called for {text(size, value)}, {least === null ? 'or less' : 'or more'}
    </>
  );
}

const WIDE = 420;
const BAR = 17;

/** What was called for and what the tape says, to one scale: a U-bolt as a U, anything else as bars. */
function Drawn({ called, value }: { called: readonly Called[]; value: (size: Called['size']) => number | null }) {
  const of = (size: Called['size']) => called.find((c) => c.size === size);
  const text = useSizeText();
  const [leg, inside] = [of('legLength'), of('insideWidth')];
  if (leg && inside) {
    const has = value('legLength');
    const thread = value('threadLength') ?? of('threadLength')?.value ?? leg.value / 3;
    const long = Math.max(leg.value, has ?? 0);
    const k = Math.min((WIDE - 120) / (long + inside.value / 2), 130 / inside.value);
    const [x0, y0, r] = [34, 34, (inside.value * k) / 2];
    const end = x0 + long * k;
    const bar = Math.max(8, 9);
    const legs = (length: number) => {
      const from = end - length * k;
      return [y0, y0 + 2 * r].map((y) => ({ from, y }));
    };
    const short = has !== null && offBy(leg, has) < 0;
    const shown = has ?? leg.value;
    return (
      <svg
        className="drawing arrival-drawing"
        viewBox={`0 0 ${WIDE} ${y0 + 2 * r + 50}`}
        role="img"
        aria-label="The U-bolt in hand over the one called for, to scale"
      >
        {has !== null
          ? legs(leg.value).map(({ from, y }) => (
              <rect
                key={`g${y}`}
                x={from}
                y={y - bar / 2}
                width={leg.value * k}
                height={bar}
                fill="none"
                stroke={short ? 'var(--stop)' : 'var(--graphite)'}
                strokeDasharray="5 4"
              />
            ))
          : null}
        {legs(shown).map(({ from, y }) => (
          <g key={`s${y}`}>
            <rect
              x={from}
              y={y - bar / 2}
              width={shown * k}
              height={bar}
              fill="var(--steel)"
              stroke="var(--ink)"
              strokeWidth="1.5"
              strokeDasharray={has === null ? '5 4' : undefined}
            />
            {Array.from({ length: Math.floor((thread * k) / 4) }, (_, n) => (
              <path key={n} d={`M${from + 4 * n + 2} ${y - bar / 2}v${bar}`} stroke="var(--ink)" strokeWidth="0.7" />
            ))}
          </g>
        ))}
        <path
          d={`M${end} ${y0}A${r} ${r} 0 0 1 ${end} ${y0 + 2 * r}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={bar + 3}
        />
        <path
          d={`M${end} ${y0}A${r} ${r} 0 0 1 ${end} ${y0 + 2 * r}`}
          fill="none"
          stroke="var(--steel)"
          strokeWidth={bar}
        />
        <text x={end - (leg.value * k) / 2} y={y0 + r - 6} textAnchor="middle" style={{ fill: 'var(--graphite)' }}>
          called {text('legLength', leg.value)}
        </text>
        {has === null ? null : (
          <text
            x={end - (leg.value * k) / 2}
            y={y0 + r + 16}
            textAnchor="middle"
            style={{ fill: short ? 'var(--stop)' : 'var(--ink)' }}
          >
            tape {text('legLength', has)}
          </text>
        )}
        <text x={end} y={y0 + 2 * r + 36} textAnchor="middle">
          {text('insideWidth', value('insideWidth') ?? inside.value)} inside
        </text>
      </svg>
    );
  }
  const rows = called.flatMap((c) => {
    const has = value(c.size);
    return has === null || c.size === 'angle' || c.value <= 0 ? [] : [{ c, has }];
  });
  if (rows.length === 0) return null;
  return (
    <svg
      className="drawing arrival-drawing"
      viewBox={`0 0 ${WIDE} ${rows.length * 58 + 6}`}
      role="img"
      aria-label="What is in hand over what was called for, each to its own scale"
    >
      {rows.map(({ c, has }, n) => {
        const k = (WIDE - 150) / Math.max(c.value, has);
        const y = 22 + 58 * n;
        const off = offBy(c, has);
        return (
          <g key={c.size}>
            <text x={0} y={y - 6}>
              {arrivalSize(c.size).name}
            </text>
            <rect
              x={0}
              y={y}
              width={c.value * k}
              height={BAR / 2}
              fill="none"
              stroke="var(--graphite)"
              strokeDasharray="5 4"
            />
            <rect
              x={0}
              y={y + BAR / 2 + 3}
              width={Math.max(1, has * k)}
              height={BAR / 2 + 2}
              fill={off === 0 ? 'var(--new)' : 'var(--stop)'}
            />
            <text
              x={WIDE - 6}
              y={y + 18}
              textAnchor="end"
              className="num"
              style={off === 0 ? {} : { fill: 'var(--stop)' }}
            >
              {off === 0 ? '' : 'STOP '}
              {text(c.size, has)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
