import Link from 'next/link';
import { type FitRow } from '@/contracts/fit';
import { type LeafPrediction } from '@/core/suspension/longitudinalLeaf/kind';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Length } from '../measured/Figure';
import { useWords } from '../measured/Quantity';
import { UboltOrders, type UboltOffer } from './UboltOrders';

interface Props {
  jobId: string;
  rows: readonly FitRow[];
  prediction: LeafPrediction | null;
  keepUbolts: boolean;
  /** The U-bolts to order, where the old ones do not do. */
  offer: UboltOffer | null;
}

/** Bolts, stress and slack: three states, a STOP for what does not fit, and never OK while one row is not checked. */
export function ChecksSheet({ jobId, rows, prediction, keepUbolts, offer }: Props) {
  const words = useWords();
  const open = rows.filter((row) => row.state === 'not checked').length;
  const bad = rows.filter((row) => row.state === 'does not fit' && row.blocks).length;
  const later = rows.filter((row) => row.state === 'does not fit' && !row.blocks).length;
  const ubolt = prediction?.ubolt;
  const bolt = prediction?.centreBolt;
  return (
    <Sheet
      title="Will it go together"
      aside={
        bad > 0 ? (
          <span className="stop-word">
            STOP: {bad} {bad === 1 ? 'does' : 'do'} not fit{open > 0 ? `, ${open} not checked` : ''}
          </span>
        ) : open + later > 0 ? (
          <Marked kind="look">
            not OK:{' '}
            {[open > 0 ? `${open} not checked` : '', later > 0 ? `${later} to be replaced` : '']
              .filter(Boolean)
              .join(', ')}
          </Marked>
        ) : (
          <Marked kind="done">every row fits</Marked>
        )
      }
    >
      <table className="plain">
        <tbody>
          {rows.map((row) => (
            <tr key={row.subject} data-check={row.subject}>
              <td>
                {row.name}
                {row.subject === 'threads' && ubolt && ubolt !== 'new set' ? (
                  <div className="muted">
                    {ubolt.exposedAfter < 0 ? (
                      <>
                        the legs end <Length mm={-ubolt.exposedAfter} /> inside the nut’s outer face
                      </>
                    ) : (
                      <>
                        <Length mm={ubolt.exposedAfter} /> or{' '}
                        <span className="figure">{ubolt.threadsLeft.toFixed(1)}</span> threads left beyond the nut
                      </>
                    )}
                  </div>
                ) : null}
                {row.reason && (row.state !== 'fits' || row.subject === 'stress') ? (
                  <div className={row.state === 'does not fit' ? '' : 'muted'}>{words(row.reason)}</div>
                ) : null}
                {row.defect ? (
                  <div className="muted">
                    {row.defect.endedAt ? 'ended' : `open defect until ${row.defect.dueOn}`}: {row.defect.reason}
                  </div>
                ) : null}
              </td>
              <td className="verdict">
                {row.state === 'does not fit' && !row.blocks ? (
                  <Marked kind="look">to be replaced</Marked>
                ) : row.state === 'does not fit' ? (
                  <span className="stop-word">STOP does not fit</span>
                ) : (
                  <Marked kind={row.state === 'fits' ? 'done' : 'untouched'}>{row.state}</Marked>
                )}
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
      {offer ? <UboltOrders offer={offer} /> : null}
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
