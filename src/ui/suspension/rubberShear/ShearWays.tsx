'use client';
import { useMemo } from 'react';
import { shearWays, type ShearWay } from '@/core/suspension/rubberShear/ways';
import { type WaysAt } from '../../choose/KindChoose';
import { moreText, WaysSheet } from '../../choose/WaysSheet';
import { planOfShear, shearPartOf } from './shearPart';

/** Blocks of the shelf, and rows of holes. */
export function ShearWays({ job, plan, input, shelf }: WaysAt<'rubberShear'>) {
  const { view } = job;
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const rows = view.readings.find((r) => r.point === 'shearRows')?.value ?? null;
  const ways = useMemo(
    () =>
      shearWays(
        input,
        shelf.flatMap((item) => shearPartOf(item) ?? []),
        { stateId: wanted.id, change: view.job.wantedChange },
        rows,
      ),
    [input, shelf, wanted.id, view.job.wantedChange, rows],
  );
  const here = (way: ShearWay) => way.states.find((s) => s.id === wanted.id) ?? way.states[0]!;
  return (
    <WaysSheet
      job={job}
      plan={plan}
      ways={ways}
      columns={[
        { name: 'rate', of: (way) => moreText(here(way).rate, here(way).rateBefore) },
        {
          name: 'sheared at most',
          of: (way) => `${(100 * Math.max(...way.states.map((s) => s.strain))).toFixed(0)} %`,
        },
      ]}
      planOf={planOfShear}
      lacks={
        (input.sides.left.spring ?? input.sides.right.spring)
          ? null
          : 'A search needs the block’s and the leaf’s sizes, where the carrier stands and the load: measure them first.'
      }
      empty="Nothing on the shelf takes this carrier. Put rubber shear blocks on it, with rate, free offset and rubber; with its rows of holes read, the carrier in another row is searched too."
      label="Ways with other shear blocks and rows of holes"
    >
      Never offered: blocks of another pattern of holes, blocks whose rate or free offset nobody knows, one new block
      beside an old one. Prices are parts for both sides, without labour.
    </WaysSheet>
  );
}
