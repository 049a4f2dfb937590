'use client';
import dynamic from 'next/dynamic';
import { useMemo, useState, type ReactNode } from 'react';
import { fitRows, type FitRow } from '@/contracts/fit';
import { factsOf } from '@/core/fit/work';
import { LoadDeflection } from '../chart/LoadDeflection';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench, type DockTab } from '../frame/Workbench';
import { Waterfall } from '../ledger/Waterfall';
import { pointName } from '../measure/fields';
import { type LivePreview } from '../prediction/usePrediction';
import { ChecksSheet } from './ChecksSheet';
import { GapsSheet } from './GapsSheet';
import { LedgerSheet } from './LedgerSheet';
import { PlansSheet, type OwnPlans } from './PlansSheet';
import { StateBar } from './StateBar';
import { StoreSheet } from './StoreSheet';
import { Trouble } from './Trouble';
import { type Choosing } from './useChoose';
import { fitMark, VerdictSheet } from './VerdictSheet';

// Tabs that are not open at first are loaded when they are opened.
const CostsSheet = dynamic(() => import('./CostsSheet').then((m) => m.CostsSheet));
const LevelSheet = dynamic(() => import('./LevelSheet').then((m) => m.LevelSheet));
const SchoolsSheet = dynamic(() => import('../candidates/SchoolsSheet').then((m) => m.SchoolsSheet));

interface Props extends Omit<StationProps, 'first'> {
  at: Choosing;
  solved: LivePreview;
  /** Beside side and load state. */
  bar?: ReactNode;
  /** Name of the drawing. */
  title: string;
  /** The axle drawn, before and after. */
  drawing: ReactNode;
  /** Under the drawing. */
  foot?: ReactNode;
  /** Own plans solved beside one another, where the kind does. */
  compared?: OwnPlans;
  /** What to change. */
  editor: ReactNode;
  /** Ways to the height that is wanted. */
  ways: ReactNode;
  /** Tabs that only this kind has, after the ways. */
  more?: readonly DockTab[];
  /** The spring under any load, where the kind draws it. */
  spring?: ReactNode;
  /** The spring's own table. */
  figures: ReactNode;
  /** Over everything else of the verdict. */
  lead?: ReactNode;
  /** How it rides and what it bears, in the verdict. */
  rides?: ReactNode;
  /** Height change by a handbook's rule, where the kind has one. */
  handbook?: number | null | undefined;
  /** The list of what must fit, where the kind adds to it. */
  checks?: (rows: readonly FitRow[]) => ReactNode;
}

