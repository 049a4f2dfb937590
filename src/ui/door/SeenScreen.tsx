'use client';
import { type SeenHeight, type SeenJob } from '@/contracts/seenJob';
import { decimalText } from '@/core/units/format';
import { fromCore } from '@/core/units/units';
import { Marked } from '../controls/Mark';
import { VehicleSketch } from '../drawing/VehicleSketch';
import { Clock } from '../measured/Clock';

/** Both ways of counting: who looks has said nothing of theirs. */
const both = (mm: number, signed = false): string => {
  const plus = signed && mm > 0 ? '+' : '';
  return `${plus}${decimalText(Math.round(mm), 0)} mm (${plus}${decimalText(fromCore(mm, 'in'), 1)} in)`;
};

/** One job as its customer sees it: reads, changes nothing. */
export function SeenScreen({ job }: { job: SeenJob }) {
  return (
    <main className="bench seen">
      <header className="seen-head">
        <div>
          <h1>{job.vehicle}</h1>
          <p>{job.complaint}</p>
          <p className="muted small">
            {job.shop}, for {job.said}. This page only shows; it ends on <Clock at={job.endsAt} what="day" />.
          </p>
        </div>
        <VehicleSketch form={job.form} wheelbase={job.wheelbase} axles={job.sketched} width={280} />
      </header>
      <p>
        {job.closed ? (
          <Marked kind="done">
            Finished on <Clock at={job.closed} what="day" />
          </Marked>
        ) : job.begun ? (
          <Marked kind="open">
            Being worked on since <Clock at={job.begun} what="day" />
          </Marked>
        ) : (
          <Marked kind="untouched">Being measured and planned</Marked>
        )}
      </p>
      {job.axles.map((axle) => (
        <section key={axle.name} className="sheet" aria-label={axle.name}>
          <h2>{axle.name}</h2>
          <p>
            Wanted: <span className="figure">{both(axle.wanted, true)}</span>. The work: {axle.plan}.
          </p>
          {axle.heights.length === 0 ? (
            <p className="muted">No heights are read yet.</p>
          ) : (
            <Heights rows={axle.heights} />
          )}
        </section>
      ))}
      {job.defects.length > 0 ? (
        <section className="sheet" aria-label="Still open">
          <h2>Still open</h2>
          <ul>
            {job.defects.map((d) => (
              <li key={d.what}>
                <Marked kind="look">{d.what}</Marked>, to be mended by <span className="figure">{d.dueOn}</span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      {job.checks.length > 0 ? (
        <section className="sheet" aria-label="Come back for">
          <h2>Come back for</h2>
          <ul>
            {job.checks.map((c) => (
              <li key={c.what}>
                {c.what}: by <span className="figure">{c.dueOn}</span> or after{' '}
                <span className="figure">
                  {c.afterKm} km ({decimalText(c.afterKm / 1.609344, 0)} mi)
                </span>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </main>
  );
}

function Heights({ rows }: { rows: readonly SeenHeight[] }) {
  return (
    <div className="door-trail" role="region" aria-label="Heights" tabIndex={0}>
      <table>
        <thead>
          <tr>
            <th>Height of the frame</th>
            <th>before</th>
            <th>foretold</th>
            <th>after</th>
            <th>change</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={`${r.side}${r.from}`}>
              <td>
                {r.side}, {r.from === 'frame' ? 'over the hub' : 'over the ground'}, {r.state}
              </td>
              <td className="figure">
                {r.before === null ? '–' : `${both(r.before)}${r.reckoned ? ', reckoned' : ''}`}
              </td>
              <td className="figure">
                {r.foretold ? `${both(r.foretold.height)} ± ${decimalText(Math.round(r.foretold.half90), 0)} mm` : '–'}
              </td>
              <td className="figure">{r.after === null ? '–' : both(r.after)}</td>
              <td className="figure">{r.after === null || r.before === null ? '–' : both(r.after - r.before, true)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
