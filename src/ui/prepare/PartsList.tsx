'use client';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type NeededEdit } from '@/contracts/needed';
import { NEED_STATES, type NeedState } from '@/contracts/needStates';
import { type JobView } from '@/contracts/job';
import { type PartLine } from '@/contracts/preparation';
import { type ShelfPage } from '@/contracts/shelf';
import { WHOLE_SHELF } from '@/contracts/wholeShelf';
import { priceText } from '@/core/units/format';
import { PRICE_RULE } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Mark, Marked } from '../controls/Mark';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useWords } from '../measured/Quantity';
import { TypedField } from '../measured/TypedField';
import { dayText } from './dayText';

export const NEED_WORDS: Record<NeedState, string> = {
  toOrder: 'to order',
  ordered: 'ordered',
  here: 'here',
  notWanted: 'not wanted',
};

const editOf = ({ part, need, what, wanted }: PartLine): NeededEdit =>
  part
    ? (({ person, updatedAt, ...edit }) => edit)(part)
    : {
        ...{ id: crypto.randomUUID(), need, what, wanted, state: 'toOrder', source: '', orders: '' },
        ...{ dueOn: null, shelfItemId: null, version: 0 },
      };

const capital = (text: string): string => text.replace(/^./, (c) => c.toUpperCase());

/** Everything the plan takes, in the order the steps ask for it: where it comes from, when, what waits for it, and whether it is right. */
export function PartsList({
  job,
  lines,
  onMeasure,
}: {
  job: JobHandle;
  lines: readonly PartLine[];
  onMeasure: (need: string) => void;
}) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [open, setOpen] = useState<string | null>(null);
  const [what, setWhat] = useState('');
  const words = useWords();
  const add = () =>
    void run(async () => {
      const id = crypto.randomUUID();
      await job.send('/needed', 'PUT', {
        ...{ id, need: `own:${id}`, what: what.trim(), wanted: 1, state: 'toOrder', source: '', orders: '' },
        ...{ dueOn: null, shelfItemId: null, version: 0 },
      } satisfies NeededEdit);
      setWhat('');
    });
  const costs = view.costs.filter((c) => lines.some((l) => l.part?.id === c.id) && c.planned);
  const total = costs.reduce((sum, c) => sum + (c.planned ? (c.planned.low + c.planned.high) / 2 : 0), 0);
  return (
    <section className="parts-list" aria-label="Parts and hardware">
      {lines.length === 0 ? (
        <p className="muted">
          Nothing is planned yet. What the plan takes, with its nuts and bolts, comes to stand here.
        </p>
      ) : (
        <div className="part-head muted" aria-hidden="true">
          <span />
          <span>what</span>
          <span>from</span>
          <span className="number">price</span>
          <span>due</span>
          <span>blocks</span>
          <span>arrival</span>
        </div>
      )}
      {lines.map((line) => {
        const { need, wanted, part, state, stepNumber } = line;
        const cost = view.costs.find((c) => c.id === part?.id)?.planned;
        return (
          <div
            key={need}
            className={line.arrival.misfits.length > 0 ? 'part-line stopped' : 'part-line'}
            data-need={need}
          >
            <button
              type="button"
              className="part-row"
              aria-expanded={open === need}
              onClick={() => setOpen(open === need ? null : need)}
            >
              <span className="figure number">{wanted}</span>
              <span className={state === 'notWanted' ? 'part-what muted' : 'part-what'}>
                {capital(words(line.what))} {line.why ? <span className="muted small">{line.why}</span> : null}
                {line.changed ? (
                  <span className="small">
                    {' '}
                    <Marked kind="look">
                      the plan changed; ordered: {part!.wanted} {words(part!.what)}
                    </Marked>
                  </span>
                ) : null}
              </span>
              <span className="muted">{part?.source}</span>
              <span className="figure number">{cost ? priceText((cost.low + cost.high) / 2) : ''}</span>
              <span>{state === 'ordered' && part?.dueOn ? <Due date={part.dueOn} today={view.today} /> : null}</span>
              <span className="muted">{stepNumber ? `step ${stepNumber}` : ''}</span>
              <span>
                <Arrived line={line} />
              </span>
            </button>
            {open === need ? <Detail job={job} line={line} onMeasure={() => onMeasure(need)} /> : null}
          </div>
        );
      })}
      <div className="part-foot">
        <form
          className="acts"
          onSubmit={(event) => {
            event.preventDefault();
            if (what.trim()) add();
          }}
        >
          <TextField label="Something else" most={200} value={what} onChange={setWhat} />
          <button type="submit" className="act quiet" disabled={busy || what.trim() === ''}>
            Put it on the list
          </button>
        </form>
        {total > 0 ? (
          <p>
            <span className="figure strong">{priceText(total)}</span>{' '}
            <span className="muted">in all, where a price is known</span>
          </p>
        ) : null}
        <a className="link" href={`/api/jobs/${view.id}/parts-list`} download>
          list for the counter, CSV
        </a>
        <a className="link" href={`/api/jobs/${view.id}/print?what=parts`} download>
          on paper, PDF
        </a>
      </div>
      <ProblemNote problem={problem} />
    </section>
  );
}

