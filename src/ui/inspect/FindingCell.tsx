'use client';
import { Select } from 'antd';
import { useState } from 'react';
import { type NewFinding } from '@/contracts/finding';
import { packAt } from '@/contracts/packAt';
import { type Side } from '@/core/vehicle/side';
import { type InspectionRule } from '@/core/inspection/rule';
import { consequences, derivedValue, judge, type RuleId } from '@/core/inspection/rules';
import { lengthRule } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { TypedField, type Typed } from '../measured/TypedField';
import { Clock } from '../measured/Clock';
import { PhotoStrip } from './PhotoStrip';
import { suggestion } from './suggest';
import { VerdictMark } from './VerdictMark';

interface Props {
  job: JobHandle;
  id: RuleId;
  rule: InspectionRule;
  side: Side | null;
  /** Its state and pictures stand elsewhere on the page. */
  bare?: boolean;
}

const PLACE = lengthRule(-1500, 1500);
type Values = Record<string, Typed>;

/** What was found of one rule on one side: seen or measured, the verdict that follows, its consequences, pictures. */
export function FindingCell({ job, id, rule, side, bare = false }: Props) {
  const { view } = job;
  const { problem, run } = useSend();
  const stored = view.findings.find((f) => f.rule === id && f.side === side);
  // Measures typed so far; they are sent once all of a rule's are there.
  const [typed, setTyped] = useState<Values>({});
  const [noted, setNoted] = useState<string | null>(null);
  const kept: Values = Object.fromEntries(
    (stored?.values ?? []).map((v) => [v.measure, { typed: v.typed, value: v.value }]),
  );
  const values: Values = { ...kept, ...typed };
  const named = [rule.what, side].filter(Boolean).join(', ');

  const save = (part: Partial<Omit<NewFinding, 'values'>>, next: Values = values) => {
    const finding: NewFinding = {
      id: crypto.randomUUID(),
      rule: id,
      side,
      choice: stored?.choice ?? null,
      note: stored?.note ?? '',
      leafId: stored?.leafId ?? null,
      place: stored?.place ?? null,
      placeTyped: stored?.placeTyped ?? null,
      ...part,
      values: Object.entries(next).map(([measure, t]) => ({ measure, ...t })),
    };
    if (judge(rule, { choice: finding.choice, values: numbers(next) }) === null) return;
    void run(async () => {
      await job.send('/findings', 'POST', finding);
      setTyped({});
      setNoted(null);
    });
  };
  const put = (measure: string, value: Typed) => {
    const next = { ...values, [measure]: value };
    setTyped(next);
    save({}, next);
  };
  const hint = stored ? undefined : suggestion(view, id, side);
  const [figure] = Object.values(derivedValue(rule, numbers(values)));
  const broken = stored?.verdict === 'stop' && rule.place;
  return (
    <div className="finding" data-finding={`${id}|${side ?? ''}`}>
      <div className="finding-head">
        <span className="muted">{side ?? 'axle'}</span>
        {stored ? <VerdictMark verdict={stored.verdict} /> : <span className="muted">not looked at</span>}
      </div>
      {rule.choices.length > 0 ? (
        <div className="field">
          <Select
            aria-label={named}
            value={stored?.choice ?? null}
            placeholder="what is seen"
            options={rule.choices.map((c) => ({ value: c.id, label: c.text }))}
            onChange={(choice: string | null) => save({ choice })}
          />
        </div>
      ) : null}
      {rule.measures.map((m) => (
        <TypedField
          key={m.id}
          label={m.label}
          spoken={`${named}: ${m.label}`}
          rule={m.rule}
          value={values[m.id] ?? null}
          draft={`${view.id}|${id}|${side ?? ''}|${m.id}`}
          onChange={(value) => put(m.id, value)}
        />
      ))}
      {rule.derived && figure !== undefined ? (
        <p className="muted">
          {rule.derived.what} <Length mm={figure} />
        </p>
      ) : null}
      {hint ? (
        <button
          type="button"
          className="link"
          onClick={() =>
            save(
              {},
              Object.fromEntries(
                Object.entries(hint.values).map(([k, value]) => [
                  k,
                  { value: round(value), typed: `${round(value)} mm` },
                ]),
              ),
            )
          }
        >
          take it from Measure: {hint.because}
        </button>
      ) : null}
      {broken ? (
        <>
          <Chips
            label={`Which leaf, ${side ?? ''}`}
            options={packAt(view, side).leaves.map((leaf, i) => ({ id: leaf.id, name: String(i + 1) }))}
            value={stored.leafId}
            onPick={(leafId) => save({ leafId })}
          />
          <TypedField
            label="From the pin, minus to the front"
            spoken={`Broken at, ${side ?? ''}`}
            rule={PLACE}
            value={
              stored.place !== null && stored.placeTyped ? { value: stored.place, typed: stored.placeTyped } : null
            }
            draft={`${view.id}|place|${side ?? ''}`}
            onChange={({ value, typed: text }) => save({ place: value, placeTyped: text })}
          />
        </>
      ) : null}
      {stored ? (
        <>
          {consequences(rule, stored.verdict).map((line) => (
            <p key={line} className={stored.verdict === 'stop' ? 'stop-word' : 'look'}>
              {line}
            </p>
          ))}
          {stored.verdict === 'replace' || stored.verdict === 'stop' ? (
            <OrderParts job={job} order={rule.order} count={rule.pair ? 2 : 1} />
          ) : null}
          <details className="more">
            <summary>
              {stored.note === '' ? 'note' : stored.note}
              {bare ? '' : view.photos.some((p) => p.subject === `${id}|${side ?? ''}`) ? ', pictures' : ' or picture'}
            </summary>
            <TextField
              label="Note"
              spoken={`Note, ${named}`}
              most={500}
              value={noted ?? stored.note}
              onChange={setNoted}
            />
            {noted !== null && noted !== stored.note ? (
              <button type="button" className="act quiet" onClick={() => save({ note: noted })}>
                Save the note
              </button>
            ) : null}
            {bare ? null : <PhotoStrip job={job} subject={`${id}|${side ?? ''}`} caption={named} />}
            <div className="small muted">
              {stored.person}, <Clock at={stored.foundAt} />
            </div>
          </details>
        </>
      ) : null}
      <ProblemNote problem={problem} />
    </div>
  );
}

/** What a finding asks for, put on the job's list of parts. */
function OrderParts({ job, order, count }: { job: JobHandle; order: readonly string[]; count: number }) {
  const { busy, problem, run } = useSend();
  const missing = order.filter((what) => !job.view.kit.some((k) => k.what.toLowerCase() === what.toLowerCase()));
  if (order.length === 0) return null;
  if (missing.length === 0) return <p className="muted">on the list of parts (Ask)</p>;
  const put = async () => {
    for (const what of missing)
      await job.send('/kit', 'POST', {
        id: crypto.randomUUID(),
        what: what.slice(0, 120),
        wanted: count,
        state: 'notInKit',
      });
  };
  return (
    <>
      <button type="button" className="act quiet" disabled={busy} onClick={() => void run(put)}>
        Onto the list of parts
      </button>
      <ProblemNote problem={problem} />
    </>
  );
}

const round = (value: number): number => Number(value.toFixed(1));
const numbers = (values: Values): Record<string, number> =>
  Object.fromEntries(Object.entries(values).map(([k, v]) => [k, v.value]));
