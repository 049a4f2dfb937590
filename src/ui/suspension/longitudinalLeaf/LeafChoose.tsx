'use client';
import { Marked } from '../../controls/Mark';
import Link from 'next/link';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { fitRows } from '@/contracts/fit';
import { type ShelfItem } from '@/contracts/shelf';
import { stockPartOf } from '@/contracts/stock';
import { uboltsOf } from '@/contracts/ubolts';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { type Side } from '@/core/vehicle/side';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { lacksOf } from '@/core/suspension/registry';
import { type LeafSide, type LeafState } from '@/core/suspension/longitudinalLeaf/kind';
import { assemble, type Assembled } from '@/core/suspension/longitudinalLeaf/assemble';
import { provisional } from '@/core/suspension/longitudinalLeaf/provisional';
import { factsOf } from '@/core/fit/work';
import { uboltNeed } from '@/core/selection/uboltNeed';
import { call } from '../../job/api';
import { Waiting } from '../../controls/Waiting';
import { CandidatesSheet } from '../../candidates/CandidatesSheet';
import { SchoolsSheet } from '../../candidates/SchoolsSheet';
import { LoadDeflection } from '../../chart/LoadDeflection';
import { Sheet } from '../../controls/Sheet';
import { ElevationDrawing } from '../../drawing/ElevationDrawing';
import { JobFrame, type StationProps } from '../../frame/JobFrame';
import { useJob } from '../../job/useJob';
import { assumedParts } from './assumedParts';
import { usePrediction } from '../../prediction/usePrediction';
import { SpringSheet } from '../../spring/SpringSheet';
import { addedLeafIndex } from './addedLeaf';
import { CostsSheet } from '../../choose/CostsSheet';
import { FiguresSheet } from './FiguresSheet';
import { LedgerSheet } from '../../choose/LedgerSheet';
import { GapsSheet } from '../../choose/GapsSheet';
import { StateBar } from '../../choose/StateBar';
import { Trouble } from '../../choose/Trouble';
import { LeafChecks } from './LeafChecks';
import { useOwnPlans } from './ownPlans';
import { LevelSheet } from '../../choose/LevelSheet';
import { PlanEditor } from '../../choose/PlanEditor';
import { PlansSheet } from '../../choose/PlansSheet';
import { WhatIfSheet } from './WhatIfSheet';
import { StoreSheet } from '../../choose/StoreSheet';
import { usePlan } from '../../choose/usePlan';

