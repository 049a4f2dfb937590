'use client';
import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { coilSheetOf } from '@/contracts/sheet';
import { COIL_STEEL_LIMIT } from '@/core/mechanics/coil/coil';
import { assembleCoil } from '@/core/suspension/coilBeam/assemble';
import { ChooseFrame, shownOf } from '../../choose/ChooseFrame';
import { PlanEditor } from '../../choose/PlanEditor';
import { useChoose } from '../../choose/useChoose';
import { RideAndStress } from '../../choose/VerdictSheet';
import { type StationProps } from '../../frame/JobFrame';
import { usePrediction } from '../../prediction/usePrediction';
import { CoilElevation } from './CoilElevation';
import { CoilFiguresSheet } from './CoilFiguresSheet';
import { CoilWays } from './CoilWays';

const assembled = (view: JobView, changes: readonly ChangeRow[]) => assembleCoil(coilSheetOf(view, changes));

/** Choose, for an axle on coils. */
export function CoilChoose({ first, people, person }: StationProps) {
  const at = useChoose(first, assembled);
  const { job, view, plan, side, ready, standing, shelf } = at;
  const { input, missing } = at.assembled;
  // Without a plan the coil is drawn as it stands.
  const measured = missing.length === 0;
  const solved = usePrediction(ready || measured ? input : null);
  const { state } = shownOf(solved.prediction, at);
  const spacer = input.changes.findLast((c) => c.kind === 'spacer')?.height.value ?? input.spacer.value;
  return (
    <ChooseFrame
      at={at}
      solved={solved}
      people={people}
      person={person}
      title={`Coil, ${side}`}
      drawing={
        state?.old ? (
          <CoilElevation
            old={{ figures: state.old, spacer: input.spacer.value }}
            built={ready && state.built ? { figures: state.built, spacer } : null}
            side={side}
            stateName={state.name}
            before={state.beforeHere}
            after={state.after}
          />
        ) : (
          <p className="muted">
            {measured && solved.progress !== null ? (
              'Drawing…'
            ) : (
              <>
                Its sizes, its length and the load on it make the figure.{' '}
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
            stress={{ old: state.old?.stress ?? null, built: state.built.stress, limit: COIL_STEEL_LIMIT.static }}
          />
        ) : null
      }
      editor={<PlanEditor view={view} plan={plan} />}
      ways={<CoilWays job={job} plan={plan} input={standing} shelf={shelf ?? []} />}
      figures={
        state?.old ? (
          <CoilFiguresSheet
            title={ready ? 'The coil before and after' : 'The coil as it stands'}
            stateName={state.name}
            old={state.old}
            built={ready ? state.built : null}
          />
        ) : null
      }
    />
  );
}
