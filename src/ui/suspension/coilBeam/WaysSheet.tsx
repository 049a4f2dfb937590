'use client';
import { useMemo, useState } from 'react';
import { type ShelfItem } from '@/contracts/shelf';
import { type CoilAxleInput } from '@/core/suspension/coilBeam/input';
import { coilWays } from '@/core/suspension/coilBeam/ways';
import { decimalText, priceText } from '@/core/units/format';
import { Marked } from '../../controls/Mark';
import { Sheet } from '../../controls/Sheet';
import { lineOf } from '../../choose/planDraft';
import { type PlanHandle } from '../../choose/usePlan';
import { ProblemNote } from '../../job/ProblemNote';
import { type JobHandle } from '../../job/useJob';
import { useSend } from '../../job/useSend';
import { Length, PlusMinus } from '../../measured/Figure';
import { coilPartOf, planOfWay } from './coilPart';

interface Props {
  job: JobHandle;
  plan: PlanHandle;
  /** The axle as it stands, without a plan. */
  input: CoilAxleInput;
  shelf: readonly ShelfItem[];
}

/** Lines shown before all are asked for. */
const FIRST = 8;

/** Coils and spacers of the shelf, solved in every load state and ranked by the wish. */
export function WaysSheet({ job, plan, input, shelf }: Props) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [all, setAll] = useState(false);
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const ways = useMemo(
    () =>
      coilWays(
        input,
        shelf.flatMap((item) => coilPartOf(item) ?? []),
        { stateId: wanted.id, change: view.job.wantedChange },
      ),
    [input, shelf, wanted.id, view.job.wantedChange],
  );
  const take = (way: (typeof ways)[number]) => {
    const changes = planOfWay(way);
    if (plan.lines.length === 0) return plan.set(changes.map((c, k) => ({ ...lineOf(c, k), key: `${way.id}|${k}` })));
    const names = view.plans.map((p) => p.name.toLowerCase());
    let name = way.name.slice(0, 110);
    for (let k = 2; names.includes(name.toLowerCase()); k++) name = `${way.name.slice(0, 105)} (${k})`;
    void run(() => job.send('/plans', 'POST', { act: 'new', id: crypto.randomUUID(), name, changes }));
  };
  return (
    <Sheet
      title="Ways to get there"
      aside={
        <span className="muted">
          wanted <Length mm={view.job.wantedChange} signed /> <PlusMinus mm={view.job.tolerance} unit={false} /> in “
          {wanted.name}”
        </span>
      }
    >
      {!input.coil || (!input.sides.left.spring && !input.sides.right.spring) ? (
        <p>A search needs the coil’s sizes, its length and the load on it: measure them first.</p>
      ) : ways.length === 0 ? (
        <p>Nothing on the shelf sits in these seats. Put coils or spacers on the shelf, with their sizes.</p>
      ) : (
        <div className="scroll">
          <table className="plain candidates" aria-label="Ways with other coils and spacers">
            <thead>
              <tr>
                <th scope="col">way</th>
                <th scope="col" className="number">
                  off by
                </th>
                <th scope="col" className="number">
                  rate
                </th>
                <th scope="col" className="number">
                  shear, MPa
                </th>
                <th scope="col" className="number">
                  parts
                </th>
              </tr>
            </thead>
            <tbody>
              {ways.slice(0, all ? undefined : FIRST).map((way) => {
                const here = way.states.find((s) => s.id === wanted.id) ?? way.states[0]!;
                const bad = way.checks.filter((c) => c.state === 'does not fit');
                return (
                  <tr key={way.id} data-way={way.id}>
                    <td>
                      {way.name}
                      {bad.map((check) => (
                        <div key={check.item} className="small stop-word">
                          STOP {check.text}
                        </div>
                      ))}
                      {way.checks
                        .filter((c) => c.state === 'look' && c.item !== 'coilLoose')
                        .map((check) => (
                          <div key={check.item} className="small">
                            <Marked kind="look">{check.text}</Marked>
                          </div>
                        ))}
                      {bad.length === 0 ? (
                        <div className="acts">
                          <button type="button" className="act quiet" disabled={busy} onClick={() => take(way)}>
                            Plan this
                          </button>
                        </div>
                      ) : null}
                    </td>
                    <td className="number">
                      <Length mm={way.off} signed />
                    </td>
                    <td className="number figure">
                      {here.rate > here.rateBefore ? '+' : ''}
                      {decimalText(100 * (here.rate / here.rateBefore - 1), 0)} %
                    </td>
                    <td className="number figure">{decimalText(Math.max(...way.states.map((s) => s.stress)), 0)}</td>
                    <td className="number figure">
                      {way.price === null ? '?' : priceText(way.price)}
                      <div className="muted small">
                        {way.days === null ? 'when?' : way.days === 0 ? 'now' : `${way.days} d`}
                      </div>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          {ways.length > FIRST ? (
            <button type="button" className="link" onClick={() => setAll(!all)}>
              {all ? `Only the first ${FIRST}` : `All ${ways.length}`}
            </button>
          ) : null}
        </div>
      )}
      <ProblemNote problem={problem} />
      <p className="muted small">
        Never offered: a coil that was cut, heated or welded, spacers on spacers, a coil whose ends nobody knows. Prices
        are parts for both sides, without labour.
      </p>
    </Sheet>
  );
}
