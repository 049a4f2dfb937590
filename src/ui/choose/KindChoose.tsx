'use client';
import Link from 'next/link';
import { type ReactNode } from 'react';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { type ShelfItem } from '@/contracts/shelf';
import { type PointId } from '@/core/measure/points';
import { type Assembly } from '@/core/suspension/kind';
import {
  type AxleInput,
  type FiguresOf,
  type InputOf,
  type KindId,
  type PredictionOf,
} from '@/core/suspension/registry';
import { type StationProps } from '../frame/JobFrame';
import { type JobHandle } from '../job/useJob';
import { shownAt, type Shown } from '../prediction/shown';
import { usePrediction } from '../prediction/usePrediction';
import { ChooseFrame, shownOf } from './ChooseFrame';
import { PlanEditor } from './PlanEditor';
import { useChoose } from './useChoose';
import { type PlanHandle } from './usePlan';
import { RideAndStress } from './VerdictSheet';

/** What a kind searches ways in. */
export interface WaysAt<K extends KindId> {
  job: JobHandle;
  plan: PlanHandle;
  /** The axle as it stands, without a plan. */
  input: InputOf<K>;
  shelf: readonly ShelfItem[];
}

interface Props<K extends KindId> extends StationProps {
  /** Of the kind; the same function at every call. */
  assemble: (view: JobView, changes: readonly ChangeRow[]) => Assembly<InputOf<K>, PointId>;
  title: (side: string) => string;
  /** What makes the figure, in words. */
  needs: string;
  drawing: (shown: Shown<K>) => ReactNode;
  /** Standing stress and its limit, MPa. */
  stress: { of: (figures: FiguresOf<K>) => number; limit: number };
  Ways: (at: WaysAt<K>) => ReactNode;
  figures: (shown: Shown<K>) => ReactNode;
}

/** Choose of a kind that is drawn before and after: what all of them do alike. Without a plan the axle is drawn as it stands. */
export function KindChoose<K extends KindId>(props: Props<K>) {
  const { first, people, person, assemble, title, needs, drawing, stress, Ways, figures } = props;
  const at = useChoose(first, assemble);
  const { job, view, plan, side, ready, standing, shelf } = at;
  const { input, missing, refused } = at.assembled;
  const measured = missing.length === 0;
  const solved = usePrediction<AxleInput>(ready || measured ? input : null);
  const { k } = shownOf(solved.prediction, at);
  const shown = shownAt<K>(view, solved.prediction as unknown as PredictionOf<K> | null, { side, k, planned: ready });
  return (
    <ChooseFrame
      at={at}
      solved={solved}
      people={people}
      person={person}
      title={title(side)}
      drawing={
        shown ? (
          drawing(shown)
        ) : (
          <p className="muted">
            {measured && solved.progress !== null ? (
              'Drawing…'
            ) : (
              <>
                {(refused[0]?.reason ?? needs).replace(/\.$/, '')}.{' '}
                <Link className="link" href={`/jobs/${view.id}/measure`} prefetch={false}>
                  Measure them
                </Link>
              </>
            )}
          </p>
        )
      }
      rides={
        shown?.built ? (
          <RideAndStress
            old={shown.old}
            built={shown.built}
            stress={{ old: stress.of(shown.old), built: stress.of(shown.built), limit: stress.limit }}
          />
        ) : null
      }
      editor={<PlanEditor view={view} plan={plan} />}
      ways={<Ways job={job} plan={plan} input={standing} shelf={shelf ?? []} />}
      figures={shown ? figures(shown) : null}
    />
  );
}
