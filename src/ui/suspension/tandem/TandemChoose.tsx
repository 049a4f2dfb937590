'use client';
import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { tandemSheetOf } from '@/contracts/sheet';
import { assembleTandem } from '@/core/suspension/tandem/assemble';
import { ChooseFrame, shownOf } from '../../choose/ChooseFrame';
import { PlanEditor } from '../../choose/PlanEditor';
import { useChoose } from '../../choose/useChoose';
import { RideAndStress } from '../../choose/VerdictSheet';
import { figureValues } from '../../figure/values';
import { type StationProps } from '../../frame/JobFrame';
import { usePrediction } from '../../prediction/usePrediction';
import { usePairOnRoad } from './PairStage';
import { TandemFiguresSheet } from './TandemFiguresSheet';
import { TandemWays } from './TandemWays';

/** @param changes the plan's own when left out */
export const assembledPair = (view: JobView, changes?: readonly ChangeRow[]) =>
  view.axle.suspension === 'tandemSlipper'
    ? assembleTandem(tandemSheetOf('tandemSlipper', view, changes))
    : assembleTandem(tandemSheetOf('tandemEqualizer', view, changes));

/** Loaded radius of the tyres as read on this side or the other; null where nobody did. */
export const radiusOf = (view: JobView): number | null => {
  const read = figureValues(view, null)('groundToHub', 'left');
  return read.known ? read.value : null;
};

/** Choose, for two axles that stand as one. */
export function TandemChoose({ first, people, person }: StationProps) {
  const at = useChoose(first, assembledPair);
  const { job, view, plan, side, ready, standing, shelf } = at;
  const { input, missing } = at.assembled;
  // Without a plan the pair is told as it stands.
  const measured = missing.length === 0;
  const solved = usePrediction(ready || measured ? input : null);
  const { k, state } = shownOf(solved.prediction, at);
  const pair = usePairOnRoad(input, {
    standing: ready ? standing : null,
    side,
    state: { index: k, name: state?.name ?? '' },
    radius: radiusOf(view),
  });
  const drawn = state?.old ? pair : null;
  return (
    <ChooseFrame
      at={at}
      solved={solved}
      people={people}
      person={person}
      title={`Two axles, ${side}`}
      drawing={
        drawn ? (
          drawn.drawing
        ) : (
          <p className="muted">
            {measured && solved.progress !== null ? (
              'Drawing…'
            ) : (
              <>
                Springs, their arch, what joins them and the load make the figure.{' '}
                <Link className="link" href={`/jobs/${view.id}/measure`} prefetch={false}>
                  Measure them
                </Link>
              </>
            )}
          </p>
        )
      }
      lead={drawn?.verdict}
      rides={ready && state?.built ? <RideAndStress old={state.old} built={state.built} /> : null}
      figures={
        state?.old ? (
          <TandemFiguresSheet
            title={ready ? 'The pair before and after' : 'The pair as it stands'}
            stateName={state.name}
            old={state.old}
            built={ready ? state.built : null}
          />
        ) : null
      }
      editor={<PlanEditor view={view} plan={plan} />}
      ways={<TandemWays job={job} plan={plan} input={standing} shelf={shelf ?? []} />}
      more={drawn ? [{ id: 'road', name: 'on the road', children: drawn.road }] : []}
    />
  );
}
