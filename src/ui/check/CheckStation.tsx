'use client';
import { useMemo, useState } from 'react';
import { fitRows } from '@/contracts/fit';
import { type ChangeKind } from '@/contracts/plan';
import { isCheckBegun } from '@/contracts/travel';
import { type SlackItem } from '@/core/travel/survey';
import { completeLine, type DraftLine } from '../choose/planDraft';
import { PlanEditor } from '../choose/PlanEditor';
import { usePlan } from '../choose/usePlan';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { ProblemNote } from '../job/ProblemNote';
import { useJob } from '../job/useJob';
import { useWords } from '../measured/Quantity';
import { type Typed } from '../measured/TypedField';
import { SurveySheet } from '../measure/SurveySheet';
import { BindingList } from './BindingList';
import { bindingsOf, unreadOf, type Binding, type PlanMend } from './bindings';
import { PartsSheet } from './PartsSheet';
import { ReadHere } from './ReadHere';
import { ForceSheet } from './ForceSheet';
import { HELD_ITEMS, HeldSheet } from './HeldSheet';
import { ShocksSheet, type ShelfShock } from './ShocksSheet';
import { TravelStage } from './TravelStage';
import { useTravel } from './useTravel';
import { WHEEL_ITEMS, WheelsSheet } from './WheelsSheet';
import { handbookLink } from './handbookLink';
import { workingOf } from './working';

const mm = (value: number): Typed => ({ value, typed: `${value} mm` });

/** The plan's lines with a mend made: one pad, one pair of shocks, one figure for each line between frame and axle. */
function withMend(lines: readonly DraftLine[], row: Binding, mend: PlanMend): DraftLine[] {
  const put = (
    kind: ChangeKind,
    values: DraftLine['values'],
    { item, ...more }: Pick<DraftLine, 'item' | 'bend' | 'thick'> = {},
  ): DraftLine[] => {
    const had = lines.find((line) => line.kind === kind && line.item === item);
    const next: DraftLine = {
      ...{ key: had?.key ?? crypto.randomUUID(), kind, values, source: 'measured' as const },
      ...(item && { item }),
      ...more,
    };
    return had ? lines.map((line) => (line === had ? next : line)) : [...lines, next];
  };
  switch (mend.kind) {
    case 'stopPad':
      return put('stopPad', { height: mm(mend.height) });
    case 'stopCut':
      return put('stopCut', { by: mm(mend.by) });
    case 'shock':
      return put('shocks', { shut: mm(mend.shut), open: mm(mend.open) });
    case 'line':
      return put('line', { by: mm(mend.by) }, { item: row.id as SlackItem });
    case 'ubolts':
      return put('ubolts', { leg: mm(mend.leg) }, { bend: mend.bend });
    case 'wedge': {
      const { wedge } = mend;
      if (!wedge) return lines.filter((line) => line.kind !== 'wedge');
      const turned = Number(((wedge.angle * 180) / Math.PI).toFixed(1));
      return put(
        'wedge',
        { angle: { value: wedge.angle, typed: `${turned}°` }, height: mm(wedge.height) },
        { thick: wedge.thick },
      );
    }
  }
}

/** The plan's lines with a pair of shocks of the shelf. */
function withShock(lines: readonly DraftLine[], { item, shut, open }: ShelfShock): DraftLine[] {
  const name = [item.name, item.number].filter(Boolean).join(', ').slice(0, 160);
  return [
    ...lines.filter((line) => line.kind !== 'shocks'),
    {
      ...{ key: crypto.randomUUID(), kind: 'shocks', values: { shut: mm(shut), open: mm(open) }, source: 'catalogue' },
      part: { partId: item.id, partName: name },
    },
  ];
}

