'use client';
import { type BesideItem } from '@/core/beside/besides';
import { type BesidePoint, type ReadRow } from '@/core/beside/readRow';
import { STEERING_ITEMS } from '@/core/beside/steering';
import { STANDS_ITEMS } from '@/core/beside/stands';
import { SIDES } from '@/core/vehicle/side';
import { type JobHandle } from '../job/useJob';
import { ReadingField } from '../measured/ReadingField';
import { BesideRows, PointFields } from './BesideRows';

export const WHEEL_ITEMS: readonly string[] = [...STEERING_ITEMS, ...STANDS_ITEMS];

/** What is read together. `steered`: only where its wheels steer. */
const GROUPS: readonly {
  title: string;
  items: readonly BesideItem[];
  steered?: true;
  hubs?: true;
  points: readonly BesidePoint[];
}[] = [
  {
    ...{ title: 'Toe', steered: true, items: ['toe'] },
    points: [
      ...(['treadFront', 'treadRear', 'treadFrontTurned', 'treadRearTurned', 'treadDiameter'] as const),
      ...(['toeLeast', 'toeMost', 'steeringArm', 'tieRodLead'] as const),
    ],
  },
  {
    ...{ title: 'Caster and drag link', steered: true, items: ['caster', 'dragLink'] },
    points: ['caster', 'casterLeast', 'casterMost', 'dragLink', 'dragLinkSlope'],
  },
  {
    ...{ title: 'Square to the frame', hubs: true, items: ['square'] },
    points: ['hubTrack', 'diagonalLeft', 'diagonalRight'],
  },
  {
    ...{ title: 'Pads and hangers', items: ['padSpread', 'axleShafts'] },
    points: ['padSpread', 'hangerSpread', 'shackleOffset'],
  },
  {
    ...{ title: 'Room and height', items: ['tyreToSpring', 'headlamps', 'sideSlope'] },
    points: ['tyreToSpring', 'wheelInward', 'tyreWider', 'massHeight'],
  },
];

/** How the wheels stand, and what more or less height does to it. Alignment itself is a qualified shop's. */
export function WheelsSheet({ job, rows }: { job: JobHandle; rows: readonly ReadRow<BesideItem>[] }) {
  return (
    <div className="sheets">
      {GROUPS.filter(({ steered }) => !steered || job.view.axle.steered).map(({ title, items, hubs, points }) => (
        <section key={title} className="group" aria-label={title}>
          <header>
            <h3>{title}</h3>
          </header>
          <BesideRows rows={rows.filter((row) => items.includes(row.item))} />
          {hubs ? (
            <div className="read-here">
              {SIDES.map((side) => (
                <div key={side}>
                  <ReadingField job={job} point="hubToHub" side={side} />
                </div>
              ))}
            </div>
          ) : null}
          <PointFields job={job} points={points} />
        </section>
      ))}
      <p className="muted small">
        Steering and brakes are set and signed by whoever is allowed to where you are; here is what moved and by how
        much.
      </p>
    </div>
  );
}
