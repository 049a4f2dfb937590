'use client';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { foretoldOf } from '@/contracts/foretold';
import { functionsOf } from '@/contracts/proving';
import { leftOpenOfJob, toAccept } from '@/contracts/openList';
import { SIDES } from '@/core/vehicle/side';
import { Chips } from '../controls/Chips';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { useJob } from '../job/useJob';
import { Clock } from '../measured/Clock';
import { Corners } from './Corners';
import { cornersOf, readBefore, type ProvingPoint } from './corners';
import { ProveVerdict } from './ProveVerdict';
import { StandsNow } from './StandsNow';
import { ToClose } from './ToClose';
import { useResidual } from './useResidual';

// Tabs that are not open at first are loaded when they are opened.
const CloseSheet = dynamic(() => import('./CloseSheet').then((m) => m.CloseSheet));
const FunctionList = dynamic(() => import('./FunctionList').then((m) => m.FunctionList));
const GoalsSheet = dynamic(() => import('./GoalsSheet').then((m) => m.GoalsSheet));
const HandOver = dynamic(() => import('./HandOver').then((m) => m.HandOver));
const RoadTests = dynamic(() => import('./RoadTests').then((m) => m.RoadTests));
const WhySheet = dynamic(() => import('./WhySheet').then((m) => m.WhySheet));

/** Was it right, why not, and may it leave. */
export function ProveStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const [rolled, setRolled] = useState(false);
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0];
  const [stateId, setStateId] = useState(view.outcomes[0]?.stateId ?? wanted?.id ?? '');
  const [point, setPoint] = useState<ProvingPoint>(() =>
    SIDES.some((s) => readBefore(view, 'hubToLip', s, view.states[0]?.id)) ||
    !SIDES.some((s) => readBefore(view, 'groundToLip', s, stateId))
      ? 'hubToLip'
      : 'groundToLip',
  );
  const [open, setOpen] = useState('heights');
  const corners = useMemo(() => cornersOf(view, stateId, point), [view, stateId, point]);
  const outside = view.outcomes.some((o) => !o.inside);
  const { residual, busy, failed } = useResidual(view, outside || open === 'why');
  const foretold = foretoldOf(view);
  const stops = useMemo(() => leftOpenOfJob(view).filter((i) => i.stop).length, [view]);
  const accept = useMemo(() => toAccept(view).length, [view]);
  const tried = functionsOf(view).filter((item) =>
    view.functionChecks.some((c) => c.item === item && c.answer !== 'notDone'),
  ).length;
  const all = functionsOf(view).length;
  return (
    <JobFrame view={view} station="prove" people={people} person={person} fixed>
      <Workbench className="prove">
        <Stage
          title="How it stands now"
          aside={
            <Chips
              label="Load state it stands in"
              options={view.states.map((s) => ({ id: s.id, name: s.name }))}
              value={stateId}
              onPick={setStateId}
            />
          }
          foot={
            foretold ? (
              <p className="muted small prove-foot">
                {foretold.planName ? `${foretold.planName}. ` : ''}Prediction of{' '}
                <Clock at={foretold.madeAt} what="day" /> by {foretold.person}, core {foretold.coreVersion}; it was
                stored before the build and cannot be changed.
              </p>
            ) : null
          }
        >
          <StandsNow view={view} corners={corners} stateId={stateId} />
        </Stage>
        <div className="verdict-column">
          <ProveVerdict view={view} corners={corners} residual={residual} busy={busy} />
          <ToClose view={view} />
        </div>
        <Dock
          below
          label="More of Prove"
          first="heights"
          onOpen={setOpen}
          tabs={[
            {
              id: 'heights',
              name: 'heights',
              children: (
                <Corners {...{ job, corners, stateId, point, rolled }} onPoint={setPoint} onRolled={setRolled} />
              ),
            },
            {
              id: 'why',
              name: 'why',
              roomy: true,
              mark: outside ? { kind: 'look', word: '' } : undefined,
              children: <WhySheet job={job} residual={residual} busy={busy} failed={failed} />,
            },
            {
              id: 'tried',
              name: 'tried',
              roomy: true,
              mark: tried < all ? { kind: 'open', word: `${tried} of ${all}` } : { kind: 'done', word: '' },
              children: (
                <>
                  <FunctionList job={job} />
                  <RoadTests job={job} />
                </>
              ),
            },
            {
              id: 'goals',
              name: 'goals',
              children: <GoalsSheet job={job} stateId={stateId} rolled={rolled} />,
            },
            {
              id: 'close',
              name: 'close',
              roomy: true,
              mark: view.closing?.closed
                ? { kind: 'done', word: '' }
                : stops > 0
                  ? { kind: 'stop', word: `STOP ${stops}` }
                  : { kind: 'open', word: String(accept) },
              children: <CloseSheet job={job} />,
            },
            { id: 'hand', name: 'hand-over', roomy: true, children: <HandOver job={job} /> },
          ]}
        />
      </Workbench>
    </JobFrame>
  );
}
