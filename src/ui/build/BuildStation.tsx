'use client';
import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { blocking, fitRows, unchecked, unsettled, type FitRow } from '@/contracts/fit';
import { staysLoose } from '@/contracts/holds';
import { type JobView } from '@/contracts/job';
import { missingBeforeHeights } from '@/contracts/gates';
import { looseJoints } from '@/contracts/openList';
import { orderOfWork, type OrderOfWork } from '@/contracts/orderOfWork';
import { SUPPORT_ITEMS } from '@/core/procedure/safety';
import { quantityText } from '@/core/units/format';
import { type UnitId } from '@/core/units/units';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { ProblemNote } from '../job/ProblemNote';
import { useJob, type JobHandle } from '../job/useJob';
import { useOutbox } from '../job/useOutbox';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { FitSheet } from './FitSheet';
import { HeldDrawing, heldWords } from './HeldDrawing';
import { IncidentSheet } from './IncidentSheet';
import { OrderSheet } from './OrderSheet';
import { OutboxBadge } from './OutboxBadge';
import { plateAt } from './plate';
import { ReadPanel } from './ReadPanel';
import { RunStage } from './RunStage';
import { SafetyRow } from './SafetyRow';
import { TorqueSheet } from './TorqueSheet';
import { useFacts } from './useFacts';
import { useKeptPage } from './useKeptPage';

export function BuildStation({ first, people, person }: StationProps) {
  const name = people.find((p) => p.id === person)?.name ?? '';
  const outbox = useOutbox(useJob(first), name);
  const { job, say } = outbox;
  const { view } = job;
  const kept = useKeptPage(view.id);
  const facts = useFacts(view);
  const rows = useMemo(() => fitRows(view, facts), [view, facts]);
  const order = useMemo(() => orderOfWork(view), [view]);
  const [picked, setPicked] = useState<number | null>(null);
  // Measured afterwards and never ticked: the work was done without the list.
  const doneUnticked = view.outcomes.length > 0 && view.ticks.length === 0;
  const running = view.build !== null && order !== null && !doneUnticked;
  const next = running ? order.progress.next : null;
  const weightOn = order?.progress.facts.frame === 'on its wheels';
  const plate = plateAt(view, next, weightOn);
  const openTorques = looseJoints(view).length;
  return (
    <JobFrame
      view={view}
      station="build"
      people={people}
      person={person}
      rows={facts ? rows : undefined}
      fixed
      middle={<OutboxBadge outbox={outbox} kept={kept} person={name} />}
    >
      <Workbench className={running ? 'build running' : 'build'}>
        <Stage title={running ? 'Step' : 'Before you begin'} aside={null}>
          {running ? (
            <RunStage
              {...{ outbox, order, plate, picked }}
              onPick={setPicked}
              others={people.filter((p) => p.id !== person).map((p) => p.name)}
            />
          ) : (
            <HeldDrawing view={view} facts={order?.progress.facts ?? {}} />
          )}
        </Stage>
        <div className="verdict-column build-column">
          {running ? (
            <>
              {plate ? (
                <ReadPanel
                  key={picked ?? plate.round?.next ?? 0}
                  view={view}
                  plate={plate}
                  nut={picked ?? plate.round?.next ?? null}
                  weightOn={weightOn}
                  say={say}
                  onRead={() => setPicked(null)}
                />
              ) : null}
              <HoldsIt order={order} />
              <StaysLoose view={view} />
            </>
          ) : (
            <StartSheet job={job} rows={rows} />
          )}
        </div>
        <Dock
          below
          label="More of Build"
          first={view.build ? 'steps' : 'before'}
          tabs={[
            {
              id: 'before',
              name: 'before you loosen',
              children: (
                <div className="sheets form-columns">
                  <Sheet title="Before you loosen anything">
                    {SUPPORT_ITEMS.map((item) => (
                      <SafetyRow key={item} job={job} item={item} />
                    ))}
                    <p className="muted small">
                      Where brakes, steering or road approval are touched, local rules and licensed practice come first.
                    </p>
                  </Sheet>
                  <FitSheet job={job} rows={rows} />
                  {running ? <StartSheet job={job} rows={rows} /> : null}
                </div>
              ),
            },
            { id: 'steps', name: 'steps', roomy: !running, children: <OrderSheet outbox={outbox} order={order} /> },
            {
              id: 'torque',
              name: 'torque',
              roomy: true,
              mark: openTorques > 0 ? { kind: 'open', word: String(openTorques) } : undefined,
              children: <TorqueSheet job={job} />,
            },
            ...(view.build
              ? [
                  {
                    id: 'wrong',
                    name: 'snapped, seized, found',
                    children: <IncidentSheet outbox={outbox} next={next} />,
                  },
                ]
              : []),
          ]}
        />
      </Workbench>
    </JobFrame>
  );
}

