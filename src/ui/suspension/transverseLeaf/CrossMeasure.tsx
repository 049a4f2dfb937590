'use client';
import { useMemo } from 'react';
import { crossSheetOf } from '@/contracts/sheet';
import { type GroupId } from '@/core/measure/points';
import { assembleCross } from '@/core/suspension/transverseLeaf/assemble';
import { CROSS_FLAG_RULES, crossConsistency } from '@/core/suspension/transverseLeaf/consistency';
import { CROSS_POINT_OF } from '@/core/suspension/transverseLeaf/narrowing';
import { Marked } from '../../controls/Mark';
import { Sheet } from '../../controls/Sheet';
import { type StationProps } from '../../frame/JobFrame';
import { useJob, type JobHandle } from '../../job/useJob';
import { assumedOf } from '../../measure/assumedOf';
import { type FieldHooks } from '../../measure/FieldOfSheet';
import { MeasureSheet, type Extras } from '../../measure/MeasureSheet';
import { SecondLoad } from '../../measure/SecondLoad';
import { usePrediction } from '../../prediction/usePrediction';
import { loadedRadius } from '../../figure/values';
import { CrossElevation } from './CrossElevation';
import { CROSS_FIGURES } from './crossFigures';
import { CrossFiguresSheet } from './CrossFiguresSheet';
import { halvesOf } from './halves';

/** Measure, for an axle on one spring across. */
export function CrossMeasure({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const sheet = useMemo(() => crossSheetOf(view), [view]);
  const assembled = useMemo(() => assembleCross(sheet), [sheet]);
  const { input, missing } = assembled;
  const complete = missing.length === 0;
  const { prediction, refused } = usePrediction(complete ? input : null, 0, true);
  const side = prediction?.sides.left ? 'left' : 'right';
  const shown = prediction?.sides[side];
  const state = shown?.states[0];
  const planned = input.changes.length > 0;
  const assumptions = useMemo(
    () =>
      assumedOf(
        prediction,
        view.states.findIndex((s) => s.wanted),
        CROSS_POINT_OF,
        planned,
      ),
    [prediction, planned, view.states],
  );
  const flags = useMemo(() => crossConsistency(sheet), [sheet]);
  const { sides } = input;
  return (
    <MeasureSheet
      job={job}
      people={people}
      person={person}
      assembled={assembled}
      figures={CROSS_FIGURES}
      asks={asks}
      answers={[
        {
          name: 'spindles, drop axle',
          ready: Boolean(sides.left.height && sides.right.height),
          lacks: 'both heights',
        },
        { name: 'rate, roll and what another spring does', ready: complete, lacks: `${missing.length} readings` },
        {
          name: 'camber over the travel',
          ready: complete && input.upright !== null,
          lacks: 'what stands the wheels up',
        },
        {
          name: 'rate that was measured, not computed',
          ready: Boolean(sides.left.spring?.second ?? sides.right.spring?.second),
          lacks: 'the heights under a second load',
        },
      ]}
      watched={{ flags, rules: Object.values(CROSS_FLAG_RULES) }}
      assumptions={assumptions}
    >
      <div className="sheets two standing">
        {state?.old ? (
          <CrossElevation
            old={halvesOf(prediction, 0, 'old')}
            built={null}
            stateName={state.name}
            radius={loadedRadius(view)}
          />
        ) : (
          <Sheet title="The spring as it stands">
            <p className="muted">
              {complete && !refused && assembled.refused.length === 0
                ? 'Drawing…'
                : (assembled.refused[0]?.reason ??
                  'Its leaves, its halves, where the eyes hang and the load make the figure.')}
            </p>
          </Sheet>
        )}
        <div className="sheets">
          {refused ? (
            <p role="alert">
              <Marked kind="look">These readings do not go together: {refused.reason}.</Marked>
            </p>
          ) : null}
          {shown?.unfit ? (
            <p>
              <Marked kind="look">{shown.unfit}. Until then its rate is the one of its sizes.</Marked>
            </p>
          ) : null}
          {state?.old ? (
            <CrossFiguresSheet
              title={`Half of the spring, ${side}`}
              stateName={state.name}
              old={state.old}
              built={null}
            />
          ) : null}
        </div>
      </div>
    </MeasureSheet>
  );
}

/** What a group of the sheet asks besides its fields. */
function asks(group: GroupId, job: JobHandle, hooks: FieldHooks): Extras {
  return group === 'cross' ? { fields: <SecondLoad job={job} {...hooks} /> } : {};
}
