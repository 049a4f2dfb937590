'use client';
import { type CostEdit } from '@/contracts/cost';
import { type ShelfItem } from '@/contracts/shelf';
import { uboltPartOf } from '@/contracts/stock';
import { threadNamed } from '@/core/thread/thread';
import { uboltSuits, type UboltOrder } from '@/core/fastener/uboltOrder';
import { priceText } from '@/core/units/format';
import { Marked } from '../../controls/Mark';
import { type JobHandle } from '../../job/useJob';
import { ProblemNote } from '../../job/ProblemNote';
import { useSend } from '../../job/useSend';
import { Length } from '../../measured/Figure';
import { availability } from '../../shelf/partText';

export interface UboltOffer {
  job: JobHandle;
  orders: readonly UboltOrder[];
  shelf: readonly ShelfItem[];
}

const FORMS = { round: 'round bend, over the axle tube', square: 'square bend, over the pack' };

/** U-bolts in full, as they are ordered: thread, inside width, bend, leg, threaded length, count, with the working. */
export function UboltOrders({ offer: { job, orders, shelf } }: { offer: UboltOffer }) {
  return (
    <section className="ubolt-order" aria-label="U-bolts to order">
      <h3>U-bolts to order</h3>
      {orders.length > 1 ? (
        <p className="look">
          Nobody said what the bend lies round: look, and say so in Measure. Both sizes stand here.
        </p>
      ) : null}
      {orders.map((order) => (
        <Order key={order.form} job={job} order={order} shelf={shelf} />
      ))}
    </section>
  );
}

function Order({ job, order, shelf }: { job: JobHandle; order: UboltOrder; shelf: readonly ShelfItem[] }) {
  const { busy, problem, run } = useSend();
  const diameter = order.thread === null ? null : (threadNamed(order.thread)?.diameter ?? null);
  const suiting = shelf
    .filter((item) => item.kind === 'ubolt' && uboltSuits(uboltPartOf(item), order, diameter))
    .toSorted((p, q) => (p.price ?? 1e9) - (q.price ?? 1e9))
    .slice(0, 3);
  const add = (item: ShelfItem) => {
    const price = item.price === null ? null : order.count * item.price;
    const line: CostEdit = {
      id: crypto.randomUUID(),
      what: [item.name, item.number].filter(Boolean).join(', ').slice(0, 160),
      count: order.count,
      condition: item.condition,
      planned: price === null ? null : { low: price, high: price },
      plannedTyped: price === null ? null : String(price),
      actual: null,
      minutes: null,
      minutesTyped: null,
      actualMinutes: null,
      excluded: false,
      partId: item.id,
      version: 0,
    };
    void run(() => job.send('/costs', 'PUT', line));
  };
  return (
    <div data-ubolt={order.form}>
      <p className="order-line">
        <strong className="figure">{order.count}</strong> U-bolts{' '}
        {order.thread ? <strong>{order.thread}</strong> : <span className="look">thread not read</span>},{' '}
        {FORMS[order.form]}, inside width{' '}
        <strong>
          <Length mm={order.insideWidth} />
        </strong>
        , leg inside the bend{' '}
        <strong>
          <Length mm={order.leg} />
        </strong>
        , threaded{' '}
        <strong>
          <Length mm={order.threadLength} />
        </strong>{' '}
        or more
      </p>
      <details className="more">
        <summary>how the leg comes out</summary>
        <ul className="stored">
          {order.working.map((line) => (
            <li key={line.label}>
              {line.label} <Length mm={line.value} tenths />
              {line.origin === 'assumed' ? <span className="assumed"> assumed</span> : null}
            </li>
          ))}
          <li>
            together <Length mm={order.working.reduce((sum, line) => sum + line.value, 0)} tenths />, ordered{' '}
            <Length mm={order.leg} />
          </li>
        </ul>
      </details>
      {order.assumed.length > 0 ? (
        <p>
          <Marked kind="look">Measure before ordering: {order.assumed.join(', ')}.</Marked>
        </p>
      ) : null}
      {suiting.length > 0 ? (
        <ul className="stored" aria-label="U-bolts on the shelf that suit">
          {suiting.map((item) => (
            <li key={item.id}>
              {[item.name, item.number].filter(Boolean).join(', ')}{' '}
              <span className="muted">
                {item.price === null ? 'no price' : `${priceText(order.count * item.price)} for ${order.count}`},{' '}
                {availability(item)}
              </span>{' '}
              {job.view.costs.some((c) => c.partId === item.id) ? (
                <span className="muted">in the costs</span>
              ) : (
                <button type="button" className="link" disabled={busy} onClick={() => add(item)}>
                  into the costs
                </button>
              )}
            </li>
          ))}
        </ul>
      ) : (
        <p className="muted">None on the shelf suits; have them bent.</p>
      )}
      <ProblemNote problem={problem} />
    </div>
  );
}
