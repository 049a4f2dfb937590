'use client';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type CostEdit, type CostRow } from '@/contracts/cost';
import { type JobView } from '@/contracts/job';
import { type ShelfItem } from '@/contracts/shelf';
import { costTotals, eachOf, type Range } from '@/core/selection/costs';
import { priceText } from '@/core/units/format';
import { parseMeasured, type FieldRule } from '@/core/units/parse';
import { countRule, PRICE_RULE } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { TypedField, type Typed } from '../measured/TypedField';

const PRICE: FieldRule = { ...PRICE_RULE, range: true };
const MINUTES: FieldRule = { ...countRule(0, 100_000), range: true };

const rangeText = ({ low, high }: Range): string =>
  low === high ? priceText(low) : `${priceText(low)}–${priceText(high)}`;

/** A typed figure as a range; a single one is both its ends. */
function rangeOf(typed: string, rule: FieldRule, value: number): Range {
  const read = parseMeasured(typed, rule);
  return read.kind === 'ok' && read.range ? read.range : { low: value, high: value };
}

const editOf = ({ person, updatedAt, ...line }: CostRow): CostEdit => line;

/** What it will cost and what it came to, line by line. */
export function CostsSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [what, setWhat] = useState('');
  const totals = costTotals(view.costs);
  const parts = useQuery({
    queryKey: ['job-parts', view.id],
    queryFn: () => call<ShelfItem[]>(`/api/jobs/${view.id}/parts`, 'GET'),
  });
  const put = (line: CostEdit | ((now: JobView) => CostEdit)) => run(() => job.send('/costs', 'PUT', line));
  // A figure typed while the one before is still on its way goes onto what that one made of the line.
  const edit = (line: CostRow, part: Partial<CostEdit>) =>
    put((now) => ({ ...editOf(now.costs.find((c) => c.id === line.id) ?? line), ...part }));
  const blank = (line: Partial<CostEdit>): CostEdit => ({
    ...{ id: crypto.randomUUID(), what: '', count: 1, condition: 'new', planned: null, plannedTyped: null },
    ...{
      actual: null,
      minutes: null,
      minutesTyped: null,
      actualMinutes: null,
      excluded: false,
      partId: null,
      version: 0,
    },
    ...line,
  });
  // The field is free for the next line at once; what could not be saved comes back.
  const add = () => {
    const text = what.trim();
    if (text === '') return;
    setWhat('');
    void put(blank({ what: text })).then((ok) => ok || setWhat((now) => now || text));
  };
  // Parts of the plan that no line names yet; both sides.
  const planned = view.plan.changes.flatMap((change) => {
    const id = 'partId' in change ? change.partId : undefined;
    const part = parts.data?.find((p) => p.id === id);
    return part && !view.costs.some((c) => c.partId === part.id) ? [part] : [];
  });
  const budget = view.job.budget;
  return (
    <Sheet
      title="Costs"
      aside={
        <span data-testid="cost-total">
          planned <span className="figure">{rangeText(totals.planned)}</span>
          {budget === null ? '' : ` of ${priceText(budget)}`}
        </span>
      }
    >
      {view.costs.length === 0 ? <p className="muted">Nothing yet. A price may be a range: 30 to 45.</p> : null}
      {view.costs.map((line) => (
        <Line key={line.id} line={line} jobId={view.id} onSave={(part) => void edit(line, part)} />
      ))}
      {planned.length > 0 ? (
        <button
          type="button"
          className="act quiet"
          disabled={busy}
          onClick={() =>
            void (async () => {
              for (const part of planned) {
                const price = part.price === null ? null : 2 * part.price;
                await put(
                  blank({
                    what: [part.name, part.number].filter(Boolean).join(', ').slice(0, 160),
                    count: 2,
                    condition: part.condition,
                    planned: price === null ? null : { low: price, high: price },
                    plannedTyped: price === null ? null : String(price),
                    partId: part.id,
                  }),
                );
              }
            })()
          }
        >
          Put the plan’s parts here
        </button>
      ) : null}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          add();
        }}
      >
        <TextField label="Something else" most={160} value={what} onChange={setWhat} />
        <div className="acts">
          <button type="submit" className="act quiet" disabled={what.trim() === ''}>
            Add this line
          </button>
        </div>
      </form>
      <ProblemNote problem={problem} />
      {view.costs.length > 0 ? (
        <dl className="facts" data-testid="costs">
          <dt>Planned</dt>
          <dd>
            <span className="figure">{rangeText(totals.planned)}</span>
            {totals.used.high > 0 ? `, of it used parts ${rangeText(totals.used)}` : ''}
            {totals.unpriced > 0 ? (
              <>
                {' '}
                <Marked kind="untouched">{totals.unpriced} without a price</Marked>
              </>
            ) : null}
            {budget !== null && totals.planned.low > budget ? (
              <>
                {' '}
                <Marked kind="look">over the budget of {priceText(budget)}</Marked>
              </>
            ) : null}
          </dd>
          <dt>Paid so far</dt>
          <dd>
            <span className="figure">{priceText(totals.actual)}</span>
            {totals.actual > 0 ? `, planned at ${rangeText(totals.plannedOfPaid)}` : ''}
          </dd>
          <dt>Labour</dt>
          <dd>
            <span className="figure">{rangeText(totals.minutes)} min</span>
            {totals.actualMinutes > 0 ? `, took ${totals.actualMinutes} min` : ''}
          </dd>
          {totals.excluded.length > 0 ? (
            <>
              <dt>Not in it</dt>
              <dd>{totals.excluded.join(', ')}</dd>
            </>
          ) : null}
        </dl>
      ) : null}
    </Sheet>
  );
}

