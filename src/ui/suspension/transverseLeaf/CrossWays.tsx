'use client';
import { useMemo } from 'react';
import { crossWays, type CrossWay } from '@/core/suspension/transverseLeaf/ways';
import { decimalText } from '@/core/units/format';
import { type WaysAt } from '../../choose/KindChoose';
import { moreText, WaysSheet } from '../../choose/WaysSheet';
import { crossPartOf, planOfCross } from './crossPart';

/** Springs across, spindles and beams of the shelf. */
export function CrossWays({ job, plan, input, shelf }: WaysAt<'transverseLeaf'>) {
  const { view } = job;
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const ways = useMemo(
    () =>
      crossWays(
        input,
        shelf.flatMap((item) => crossPartOf(item) ?? []),
        { stateId: wanted.id, change: view.job.wantedChange },
      ),
    [input, shelf, wanted.id, view.job.wantedChange],
  );
  const here = (way: CrossWay) => way.states.find((s) => s.id === wanted.id) ?? way.states[0]!;
  const known = input.spring && (input.sides.left.spring ?? input.sides.right.spring);
  return (
    <WaysSheet
      job={job}
      plan={plan}
      ways={ways}
      columns={[
        { name: 'rate', of: (way) => moreText(here(way).rate, here(way).rateBefore) },
        { name: 'stress, MPa', of: (way) => decimalText(Math.max(...way.states.map((s) => s.stress)), 0) },
      ]}
      planOf={planOfCross}
      lacks={
        known ? null : 'A search needs the spring’s sizes, where its eyes hang and the load on it: measure them first.'
      }
      empty="Nothing on the shelf sits in this clamp or on these kingpins. Put springs, spindles or drop axles on it, with their sizes."
      label="Ways with other springs across, spindles and drop axles"
    >
      Never offered: springs of another width or whose eyes do not reach, springs whose free arch nobody knows, halves
      that are not alike, a drop axle where arms stand the wheels up. Prices are parts for the axle, without labour.
    </WaysSheet>
  );
}
