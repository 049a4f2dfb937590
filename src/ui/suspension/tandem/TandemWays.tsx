'use client';
import { useMemo } from 'react';
import { type ShelfItem } from '@/contracts/shelf';
import { type TandemAxleInput } from '@/core/suspension/tandem/input';
import { pairWays, type PairWay } from '@/core/suspension/tandem/ways';
import { decimalText } from '@/core/units/format';
import { type PlanHandle } from '../../choose/usePlan';
import { moreText, WaysSheet } from '../../choose/WaysSheet';
import { type JobHandle } from '../../job/useJob';
import { pairPartOf, planOfPair } from './pairPart';

interface Props {
  job: JobHandle;
  plan: PlanHandle;
  /** The axles as they stand, without a plan. */
  input: TandemAxleInput;
  shelf: readonly ShelfItem[];
}

/** Springs, shackles, rockers and slippers of the shelf. */
export function TandemWays({ job, plan, input, shelf }: Props) {
  const { view } = job;
  const wanted = view.states.find((s) => s.wanted) ?? view.states[0]!;
  const ways = useMemo(
    () =>
      pairWays(
        input,
        shelf.flatMap((item) => pairPartOf(item) ?? []),
        { stateId: wanted.id, change: view.job.wantedChange },
      ),
    [input, shelf, wanted.id, view.job.wantedChange],
  );
  const here = (way: PairWay) => way.states.find((s) => s.id === wanted.id) ?? way.states[0]!;
  const known = input.spring && (input.sides.left.spring ?? input.sides.right.spring);
  return (
    <WaysSheet
      job={job}
      plan={plan}
      ways={ways}
      columns={[
        {
          name: 'front : rear',
          of: (way) => {
            const front = Math.round(100 * here(way).share);
            return `${front} : ${100 - front}`;
          },
        },
        { name: 'rate', of: (way) => moreText(here(way).rate, here(way).rateBefore) },
        { name: 'stress, MPa', of: (way) => decimalText(Math.max(...way.states.map((s) => s.stress)), 0) },
      ]}
      planOf={planOfPair}
      lacks={known ? null : 'A search needs the springs’ sizes, their arch and the load on them: measure them first.'}
      empty="Nothing on the shelf fits between these hangers. Put springs, shackles, rockers or slippers on it, with their sizes."
      untold={['pairEnds', 'pairDamped']}
      label="Ways with other springs, shackles, rockers and slippers"
    >
      Never offered: springs of another width or that do not reach, springs whose free arch nobody knows, springs with
      two eyes on slippers. Prices are parts for both sides and both axles, without labour.
    </WaysSheet>
  );
}
