'use client';
import { type ReactNode } from 'react';
import { type JobView } from '@/contracts/job';
import { type CoilAxleInput } from '@/core/suspension/coil/input';
import { type CoilFigures } from '@/core/suspension/coil/sideModel';
import { SIDES, type Side } from '@/core/vehicle/side';
import { type Scale } from '../../drawing/scale';
import { figureValues, loadedRadius } from '../../figure/values';
import { CoilElevation } from './CoilElevation';
import { SwingElevation, type Sided } from './SwingElevation';
import { type SwingPlace } from './swingSpots';

type Told = {
  sides: Record<
    Side,
    {
      states: readonly {
        old: CoilFigures | null;
        built: CoilFigures | null;
        beforeHere: number | null;
        after: number | null;
        name: string;
      }[];
    } | null
  >;
} | null;

interface Props {
  view: JobView;
  input: CoilAxleInput;
  prediction: Told;
  side: Side;
  /** Which load state. */
  k: number;
  /** With the plan, or only as it stands. */
  planned: boolean;
  over?: { top: number; bottom: number; draw: (s: Scale) => ReactNode };
}

/** Where a job's beams swing; null where nothing does. */
export function swingPlace(view: JobView, { kind, swing, ratio }: CoilAxleInput): SwingPlace | null {
  if (!swing) return null;
  const track = figureValues(view, null)('trackWidth');
  const arm = swing.arm.value;
  return {
    plane: kind === 'torsionBeam' ? 'side' : 'behind',
    arm,
    coilArm: Math.min(arm, ratio.value * arm),
    slope: Math.asin(Math.max(-0.9, Math.min(0.9, swing.rise.value / arm))),
    // Beams across reach a little beyond the middle.
    track: track.known ? track.value : 1.6 * arm,
    radius: loadedRadius(view),
  };
}

const spacerOf = ({ changes, spacer }: CoilAxleInput): number =>
  changes.findLast((c) => c.kind === 'spacer')?.height.value ?? spacer.value;

/** An axle on coils drawn as it is and as it will be: beams on their pivots, or the coil between its seats. */
export function CoilDrawing({ view, input, prediction, side, k, planned, over }: Props) {
  const state = (prediction?.sides[side] ?? prediction?.sides.left)?.states[k];
  if (!state?.old) return null;
  const place = swingPlace(view, input);
  if (place) {
    const of = (which: 'old' | 'built'): Sided =>
      Object.fromEntries(SIDES.map((one) => [one, prediction?.sides[one]?.states[k]?.[which] ?? null]));
    return (
      <SwingElevation
        place={place}
        old={of('old')}
        built={planned && state.built ? of('built') : null}
        side={side}
        spacers={{ old: input.spacer.value, built: spacerOf(input) }}
        stateName={state.name}
        {...(over && { over })}
      />
    );
  }
  const raised = input.changes.findLast((c) => c.kind === 'perch')?.[side].value ?? 0;
  const spacer = spacerOf(input);
  return (
    <CoilElevation
      old={{ figures: state.old, spacer: input.spacer.value }}
      built={planned && state.built ? { figures: state.built, spacer, raised } : null}
      {...(input.kind === 'coilOver' && { stands: 'unit' })}
      side={side}
      stateName={state.name}
      before={state.beforeHere}
      after={planned ? state.after : null}
      {...(over && { over })}
    />
  );
}
