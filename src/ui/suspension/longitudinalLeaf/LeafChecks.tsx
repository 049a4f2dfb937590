import { type FitRow } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { type LeafPrediction } from '@/core/suspension/longitudinalLeaf/onPage';
import { ChecksSheet } from '../../choose/ChecksSheet';
import { Marked } from '../../controls/Mark';
import { Length } from '../../measured/Figure';
import { UboltOrders, type UboltOffer } from './UboltOrders';

interface Props {
  view: JobView;
  rows: readonly FitRow[];
  prediction: LeafPrediction | null;
  /** The U-bolts to order, where the old ones do not do. */
  offer: UboltOffer | null;
}

/** What must fit of a leaf spring, with what its bolts come to. */
export function LeafChecks({ view, rows, prediction, offer }: Props) {
  const ubolt = prediction?.ubolt;
  const bolt = prediction?.centreBolt;
  const threads =
    ubolt && ubolt !== 'new set' ? (
      <div className="muted">
        {ubolt.exposedAfter < 0 ? (
          <>
            the legs end <Length mm={-ubolt.exposedAfter} /> inside the nut’s outer face
          </>
        ) : (
          <>
            <Length mm={ubolt.exposedAfter} /> or <span className="figure">{ubolt.threadsLeft.toFixed(1)}</span> threads
            left beyond the nut
          </>
        )}
      </div>
    ) : null;
  return (
    <ChecksSheet
      jobId={view.id}
      rows={rows}
      notes={{ threads }}
      more={
        bolt ? (
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
        ) : null
      }
    >
      {offer ? <UboltOrders offer={offer} /> : null}
      {view.job.keepUbolts && ubolt && (ubolt === 'new set' || ubolt.engagement === 'does not fit') ? (
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
    </ChecksSheet>
  );
}
