import { Marked } from '../controls/Mark';
import Link from 'next/link';
import { type AxlePrediction } from '@/core/height/predict';
import { planFits, type CheckRow } from '@/core/procedure/checks';
import { Sheet } from '../controls/Sheet';
import { Length } from '../measured/Figure';
import { CHECK_NAMES } from '../build/safetyText';

const MARK = { fits: 'done', 'does not fit': 'look', 'not checked': 'untouched' } as const;

interface Props {
  jobId: string;
  rows: readonly CheckRow[];
  prediction: AxlePrediction | null;
  keepUbolts: boolean;
}

/** Bolts and slack: three states, and never OK while one row is not checked. */
export function ChecksSheet({ jobId, rows, prediction, keepUbolts }: Props) {
  const open = rows.filter((row) => row.verdict === 'not checked').length;
  const bad = rows.filter((row) => row.verdict === 'does not fit').length;
  const ubolt = prediction?.ubolt;
  const bolt = prediction?.centreBolt;
  return (
    <Sheet
      title="Will it go together"
      aside={
        planFits(rows) ? (
          <Marked kind="done">every row fits</Marked>
        ) : (
          <Marked kind="look">
            not OK: {bad > 0 ? `${bad} does not fit` : ''}
            {bad > 0 && open > 0 ? ', ' : ''}
            {open > 0 ? `${open} not checked` : ''}
          </Marked>
        )
      }
    >
      <table className="plain">
        <tbody>
          {rows.map((row) => (
            <tr key={row.id} data-check={row.id}>
              <td>
                {CHECK_NAMES[row.id]}
                {row.id === 'threads' && ubolt && ubolt !== 'new set' ? (
                  <div className="muted">
                    <Length mm={ubolt.exposedAfter} /> or{' '}
                    <span className="figure">{Math.max(0, ubolt.threadsLeft).toFixed(1)}</span> threads left beyond the
                    nut
                  </div>
                ) : null}
                {row.verdict !== 'fits' && row.reason ? <div className="muted">{row.reason}</div> : null}
              </td>
              <td className="verdict">
                <Marked kind={MARK[row.verdict]}>{row.verdict}</Marked>
              </td>
            </tr>
          ))}
          {bolt ? (
            <tr>
              <td>
                Centre bolt needed, under its head
                {bolt.origin === 'assumed' ? (
                  <div>
                    <span className="assumed">nut and pitch assumed</span>
                  </div>
                ) : null}
              </td>
              <td className="verdict">
                <Length mm={bolt.least} unit={false} /> to <Length mm={bolt.most} />
              </td>
            </tr>
          ) : null}
        </tbody>
      </table>
      {keepUbolts && ubolt && (ubolt === 'new set' || ubolt.engagement === 'does not fit') ? (
        <div className="note">
          <p>
            <Marked kind="look">The goal says to keep the U-bolts; with this plan they cannot be kept.</Marked>
          </p>
        </div>
      ) : null}
      <p className="small">
        U-bolts: many shops fit new ones every time, since they stretch and tire; others use sound ones again on fresh
        thread. New is the default here.
      </p>
      <Link href={`/jobs/${jobId}/build`} prefetch={false}>
        Answer the slack and support questions
      </Link>
    </Sheet>
  );
}