const Due = ({ date, today }: { date: string; today: string }) =>
  date < today ? <Marked kind="look">{dayText(date)}, not come</Marked> : <strong>{dayText(date)}</strong>;

/** Here or not, and whether it is what was called for. */
function Arrived({ line: { state, arrival, called, wanted } }: { line: PartLine }) {
  if (arrival.misfits.length > 0)
    return <span className="stop-word">STOP {new Set(arrival.misfits.map((m) => m.piece)).size} wrong</span>;
  if (state === 'notWanted') return <span className="muted">not wanted</span>;
  if (arrival.measured > 0)
    return (
      <Marked kind={arrival.measured === wanted ? 'done' : 'open'}>
        {arrival.measured === wanted ? 'measured' : `${arrival.measured} of ${wanted} measured`}
      </Marked>
    );
  if (state === 'here')
    return called.length > 0 ? <Marked kind="open">here, not measured</Marked> : <Marked kind="done">here</Marked>;
  return (
    <span className="muted">
      <Mark kind="untouched" /> {NEED_WORDS[state]}
    </span>
  );
}

/** One line opened: how it stands, whom it comes from, what it costs. */
function Detail({ job, line, onMeasure }: { job: JobHandle; line: PartLine; onMeasure: () => void }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const { part } = line;
  const [source, setSource] = useState(part?.source ?? '');
  const [orders, setOrders] = useState(part?.orders ?? '');
  // Two figures sent one after the other: the second goes onto what the first made of the line.
  const latest = (now: JobView, edit: Partial<NeededEdit>): NeededEdit => {
    const there = now.needed.find((n) => n.need === line.need);
    return { ...editOf({ ...line, part: there ?? null }), what: line.what, wanted: line.wanted, ...edit };
  };
  const put = (edit: Partial<NeededEdit>) => run(() => job.send('/needed', 'PUT', (now) => latest(now, edit)));
  const cost = view.costs.find((c) => c.id === part?.id);
  const price = async (value: number | null, typed: string | null) => {
    const kept = await job.send('/needed', 'PUT', (now) => latest(now, {}));
    const { id } = kept.needed.find((n) => n.need === line.need)!;
    const old = kept.costs.find((c) => c.id === id);
    await job.send('/costs', 'PUT', {
      ...{ id, what: line.what.slice(0, 160), count: line.wanted, condition: old?.condition ?? 'new' },
      ...{
        planned: value === null ? null : { low: value, high: value },
        plannedTyped: typed,
        actual: old?.actual ?? null,
      },
      ...{
        minutes: old?.minutes ?? null,
        minutesTyped: old?.minutesTyped ?? null,
        actualMinutes: old?.actualMinutes ?? null,
      },
      ...{ excluded: old?.excluded ?? false, partId: old?.partId ?? null, version: old?.version ?? 0 },
    });
  };
  return (
    <div className="part-detail">
      <Chips
        label={`How it stands: ${line.what}`}
        options={NEED_STATES.map((id) => ({ id, name: NEED_WORDS[id] }))}
        value={line.state}
        onPick={(state) => void put({ state })}
      />
      <div className="grid-fields">
        <div onBlur={() => source.trim() !== (part?.source ?? '') && void put({ source: source.trim() })}>
          <TextField
            label="From"
            spoken={`Where ${line.what} comes from`}
            most={80}
            value={source}
            onChange={setSource}
          />
        </div>
        <div onBlur={() => orders.trim() !== (part?.orders ?? '') && void put({ orders: orders.trim() })}>
          <TextField
            label="Who sees to it"
            spoken={`Who orders ${line.what}`}
            most={80}
            value={orders}
            onChange={setOrders}
          />
        </div>
        <div className="field">
          <label htmlFor={`due-${line.need}`}>Comes on</label>
          <input
            id={`due-${line.need}`}
            type="date"
            className="day-field"
            value={part?.dueOn ?? ''}
            onChange={(event) =>
              void put({
                dueOn: event.target.value || null,
                state: line.state === 'toOrder' && event.target.value ? 'ordered' : line.state,
              })
            }
          />
        </div>
        <TypedField
          label="Price, all of them"
          spoken={`Price of ${line.what}`}
          rule={PRICE_RULE}
          value={cost?.planned ? { typed: cost.plannedTyped ?? '', value: cost.planned.low } : null}
          draft={`${view.id}|need|${line.need}|price`}
          onChange={({ typed, value }) => void run(() => price(value, typed))}
          onClear={() => void run(() => price(null, null))}
        />
      </div>
      <FromShelf line={line} onTake={(shelfItemId, source, state) => void put({ shelfItemId, source, state })} />
      <div className="acts">
        {line.called.length > 0 ? (
          <button type="button" className="act" onClick={onMeasure}>
            Measure what came
          </button>
        ) : null}
        {line.changed ? (
          <button type="button" className="act quiet" disabled={busy} onClick={() => void put({ state: 'toOrder' })}>
            Order it as the plan is now
          </button>
        ) : null}
        {part ? <span className="muted small">last said by {part.person}</span> : null}
      </div>
      <ProblemNote problem={problem} />
    </div>
  );
}

