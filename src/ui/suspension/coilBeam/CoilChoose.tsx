'use client';
import { useQuery } from '@tanstack/react-query';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { fitRows } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { coilSheetOf } from '@/contracts/sheet';
import { type ShelfItem } from '@/contracts/shelf';
import { factsOf } from '@/core/fit/work';
import { assembleCoil } from '@/core/suspension/coilBeam/assemble';
import { lacksOf } from '@/core/suspension/registry';
import { type Side } from '@/core/vehicle/side';
import { SchoolsSheet } from '../../candidates/SchoolsSheet';
import { LoadDeflection } from '../../chart/LoadDeflection';
import { ChecksSheet } from '../../choose/ChecksSheet';
import { CostsSheet } from '../../choose/CostsSheet';
import { GapsSheet } from '../../choose/GapsSheet';
import { LedgerSheet } from '../../choose/LedgerSheet';
import { LevelSheet } from '../../choose/LevelSheet';
import { PlanEditor } from '../../choose/PlanEditor';
import { PlansSheet } from '../../choose/PlansSheet';
import { StateBar } from '../../choose/StateBar';
import { StoreSheet } from '../../choose/StoreSheet';
import { Trouble } from '../../choose/Trouble';
import { usePlan } from '../../choose/usePlan';
import { Sheet } from '../../controls/Sheet';
import { JobFrame, type StationProps } from '../../frame/JobFrame';
import { call } from '../../job/api';
import { useJob } from '../../job/useJob';
import { usePrediction } from '../../prediction/usePrediction';
import { CoilElevation } from './CoilElevation';
import { CoilFiguresSheet } from './CoilFiguresSheet';
import { WaysSheet } from './WaysSheet';

/** Choose, for an axle on coils. */
export function CoilChoose({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const plan = usePlan(job);
  const [side, setSide] = useState<Side>('left');
  const [stateId, setStateId] = useState(view.states.find((s) => s.wanted)?.id ?? view.states[0]?.id ?? '');
  const changesText = JSON.stringify(plan.changes);
  const planned = useMemo(
    () => ({ ...view, plan: { ...view.plan, changes: JSON.parse(changesText) as JobView['plan']['changes'] } }),
    [view, changesText],
  );
  const assembled = useMemo(() => assembleCoil(coilSheetOf(planned)), [planned]);
  const standing = useMemo(() => assembleCoil(coilSheetOf(view, [])).input, [view]);
  const { input } = assembled;
  const lacks = lacksOf(input);
  const ready = lacks.length === 0;
  // Without a plan the coil is drawn as it stands.
  const measured = assembled.missing.length === 0;
  const { prediction, bands, refused, fault, progress, stop } = usePrediction(ready || measured ? input : null);
  const shown = prediction?.sides[side] ?? null;
  const at = Math.max(0, shown?.states.findIndex((s) => s.id === stateId) ?? 0);
  const state = shown?.states[at];
  const facts = useMemo(() => (prediction && ready ? factsOf(prediction) : null), [prediction, ready]);
  const checks = useMemo(() => fitRows(planned, facts, assembled), [planned, facts, assembled]);
  const parts = useQuery({
    queryKey: ['job-parts', view.id],
    queryFn: () => call<ShelfItem[]>(`/api/jobs/${view.id}/parts`, 'GET'),
  });
  const spacer = input.changes.findLast((c) => c.kind === 'spacer')?.height.value ?? input.spacer.value;
  return (
    <JobFrame view={view} station="choose" people={people} person={person} rows={facts ? checks : undefined}>
      <StateBar
        view={view}
        side={side}
        onSide={setSide}
        stateId={state?.id ?? stateId}
        onState={setStateId}
        known={shown?.states}
      />
      <div className="sheets choose-grid">
        <div className="sheets">
          <Sheet title={`Coil, ${side}`} aside={<span className="muted">was dashed, becomes solid</span>}>
            {state?.old ? (
              <CoilElevation
                old={{ figures: state.old, spacer: input.spacer.value }}
                built={ready && state.built ? { figures: state.built, spacer } : null}
                side={side}
                stateName={state.name}
                before={state.beforeHere}
                after={state.after}
              />
            ) : (
              <p className="muted">
                {measured && progress !== null ? (
                  'Drawing…'
                ) : (
                  <>
                    Its sizes, its length and the load on it make the figure.{' '}
                    <Link className="link" href={`/jobs/${view.id}/measure`} prefetch={false}>
                      Measure them
                    </Link>
                  </>
                )}
              </p>
            )}
          </Sheet>
          <PlansSheet job={job} plan={plan} />
          <PlanEditor view={view} plan={plan} />
          <WaysSheet job={job} plan={plan} input={standing} shelf={parts.data ?? []} />
          {ready && shown && shown.curve.length > 0 ? (
            <Sheet title="Height over load, one spring">
              <LoadDeflection
                curve={shown.curve}
                states={shown.states.flatMap((s, k) =>
                  s.built
                    ? [
                        {
                          name: s.name,
                          load: s.built.load,
                          height: s.after ?? s.change,
                          half90: bands?.[side]?.[k]?.half ?? s.firstOrder,
                        },
                      ]
                    : [],
                )}
                absolute={state?.before !== null}
              />
            </Sheet>
          ) : null}
          {state?.old ? (
            <CoilFiguresSheet
              title={ready ? 'The coil before and after' : 'The coil as it stands'}
              stateName={state.name}
              old={state.old}
              built={ready ? state.built : null}
            />
          ) : null}
        </div>
        <div className="sheets">
          <Trouble refused={refused} fault={fault} />
          {ready && shown && state ? (
            <LedgerSheet
              view={view}
              sideName={side}
              state={state}
              band={bands?.[side]?.[at]}
              progress={progress}
              onStop={stop}
            />
          ) : (
            <GapsSheet view={view} missing={assembled.missing} lacks={lacks} solving={progress !== null} />
          )}
          {prediction && ready && shown ? <LevelSheet view={view} prediction={prediction} /> : null}
          <StoreSheet job={job} plan={plan} ready={ready && refused === null} />
          <ChecksSheet jobId={view.id} rows={checks} />
          <CostsSheet job={job} />
          <SchoolsSheet job={job} />
        </div>
      </div>
    </JobFrame>
  );
}