/** What holds the vehicle just now. */
function HoldsIt({ order }: { order: OrderOfWork }) {
  return (
    <section className="sheet" aria-label="What holds it">
      <h3>What holds it</h3>
      <p className="holds-it">{heldWords(order.progress.facts).join(', ')}</p>
    </section>
  );
}

/** Joints that wait for their figure, pivots last of all. */
function StaysLoose({ view }: { view: JobView }) {
  const loose = staysLoose(view);
  return (
    <section className="sheet" aria-label="Not final yet">
      <header className="sheet-head">
        <h3>Not final yet</h3>
        <a href="#torque">{loose.length} joints</a>
      </header>
      <ul className="loose">
        {loose.map(({ joint, name, pivot, value, unit }) => (
          <li key={joint}>
            <span>
              {name} {pivot ? <span className="muted small">weight on first</span> : null}
            </span>
            <span className="figure">
              {value === null ? (
                <span className="muted">no figure</span>
              ) : (
                quantityText(value, (unit ?? 'N·m') as UnitId)
              )}
            </span>
          </li>
        ))}
        {loose.length === 0 ? (
          <li>
            <Marked kind="done">every joint is final</Marked>
          </li>
        ) : null}
      </ul>
    </section>
  );
}

/** The gate: no before heights, no build, unless a reason is written down; nothing that does not fit goes by in silence. */
function StartSheet({ job, rows }: { job: JobHandle; rows: readonly FitRow[] }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [reason, setReason] = useState('');
  const missing = missingBeforeHeights(view);
  if (view.build)
    return (
      <Sheet title="Build started">
        <p>
          {view.build.person}, <Clock at={view.build.startedAt} />.
        </p>
        {view.build.predictionId === null ? (
          <p>
            <Marked kind="look">Started without a stored prediction: nothing to prove it against.</Marked>
          </p>
        ) : null}
        {view.build.overrideReason ? (
          <p>
            <Marked kind="look">Started without before heights: {view.build.overrideReason}</Marked>
          </p>
        ) : null}
        <p className="muted small">
          What was read before the work is kept as it was; a correction asks for its reason.
        </p>
      </Sheet>
    );
  const stops = blocking(rows);
  const later = unsettled(rows).filter((row) => !row.blocks);
  const open =
    unchecked(rows).length +
    SUPPORT_ITEMS.filter((item) => view.safety.find((s) => s.item === item)?.answer !== 'ok').length;
  const start = () => void run(() => job.send('/build', 'POST', { overrideReason: reason.trim() || null }));
  return (
    <Sheet title="Start the build">
      {missing.length > 0 ? (
        <>
          <p>
            <Marked kind="look">
              No before height on the {missing.join(' and ')}. Once the spring is out nobody can tell what the work did.
            </Marked>
          </p>
          <div className="field">
            <label htmlFor="override">Reason to start without it</label>
            <Input id="override" value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
          </div>
        </>
      ) : (
        <p>
          <Marked kind="done">Both before heights are saved.</Marked>
        </p>
      )}
      {stops.length > 0 ? (
        <p className="stop-word">
          STOP: {stops.map((row) => row.name).join('; ')}. Mend it, or go on with a written reason under “What must
          fit”.
        </p>
      ) : null}
      {later.length > 0 ? (
        <p>
          <Marked kind="look">To be replaced in this build: {later.map((row) => row.name).join('; ')}.</Marked>
        </p>
      ) : null}
      {open > 0 ? (
        <p>
          <Marked kind="untouched">
            <a href="#before">{open} questions</a> of this card are not answered with ok.
          </Marked>
        </p>
      ) : null}
      {view.predictions.length === 0 ? (
        <p>
          <Marked kind="look">No prediction is stored yet; Prove will have nothing to compare with.</Marked>
        </p>
      ) : null}
      <ProblemNote problem={problem} />
      <div className="acts">
        <button type="button" className="act" disabled={busy} onClick={start}>
          {busy ? 'Checking what must fit…' : 'Start the build'}
        </button>
      </div>
    </Sheet>
  );
}