/** Choose, whatever carries the axle: the drawing as stage, the height as verdict, everything else in the dock. */
export function ChooseFrame(props: Props) {
  const { at, solved, people, person, bar, title, drawing, foot, compared, editor, ways, more = [], spring } = props;
  const { figures, lead, rides, handbook, checks } = props;
  const { job, view, plan, planned, assembled, side, setSide, stateId, setStateId, lacks, ready } = at;
  const { prediction, bands, refused, fault, progress, stop } = solved;
  const { shown, k, state } = shownOf(prediction, at);
  const facts = useMemo(() => (prediction && ready ? factsOf(prediction) : null), [prediction, ready]);
  const rows = useMemo(() => fitRows(planned, facts, assembled), [planned, facts, assembled]);
  // Where nothing is planned yet, the ways to get there come first.
  const [first] = useState(() => (view.plan.changes.length === 0 && plan.lines.length === 0 ? 'ways' : 'plan'));
  const told = ready && shown && state ? state : null;
  const band = bands?.[side]?.[k];
  const ledger = told ? <LedgerSheet view={view} sideName={side} state={told} handbook={handbook} band={band} /> : null;
  const tabs: DockTab[] = [
    {
      id: 'plan',
      name: 'plan',
      mark: plan.unfinished > 0 ? { kind: 'look', word: 'unfinished' } : undefined,
      children: (
        <div className="dock-columns">
          {editor}
          <div className="sheets">
            <StoreSheet job={job} plan={plan} ready={ready && refused === null} />
            <PlansSheet job={job} plan={plan} {...(compared && { compared })} />
          </div>
        </div>
      ),
    },
    { id: 'ways', name: 'ways', children: ways },
    ...more,
    {
      id: 'load',
      name: 'under load',
      children: (
        <div className="dock-columns">
          {spring ?? figures}
          <div className="sheets">
            {told && shown && state?.built ? (
              <Sheet title="Height over load, one spring">
                <LoadDeflection
                  curve={shown.curve}
                  states={shown.states.flatMap((s, n) =>
                    s.built
                      ? [
                          {
                            name: s.name,
                            load: s.built.load,
                            height: s.after ?? s.change,
                            half90: bands?.[side]?.[n]?.half ?? s.firstOrder,
                          },
                        ]
                      : [],
                  )}
                  name={state?.before === null ? null : pointName(view, 'hubToLip')}
                />
              </Sheet>
            ) : null}
            {spring ? figures : null}
          </div>
        </div>
      ),
    },
    ...(ledger ? [{ id: 'ledger', name: 'adds up', ready: true, children: ledger }] : []),
    {
      id: 'fit',
      name: 'must fit',
      mark: fitMark(rows),
      children: checks ? checks(rows) : <ChecksSheet jobId={view.id} rows={rows} />,
    },
    ...(prediction && ready && shown
      ? [{ id: 'level', name: 'level', children: <LevelSheet view={view} prediction={prediction} /> }]
      : []),
    { id: 'costs', name: 'costs', children: <CostsSheet job={job} /> },
    { id: 'schools', name: 'schools', children: <SchoolsSheet job={job} /> },
  ];
  return (
    <JobFrame view={view} station="choose" people={people} person={person} rows={facts ? rows : undefined} fixed>
      <Workbench className="choose">
        <Stage
          title={title}
          aside={
            <StateBar
              view={view}
              side={side}
              onSide={setSide}
              stateId={state?.id ?? stateId}
              onState={setStateId}
              known={shown?.states}
            >
              {plan.undo ? (
                <button type="button" className="act quiet" onClick={plan.undo}>
                  Undo
                </button>
              ) : null}
              {bar}
            </StateBar>
          }
          foot={foot}
        >
          {drawing}
        </Stage>
        <div className="verdict-column">
          <Trouble refused={refused} fault={fault} />
          {told ? (
            <>
              <VerdictSheet view={view} side={side} state={told} band={band} rows={rows} lead={lead}>
                {rides}
              </VerdictSheet>
              <section className="sheet adds-up-sheet" aria-label="How the height adds up">
                <header className="sheet-head">
                  <h2>Adds up</h2>
                  {progress === null ? (
                    <a href="#ledger">the ledger</a>
                  ) : (
                    <span className="muted">
                      Drawing the band… {Math.round(100 * progress)} %{' '}
                      <button type="button" className="link" onClick={stop}>
                        stop
                      </button>
                    </span>
                  )}
                </header>
                <Waterfall
                  lines={told.ledger}
                  half={band?.half ?? told.firstOrder}
                  spoken={`The ledger to scale: ${told.ledger.length} lines ending in the height as built`}
                />
              </section>
            </>
          ) : (
            <>
              {lead}
              <GapsSheet view={view} missing={assembled.missing} lacks={lacks} solving={progress !== null} />
            </>
          )}
        </div>
        <Dock label="Plan, ways and checks" tabs={tabs} first={first} below />
      </Workbench>
    </JobFrame>
  );
}

/** The side and the load state that are looked at, of a prediction. */
export function shownOf<P extends { sides: Record<'left' | 'right', { states: readonly { id: string }[] } | null> }>(
  prediction: P | null,
  { side, stateId }: Pick<Choosing, 'side' | 'stateId'>,
) {
  type Shown = NonNullable<P['sides']['left']>;
  const shown = (prediction?.sides[side] ?? null) as Shown | null;
  const k = Math.max(0, shown?.states.findIndex((s) => s.id === stateId) ?? 0);
  return { shown, k, state: shown?.states[k] as Shown['states'][number] | undefined };
}
