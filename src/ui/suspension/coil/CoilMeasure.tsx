'use client';
import { useMemo } from 'react';
import { coilKindOf, coilSheetOf } from '@/contracts/sheet';
import { type GroupId } from '@/core/measure/points';
import { COIL_FLAG_RULES, coilConsistency } from '@/core/suspension/coil/consistency';
import { type CoilAxleInput, type CoilKind } from '@/core/suspension/coil/input';
import { COIL_POINT_OF } from '@/core/suspension/coil/narrowing';
import { Marked } from '../../controls/Mark';
import { Sheet } from '../../controls/Sheet';
import { type StationProps } from '../../frame/JobFrame';
import { useJob, type JobHandle } from '../../job/useJob';
import { assumedOf } from '../../measure/assumedOf';
import { type FieldHooks } from '../../measure/FieldOfSheet';
import { MeasureSheet, type Extras } from '../../measure/MeasureSheet';
import { SecondLoad } from '../../measure/SecondLoad';
import { usePrediction } from '../../prediction/usePrediction';
import { assembledCoil } from './assembledCoil';
import { CoilDrawing } from './CoilDrawing';
import { CoilFacts } from './CoilFacts';
import { coilFiguresOf } from './coilFigureSets';
import { CoilFiguresSheet } from './CoilFiguresSheet';

/** Measure, for an axle on coils. */
export function CoilMeasure({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const kind = coilKindOf(view);
  const assembled = useMemo(() => assembledCoil(view), [view]);
  const { input, missing } = assembled;
  const complete = missing.length === 0;
  const planned = input.changes.length > 0;
  // Nothing planned yet: other coils like these would hang on the same readings.
  const solved = usePrediction(complete ? input : null, 0, true);
  const { prediction, refused } = solved;
  const side = prediction?.sides.left ? 'left' : 'right';
  const shown = prediction?.sides[side];
  const state = shown?.states[0];
  const assumptions = useMemo(
    () =>
      assumedOf(
        prediction,
        view.states.findIndex((s) => s.wanted),
        COIL_POINT_OF,
        planned,
      ),
    [prediction, planned, view.states],
  );
  const flags = useMemo(() => coilConsistency(coilSheetOf(kind, view)), [kind, view]);
  const { sides } = input;
  const read = missing.length === 0;
  return (
    <MeasureSheet
      job={job}
      people={people}
      person={person}
      assembled={assembled}
      figures={coilFiguresOf(kind)}
      asks={asks}
      answers={[
        { name: 'seat spacers', ready: Boolean(sides.left.height && sides.right.height), lacks: 'both heights' },
        { name: 'other coils', ready: read, lacks: `${missing.length} readings` },
        ...OWN[kind](input),
        {
          name: 'rate that was measured, not computed',
          ready: Boolean(input.coil?.free && (sides.left.spring?.length ?? sides.right.spring?.length)),
          lacks: 'free length and length under load',
        },
      ]}
      watched={{ flags, rules: Object.values(COIL_FLAG_RULES) }}
      assumptions={assumptions}
    >
      <div className="sheets two standing">
        <Sheet title="The coil as it stands">
          {refused ? (
            <p role="alert">
              <Marked kind="look">These readings do not go together: {refused.reason}.</Marked>
            </p>
          ) : null}
          {shown?.unfit ? (
            <p>
              <Marked kind="look">{shown.unfit}. Until then its rate is computed from its sizes.</Marked>
            </p>
          ) : null}
          {state?.old ? (
            <CoilDrawing view={view} input={input} prediction={prediction} side={side} k={0} planned={false} />
          ) : (
            <p className="muted">
              {complete ? 'Drawing…' : 'Its sizes, its length and the load on it make the figure.'}
            </p>
          )}
        </Sheet>
        {state?.old ? (
          <CoilFiguresSheet title={`Coil, ${side}`} stateName={state.name} old={state.old} built={null} />
        ) : null}
      </div>
    </MeasureSheet>
  );
}

interface Answer {
  name: string;
  ready: boolean;
  lacks: string;
}
/** What else the readings of a kind answer. */
const OWN: Record<CoilKind, (input: CoilAxleInput) => Answer[]> = {
  coilBeam: () => [],
  twinBeam: ({ swing, pivotBush }) => [
    { name: 'camber and track', ready: swing?.rise.origin === 'measured', lacks: 'the pivot above the hub' },
    { name: 'caster', ready: Boolean(swing?.radius), lacks: 'the radius arm' },
    { name: 'twist of the pivots’ rubber', ready: pivotBush !== undefined, lacks: 'the bush' },
  ],
  torsionBeam: ({ pivotBush }) => [
    { name: 'twist of the pivots’ rubber', ready: pivotBush !== undefined, lacks: 'the bush' },
  ],
  coilOver: ({ open }) => [
    {
      name: 'whether the coil stays tight at droop',
      ready: Boolean(open?.left ?? open?.right),
      lacks: 'the coil with its unit open',
    },
  ],
};

/** What a group of the sheet asks besides its fields. */
function asks(group: GroupId, job: JobHandle, hooks: FieldHooks): Extras {
  switch (group) {
    case 'coil':
      return { children: <CoilFacts job={job} /> };
    case 'coilSeat':
      return { fields: <SecondLoad job={job} {...hooks} /> };
    default:
      return {};
  }
}
