'use client';
import { useEffect, useMemo, useState } from 'react';
import { CoreError } from '@/core/errors';
import { type Picture } from '@/core/handbook/picture';
import { stepped } from '@/core/handbook/step';
import { SumInput, type Sum, type SumAnswer, type SumFigure } from '@/core/handbook/sum';
import { decimalText } from '@/core/units/format';
import { parseMeasured } from '@/core/units/parse';
import { fromCore } from '@/core/units/units';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Length } from '../measured/Figure';
import { Quantity, useWords } from '../measured/Quantity';
import { TypedField } from '../measured/TypedField';
import { useView } from '../theme/View';
import { PictureDrawing } from './PictureDrawing';

interface Props {
  sum: Sum;
  /** As typed and chosen; what is absent stands at its example. */
  texts: Readonly<Record<string, string>>;
  onText: (id: string, text: string) => void;
}

/** One sum: what goes in, the answer large, how it comes out, and what it does not tell. */
export function SumSheet({ sum, texts, onText }: Props) {
  const words = useWords();
  const fields = sum.fields.map((field) => {
    const text = texts[field.id] ?? field.example;
    const read = parseMeasured(text, field.rule);
    return { field, text, value: read.kind === 'ok' ? read.value : null };
  });
  const text = JSON.stringify([fields.map((f) => [f.field.id, f.text, f.value]), texts]);
  const { input, answer, picture, wrong } = useMemo((): {
    input: SumInput | null;
    answer: SumAnswer | null;
    picture: Picture | null;
    wrong: CoreError | null;
  } => {
    const chosen = Object.fromEntries(
      (sum.choices ?? []).map(({ id, options }) => [
        id,
        options.some((o) => o.id === texts[id]) ? texts[id]! : options[0]!.id,
      ]),
    );
    if (fields.some((f) => f.value === null)) return NOTHING;
    try {
      const input = new SumInput(
        Object.fromEntries(fields.map((f) => [f.field.id, f.value!])),
        Object.fromEntries(fields.map((f) => [f.field.id, f.text])),
        chosen,
      );
      return { input, answer: sum.answer(input), picture: sum.draw?.(input) ?? null, wrong: null };
    } catch (error) {
      if (error instanceof CoreError) return { ...NOTHING, wrong: error };
      throw error;
    }
    // The texts say all that goes in.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [sum, text]);
  const beside = useModel(sum, input);
  const [lead, ...rest] = answer?.figures ?? [];
  const more = [...beside, ...rest];
  const nameOf = (id: string) => [...sum.fields, ...(sum.choices ?? [])].find((f) => f.id === id)?.label ?? id;
  return (
    <section className="sheet sum" aria-label={sum.title}>
      <header className="sheet-head">
        <h2>{sum.title}</h2>
      </header>
      <div className="sum-top">
        <div className="sum-answer" aria-live="polite" data-testid="answer">
          {lead ? (
            <>
              <p className="verdict-great">
                <span className="muted">{lead.label}</span>
                <strong>
                  <SumValue figure={lead} />
                </strong>
              </p>
              {lead.between ? (
                <p className="muted">
                  nine in ten between <SumValue figure={{ ...lead, value: lead.between[0] }} /> and{' '}
                  <SumValue figure={{ ...lead, value: lead.between[1] }} />
                </p>
              ) : null}
              <dl className="facts">
                {more.map((figure) => (
                  <div key={figure.label}>
                    <dt>{figure.label}</dt>
                    <dd>
                      <SumValue figure={figure} />
                    </dd>
                  </div>
                ))}
              </dl>
              {answer!.words.map((line) => (
                <p key={line}>
                  {line.startsWith('STOP') ? (
                    <>
                      <span className="stop-word">STOP</span> {words(line.slice(5))}
                    </>
                  ) : line.startsWith('look: ') ? (
                    <Marked kind="look">{words(line.slice(6))}</Marked>
                  ) : (
                    words(line)
                  )}
                </p>
              ))}
            </>
          ) : (
            <p className="look" role="alert">
              {wrong ? `${nameOf(wrong.field)}: ${wrong.message}` : 'A figure is missing or cannot be read.'}
            </p>
          )}
        </div>
        {picture ? <PictureDrawing picture={picture} /> : null}
      </div>
      {answer?.days ? <Days days={answer.days} day={texts.day ?? ''} onDay={(day) => onText('day', day)} /> : null}
      <div className="read-here">
        {fields.map(({ field, text: typed, value }) => {
          const step = (by: 1 | -1, sign: string) => {
            const next = stepped(typed, field.rule, by);
            return (
              <button
                type="button"
                className="act quiet step"
                aria-label={`${field.label}, one step ${by < 0 ? 'less' : 'more'}`}
                disabled={next === null}
                onClick={() => next !== null && onText(field.id, next)}
              >
                {sign}
              </button>
            );
          };
          return (
            <div className="stepped" key={field.id}>
              {step(-1, '−')}
              <TypedField
                label={field.label}
                rule={field.rule}
                value={value === null ? null : { typed, value }}
                draft={`handbook|${sum.id}|${field.id}`}
                hint={field.hint}
                onChange={(next) => onText(field.id, next.typed)}
              />
              {step(1, '+')}
            </div>
          );
        })}
      </div>
      {(sum.choices ?? []).map((choice) => (
        <Chips
          key={choice.id}
          label={choice.label}
          shown
          options={choice.options}
          value={choice.options.some((o) => o.id === texts[choice.id]) ? texts[choice.id]! : choice.options[0]!.id}
          onPick={(id) => onText(choice.id, id)}
        />
      ))}
      <div className="sum-foot">
        {answer?.working.map((line) => (
          <p key={line} className="figure small">
            {line}
          </p>
        ))}
        <p className="small">
          <strong>From:</strong> {sum.source}.
        </p>
        <p className="small">
          <strong>It does not tell:</strong> {sum.silent}
        </p>
      </div>
    </section>
  );
}

const NOTHING = { input: null, answer: null, picture: null, wrong: null };

/** What the heavier model of a sum says of this input, once it has. */
function useModel(sum: Sum, input: SumInput | null): readonly SumFigure[] {
  const [said, setSaid] = useState<{ of: SumInput; figures: readonly SumFigure[] } | null>(null);
  useEffect(() => {
    if (!input || !sum.model) return;
    let gone = false;
    void sum.model(input).then(
      (figures) => !gone && setSaid({ of: input, figures }),
      // Its program could not be fetched: the answer stands without it.
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, [sum, input]);
  return said && said.of === input ? said.figures : [];
}

/** When each thing is begun, once the day of the work is picked. */
function Days({
  days,
  day,
  onDay,
}: {
  days: NonNullable<SumAnswer['days']>;
  day: string;
  onDay: (day: string) => void;
}) {
  const at = (before: number): string => {
    const date = new Date(`${day}T12:00:00Z`);
    date.setUTCDate(date.getUTCDate() - before);
    return new Intl.DateTimeFormat('en-GB', { ...DAY, timeZone: 'UTC' }).format(date);
  };
  const known = !Number.isNaN(Date.parse(`${day}T12:00:00Z`));
  return (
    <section className="sum-days" aria-label="On the calendar">
      <label>
        The day of the work{' '}
        <input type="date" className="day-field" value={day} onChange={(event) => onDay(event.target.value)} />
      </label>
      {known ? (
        <ol>
          {days.map(({ name, before }) => (
            <li key={name}>
              <strong>{at(before)}</strong> {name}
            </li>
          ))}
          <li>
            <strong>{at(0)}</strong> the work
          </li>
        </ol>
      ) : null}
    </section>
  );
}
const DAY = { weekday: 'short', day: 'numeric', month: 'short' } as const;

/** A figure in the unit the person wants; a force as kilonewtons or pounds. */
function SumValue({ figure: { value, dimension, says } }: { figure: SumFigure }) {
  const { lengths } = useView();
  if (says !== undefined) return <span className="figure">{says}</span>;
  const bare = (figure: number, digits: number, unit: string) => (
    <span className="figure">
      {decimalText(figure, digits)}
      <span className="unit-text"> {unit}</span>
    </span>
  );
  switch (dimension) {
    case 'length':
      return <Length mm={value} tenths />;
    case 'torque':
    case 'rate':
      return <Quantity value={value} of={dimension} digits={1} />;
    case 'mass':
      return <Quantity value={value} of="mass" />;
    case 'force':
      return lengths === 'mm' ? bare(fromCore(value, 'kN'), 1, 'kN') : bare(fromCore(value, 'lbf'), 0, 'lbf');
    case 'energy':
      return bare(value / 1000, 0, 'J');
    case 'count':
      return bare(value, 0, '');
    case 'pressure':
      return <Quantity value={value} of={dimension} digits={1} />;
    case 'angle':
      return bare((value * 180) / Math.PI, 2, '°');
    case 'share':
      return bare(100 * value, 0, '%');
    default:
      return bare(value, 2, '');
  }
}