function Line({
  line,
  jobId,
  onSave: save,
}: {
  line: CostRow;
  jobId: string;
  onSave: (part: Partial<CostEdit>) => void;
}) {
  const field = (name: string) => `${jobId}|cost|${line.id}|${name}`;
  const typed = (text: string | null, value: number | null): Typed | null =>
    text === null || value === null ? null : { typed: text, value };
  const plain = (value: number | null): Typed | null => (value === null ? null : { typed: String(value), value });
  return (
    <details className="part" data-cost={line.what}>
      <summary>
        {line.count > 1 ? `${line.count} ` : ''}
        {line.what} <span className="figure">{line.planned ? rangeText(line.planned) : '?'}</span>
        {line.actual !== null ? <span className="muted"> paid {priceText(line.actual)}</span> : null}
        {line.excluded ? <span className="muted"> not in it</span> : null}
      </summary>
      <div className="leaf-fields">
        <TypedField
          label="Planned, all of them"
          spoken={`Planned price of ${line.what}`}
          rule={PRICE}
          value={typed(line.plannedTyped, line.planned && (line.planned.low + line.planned.high) / 2)}
          draft={field('planned')}
          hint="30, or 30 to 45"
          onChange={({ typed: text, value }) => save({ planned: rangeOf(text, PRICE, value), plannedTyped: text })}
          onClear={() => save({ planned: null, plannedTyped: null })}
        />
        <TypedField
          label="Paid"
          spoken={`Paid for ${line.what}`}
          rule={PRICE_RULE}
          value={plain(line.actual)}
          draft={field('actual')}
          onChange={({ value }) => save({ actual: value })}
          onClear={() => save({ actual: null })}
        />
        <TypedField
          label="How many"
          spoken={`How many of ${line.what}`}
          rule={countRule(1, 9999)}
          value={plain(line.count)}
          draft={field('count')}
          hint={line.planned ? `${rangeText(eachOf(line.planned, line.count))} each` : ''}
          onChange={({ value }) => save({ count: value })}
        />
        <TypedField
          label="Labour, minutes"
          spoken={`Minutes for ${line.what}`}
          rule={MINUTES}
          value={typed(line.minutesTyped, line.minutes && (line.minutes.low + line.minutes.high) / 2)}
          draft={field('minutes')}
          onChange={({ typed: text, value }) => save({ minutes: rangeOf(text, MINUTES, value), minutesTyped: text })}
          onClear={() => save({ minutes: null, minutesTyped: null })}
        />
        <TypedField
          label="Took, minutes"
          spoken={`Minutes ${line.what} took`}
          rule={countRule(0, 100_000)}
          value={plain(line.actualMinutes)}
          draft={field('took')}
          onChange={({ value }) => save({ actualMinutes: value })}
          onClear={() => save({ actualMinutes: null })}
        />
      </div>
      <div className="filter-chips">
        <Chips
          label={`Condition of ${line.what}`}
          options={[
            { id: 'new', name: 'new' },
            { id: 'used', name: 'used' },
          ]}
          value={line.condition}
          onPick={(condition) => save({ condition })}
        />
        <Chips
          label={`${line.what} counted`}
          options={[
            { id: 'in', name: 'in the bill' },
            { id: 'out', name: 'not in it' },
          ]}
          value={line.excluded ? 'out' : 'in'}
          onPick={(id) => save({ excluded: id === 'out' })}
        />
      </div>
      {line.planned && line.count > 1 ? (
        <p className="small muted">{rangeText(eachOf(line.planned, line.count))} each</p>
      ) : null}
    </details>
  );
}
