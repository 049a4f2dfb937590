'use client';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { sheetOf } from '@/contracts/sheet';
import { stockPartOf } from '@/contracts/stock';
import { uboltsOf } from '@/contracts/ubolts';
import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { uboltNeed } from '@/core/selection/uboltNeed';
import { assemble, type Assembled } from '@/core/suspension/longitudinalLeaf/assemble';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { hungEye, type Elevation } from '@/core/suspension/longitudinalLeaf/elevation';
import { type LeafFigures } from '@/core/suspension/longitudinalLeaf/figures';
import { type LeafSide, type LeafState } from '@/core/suspension/longitudinalLeaf/onPage';
import { provisional } from '@/core/suspension/longitudinalLeaf/provisional';
import { type Side } from '@/core/vehicle/side';
import { CandidatesSheet } from '../../candidates/CandidatesSheet';
import { ChooseFrame, shownOf } from '../../choose/ChooseFrame';
import { PlanEditor } from '../../choose/PlanEditor';
import { useChoose } from '../../choose/useChoose';
import { type PlanHandle } from '../../choose/usePlan';
import { RideAndStress } from '../../choose/VerdictSheet';
import { Marked } from '../../controls/Mark';
import { Waiting } from '../../controls/Waiting';
import { ElevationDrawing } from '../../drawing/ElevationDrawing';
import { figureValues } from '../../figure/values';
import { type StationProps } from '../../frame/JobFrame';
import { usePrediction } from '../../prediction/usePrediction';
import { addedLeafIndex } from './addedLeaf';
import { assumedParts } from './assumedParts';
import { FiguresSheet } from './FiguresSheet';
import { LeafChecks } from './LeafChecks';
import { PlanHandles } from './PlanHandles';
import { useOwnPlans } from './ownPlans';

// Tabs that are not open at first are loaded when they are opened.
const SpringSheet = dynamic(() => import('../../spring/SpringSheet').then((m) => m.SpringSheet));
const WhatIfSheet = dynamic(() => import('./WhatIfSheet').then((m) => m.WhatIfSheet));

const assembledLeaf = (view: JobView, changes: readonly ChangeRow[]) => assemble(sheetOf(view, changes));

/** Choose, for an axle on leaf springs. */
export function LeafChoose({ first, people, person }: StationProps) {
  const at = useChoose(first, assembledLeaf);
  const { job, view, plan, assembled, standing, side, ready, changesText, shelf } = at;
  const solved = usePrediction(ready ? assembled.input : null);
  const { prediction } = solved;
  const { shown, state } = shownOf(prediction, at);
  const stock = useMemo(() => shelf?.map(stockPartOf) ?? [], [shelf]);
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
    <ChooseFrame
      at={at}
      solved={solved}
      people={people}
      person={person}
      compared={compared}
      handbook={shown?.handbook ? shown.handbook.change : undefined}
      bar={
        view.job.noBlocks && plan.changes.some((c) => c.kind === 'block' && c.height > 0) ? (
          <Marked kind="look">the goal says no blocks</Marked>
        ) : null
      }
      title={`${view.axle.position === 'front' ? 'Front' : 'Rear'} spring, ${side}`}
      drawing={<Elevations view={view} assembled={assembled} side={side} shown={shown} state={state} plan={plan} />}
      rides={
        state?.built ? (
          <RideAndStress old={state.old} built={state.built} stress={stressOf(state.old, state.built)} />
        ) : null
      }
      lead={
        refusedHere ? (
          <div className="note" role="alert">
            <p className="stop-word">STOP: {refusedHere.reason}.</p>
          </div>
        ) : null
      }
      figures={
        shown && state?.old ? (
          <FiguresSheet
            side={shown}
            state={state}
            stress={solved.bands?.[side]?.[shown.states.indexOf(state)]?.stress}
          />
        ) : null
      }
      editor={
        <PlanEditor view={view} plan={plan}>
          <p className="muted small">
            Spring leaves are never heated, welded, torch-cut or drilled. Re-arching is specialist work with a crack
            test.
          </p>
        </PlanEditor>
      }
      ways={<CandidatesSheet job={job} plan={plan} input={standing} ubolts={bolts} />}
      more={[
        {
          id: 'bench',
          name: 'bench',
          children: <BenchTab view={view} />,
        },
        ...(ready && shown && assembled.input.changes.length > 0
          ? [
              {
                id: 'whatif',
                name: 'what if',
                children: (
                  <WhatIfSheet
                    key={changesText}
                    input={assembled.input}
                    side={side}
                    stateId={state?.id ?? at.stateId}
                  />
                ),
              },
            ]
          : []),
      ]}
      spring={
        shown && state?.old ? (
          <SpringSheet
            input={assembled.input}
            side={side}
            addedLeaf={addedLeafIndex(assembled.input)}
            stops={shown.states.flatMap((s) => (s.old ? [{ name: s.name, load: s.old.load }] : []))}
          />
        ) : undefined
      }
      checks={(rows) => (
        <LeafChecks
          view={view}
          rows={rows}
          prediction={prediction}
          offer={orders ? { job, orders, shelf: shelf ?? [] } : null}
        />
      )}
    />
  );
}

/** Length of the shackle as drawn, whole mm. */
const shackleOf = (drawing: Elevation): number | null => {
  const eye = hungEye(drawing);
  return drawing.pivot && Math.round(Math.hypot(drawing.pivot.x - eye.x, drawing.pivot.y - eye.y));
};

/** The leaf stressed most by load and sizes alone, held against the limit of a standing load. */
function stressOf(old: LeafFigures | null, built: LeafFigures) {
  const most = (of: LeafFigures | null) =>
    of?.nominalStress?.length ? Math.max(...of.nominalStress.map(Math.abs)) : null;
  const now = most(built);
  return now === null ? undefined : { old: most(old), built: now, limit: SPRING_STEEL_LIMITS.static };
}

/** The way to the bench, where packs are mixed leaf by leaf. */
const BenchTab = ({ view }: { view: JobView }) => (
  <p>
    <Link className="act" href={`/bench?job=${view.id}`} prefetch={false}>
      Lay this pack on the bench
    </Link>{' '}
    <span className="muted">to mix it with another leaf by leaf</span>
  </p>
);

interface ElevationProps {
  view: JobView;
  assembled: Assembled;
  side: Side;
  shown: LeafSide | null;
  state: LeafState | undefined;
  plan: PlanHandle;
}

/** Old and new from the solution; until a spring can be solved, a dotted typical one. */
function Elevations({ view, assembled, side, shown, state, plan }: ElevationProps) {
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
        helper={state.built?.helper ?? null}
        assumed={assumedParts(assembled.input)}
        radius={figureValues(view, null)('groundToHub', side)}
        handles={(s, drawing) => (
          <PlanHandles
            view={view}
            plan={plan}
            s={s}
            drawing={drawing}
            addedLeaf={assembled.input.changes.length > 0 ? addedLeafIndex(assembled.input) : null}
            now={{
              shackle: view.pack.rearEnd === 'pad' ? null : solved.elevation.pivot && shackleOf(solved.elevation),
              block: solved.elevation.stack.block,
            }}
          />
        )}
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
