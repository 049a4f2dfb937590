'use client';
import { useState } from 'react';
import { besidesOf } from '@/contracts/besides';
import { type JobView } from '@/contracts/job';
import { BUSH_ITEMS } from '@/core/beside/bushes';
import { BUSH_TYPE_IDS, BUSH_TYPES } from '@/core/bush/types';
import { locatedRow } from '@/core/beside/located';
import { type BesideItem } from '@/core/beside/besides';
import { type BesidePoint, type ReadRow } from '@/core/beside/readRow';
import { BUSH_PLACE_IDS, BUSH_PLACES, type BushPlace } from '@/core/sheet/bushes';
import { BUSHES_TURN } from '@/core/travel/survey';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { ReadingField } from '../measured/ReadingField';
import { BesideRows, PointFields } from './BesideRows';
import { StackSection } from './StackSection';

export const HELD_ITEMS: readonly string[] = [...BUSH_ITEMS, 'joints'];

/** Points of one place, in the order they are read. */
const at = (place: BushPlace): BesidePoint[] => [
  ...(place === 'hanger' ? (['hangerBore'] as const) : []),
  ...(['Shell', 'Sleeve', 'Bolt', 'Length', 'Inside'] as const).map((size) => `${place}${size}` as const),
];

interface Props {
  job: JobHandle;
  /** With the plan as it is typed. */
  planned: JobView;
  rows: readonly ReadRow<BesideItem>[];
}

/** What turns on bolts and what is placed by pins: whether the parts go together before anything is pressed or clamped. */
export function HeldSheet({ job, planned, rows }: Props) {
  const { problem, run } = useSend();
  const [place, setPlace] = useState<BushPlace>('front');
  const { bushes, stack, read } = besidesOf(planned);
  const now = besidesOf({ ...planned, plan: { ...planned.plan, changes: [] } }).stack;
  const bushRows = rows.filter((row) => row.item !== 'joints');
  const say = (answer: 'ok' | 'none') =>
    void run(() =>
      job.send('/survey', 'POST', {
        ...{ id: crypto.randomUUID(), item: BUSHES_TURN, answer, slack: null, slackTyped: null, note: '' },
      }),
    );
  return (
    <div className="sheets">
      <ProblemNote problem={problem} />
      {stack ? (
        <section className="group" aria-label="Joints of the stack">
          <header>
            <h3>
              Joints of the stack: spring{stack.wedge === null ? '' : ', wedge'}
              {stack.block === null ? '' : ', block'}, axle pad
            </h3>
          </header>
          <p className="muted small">
            <Marked kind="look">Friction of the clamp holds the axle, pins only place it:</Marked> one that is missing
            or stands on a face lets the axle walk.
          </p>
          <BesideRows rows={rows.filter((row) => row.item === 'joints')} />
          {now && JSON.stringify(now) !== JSON.stringify(stack) ? (
            <p className="muted small">As it stands now: {locatedRow(read, now).text || 'not read.'}</p>
          ) : null}
          <StackSection stack={stack} read={read} />
          <div className="read-here">
            <div>
              <ReadingField job={job} point="dowelDiameter" />
            </div>
          </div>
          <PointFields
            job={job}
            points={[
              'dowelHeight',
              ...(stack.wedge === null ? [] : (['wedgeHole', 'wedgePin', 'wedgePinHeight'] as const)),
              ...(stack.block === null ? [] : (['blockHole', 'blockHoleDepth', 'blockPin', 'blockPinHeight'] as const)),
              ...(['padHole', 'padDepth'] as const),
            ]}
          />
        </section>
      ) : null}
      {bushes ? (
        <section className="group" aria-label="Bushes">
          <header>
            <h3>Bushes</h3>
            <Chips
              label="Kind of the new bushes"
              shown
              options={[
                { id: 'none', name: 'bonded rubber' },
                { id: 'ok', name: 'turn on their sleeves' },
              ]}
              value={bushes.kind === 'bonded' ? 'none' : bushes.kind === 'turns' ? 'ok' : null}
              onPick={say}
            />
          </header>
          <BesideRows rows={bushRows} />
          <Chips
            label="Where"
            shown
            options={BUSH_PLACE_IDS.map((id) => ({ id, name: BUSH_PLACES[id].toLowerCase() }))}
            value={place}
            onPick={setPlace}
          />
          {place === 'hanger' ? null : (
            <div className="read-here">
              <div>
                <ReadingField job={job} point={place === 'front' ? 'eyeBore' : 'eyeBoreRear'} />
              </div>
            </div>
          )}
          <PointFields job={job} points={at(place)} />
          <table className="plain">
            <thead>
              <tr>
                <th scope="col">Kind</th>
                <th scope="col">tightened</th>
                <th scope="col">grease</th>
                <th scope="col">old shell</th>
              </tr>
            </thead>
            <tbody>
              {BUSH_TYPE_IDS.map((id) => {
                const { name, tighten, grease, shell } = BUSH_TYPES[id];
                return (
                  <tr key={id}>
                    <td>{name}</td>
                    <td>{tighten}</td>
                    <td>{grease}</td>
                    <td>{shell === 'kept' ? 'stays, cleaned' : shell === 'out' ? 'comes out' : 'has none'}</td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <p className="muted small">Common practice; what its maker says of a bush goes before it.</p>
        </section>
      ) : null}
    </div>
  );
}
