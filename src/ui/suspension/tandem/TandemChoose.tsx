'use client';
import Link from 'next/link';
import { ChooseFrame, shownOf } from '../../choose/ChooseFrame';
import { PlanEditor } from '../../choose/PlanEditor';
import { useChoose } from '../../choose/useChoose';
import { RideAndStress } from '../../choose/VerdictSheet';
import { type StationProps } from '../../frame/JobFrame';
import { usePrediction } from '../../prediction/usePrediction';
import { loadedRadius } from '../../figure/values';
import { assembledPair } from './assembledPair';
import { usePairOnRoad } from './PairStage';
import { TandemFiguresSheet } from './TandemFiguresSheet';
import { TandemWays } from './TandemWays';

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
    radius: loadedRadius(view),
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
