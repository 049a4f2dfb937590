'use client';
import { useMemo } from 'react';
import { type ShelfItem } from '@/contracts/shelf';
import { type CoilAxleInput } from '@/core/suspension/coil/input';
import { coilWays, type CoilWay } from '@/core/suspension/coil/ways';
import { decimalText } from '@/core/units/format';
import { type PlanHandle } from '../../choose/usePlan';
import { moreText, WaysSheet } from '../../choose/WaysSheet';
import { type JobHandle } from '../../job/useJob';
import { coilPartOf, planOfWay } from './coilPart';

interface Props {
  job: JobHandle;
  plan: PlanHandle;
  /** The axle as it stands, without a plan. */
  input: CoilAxleInput;
  shelf: readonly ShelfItem[];
}

/** Coils and spacers of the shelf. */
export function CoilWays({ job, plan, input, shelf }: Props) {
  const { view } = job;
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const pitch = view.readings.find((r) => r.point === 'perchPitch')?.value ?? null;
  const ways = useMemo(
    () =>
      coilWays(
        input,
        shelf.flatMap((item) => coilPartOf(item) ?? []),
        { stateId: wanted.id, change: view.job.wantedChange },
        input.kind === 'coilOver' ? pitch : null,
      ),
    [input, shelf, wanted.id, view.job.wantedChange, pitch],
  );
  const here = (way: CoilWay) => way.states.find((s) => s.id === wanted.id) ?? way.states[0]!;
  const known = input.coil && (input.sides.left.spring ?? input.sides.right.spring);
  return (
    <WaysSheet
      job={job}
      plan={plan}
      ways={ways}
      columns={[
        { name: 'rate', of: (way) => moreText(here(way).rate, here(way).rateBefore) },
        { name: 'shear, MPa', of: (way) => decimalText(Math.max(...way.states.map((s) => s.stress)), 0) },
      ]}
      planOf={planOfWay}
      lacks={known ? null : 'A search needs the coil’s sizes, its length and the load on it: measure them first.'}
      empty="Nothing on the shelf sits in these seats. Put coils or spacers on the shelf, with their sizes."
      untold={['coilLoose']}
      label="Ways with other coils and spacers"
    >
      Never offered: a coil that was cut, heated or welded, spacers on spacers, a coil whose ends nobody knows. Prices
      are parts for both sides, without labour.
    </WaysSheet>
  );
}