/** Everything that will hit, bind, run out or be too short, before anything is bought or loosened. */
export function CheckStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const plan = usePlan(job);
  const words = useWords();
  const [stateId, setStateId] = useState(view.states.find((s) => s.wanted)?.id ?? view.states[0]?.id ?? '');
  const stateName = view.states.find((s) => s.id === stateId)?.name ?? '';
  const travel = useTravel(
    view,
    plan.lines.map(completeLine).filter((line) => line !== undefined),
    stateId,
  );
  const fit = useMemo(() => fitRows(travel.planned, travel.facts, travel.assembled), [travel]);
  const all = useMemo(() => bindingsOf(travel, fit), [travel, fit]);
  const rows = all.filter((row) => row.state !== 'not checked');
  const unread = unreadOf(all, fit, travel);
  const of = (items: readonly string[]) => travel.beside.filter((row) => items.includes(row.item));
  const worst = rows[0];
  const count = (state: Binding['state']) => rows.filter((row) => row.state === state).length;
  const states = Object.fromEntries(rows.map((row) => [row.id, row.state]));
  const stops = count('does not fit');
  const asked = all.filter((row) => row.wants.length > 0).length;
  return (
    <JobFrame view={view} station="check" people={people} person={person} rows={travel.facts ? fit : undefined} fixed>
      <Workbench className="check">
        <Stage
          title="Travel"
          aside={
            <>
              <p className="check-verdict" aria-label="Verdict" role="status">
                {worst && worst.state !== 'fits' ? (
                  <>
                    {worst.state === 'does not fit' ? (
                      <span className="stop-word">STOP </span>
                    ) : (
                      <span className="look">look </span>
                    )}
                    <strong>{worst.name}</strong>: {words(worst.text)}
                  </>
                ) : rows.length > asked ? (
                  <Marked kind="done">nothing binds of what was read</Marked>
                ) : (
                  <span className="muted">read stops and shocks to see what hits first</span>
                )}
              </p>
              <p className="check-counts">
                {stops > 0 ? <span className="stop-word">{stops} STOP</span> : null}
                <span className={count('look') > 0 ? 'look' : 'muted'}>{count('look')} look</span>
                <span>{count('fits')} fit</span>
                <a href="#read">{unread.length} not read</a>
              </p>
              <Chips
                label="Load state"
                options={view.states.map(({ id, name }) => ({ id, name }))}
                value={stateId}
                onPick={setStateId}
              />
            </>
          }
        >
          <TravelStage view={view} travel={travel} states={states} stateName={stateName} />
        </Stage>
        <Dock
          below
          label="More of Check"
          first={isCheckBegun(view) ? 'binds' : 'read'}
          tabs={[
            {
              id: 'binds',
              name: 'what binds',
              mark: stops > 0 ? { kind: 'stop', word: `STOP ${stops}` } : undefined,
              children: (
                <>
                  <ProblemNote problem={plan.problem} />
                  {travel.unplaced ? (
                    <p>
                      <Marked kind="look">
                        Where the axle sits with this plan is not solved
                        {travel.refused ? `: ${travel.refused.reason}` : ' yet'}; what hangs on that is not told.
                      </Marked>
                    </p>
                  ) : null}
                  <BindingList
                    jobId={view.id}
                    rows={rows}
                    working={(row) => workingOf(row, travel)}
                    sum={(row) => handbookLink(row, travel)}
                    onMend={(row, mend) => plan.set(withMend(plan.lines, row, mend))}
                  />
                  {plan.undo ? (
                    <div className="acts">
                      <button type="button" className="act quiet" onClick={plan.undo}>
                        Undo
                      </button>
                    </div>
                  ) : null}
                  {unread.length > 0 ? <p className="muted">Not read: {unread.join(', ')}.</p> : null}
                </>
              ),
            },
            {
              id: 'read',
              name: 'read it',
              roomy: true,
              mark: asked > 0 ? { kind: 'untouched', word: String(asked) } : undefined,
              children: <ReadHere job={job} />,
            },
            {
              id: 'shocks',
              name: 'shocks',
              roomy: true,
              children: <ShocksSheet travel={travel} onTake={(shock) => plan.set(withShock(plan.lines, shock))} />,
            },
            {
              id: 'lines',
              name: 'hoses and wires',
              roomy: true,
              children: <SurveySheet job={job} travel={travel.held} />,
            },
            {
              id: 'force',
              name: 'force',
              roomy: true,
              children: <ForceSheet travel={travel} />,
            },
            ...(of(HELD_ITEMS).length > 0
              ? [
                  {
                    id: 'held',
                    name: 'bushes and joints',
                    roomy: true,
                    children: <HeldSheet job={job} planned={travel.planned} rows={of(HELD_ITEMS)} />,
                  },
                ]
              : []),
            {
              id: 'wheels',
              name: 'wheels',
              roomy: true,
              children: <WheelsSheet job={job} rows={of(WHEEL_ITEMS)} />,
            },
            {
              id: 'plan',
              name: 'plan',
              mark: plan.unfinished > 0 ? { kind: 'look', word: 'unfinished' } : undefined,
              children: (
                <>
                  <PlanEditor view={view} plan={plan} />
                  <PartsSheet job={job} changes={plan.changes} />
                </>
              ),
            },
          ]}
        />
      </Workbench>
    </JobFrame>
  );
}
