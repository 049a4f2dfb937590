'use client';
import Link from 'next/link';
import { type FleetLine, type Sweep } from '@/contracts/fleet';
import { Marked } from '../controls/Mark';
import { Length } from '../measured/Figure';

const WORDS: Record<FleetLine['verdict'], string> = {
  stands: 'stands',
  plan: 'sits low',
  none: 'sits low, no plan reaches',
  unlike: 'unlike',
  notMeasured: 'not measured far enough',
  workedOn: 'worked on since',
};
const MARKS = { plan: 'open', none: 'look' } as const;

/** The lowest first, each with the plan that mends it and where it would stand then. */
export function FleetLines({ sweep: { lines, ask, counts } }: { sweep: Sweep }) {
  if (lines.length === 0) return <p className="muted">Nothing that is low or untold was found so far.</p>;
  const all = counts.filter((c) => c.verdict !== 'stands').reduce((n, c) => n + c.vehicles, 0);
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="Vehicles">
      <table className="plain fleet-lines">
        <thead>
          <tr>
            <th scope="col">vehicle</th>
            <th scope="col">it</th>
            <th scope="col" className="number">
              stands at
            </th>
            <th scope="col">plan</th>
            <th scope="col" className="number">
              then at
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.jobAxleId} data-fleet={line.vehicle}>
              <td>
                <Link className="link" href={`/jobs/${line.jobAxleId}/choose`} prefetch={false}>
                  {line.vehicle}
                </Link>{' '}
                <span className="muted small">{line.position}</span>
              </td>
              <td>
                {line.verdict === 'plan' || line.verdict === 'none' ? (
                  <Marked kind={MARKS[line.verdict]}>{WORDS[line.verdict]}</Marked>
                ) : (
                  <span className="muted">{WORDS[line.verdict]}</span>
                )}
              </td>
              <td className="number">{line.height === null ? '' : <Length mm={line.height} />}</td>
              <td>
                {line.plan === null ? (
                  <span className="muted small">{line.why}</span>
                ) : (
                  <>
                    {ask.plans[line.plan]?.name} <span className="muted small">{ask.plans[line.plan]?.says}</span>
                  </>
                )}
              </td>
              <td className="number">
                {line.after === null || line.half90 === null ? (
                  ''
                ) : (
                  <>
                    <Length mm={line.after} /> <span className="muted small">± {Math.round(line.half90)}</span>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {all > lines.length ? <p className="muted small">{all - lines.length} more like these.</p> : null}
      <p className="muted small">
        Told by the plan as it was solved on {ask.vehicle}, by how its lift hangs on each reading. Store a prediction at
        the vehicle before it is worked on.
      </p>
    </div>
  );
}
