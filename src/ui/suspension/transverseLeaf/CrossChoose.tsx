'use client';
import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { crossSheetOf } from '@/contracts/sheet';
import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { assembleCross } from '@/core/suspension/transverseLeaf/assemble';
import { ChooseFrame, shownOf } from '../../choose/ChooseFrame';
import { PlanEditor } from '../../choose/PlanEditor';
import { useChoose } from '../../choose/useChoose';
import { RideAndStress } from '../../choose/VerdictSheet';
import { type StationProps } from '../../frame/JobFrame';
import { usePrediction } from '../../prediction/usePrediction';
import { loadedRadius } from '../../figure/values';
import { CrossElevation } from './CrossElevation';
import { CrossFiguresSheet } from './CrossFiguresSheet';
import { CrossWays } from './CrossWays';
import { halvesOf } from './halves';

const assembled = (view: JobView, changes: readonly ChangeRow[]) => assembleCross(crossSheetOf(view, changes));

/** Choose, for an axle on one spring across. */
export function CrossChoose({ first, people, person }: StationProps) {
  const at = useChoose(first, assembled);
  const { job, view, plan, side, ready, standing, shelf } = at;
  const { input, missing } = at.assembled;
  // Without a plan the spring is drawn as it stands.
  const measured = missing.length === 0;
  const solved = usePrediction(ready || measured ? input : null);
  const { k, state } = shownOf(solved.prediction, at);
  return (
    <ChooseFrame
      at={at}
      solved={solved}
      people={people}
      person={person}
      title="Spring across, from behind"
      drawing={
        state?.old ? (
          <CrossElevation
            old={halvesOf(solved.prediction, k, 'old')}
            built={ready && state.built ? halvesOf(solved.prediction, k, 'built') : null}
            stateName={state.name}
            radius={loadedRadius(view)}
          />
        ) : (
          <p className="muted">
            {measured && solved.progress !== null ? (
              'Drawing…'
            ) : (
              <>
                {at.assembled.refused[0]?.reason ??
                  'Its leaves, its halves, where the eyes hang and the load make the figure'}
                .{' '}
                <Link className="link" href={`/jobs/${view.id}/measure`} prefetch={false}>
                  Measure them
                </Link>
              </>
            )}
          </p>
        )
      }
      rides={
        ready && state?.built ? (
          <RideAndStress
            old={state.old}
            built={state.built}
            stress={{
              old: state.old ? Math.max(...state.old.nominalStress) : null,
              built: Math.max(...state.built.nominalStress),
              limit: SPRING_STEEL_LIMITS.static,
            }}
          />
        ) : null
      }
      editor={<PlanEditor view={view} plan={plan} />}
      ways={<CrossWays job={job} plan={plan} input={standing} shelf={shelf ?? []} />}
      figures={
        state?.old ? (
          <CrossFiguresSheet
            title={ready ? `Half of the spring, ${side}, before and after` : `Half of the spring, ${side}`}
            stateName={state.name}
            old={state.old}
            built={ready ? state.built : null}
          />
        ) : null
      }
    />
  );
}