/** Choose, for an axle on leaf springs. */
export function LeafChoose({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const plan = usePlan(job);
  const [side, setSide] = useState<Side>('left');
  const [stateId, setStateId] = useState(view.states.find((s) => s.wanted)?.id ?? view.states[0]?.id ?? '');
  const changesText = JSON.stringify(plan.changes);
  const assembled = useMemo(
    () => assemble(sheetOf(view, JSON.parse(changesText) as JobView['plan']['changes'])),
    [view, changesText],
  );
  const standing = useMemo(() => assemble(sheetOf(view, [])).input, [view]);
  const lacks = lacksOf(assembled.input);
  const ready = lacks.length === 0;
  const { prediction, bands, refused, fault, progress, stop } = usePrediction(ready ? assembled.input : null);
  const shownSide = prediction?.sides[side] ?? null;
  const at = Math.max(0, shownSide?.states.findIndex((s) => s.id === stateId) ?? 0);
  const state = shownSide?.states[at];
  const facts = useMemo(() => (prediction ? factsOf(prediction) : null), [prediction]);
  const planned = useMemo(
    () => ({ ...view, plan: { ...view.plan, changes: JSON.parse(changesText) as JobView['plan']['changes'] } }),
    [view, changesText],
  );
  const checks = useMemo(() => fitRows(planned, facts, assembled), [planned, facts, assembled]);
  const parts = useQuery({
    queryKey: ['job-parts', view.id],
    queryFn: () => call<ShelfItem[]>(`/api/jobs/${view.id}/parts`, 'GET'),
  });
  const stock = useMemo(() => parts.data?.map(stockPartOf) ?? [], [parts.data]);
  const bolts = useMemo(() => uboltsOf(view), [view]);
  const compared = useOwnPlans(job, { input: standing, stock, ubolts: bolts }, 2);
  const needed =
    prediction?.ubolt === 'new set' ||
    (prediction?.ubolt &&
      prediction.ubolt.reason &&
      (prediction.ubolt.engagement === 'does not fit' || prediction.ubolt.runOut === 'does not fit'));
  const orders = needed ? uboltNeed(assembled.input, assembled.input.changes, bolts) : null;
  const refusedHere = assembled.refused.find((r) => r.side === side);
  return (
    <JobFrame view={view} station="choose" people={people} person={person} rows={facts ? checks : undefined}>
      <StateBar
        view={view}
        side={side}
        onSide={setSide}
        stateId={state?.id ?? stateId}
        onState={setStateId}
        known={shownSide?.states}
      >
        {view.job.noBlocks && plan.changes.some((c) => c.kind === 'block' && c.height > 0) ? (
          <Marked kind="look">the goal says no blocks</Marked>
        ) : null}
      </StateBar>
      <div className="sheets choose-grid">
        <div className="sheets">
          <Sheet title={`Elevation, ${side}`} aside={<span className="muted">was dashed, becomes solid</span>}>
            <Elevations view={view} assembled={assembled} side={side} shown={shownSide} state={state} />
          </Sheet>
          <PlansSheet job={job} plan={plan} compared={compared} />
          <PlanEditor view={view} plan={plan}>
            <p>
              <Link href={`/bench?job=${view.id}`} prefetch={false}>
                Lay this pack on the bench
              </Link>{' '}
              <span className="muted">to mix it with another leaf by leaf</span>
            </p>
            <p className="muted small">
              Spring leaves are never heated, welded, torch-cut or drilled. Re-arching is specialist work with a crack
              test.
            </p>
          </PlanEditor>
          {ready && shownSide ? (
            <WhatIfSheet key={changesText} input={assembled.input} side={side} stateId={state?.id ?? stateId} />
          ) : null}
          <CandidatesSheet job={job} plan={plan} input={standing} ubolts={bolts} />
          {shownSide && state?.old ? (
            <SpringSheet
              input={assembled.input}
              side={side}
              addedLeaf={addedLeafIndex(assembled.input)}
              stops={shownSide.states.flatMap((s) => (s.old ? [{ name: s.name, load: s.old.load }] : []))}
            />
          ) : null}
          {shownSide && shownSide.curve.length > 0 ? (
            <Sheet title="Height over load, one spring">
              <LoadDeflection
                curve={shownSide.curve}
                states={shownSide.states.flatMap((s, k) =>
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
          {shownSide && state?.old ? <FiguresSheet side={shownSide} state={state} /> : null}
        </div>
        <div className="sheets">
          {refusedHere ? (
            <div className="note" role="alert">
              <p className="stop-word">STOP: {refusedHere.reason}.</p>
            </div>
          ) : null}
          <Trouble refused={refused} fault={fault} />
          {shownSide && state ? (
            <LedgerSheet
              view={view}
              sideName={side}
              state={state}
              handbook={shownSide.handbook ? shownSide.handbook.change : undefined}
              band={bands?.[side]?.[at]}
              progress={progress}
              onStop={stop}
            />
          ) : (
            <GapsSheet view={view} missing={assembled.missing} lacks={lacks} solving={progress !== null} />
          )}
          {prediction && shownSide ? <LevelSheet view={view} prediction={prediction} /> : null}
          <StoreSheet job={job} plan={plan} ready={ready && refused === null} />
          <LeafChecks
            view={view}
            rows={checks}
            prediction={prediction}
            offer={orders ? { job, orders, shelf: parts.data ?? [] } : null}
          />
          <CostsSheet job={job} />
          <SchoolsSheet job={job} />
        </div>
      </div>
    </JobFrame>
  );
}

interface ElevationProps {
  view: JobView;
  assembled: Assembled;
  side: Side;
  shown: LeafSide | null;
  state: LeafState | undefined;
}

/** Old and new from the solution; until a spring can be solved, a dotted typical one. */
function Elevations({ view, assembled, side, shown, state }: ElevationProps) {
  const solved = state?.old ?? null;
  const stand = useMemo((): { input: LeafAxleInput; filled: number } | null => {
    if (solved) return null;
    const typical = provisional(sheetOf(view, []));
    return { input: { ...assemble(typical.sheet).input, changes: [] }, filled: typical.filled };
  }, [view, solved]);
  const dotted = usePrediction(stand?.input ?? null, 0).prediction?.sides.left?.states[0]?.old;
  if (solved && state && shown)
    return (
      <ElevationDrawing
        old={solved.elevation}
        built={assembled.input.changes.length > 0 ? (state.built?.elevation ?? null) : null}
        side={side}
        stateName={state.name}
        before={state.beforeHere}
        after={state.after}
        addedLeaf={addedLeafIndex(assembled.input)}
        assumed={assumedParts(assembled.input)}
      />
    );
  if (!dotted) return <Waiting what="drawing" />;
  return (
    <>
      <ElevationDrawing
        old={dotted.elevation}
        built={null}
        side={side}
        stateName={view.states[0]?.name ?? ''}
        before={assembled.input.sides[side].height?.value ?? null}
        after={null}
        addedLeaf={null}
        assumed={[]}
        provisional={stand !== null && stand.filled > 0}
      />
      {stand && stand.filled > 0 ? (
        <p className="assumed">
          Dotted: typical values stand in for {stand.filled} readings. Nothing is predicted from them.
        </p>
      ) : null}
    </>
  );
}
