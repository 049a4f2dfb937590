'use client';
import { Marked } from '../controls/Mark';
import { Checkbox } from 'antd';
import { useState } from 'react';
import { type JobView } from '@/contracts/job';
import { pointName } from '../measure/fields';
import { type Outcome } from '@/contracts/build';
import { SIDES, type Side } from '@/core/vehicle/side';
import { summarise, type LedgerSummary } from '@/core/prediction/ledger';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { useJob } from '../job/useJob';
import { DayBar } from '../measure/DayBar';
import { Length, BandText } from '../measured/Figure';
import { ReadingField } from '../measured/ReadingField';
import { Clock } from '../measured/Clock';
import { Quantity } from '../measured/Quantity';
import { CustomerLinks } from '../door/CustomerLinks';
import { CloseSheet } from './CloseSheet';
import { GoalsSheet } from './GoalsSheet';
import { OdometerLine } from './OdometerLine';
import { ResidualScale } from './ResidualScale';

type Proving = Outcome['point'];

/** A height of a point from before the work. */
const readBefore = (view: JobView, point: Proving, side: Side, stateId: string | undefined) =>
  view.readings.find((r) => r.point === point && r.phase === 'before' && r.side === side && r.stateId === stateId);

export function ProveStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const [rolled, setRolled] = useState(false);
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0];
  const [stateId, setStateId] = useState(view.outcomes[0]?.stateId ?? wanted?.id ?? '');
  const [point, setPoint] = useState<Proving>(() =>
    SIDES.some((s) => readBefore(view, 'hubToLip', s, view.states[0]?.id)) ||
    !SIDES.some((s) => readBefore(view, 'groundToLip', s, stateId))
      ? 'hubToLip'
      : 'groundToLip',
  );
  const foretold = view.build ? view.predictions.find((p) => p.id === view.build?.predictionId) : view.predictions[0];
  const state = view.states.find((s) => s.id === stateId);
  const summaryOf = (side: Side): LedgerSummary | null => {
    const ledger = foretold?.ledgers.find((l) => l.side === side && l.stateId === stateId);
    return ledger ? summarise(ledger.lines) : null;
  };
  return (
    <JobFrame view={view} station="prove" people={people} person={person}>
      <div className="sheets prove-grid">
        <Sheet title="What the tape says now">
          <Chips
            label="Load state it stands in"
            shown
            options={view.states.map((s) => ({ id: s.id, name: s.name }))}
            value={stateId}
            onPick={setStateId}
          />
          <p>
            <Checkbox checked={rolled} onChange={(event) => setRolled(event.target.checked)}>
              rolled a length and bounced, on level ground
            </Checkbox>
          </p>
          <DayBar job={job} phase="after" />
          <Chips
            label="Measured from"
            shown
            options={[
              { id: 'hubToLip', name: nameOf(view, 'hubToLip') },
              {
                id: 'groundToLip',
                name: `${nameOf(view, 'groundToLip')}, same tyre pressure`,
                disabled: !SIDES.some((s) => readBefore(view, 'groundToLip', s, stateId)),
              },
            ]}
            value={point}
            onPick={setPoint}
          />
          {foretold ? (
            <div className="pair" key={stateId}>
              {SIDES.map((side) => (
                <ReadingField
                  key={`${point}${side}`}
                  job={job}
                  point={point}
                  phase="after"
                  side={side}
                  stateId={stateId}
                  rolled={rolled}
                  path="/outcomes"
                />
              ))}
            </div>
          ) : (
            <p>
              <Marked kind="look">No prediction belongs to this build, so there is nothing to compare with.</Marked>
            </p>
          )}
          <p className="muted small">
            Before torque goes on bonded bushes the weight must be on the wheels. Read the heights after that, before
            any settling drive.
          </p>
        </Sheet>
        <Sheet title={`Predicted against measured, ${state?.name ?? ''}`}>
          {SIDES.map((side) => (
            <Comparison
              key={side}
              view={view}
              side={side}
              summary={summaryOf(side)}
              point={point}
              outcome={view.outcomes.find((o) => o.side === side && o.stateId === stateId && o.point === point)}
              stateId={stateId}
              guessed={state?.wanted ?? false}
            />
          ))}
          {foretold ? (
            <p className="muted small">
              {foretold.planName ? `${foretold.planName}. ` : ''}Prediction of <Clock at={foretold.madeAt} what="day" />{' '}
              by {foretold.person}, core {foretold.coreVersion}; it was stored before the build and cannot be changed.
            </p>
          ) : null}
        </Sheet>
        <GoalsSheet job={job} stateId={stateId} rolled={rolled} />
        <CloseSheet job={job} />
        <CustomerLinks jobId={view.id} />
        <Sheet title="Look again">
          {view.due.length === 0 ? <p className="muted">Checks are set when the first after height is in.</p> : null}
          <ul className="stored">
            {view.due.map((due) => (
              <li key={due.id}>
                <Marked kind={due.doneAt ? 'done' : 'untouched'}>
                  {due.what}
                  {due.doneAt ? `, done${due.figures ? `: ${due.figures}` : ''}` : ''}
                </Marked>{' '}
                <span className="muted">
                  by <span className="figure">{due.dueOn}</span> or after <Quantity value={due.afterKm} of="distance" />
                </span>
              </li>
            ))}
          </ul>
          <OdometerLine job={job} />
        </Sheet>
      </div>
    </JobFrame>
  );
}

