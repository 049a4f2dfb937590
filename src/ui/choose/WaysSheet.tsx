'use client';
import { useState, type ReactNode } from 'react';
import { type ChangeRow } from '@/contracts/plan';
import { priceText } from '@/core/units/format';
import { type SolvedWay } from '@/core/prediction/ways';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length, PlusMinus } from '../measured/Figure';
import { lineOf } from './planDraft';
import { type PlanHandle } from './usePlan';

interface Props<W extends SolvedWay> {
  job: JobHandle;
  plan: PlanHandle;
  /** Best first. */
  ways: readonly W[];
  /** Figures of the kind's own, beside how far it is off. */
  columns: readonly { name: string; of: (way: W) => ReactNode }[];
  /** The way as the lines of a plan. */
  planOf: (way: W) => ChangeRow[];
  /** Why there is nothing to search; null when there is. */
  lacks: string | null;
  empty: string;
  /** Checks every way has, told elsewhere. */
  untold?: readonly string[];
  label: string;
  /** What is never offered. */
  children: ReactNode;
}

/** Lines shown before all are asked for. */
const FIRST = 8;

/** Parts of the shelf, solved in every load state and ranked by the wish; one tap makes a way the plan. */
export function WaysSheet<W extends SolvedWay>(props: Props<W>) {
  const { job, plan, ways, columns, planOf, lacks, empty, untold = [], label, children } = props;
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [all, setAll] = useState(false);
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const take = (way: W) => {
    const changes = planOf(way);
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
      {lacks !== null ? (
        <p>{lacks}</p>
      ) : ways.length === 0 ? (
        <p>{empty}</p>
      ) : (
        <div className="scroll">
          <table className="plain candidates" aria-label={label}>
            <thead>
              <tr>
                <th scope="col">way</th>
                {['off by', ...columns.map((c) => c.name), 'parts'].map((name) => (
                  <th key={name} scope="col" className="number">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {ways.slice(0, all ? undefined : FIRST).map((way) => (
                <tr key={way.id} data-way={way.id}>
                  <td>
                    <NameAndChecks way={way} untold={untold} busy={busy} onTake={() => take(way)} />
                  </td>
                  <td className="number">
                    <Length mm={way.off} signed />
                  </td>
                  {columns.map((column) => (
                    <td key={column.name} className="number figure">
                      {column.of(way)}
                    </td>
                  ))}
                  <td className="number figure">
                    {way.price === null ? '?' : priceText(way.price)}
                    <div className="muted small">
                      {way.days === null ? 'when?' : way.days === 0 ? 'now' : `${way.days} d`}
                    </div>
                  </td>
                </tr>
              ))}
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
      <p className="muted small">{children}</p>
    </Sheet>
  );
}

interface RowProps {
  way: SolvedWay;
  untold: readonly string[];
  busy: boolean;
  onTake: () => void;
}

/** What a way is made of, what speaks against it, and taking it: never one that cannot be built. */
function NameAndChecks({ way, untold, busy, onTake }: RowProps) {
  const bad = way.checks.filter((c) => c.state === 'does not fit' || c.state === 'stop');
  return (
    <>
      {way.name}
      {bad.map((check) => (
        <div key={check.item} className="small stop-word">
          STOP {check.text}
        </div>
      ))}
      {way.checks
        .filter((c) => c.state === 'look' && !untold.includes(c.item))
        .map((check) => (
          <div key={check.item} className="small">
            <Marked kind="look">{check.text}</Marked>
          </div>
        ))}
      {bad.length === 0 ? (
        <div className="acts">
          <button type="button" className="act quiet" disabled={busy} onClick={onTake}>
            Plan this
          </button>
        </div>
      ) : null}
    </>
  );
}

/** A rate against what it was before, as a share. */
export const moreText = (now: number, before: number): string => {
  const share = Math.round(100 * (now / before - 1));
  return `${share > 0 ? '+' : share < 0 ? '−' : ''}${Math.abs(share)} %`;
};
