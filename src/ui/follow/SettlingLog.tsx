'use client';
import { useRef, useState } from 'react';
import { type SettlingLine } from '@/contracts/following';
import { pointOf } from '@/core/measure/points';
import { distanceRule } from '@/core/units/rules';
import { type Side } from '@/core/vehicle/side';
import { pointName } from '../measure/fields';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { Length, PlusMinus } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';
import { TypedField, type Typed } from '../measured/TypedField';

const ODOMETER = distanceRule(0, 1e7);

/** Heights read again, each with the odometer; the one that is asked for next ticks its check. */
export function SettlingLog({ job, lines }: { job: JobHandle; lines: readonly SettlingLine[] }) {
  if (lines.length === 0) return <p className="muted">Read the heights after the work on Prove first.</p>;
  return (
    <div className="dock-columns">
      <ReadAgain job={job} lines={lines} />
      <section aria-label="Heights so far">
        <div className="scroll" tabIndex={0} role="region" aria-label="Settling log">
          <table className="record-table">
            <thead>
              <tr>
                <th scope="col">since the work</th>
                <th scope="col">side</th>
                <th scope="col">height</th>
                <th scope="col">against the first</th>
                <th scope="col">by</th>
              </tr>
            </thead>
            <tbody>
              {lines.flatMap((l) =>
                l.heights.map((h, k) => (
                  <tr key={`${l.side}${l.stateId}${h.km}${h.at}`}>
                    <td>
                      <Quantity value={h.km} of="distance" />
                    </td>
                    <td>{l.side}</td>
                    <td>
                      <Length mm={h.height} />
                    </td>
                    <td>{k === 0 ? '–' : <Length mm={h.height - l.heights[0]!.height} signed />}</td>
                    <td className="muted">
                      {h.person} <Clock at={h.at} what="day" />
                    </td>
                  </tr>
                )),
              )}
            </tbody>
          </table>
        </div>
        {lines.map(({ side, stateId, fit, next }) => (
          <p key={`${side}${stateId}`} className="muted">
            {side}: <Length mm={fit.left.value} signed /> <PlusMinus mm={fit.left.half90} unit={false} /> still to come
            {fit.verdict === 'sinking' ? (
              <>
                ; it goes on sinking by about <Length mm={fit.sinking.rate} /> in 1,000 km
              </>
            ) : null}
            {next === null ? '; no further look would tell more' : null}
            {next === null ? null : (
              <>
                ; the next look tells most at <Quantity value={next} of="distance" />
              </>
            )}
          </p>
        ))}
        <p className="muted small">
          An exponential law with what the ledger expected as its beginning; two thirds are over in about 500 km, common
          practice. Read in the load and at the point of the first height, rolled.
        </p>
      </section>
    </div>
  );
}

function ReadAgain({ job, lines }: { job: JobHandle; lines: readonly SettlingLine[] }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [km, setKm] = useState<Typed | null>(null);
  const [read, setRead] = useState<Partial<Record<Side, Typed>>>({});
  // What was sent and not answered is sent again as the same reading.
  const ids = useRef(new Map<string, string>());
  const first = lines[0]!;
  const asked = lines.filter((l) => l.stateId === first.stateId && l.point === first.point);
  const due = view.due.find((d) => d.doneAt === null && d.reads === 'heights');
  const keep = () =>
    void run(async () => {
      for (const { side } of asked) {
        const at = read[side];
        if (!at) continue;
        const name = `${side}|${at.typed}|${km!.typed}`;
        const id = ids.current.get(name) ?? crypto.randomUUID();
        ids.current.set(name, id);
        await job.send('/settling', 'POST', {
          ...{ id, point: first.point, side, stateId: first.stateId },
          ...{ typed: at.typed, value: at.value, km: km!.value, kmTyped: km!.typed },
        });
      }
      if (due && asked.every(({ side }) => read[side])) {
        const figures = asked.map(({ side }) => `${side} ${read[side]!.typed}`).join(', ');
        await call(`/api/checks/${due.id}`, 'POST', { id: crypto.randomUUID(), done: true, figures });
        // The job as it stands with its check done.
        await job.send('/odometer', 'POST', { id: crypto.randomUUID(), km: km!.value, typed: km!.typed });
      }
      ids.current.clear();
      setRead({});
      setKm(null);
    });
  return (
    <section aria-label="Read it again">
      <p>
        {pointName(view, first.point)}, {view.states.find((s) => s.id === first.stateId)?.name}; rolled a length and
        bounced
      </p>
      <div className="pair">
        {asked.map(({ side }) => (
          <TypedField
            key={side}
            label={`Height now, ${side}`}
            rule={pointOf(first.point).rule}
            value={read[side] ?? null}
            draft={`${view.id}|settling|${side}`}
            onChange={(v) => setRead((was) => ({ ...was, [side]: v }))}
          />
        ))}
      </div>
      <TypedField
        label="Odometer at these heights"
        rule={ODOMETER}
        value={km}
        draft={`${view.id}|settling|km`}
        onChange={setKm}
      />
      <div className="acts">
        <button
          type="button"
          className="act"
          disabled={busy || !km || asked.every(({ side }) => !read[side])}
          onClick={keep}
        >
          Keep these heights
        </button>
        {due ? <span className="muted">both sides tick “{due.what}”</span> : null}
      </div>
      <ProblemNote problem={problem} />
    </section>
  );
}