const nameOf = (view: JobView, point: Proving): string => pointName(view, point).toLowerCase();

interface ComparisonProps {
  point: Proving;
  stateId: string;
  view: JobView;
  side: Side;
  summary: LedgerSummary | null;
  outcome: Outcome | undefined;
  /** Whether the guess was made for this load state. */
  guessed: boolean;
}

/** One side: predicted, measured and guessed on one scale. */
function Comparison({ view, point, stateId, side, summary: ledger, outcome, guessed }: ComparisonProps) {
  const { guess } = view.job;
  // From the ground the height read before counts, and the change foretold in the same load.
  const ground = readBefore(view, 'groundToLip', side, stateId)?.value;
  const summary =
    ledger && point === 'groundToLip'
      ? { ...ledger, before: ground ?? null, after: ground === undefined ? null : ground + ledger.change }
      : ledger;
  if (!summary || summary.before === null || summary.after === null)
    return (
      <p>
        <strong>{side}</strong> <span className="muted">was not predicted as a height in this load state.</span>
      </p>
    );
  const guessHeight = guess !== null && guessed ? summary.before + guess : null;
  const residual = outcome ? outcome.measured - outcome.predicted : null;
  return (
    <div className="comparison" data-side={side}>
      <h3>
        {side} <span className="muted">{nameOf(view, point)}</span>{' '}
        {outcome ? (
          <Marked kind={outcome.inside ? 'done' : 'look'}>{outcome.inside ? 'inside' : 'outside'} the band</Marked>
        ) : (
          <span className="muted"> not measured yet</span>
        )}
      </h3>
      <ResidualScale
        before={summary.before}
        predicted={summary.after}
        reach={summary.reach}
        measured={outcome?.measured ?? null}
        guess={guessHeight}
        label={`${side}: before, predicted with band${outcome ? ', measured' : ''}${guessHeight === null ? '' : ', guess'}`}
      />
      <dl className="facts">
        <dt>Predicted</dt>
        <dd>
          <Length mm={summary.after} /> <BandText reach={summary.reach} />
        </dd>
        {outcome && residual !== null ? (
          <>
            <dt>Measured</dt>
            <dd>
              <Length mm={outcome.measured} />{' '}
              <span className="muted">
                (<Length mm={residual} signed /> against the prediction
                {outcome.convertedBy === 0 ? null : (
                  <>
                    ; <Length mm={outcome.convertedBy} signed /> of it converts the fill of the tank
                  </>
                )}
                )
              </span>
            </dd>
          </>
        ) : null}
        <dt>Guess</dt>
        <dd>
          {guessHeight !== null ? (
            <>
              <Length mm={guessHeight} />{' '}
              {outcome ? (
                <span className="muted">
                  (tape <Length mm={outcome.measured - guessHeight} signed /> against the guess)
                </span>
              ) : null}
            </>
          ) : (
            <span className="muted">
              {guess === null ? 'none was made' : 'made for another load state; not compared'}
            </span>
          )}
        </dd>
      </dl>
    </div>
  );
}
