'use client';
import Link from 'next/link';
import { COIL_STEEL_LIMIT } from '@/core/mechanics/coil/coil';
import { ChooseFrame, shownOf } from '../../choose/ChooseFrame';
import { PlanEditor } from '../../choose/PlanEditor';
import { useChoose } from '../../choose/useChoose';
import { RideAndStress } from '../../choose/VerdictSheet';
import { type StationProps } from '../../frame/JobFrame';
import { usePrediction } from '../../prediction/usePrediction';
import { assembledCoil } from './assembledCoil';
import { CoilDrawing } from './CoilDrawing';
import { CoilFiguresSheet } from './CoilFiguresSheet';
import { CoilWays } from './CoilWays';

/** Choose, for an axle on coils. */
export function CoilChoose({ first, people, person }: StationProps) {
  const at = useChoose(first, assembledCoil);
  const { job, view, plan, side, ready, standing, shelf } = at;
  const { input, missing } = at.assembled;
  // Without a plan the coil is drawn as it stands.
  const measured = missing.length === 0;
  const solved = usePrediction(ready || measured ? input : null);
  const { k, state } = shownOf(solved.prediction, at);
  return (
    <ChooseFrame
      at={at}
      solved={solved}
      people={people}
      person={person}
      title={
        input.swing
          ? input.kind === 'torsionBeam'
            ? `Trailing beam, ${side}`
            : 'Twin beams, from behind'
          : `${input.kind === 'coilOver' ? 'Unit' : 'Coil'}, ${side}`
      }
      drawing={
        state?.old ? (
          <CoilDrawing view={view} input={input} prediction={solved.prediction} side={side} k={k} planned={ready} />
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
