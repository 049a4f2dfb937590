'use client';
import { useMemo, type ReactNode } from 'react';
import { fitRows, type FitRow } from '@/contracts/fit';
import { factsOf } from '@/core/fit/work';
import { SchoolsSheet } from '../candidates/SchoolsSheet';
import { LoadDeflection } from '../chart/LoadDeflection';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { pointName } from '../measure/fields';
import { type LivePreview } from '../prediction/usePrediction';
import { ChecksSheet } from './ChecksSheet';
import { CostsSheet } from './CostsSheet';
import { GapsSheet } from './GapsSheet';
import { LedgerSheet } from './LedgerSheet';
import { LevelSheet } from './LevelSheet';
import { PlansSheet, type OwnPlans } from './PlansSheet';
import { StateBar } from './StateBar';
import { StoreSheet } from './StoreSheet';
import { Trouble } from './Trouble';
import { type Choosing } from './useChoose';

interface Props extends Omit<StationProps, 'first'> {
  at: Choosing;
  solved: LivePreview;
  /** Beside side and load state. */
  bar?: ReactNode;
  /** The axle drawn, before and after. */
  drawing: ReactNode;
  /** Own plans solved beside one another, where the kind does. */
  compared?: OwnPlans;
  /** The plan, ways to others, and what they do to the spring. */
  children: ReactNode;
  /** The spring's own table. */
  figures: ReactNode;
  /** Over everything else of the right column. */
  lead?: ReactNode;
  /** Height change by a handbook's rule, where the kind has one. */
  handbook?: number | null | undefined;
  /** The list of what must fit, where the kind adds to it. */
  checks?: (rows: readonly FitRow[]) => ReactNode;
}

/** Choose, whatever carries the axle: drawing, plan and ways on the left, ledger, level, checks and costs on the right. */
export function ChooseFrame(props: Props) {
  const { at, solved, people, person, bar, drawing, compared, children, figures, lead, handbook, checks } = props;
  const { job, view, plan, planned, assembled, side, setSide, stateId, setStateId, lacks, ready } = at;
  const { prediction, bands, refused, fault, progress, stop } = solved;
  const { shown, k, state } = shownOf(prediction, at);
  const facts = useMemo(() => (prediction && ready ? factsOf(prediction) : null), [prediction, ready]);
  const rows = useMemo(() => fitRows(planned, facts, assembled), [planned, facts, assembled]);
  return (
    <JobFrame view={view} station="choose" people={people} person={person} rows={facts ? rows : undefined}>
      <StateBar
        view={view}
        side={side}
        onSide={setSide}
        stateId={state?.id ?? stateId}
        onState={setStateId}
        known={shown?.states}
      >
        {bar}
      </StateBar>
      <div className="sheets choose-grid">
        <div className="sheets">
          {drawing}
          <PlansSheet job={job} plan={plan} {...(compared && { compared })} />
          {children}
          {ready && shown && state?.built ? (
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
          {figures}
        </div>
        <div className="sheets">
          {lead}
          <Trouble refused={refused} fault={fault} />
          {ready && shown && state ? (
            <LedgerSheet
              view={view}
              sideName={side}
              state={state}
              handbook={handbook}
              band={bands?.[side]?.[k]}
              progress={progress}
              onStop={stop}
            />
          ) : (
            <GapsSheet view={view} missing={assembled.missing} lacks={lacks} solving={progress !== null} />
          )}
          {prediction && ready && shown ? <LevelSheet view={view} prediction={prediction} /> : null}
          <StoreSheet job={job} plan={plan} ready={ready && refused === null} />
          {checks ? checks(rows) : <ChecksSheet jobId={view.id} rows={rows} />}
          <CostsSheet job={job} />
          <SchoolsSheet job={job} />
        </div>
      </div>
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
