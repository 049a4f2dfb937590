'use client';
import { type JobView } from '@/contracts/job';
import { leftOpenOfJob, looseJoints, toAccept } from '@/contracts/openList';
import { functionsOf } from '@/contracts/proving';
import { SIDES } from '@/core/vehicle/side';
import { Marked } from '../controls/Mark';

interface Line {
  text: string;
  to: string;
  state: 'done' | 'open' | 'look' | 'stop';
}

/** What stands between here and a closed job, each line leading where it is done. */
export function ToClose({ view }: { view: JobView }) {
  const axles = [view, ...view.others];
  const loose = axles.flatMap(looseJoints).length;
  const unread = axles.flatMap((v) => SIDES.filter((side) => !v.outcomes.some((o) => o.side === side))).length;
  const outside = axles.flatMap((v) => v.outcomes.filter((o) => !o.inside)).length;
  const items = axles.flatMap((v) => functionsOf(v).map((id) => v.functionChecks.find((c) => c.item === id)));
  const tried = items.filter((c) => c !== undefined && c.answer !== 'notDone').length;
  const wrong = items.filter((c) => c?.answer === 'notOk').length;
  const driven = view.roadTests.some((r) => r.phase === 'after');
  const stops = leftOpenOfJob(view).filter((i) => i.stop).length;
  const accept = toAccept(view).length;
  const lines: Line[] = [
    {
      ...{ text: loose > 0 ? `${loose} joints not final` : 'every joint final', to: `/jobs/${view.id}/build#torque` },
      state: loose > 0 ? 'stop' : 'done',
    },
    {
      ...{
        text: unread > 0 ? `${unread} ${unread === 1 ? 'height' : 'heights'} to read` : 'heights read, both sides',
        to: '#heights',
      },
      state: unread > 0 ? 'open' : 'done',
    },
    {
      ...{ text: outside > 0 ? `${outside} outside what was foretold` : 'as foretold', to: '#why' },
      state: outside > 0 ? 'look' : unread > 0 ? 'open' : 'done',
    },
    {
      ...{ text: `tried ${tried} of ${items.length}${wrong > 0 ? `, ${wrong} not in order` : ''}`, to: '#tried' },
      state: wrong > 0 ? 'look' : tried < items.length ? 'open' : 'done',
    },
    { text: driven ? 'driven, marks kept' : 'marks of the road test', to: '#tried', state: driven ? 'done' : 'open' },
    {
      ...{
        text: stops > 0 ? `${stops} in the way` : accept > 0 ? `${accept} to be accepted` : 'nothing left to accept',
        to: '#close',
      },
      state: stops > 0 ? 'stop' : accept > 0 ? 'open' : 'done',
    },
    {
      ...{ text: view.handOver ? `handed to ${view.handOver.takenBy}` : 'hand it over', to: '#hand' },
      state: view.handOver ? 'done' : 'open',
    },
  ];
  const open = lines.filter(({ state }) => state !== 'done').length;
  return (
    <section className="sheet to-close" aria-label="To close the job">
      <header className="sheet-head">
        <h2>To close the job</h2>
        <span className="muted">
          <span className="figure">{open}</span> of {lines.length} open
        </span>
      </header>
      <ul>
        {lines.map(({ text, to, state }) => (
          <li key={`${to}${text}`}>
            <a href={to}>
              {state === 'stop' ? (
                <span className="stop-word">STOP {text}</span>
              ) : (
                <Marked kind={state === 'open' ? 'untouched' : state}>{text}</Marked>
              )}
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}
