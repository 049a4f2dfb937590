'use client';
import { useMemo, type ReactNode } from 'react';
import { type JobView } from '@/contracts/job';
import { type PointId } from '@/core/measure/points';
import { type AxleInput, type InputOf, type KindId, type PredictionOf } from '@/core/suspension/registry';
import { type Assembly } from '@/core/suspension/kind';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { type FigureSet } from '../figure/figureSet';
import { type StationProps } from '../frame/JobFrame';
import { useJob } from '../job/useJob';
import { shownAt, type Shown } from '../prediction/shown';
import { usePrediction } from '../prediction/usePrediction';
import { assumedOf } from './assumedOf';
import { MeasureSheet, type Extras } from './MeasureSheet';
import { type Answer } from './NextReadings';
import { SecondLoad } from './SecondLoad';
import { type Watched } from './WatchSheet';

interface Props<K extends KindId> extends StationProps {
  /** Of the kind; the same function at every call. */
  assemble: (view: JobView) => Assembly<InputOf<K>, PointId>;
  watch: (view: JobView) => Watched['flags'];
  rules: Readonly<Record<string, string>>;
  /** Which reading takes an assumed input's place. */
  pointOf: Readonly<Record<string, PointId>>;
  figures: FigureSet;
  /** The group that asks for the body's height under a second load. */
  secondIn: string;
  answers: (input: InputOf<K>, missing: number) => Answer[];
  /** Where no spring comes near all readings: by what it is told meanwhile. */
  meanwhile: string;
  title: string;
  /** What makes the figure, in words. */
  needs: string;
  drawing: (shown: Shown<K>) => ReactNode;
  facts: (shown: Shown<K>) => ReactNode;
}

/** Measure of a kind whose axle is drawn as it stands: what all of them do alike. */
export function KindMeasure<K extends KindId>(props: Props<K>) {
  const { first, people, person, assemble, watch, rules, pointOf, figures, secondIn, answers, meanwhile } = props;
  const { title, needs, drawing, facts } = props;
  const job = useJob(first);
  const { view } = job;
  const assembled = useMemo(() => assemble(view), [assemble, view]);
  const { input, missing, refused: broken } = assembled;
  const complete = missing.length === 0;
  const answer = usePrediction<AxleInput>(complete ? input : null, 0, true);
  const prediction = answer.prediction as unknown as PredictionOf<K> | null;
  const shown = shownAt<K>(view, prediction, { side: 'left', k: 0, planned: false });
  const unfit = shown ? shown.prediction.sides[shown.side]?.unfit : null;
  const planned = input.changes.length > 0;
  const assumptions = useMemo(
    () =>
      assumedOf(
        answer.prediction,
        view.states.findIndex((s) => s.wanted),
        pointOf,
        planned,
      ),
    [answer.prediction, planned, pointOf, view.states],
  );
  const flags = useMemo(() => watch(view), [watch, view]);
  return (
    <MeasureSheet
      job={job}
      people={people}
      person={person}
      assembled={assembled}
      figures={figures}
      asks={(group, at, hooks): Extras => (group === secondIn ? { fields: <SecondLoad job={at} {...hooks} /> } : {})}
      answers={answers(input, missing.length)}
      watched={{ flags, rules: Object.values(rules) }}
      assumptions={assumptions}
    >
      <div className="sheets two standing">
        {shown ? (
          drawing(shown)
        ) : (
          <Sheet title={title}>
            <p className="muted">
              {complete && !answer.refused && broken.length === 0 ? 'Drawing…' : (broken[0]?.reason ?? needs)}
            </p>
          </Sheet>
        )}
        <div className="sheets">
          {answer.refused ? (
            <p role="alert">
              <Marked kind="look">These readings do not go together: {answer.refused.reason}.</Marked>
            </p>
          ) : null}
          {unfit ? (
            <p>
              <Marked kind="look">
                {unfit}. {meanwhile}
              </Marked>
            </p>
          ) : null}
          {shown ? facts(shown) : null}
        </div>
      </div>
    </MeasureSheet>
  );
}
