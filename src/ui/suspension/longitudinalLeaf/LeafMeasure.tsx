'use client';
import { useMemo } from 'react';
import { sheetOf } from '@/contracts/sheet';
import { consistency, FLAG_RULES } from '@/core/suspension/longitudinalLeaf/consistency';
import { type GroupId } from '@/core/measure/points';
import { type StationProps } from '../../frame/JobFrame';
import { useJob, type JobHandle } from '../../job/useJob';
import { type FieldHooks } from '../../measure/FieldOfSheet';
import { MeasureSheet, type Extras } from '../../measure/MeasureSheet';
import { SecondLoad } from '../../measure/SecondLoad';
import { leafFigures } from './figures';
import { ClipRows, LeafRows } from './LeafRows';
import { PackFacts } from './PackFacts';
import { PressRun } from './PressRun';
import { StandingSheets } from './StandingSheets';
import { useAssumptions } from './useAssumptions';
import { useStanding } from './useStanding';

/** Measure, for an axle on leaf springs. */
export function LeafMeasure({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const standing = useStanding(view);
  const { assembled, prediction, complete } = standing;
  const assumptions = useAssumptions(view, complete);
  const figures = useMemo(() => leafFigures(prediction, complete), [prediction, complete]);
  const flags = useMemo(() => consistency(sheetOf(view)), [view]);
  const { sides, ubolt } = assembled.input;
  return (
    <MeasureSheet
      job={job}
      people={people}
      person={person}
      assembled={assembled}
      figures={figures}
      asks={asks}
      answers={[
        { name: 'block or riser', ready: Boolean(sides.left.height && sides.right.height), lacks: 'both heights' },
        { name: 'U-bolt threads left', ready: ubolt !== null, lacks: 'thread showing and pitch' },
        {
          name: view.pack.rearEnd === 'pad' ? 'leaf, over the axle' : 'leaf, shackle, over the axle',
          ready: assembled.missing.length === 0,
          lacks: `${assembled.missing.length} readings`,
        },
      ]}
      watched={{ flags, rules: Object.values(FLAG_RULES) }}
      assumptions={assumptions}
    >
      <StandingSheets view={view} standing={standing} />
    </MeasureSheet>
  );
}

/** What a group of the sheet asks besides its fields; of both packs where the sides are unlike. */
function asks(group: GroupId, job: JobHandle, hooks: FieldHooks): Extras {
  const { own } = job.view;
  const ofEach = (part: 'eyes' | 'seat') => (
    <>
      <PackFacts job={job} part={part} />
      {own ? <PackFacts job={job} part={part} own /> : null}
    </>
  );
  switch (group) {
    case 'arch':
      return {
        children: (
          <>
            <PackFacts job={job} part="rearEnd" />
            {ofEach('eyes')}
          </>
        ),
      };
    case 'stack':
      return { children: ofEach('seat') };
    case 'ubolts':
      return { children: <PackFacts job={job} part="bend" /> };
    case 'leaves':
      return {
        children: (
          <>
            <PackFacts job={job} part="leaves" />
            {own ? <PackFacts job={job} part="leaves" own /> : null}
          </>
        ),
        fields: (
          <>
            <LeafRows job={job} {...hooks} />
            {own ? <LeafRows job={job} {...hooks} own /> : null}
          </>
        ),
      };
    case 'clips':
      return {
        before: (
          <>
            <ClipRows job={job} {...hooks} />
            {own ? <ClipRows job={job} {...hooks} own /> : null}
          </>
        ),
      };
    case 'check':
      return {
        children: <PressRun job={job} />,
        fields: <SecondLoad job={job} {...hooks} />,
      };
    default:
      return {};
  }
}
