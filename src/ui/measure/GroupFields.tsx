'use client';
import { Fragment, type ReactNode } from 'react';
import { pointOf, type GroupId } from '@/core/measure/points';
import { type JobHandle } from '../job/useJob';
import { FieldOfSheet, type FieldHooks } from './FieldOfSheet';
import { fieldKey, groupFields, groupsShown, pointName, type FieldAt } from './fields';
import { lowerFirst } from './missingText';

interface Props extends FieldHooks {
  job: JobHandle;
  group: GroupId;
  /** What the folded readings would take off the band; shown where known. */
  narrows?: ReactNode;
  /** Asked before the fields. */
  lead?: ReactNode;
  children?: ReactNode;
  /** Rows of fields of its own: before all the others, or after them. */
  before?: ReactNode;
  fields?: ReactNode;
}

/** One group of the sheet in measuring order: the minimal readings in sight, the rest unfolds. */
export function GroupFields({ job, group, narrows, lead, children, before, fields: rows, ...hooks }: Props) {
  const groups = groupsShown(job.view);
  const index = groups.findIndex((g) => g.id === group);
  const { title, buys } = groups[index]!;
  const fields = groupFields(job.view, group).filter((at) => at.leafId === null);
  const first = fields.filter((at) => pointOf(at.point).minimal);
  const rest = fields.filter((at) => !pointOf(at.point).minimal);
  const labels = [...new Set(rest.map((at) => lowerFirst(pointName(job.view, at.point))))].join(', ');
  return (
    <section className="group" aria-label={title}>
      <header>
        <h3>
          <span className="figure">{index + 1}</span> {title}
        </h3>
        <span className="muted">buys: {buys}</span>
      </header>
      {lead}
      {before}
      {first.length > 0 ? <FieldGrid job={job} fields={first} {...hooks} /> : null}
      {first.length === 0 ? <FieldGrid job={job} fields={rest} {...hooks} /> : null}
      {children}
      {rows}
      {first.length > 0 && rest.length > 0 ? (
        <details className="more">
          <summary>
            <span>
              {labels}
              {narrows ? <> {narrows}</> : null}
            </span>
          </summary>
          <FieldGrid job={job} fields={rest} {...hooks} />
        </details>
      ) : null}
    </section>
  );
}

interface GridProps extends FieldHooks {
  job: JobHandle;
  fields: readonly FieldAt[];
}

/** Fields side by side; left and right of one point stand as a pair. */
export function FieldGrid({ job, fields, ...hooks }: GridProps) {
  return (
    <div className="grid-fields">
      {fields.map((at, i) => {
        const other = fields[i + 1];
        const paired = (p: FieldAt | undefined, q: FieldAt | undefined) =>
          p && q && p.point === q.point && p.leafId === q.leafId;
        if (paired(fields[i - 1], at)) return null;
        const one = <FieldOfSheet job={job} at={at} {...hooks} />;
        if (!other || !paired(at, other)) return <Fragment key={fieldKey(at)}>{one}</Fragment>;
        const label = pointName(job.view, at.point);
        return (
          <div key={fieldKey(at)} className="pair wide" role="group" aria-label={label}>
            {one}
            <FieldOfSheet job={job} at={other} {...hooks} />
          </div>
        );
      })}
    </div>
  );
}