const WORD = /[A-Za-z]{4,}/;

/** What of it lies on the shop's own shelf: taken, it is counted off there. */
function FromShelf({
  line,
  onTake,
}: {
  line: PartLine;
  onTake: (id: string | null, source: string, state: NeedState) => void;
}) {
  const [words, setWords] = useState(WORD.exec(line.what)?.[0].replace(/s$/, '') ?? '');
  const [asked, setAsked] = useState(false);
  const found = useQuery({
    queryKey: ['shelf-for', words],
    enabled: asked && words.trim() !== '',
    queryFn: () =>
      call<ShelfPage>('/api/shelf/page', 'POST', { ...WHOLE_SHELF, words: words.trim(), holding: 'stock', here: true }),
  });
  const { part } = line;
  if (part?.shelfItemId && part.state === 'ordered')
    return (
      <p>
        <Marked kind="open">kept for this job on the shop’s own shelf</Marked>{' '}
        <button type="button" className="act quiet" onClick={() => onTake(part.shelfItemId, part.source, 'here')}>
          take {line.wanted}
        </button>{' '}
        <button type="button" className="link" onClick={() => onTake(null, '', 'toOrder')}>
          let it go
        </button>
      </p>
    );
  if (part?.shelfItemId)
    return (
      <p>
        <Marked kind="done">taken from the shop’s own shelf</Marked>{' '}
        <button type="button" className="link" onClick={() => onTake(null, '', 'toOrder')}>
          put it back
        </button>
      </p>
    );
  if (!asked)
    return (
      <p>
        <button type="button" className="link" onClick={() => setAsked(true)}>
          take it from the shop’s own shelf
        </button>
      </p>
    );
  return (
    <div className="from-shelf">
      <TextField label="On the shelf" most={80} value={words} onChange={setWords} />
      <ul className="stored">
        {(found.data?.items ?? []).slice(0, 6).map((item) => {
          const kept = found.data?.kept?.[item.id] ?? 0;
          const few = (item.quantity ?? 0) - kept < line.wanted;
          const source = `own shelf${item.place ? `, ${item.place}` : ''}`.slice(0, 80);
          return (
            <li key={item.id}>
              {[item.name, item.number].filter(Boolean).join(', ')}{' '}
              <span className="muted">
                {item.quantity} there{kept > 0 ? `, ${kept} of them kept for other work` : ''}
                {item.place ? `, ${item.place}` : ''}
              </span>{' '}
              <button
                type="button"
                className="act quiet"
                disabled={few}
                onClick={() => onTake(item.id, source, 'here')}
              >
                take {line.wanted}
              </button>{' '}
              <button type="button" className="link" disabled={few} onClick={() => onTake(item.id, source, 'ordered')}>
                keep for this job
              </button>
            </li>
          );
        })}
        {found.data?.items.length === 0 ? <li className="muted">Nothing of that name lies here.</li> : null}
      </ul>
    </div>
  );
}
