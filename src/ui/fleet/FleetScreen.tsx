'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { type Batch } from '@/contracts/batch';
import { isOver } from '@/contracts/batchOver';
import { stockOf, type Sweep, type Sweepable } from '@/contracts/fleet';
import { type Person } from '@/contracts/person';
import { Marked } from '../controls/Mark';
import { BatchProgress } from '../runs/BatchProgress';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { call } from '../job/api';
import { priceText } from '@/core/units/format';
import { Clock } from '../measured/Clock';
import { FleetHeights } from './FleetHeights';
import { FleetLines } from './FleetLines';
import { SweepForm } from './SweepForm';

interface Props {
  sweepable: Sweepable[];
  sweeps: Batch[];
  first: Sweep | null;
  people: readonly Person[];
  person: string;
}

/** Every vehicle with one pack: which sit low, which plan mends them, what that takes at the counter. */
export function FleetScreen({ sweepable, sweeps, first, people, person }: Props) {
  const client = useQueryClient();
  const [id, setId] = useState(first?.batch.id ?? null);
  const { data: sweep } = useQuery({
    queryKey: ['sweep', id],
    queryFn: () => call<Sweep>(`/api/fleet/${id}`, 'GET'),
    enabled: id !== null,
    ...(first && id === first.batch.id && { initialData: first }),
    refetchInterval: ({ state }) => (state.data && !isOver(state.data.batch) ? 1200 : false),
  });
  const show = (next: Sweep) => {
    client.setQueryData(['sweep', next.batch.id], next);
    setId(next.batch.id);
  };
  const earlier = [...(sweep && !sweeps.some((b) => b.id === sweep.batch.id) ? [sweep.batch] : []), ...sweeps];
  return (
    <PageFrame
      fixed
      title="Fleet"
      note="every vehicle with one pack: which sit low, and what mends them"
      people={people}
      person={person}
      tape={<StationTape current="fleet" />}
    >
      <Workbench className="fleet">
        <Stage
          title="Heights"
          aside={
            sweep ? (
              <BatchProgress<Sweep> of={sweep} path={`/api/fleet/${sweep.batch.id}`} done="swept" onChange={show} />
            ) : null
          }
        >
          {sweep ? (
            <FleetHeights sweep={sweep} />
          ) : (
            <p className="muted">
              No sweep was asked for yet. Take a job whose pack others have too, say how high they should stand, and its
              plans are tried on every one of them.
            </p>
          )}
        </Stage>
        <div className="verdict-column">
          <Comes sweep={sweep} />
        </div>
        <Dock
          below
          label="Fleet"
          first={sweep ? 'vehicles' : 'ask'}
          tabs={[
            ...(sweep
              ? [
                  { id: 'vehicles', name: 'vehicles', roomy: true, children: <FleetLines sweep={sweep} /> },
                  { id: 'order', name: 'to order', children: <Order sweep={sweep} /> },
                ]
              : []),
            { id: 'ask', name: 'a new sweep', children: <SweepForm sweepable={sweepable} onAsked={show} /> },
            ...(earlier.length > 0
              ? [
                  {
                    id: 'earlier',
                    name: 'sweeps so far',
                    children: (
                      <ul className="stored" aria-label="Sweeps so far">
                        {earlier.map((b) => (
                          <li key={b.id}>
                            <button
                              type="button"
                              className="link"
                              aria-pressed={b.id === id}
                              onClick={() => setId(b.id)}
                            >
                              {b.name}
                            </button>{' '}
                            <span className="muted small">
                              {b.person}, <Clock at={b.askedAt} />
                              {b.cancelledAt ? ', stopped' : ''}
                            </span>
                          </li>
                        ))}
                      </ul>
                    ),
                  },
                ]
              : []),
          ]}
        />
      </Workbench>
    </PageFrame>
  );
}

/** What the sweep comes to, in figures. */
function Comes({ sweep }: { sweep: Sweep | undefined }) {
  if (!sweep) return null;
  const of = (...verdicts: string[]) =>
    sweep.counts.filter((c) => verdicts.includes(c.verdict)).reduce((n, c) => n + c.vehicles, 0);
  const rows: [string, number, 'done' | 'look' | 'open' | 'untouched'][] = [
    ['stand as they should', of('stands'), 'done'],
    ['sit low, a plan mends them', of('plan'), 'open'],
    ['sit low, no plan reaches', of('none'), 'look'],
    ['unlike the pack that was asked about', of('unlike'), 'untouched'],
    ['not measured far enough', of('notMeasured'), 'untouched'],
    ['worked on since', of('workedOn'), 'untouched'],
  ];
  const costs = stockOf(sweep);
  const cost = costs.reduce((sum, c) => sum + (c.cost ?? 0), 0);
  return (
    <section className="sheet" aria-label="What it comes to">
      <p className="read-great">
        <span className="figure">{of('plan', 'none')}</span> <span>sit low</span>{' '}
        <span className="muted">of {of('stands', 'plan', 'none', 'unlike', 'notMeasured', 'workedOn')}</span>
      </p>
      <ul className="loose">
        {rows.map(([name, n, kind]) => (
          <li key={name}>
            <span>{n > 0 ? <Marked kind={kind}>{name}</Marked> : <span className="muted">{name}</span>}</span>
            <span className="figure">{n}</span>
          </li>
        ))}
        {cost > 0 ? (
          <li>
            <span>parts to order, where a price is known</span>
            <span className="figure">{priceText(cost)}</span>
          </li>
        ) : null}
      </ul>
    </section>
  );
}

/** What the plans take over all vehicles, against the shelf as it was when this was asked. */
function Order({ sweep }: { sweep: Sweep }) {
  const rows = stockOf(sweep);
  if (rows.length === 0) return <p className="muted">Nothing is to be ordered so far.</p>;
  return (
    <table className="plain" aria-label="To order">
      <thead>
        <tr>
          <th scope="col">what</th>
          <th scope="col" className="number">
            pieces
          </th>
          <th scope="col" className="number">
            on the shelf
          </th>
          <th scope="col" className="number">
            to order
          </th>
          <th scope="col" className="number">
            comes to
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.what}>
            <td>{row.what}</td>
            <td className="number figure">{row.wanted}</td>
            <td className="number figure">{row.here}</td>
            <td className="number figure">{row.order}</td>
            <td className="number figure">
              {row.cost === null ? <span className="muted">no price</span> : priceText(row.cost)}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
