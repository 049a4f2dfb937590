'use client';
import { Marked } from '../controls/Mark';
import Link from 'next/link';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { fitRows } from '@/contracts/fit';
import { type ShelfItem } from '@/contracts/shelf';
import { stockPartOf } from '@/contracts/stock';
import { uboltsOf } from '@/contracts/ubolts';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { SIDES, type Side } from '@/core/vehicle/side';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { missingFor } from '@/core/suspension/longitudinalLeaf/missing';
import { type LeafSide, type LeafState } from '@/core/suspension/longitudinalLeaf/kind';
import { assemble, type Assembled } from '@/core/suspension/longitudinalLeaf/assemble';
import { provisional } from '@/core/suspension/longitudinalLeaf/provisional';
import { factsOf } from '@/core/fit/leafWork';
import { uboltNeed } from '@/core/selection/uboltNeed';
import { call } from '../job/api';
import { Waiting } from '../controls/Waiting';
import { faultText } from '../prediction/useWorker';
import { CandidatesSheet } from '../candidates/CandidatesSheet';
import { SchoolsSheet } from '../candidates/SchoolsSheet';
import { LoadDeflection } from '../chart/LoadDeflection';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { ElevationDrawing } from '../drawing/ElevationDrawing';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { useJob } from '../job/useJob';
import { missingText } from '../measure/missingText';
import { assumedParts } from '../prediction/assumedParts';
import { usePrediction } from '../prediction/usePrediction';
import { SpringSheet } from '../spring/SpringSheet';
import { addedLeafIndex } from './addedLeaf';
import { ChecksSheet } from './ChecksSheet';
import { CostsSheet } from './CostsSheet';
import { FiguresSheet } from './FiguresSheet';
import { LedgerSheet } from './LedgerSheet';
import { LevelSheet } from './LevelSheet';
import { PlanEditor } from './PlanEditor';
import { PlansSheet } from './PlansSheet';
import { WhatIfSheet } from './WhatIfSheet';
import { StoreSheet } from './StoreSheet';
import { usePlan } from './usePlan';

export function ChooseStation({ first, people, person }: StationProps) {
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
  const lacks = missingFor(assembled.input);
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
  const needed =
    prediction?.ubolt === 'new set' ||
    (prediction?.ubolt &&
      prediction.ubolt.reason &&
      (prediction.ubolt.engagement === 'does not fit' || prediction.ubolt.runOut === 'does not fit'));
  const orders = needed ? uboltNeed(assembled.input, assembled.input.changes, bolts) : null;
  const refusedHere = assembled.refused.find((r) => r.side === side);
  return (
    <JobFrame view={view} station="choose" people={people} person={person} rows={facts ? checks : undefined}>
      <div className="state-bar">
        <Chips label="Side" options={SIDES.map((id) => ({ id, name: id }))} value={side} onPick={setSide} />
        <Chips
          label="Load state"
          options={view.states.map((s) => ({
            id: s.id,
            name: s.name,
            disabled: shownSide !== null && !shownSide.states.some((known) => known.id === s.id),
          }))}
          value={state?.id ?? stateId}
          onPick={setStateId}
        />
        {view.job.noBlocks && plan.changes.some((c) => c.kind === 'block' && c.height > 0) ? (
          <Marked kind="look">the goal says no blocks</Marked>
        ) : null}
      </div>
      <div className="sheets choose-grid">
        <div className="sheets">
          <Sheet title={`Elevation, ${side}`} aside={<span className="muted">was dashed, becomes solid</span>}>
            <Elevations view={view} assembled={assembled} side={side} shown={shownSide} state={state} />
          </Sheet>
          <PlansSheet job={job} plan={plan} input={standing} stock={stock} ubolts={bolts} />
          <PlanEditor view={view} plan={plan} />
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
          {fault ? (
            <div className="note" role="alert">
              <p>
                <Marked kind="look">{faultText(fault)}</Marked>
              </p>
            </div>
          ) : null}
          {refused ? (
            <div className="note" role="alert">
              <p>
                <Marked kind="look">This cannot be solved: {refused.reason}.</Marked>
              </p>
            </div>
          ) : null}
          {shownSide && state ? (
            <LedgerSheet
              view={view}
              sideName={side}
              side={shownSide}
              state={state}
              band={bands?.[side]?.[at]}
              progress={progress}
              onStop={stop}
            />
          ) : (
            <Gaps view={view} assembled={assembled} lacks={lacks} solving={progress !== null} />
          )}
          {prediction && shownSide ? <LevelSheet view={view} prediction={prediction} /> : null}
          <StoreSheet job={job} plan={plan} ready={ready && refused === null} />
          <ChecksSheet
            jobId={view.id}
            rows={checks}
            prediction={prediction}
            keepUbolts={view.job.keepUbolts}
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

interface GapsProps {
  view: JobView;
  assembled: Assembled;
  lacks: readonly string[];
  solving: boolean;
}

/** What is still to be done before a height can be foretold. */
function Gaps({ view, assembled, lacks, solving }: GapsProps) {
  return (
    <Sheet title="Height ledger">
      {lacks.length === 0 ? (
        solving ? (
          <p>
            <Waiting what="solving the spring" />
          </p>
        ) : (
          <p className="muted">No height can be foretold from this.</p>
        )
      ) : null}
      {lacks.includes('change') ? <p>Plan a change and its height appears here.</p> : null}
      {lacks.some((l) => l !== 'change') ? (
        <>
          <p>
            A block can be answered from the heights alone. This plan needs {assembled.missing.length} more readings:
          </p>
          <ul className="links">
            {assembled.missing.slice(0, 8).map((missing) => {
              const { text, anchor } = missingText(view, missing);
              return (
                <li key={anchor}>
                  <Link href={`/jobs/${view.id}/measure`} prefetch={false}>
                    {text}
                  </Link>
                </li>
              );
            })}
          </ul>
        </>
      ) : null}
    </Sheet>
  );
}
