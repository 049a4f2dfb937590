'use client';
import { useMemo } from 'react';
import { tandemSheetOf } from '@/contracts/sheet';
import { type GroupId } from '@/core/measure/points';
import { TANDEM_FLAG_RULES, tandemConsistency } from '@/core/suspension/tandem/consistency';
import { TANDEM_POINT_OF } from '@/core/suspension/tandem/narrowing';
import { Marked } from '../../controls/Mark';
import { Sheet } from '../../controls/Sheet';
import { type StationProps } from '../../frame/JobFrame';
import { useJob, type JobHandle } from '../../job/useJob';
import { assumedOf } from '../../measure/assumedOf';
import { type FieldHooks } from '../../measure/FieldOfSheet';
import { MeasureSheet, type Extras } from '../../measure/MeasureSheet';
import { SecondLoad } from '../../measure/SecondLoad';
import { usePrediction } from '../../prediction/usePrediction';
import { PairStage } from './PairStage';
import { loadedRadius } from '../../figure/values';
import { assembledPair } from './assembledPair';
import { SLIPPER_FIGURES, TANDEM_FIGURES } from './tandemFigures';
import { TandemFiguresSheet } from './TandemFiguresSheet';

/** Measure, for two axles that stand as one. */
export function TandemMeasure({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const rocker = view.axle.suspension === 'tandemEqualizer';
  const assembled = useMemo(() => assembledPair(view), [view]);
  const standing = useMemo(() => assembledPair(view, []).input, [view]);
  const { input, missing } = assembled;
  const complete = missing.length === 0;
  const planned = input.changes.length > 0;
  const { prediction, refused } = usePrediction(complete ? input : null, 0, true);
  const side = prediction?.sides.left ? 'left' : 'right';
  const shown = prediction?.sides[side];
  const state = shown?.states[0];
  const assumptions = useMemo(
    () =>
      assumedOf(
        prediction,
        view.states.findIndex((s) => s.wanted),
        TANDEM_POINT_OF,
        planned,
      ),
    [prediction, planned, view.states],
  );
  const flags = useMemo(
    () => tandemConsistency(tandemSheetOf(rocker ? 'tandemEqualizer' : 'tandemSlipper', view)),
    [rocker, view],
  );
  const { sides } = input;
  return (
    <MeasureSheet
      job={job}
      people={people}
      person={person}
      assembled={assembled}
      figures={rocker ? TANDEM_FIGURES : SLIPPER_FIGURES}
      asks={asks}
      answers={[
        { name: 'risers', ready: Boolean(sides.left.height && sides.right.height), lacks: 'both heights' },
        { name: 'which axle carries what', ready: complete, lacks: `${missing.length} readings` },
        { name: 'tyres', ready: complete && input.wheelLimit !== null, lacks: 'what one wheel may carry' },
        {
          name: 'rate that was measured, not computed',
          ready: Boolean(sides.left.spring?.second ?? sides.right.spring?.second),
          lacks: 'the heights under a second load',
        },
      ]}
      watched={{ flags, rules: Object.values(TANDEM_FLAG_RULES) }}
      assumptions={assumptions}
    >
      <div className="sheets two standing">
        {state?.old ? (
          <PairStage
            input={standing}
            standing={null}
            side={side}
            state={{ index: 0, name: state.name }}
            radius={loadedRadius(view)}
          />
        ) : (
          <Sheet title="The pair as it stands">
            <p className="muted">
              {complete && !refused ? 'Drawing…' : 'Springs, their arch, what joins them and the load make the figure.'}
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
              <Marked kind="look">{shown.unfit}. Until then their rate is the handbook’s.</Marked>
            </p>
          ) : null}
          {state?.old ? (
            <TandemFiguresSheet title={`The pair, ${side}`} stateName={state.name} old={state.old} built={null} />
          ) : null}
        </div>
      </div>
    </MeasureSheet>
  );
}

/** What a group of the sheet asks besides its fields. */
function asks(group: GroupId, job: JobHandle, hooks: FieldHooks): Extras {
  return group === 'pairFrame' ? { fields: <SecondLoad job={job} {...hooks} /> } : {};
}
