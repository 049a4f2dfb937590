'use client';
import Link from 'next/link';
import { type Run } from '@/contracts/run';
import { RUN_VERDICTS } from '@/contracts/runNames';
import { Marked } from '../controls/Mark';
import { Length } from '../measured/Figure';

/** What asks for a look. */
export const LOOK: readonly string[] = ['moves', 'cannot', 'refused', 'likely', 'several', 'lookAgain'];
const COLUMNS: Record<string, readonly [string, string]> = {
  again: ['was', 'would be'],
  residuals: ['foretold', 'measured'],
};

/** What a run found, a line each: what asks for a look first. */
export function RunLines({ run: { batch, lines, counts } }: { run: Run }) {
  if (lines.length === 0) return <p className="muted">Nothing was found so far.</p>;
  const figures = COLUMNS[batch.kind];
  const all = counts.reduce((n, c) => n + c.lines, 0);
  return (
    <div className="scroll" tabIndex={0} role="region" aria-label="Lines">
      <table className="plain fleet-lines">
        <thead>
          <tr>
            <th scope="col">job</th>
            <th scope="col">it</th>
            {figures?.map((name) => (
              <th key={name} scope="col" className="number">
                {name}
              </th>
            ))}
            <th scope="col">and</th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <tr key={line.of} data-run-line={line.verdict}>
              <td>
                {line.jobAxleId ? (
                  <Link
                    className="link"
                    href={`/jobs/${line.jobAxleId}/${batch.kind === 'residuals' ? 'prove' : 'choose'}`}
                    prefetch={false}
                  >
                    {line.vehicle ?? 'job'}
                  </Link>
                ) : (
                  ''
                )}
              </td>
              <td>
                {LOOK.includes(line.verdict) ? (
                  <Marked kind="look">{RUN_VERDICTS[line.verdict] ?? line.verdict}</Marked>
                ) : (
                  <Marked kind="done">{RUN_VERDICTS[line.verdict] ?? line.verdict}</Marked>
                )}
              </td>
              {figures ? (
                <>
                  <td className="number">{line.was === null ? '' : <Length mm={line.was} />}</td>
                  <td className="number">
                    {line.now === null ? '' : <Length mm={line.now} />}
                    {line.half90 === null ? '' : <span className="muted small"> ± {line.half90.toFixed(1)} mm</span>}
                  </td>
                </>
              ) : null}
              <td className="muted small">{line.says}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {all > lines.length ? <p className="muted small">{all - lines.length} more like these.</p> : null}
    </div>
  );
}
