import { type ReactNode } from 'react';
import { coilKindOf } from '@/contracts/sheet';
import { type CoilKind } from '@/core/suspension/coil/input';
import { Sheet } from '../../controls/Sheet';
import { type JobHandle } from '../../job/useJob';

/** What gives out besides, by what the coils carry. */
const OWN: Record<CoilKind, ReactNode> = {
  coilBeam: null,
  twinBeam: <li>The pivots’ rubber: a beam that sits off its middle wears one tyre inside and steers by itself.</li>,
  torsionBeam: <li>The pivots’ rubber in front of the beam: torn, it knocks, and the rear steers over bumps.</li>,
  coilOver: <li>The top mount and its bearing: it knocks over stones and winds the coil up in the turns.</li>,
};

/** Beside the inspection of coils: where they crack, and what holds the axle. */
export const CoilAside = ({ job }: { job: JobHandle }) => (
  <Sheet title="Where coils give out">
    <ul className="answers">
      <li>The last turn at each end, where it lies in its seat and water stands: look under the pads.</li>
      <li>Opposite sides of one turn: a crack begins at a pit in the wire and runs round it.</li>
      {OWN[coilKindOf(job.view)]}
      <li>
        A coil holds nothing in place. Arms and track rod do:{' '}
        {job.view.axle.steered ? 'with the steering at that, ' : ''}
        look at their mounts on frame and axle.
      </li>
    </ul>
    <p className="muted small">A coil under load is never unbolted: it is let down with the axle held, or clamped.</p>
  </Sheet>
);
