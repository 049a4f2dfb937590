'use client';
import { dueNow } from '@/contracts/dueNow';
import { type SettlingLine } from '@/contracts/following';
import { type JobView } from '@/contracts/job';
import { openDefects } from '@/contracts/openList';
import { type SettlingVerdict } from '@/core/followup/settling';
import { Marked, type MarkKind } from '../controls/Mark';
import { dayText } from '../prepare/dayText';
import { Length, PlusMinus } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';

const SAYS: Record<SettlingVerdict, { text: string; kind: MarkKind }> = {
  tooFew: { text: 'one height only: settling not known', kind: 'untouched' },
  settling: { text: 'still settling', kind: 'open' },
  settled: { text: 'settled', kind: 'done' },
  sinking: { text: 'sinking on: look at leaves, bushes and load', kind: 'look' },
};

/** When it is looked at next, how far it has settled, and what is open. */
export function FollowVerdict({ view, lines }: { view: JobView; lines: readonly SettlingLine[] }) {
  const odometer = view.odometer?.km ?? null;
  const open = view.due.filter((d) => d.doneAt === null);
  const next = open[0];
  const due = next && dueNow(next, view.today, odometer);
  const defects = openDefects(view);
  return (
    <section className="sheet verdict-sheet follow-verdict" aria-label="Verdict">
      {next && due ? (
        <div className={due.word === 'overdue' ? 'look' : ''}>
          <p className="follow-next">
            <strong className="figure">
              {due.by === 'distance' && due.leftKm !== null ? (
                <Quantity value={-due.leftKm} of="distance" />
              ) : (
                dayText(next.dueOn)
              )}
            </strong>
            <span>
              {due.by === 'distance' ? 'over; or by ' : 'or '}
              {due.by === 'distance' ? (
                dayText(next.dueOn)
              ) : due.leftKm === null ? (
                <>
                  after <Quantity value={next.afterKm} of="distance" />
                </>
              ) : (
                <>
                  in <Quantity value={due.leftKm} of="distance" />
                </>
              )}
            </span>
          </p>
          <p className="follow-what">
            {due.word === 'overdue' ? <Marked kind="look">overdue: {next.what}</Marked> : next.what}
          </p>
          {open.length > 1 ? <p className="muted">and {open.length - 1} more to come</p> : null}
        </div>
      ) : (
        <p className="follow-what">
          <Marked kind="done">No check to come.</Marked>
        </p>
      )}
      <ul className="follow-sides">
        {lines.map(({ side, stateId, fit }) => (
          <li key={`${side}${stateId}`}>
            <span>
              {side}
              {lines.some((l) => l.stateId !== stateId)
                ? `, ${view.states.find((s) => s.id === stateId)?.name ?? ''}`
                : ''}
            </span>
            <Marked kind={SAYS[fit.verdict].kind}>{SAYS[fit.verdict].text}</Marked>
            <span className="muted">
              comes to <Length mm={fit.final.value} /> <PlusMinus mm={fit.final.half90} unit={false} />
            </span>
          </li>
        ))}
      </ul>
      {defects.length > 0 ? (
        <p>
          <Marked kind="look">
            {defects.length} open {defects.length === 1 ? 'defect' : 'defects'}
          </Marked>
          {defects.find((d) => d.limits) ? `: ${defects.find((d) => d.limits)!.limits}` : ''}
        </p>
      ) : null}
    </section>
  );
}
