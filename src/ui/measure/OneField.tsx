'use client';
import { useState, type ReactNode } from 'react';
import { readingKey } from '@/contracts/readingKey';
import { pointOf, type GroupId } from '@/core/measure/points';
import { groupsOf } from '@/core/suspension/registry';
import { PLACES } from '@/core/sheet/point';
import { dayOf, type JobHandle } from '../job/useJob';
import { DayBar, fillName } from './DayBar';
import { FieldNote } from './FieldNote';
import { FieldOfSheet, type FieldHooks } from './FieldOfSheet';
import { allFields, fieldKey, spokenField, type FieldAt } from './fields';

interface Props {
  job: JobHandle;
  hooks: FieldHooks;
  focus: FieldAt | null;
  onPick: (at: FieldAt) => void;
  figure: ReactNode;
  /** Minimal readings still to be taken. */
  lacking: number;
  /** What a group asks besides its fields. */
  extras: (group: GroupId) => { lead?: ReactNode; children?: ReactNode };
}

/** How the vehicle stands today: asked for, or one line that unfolds where it was said before; nothing folds away from under a finger. */
function DayFold({ job }: { job: JobHandle }) {
  const day = dayOf(job.view, 'before');
  const [folds] = useState(day !== undefined && (day.fuel !== null || job.view.vehicle.tankMass === 0));
  if (!day || !folds) return <DayBar job={job} phase="before" />;
  const said = [
    day.stance === 'air' ? 'wheels hang' : 'on its wheels',
    ...(day.fuel === null ? [] : [`tank ${fillName(day.fuel)}`]),
    day.tyrePressureTyped ? `tyres ${day.tyrePressureTyped}` : 'tyre pressure not read',
  ];
  return (
    <details className="day-fold">
      <summary>{said.join(', ')}</summary>
      <DayBar job={job} phase="before" />
    </details>
  );
}

/** The sheet on a phone: the figure pinned, one field under it, Enter goes on to the next. */
export function OneField({ job, hooks, focus, onPick, figure, lacking, extras }: Props) {
  const { view } = job;
  const fields = allFields(view);
  const here = focus ? fields.findIndex((at) => fieldKey(at) === fieldKey(focus)) : -1;
  const index = Math.max(0, here);
  const at = fields[index]!;
  const group = groupsOf(view.axle.suspension).find((g) => g.id === pointOf(at.point).group)!;
  const isRead = (f: FieldAt) => view.readings.some((r) => readingKey(r) === fieldKey(f));
  const go = (to: number) => {
    const next = fields[Math.min(fields.length - 1, Math.max(0, to))]!;
    onPick(next);
  };
  const firstOfGroup = fields.findIndex((f) => pointOf(f.point).group === group.id) === index;
  const { lead, children } = extras(group.id as GroupId);
  return (
    <div className="one-field">
      <div className="one-figure">{figure}</div>
      <section className="sheet" aria-label="One field">
        <p className="muted">
          {PLACES.find((p) => p.id === group.place)?.title}, {group.title}{' '}
          <span className="figure">
            {index + 1}/{fields.length}
          </span>
          , read {fields.filter(isRead).length}
          {lacking > 0 ? `, ${lacking} to go for a spring` : ', enough for a spring'}
        </p>
        {index === 0 ? <DayFold job={job} /> : null}
        {firstOfGroup ? (lead ?? children) : null}
        <FieldOfSheet
          key={fieldKey(at)}
          job={job}
          at={at}
          label={spokenField(view, at)}
          {...hooks}
          onEntered={() => go(index + 1)}
        />
        <FieldNote job={job} at={at} />
        <div className="acts">
          <button type="button" className="act quiet" disabled={index === 0} onClick={() => go(index - 1)}>
            Back
          </button>
          <button type="button" className="act" disabled={index === fields.length - 1} onClick={() => go(index + 1)}>
            Next
          </button>
        </div>
        <label className="jump">
          Go to{' '}
          <select value={index} onChange={(event) => go(Number(event.target.value))}>
            {fields.map((f, i) => (
              <option key={fieldKey(f)} value={i}>
                {isRead(f) ? '✓ ' : ''}
                {spokenField(view, f)}
              </option>
            ))}
          </select>
        </label>
      </section>
    </div>
  );
}
