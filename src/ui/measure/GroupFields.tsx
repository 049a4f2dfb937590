'use client';
import { type ReactNode } from 'react';
import { GROUPS, POINT_IDS, pointOf, type GroupId, type PointId } from '@/core/measure/points';
import { type JobHandle } from '../job/useJob';
import { ReadingField } from '../measured/ReadingField';
import { assumedText } from './assumedText';
import { lowerFirst } from './missingText';

interface Props {
  job: JobHandle;
  group: GroupId;
  rolled: boolean | null;
  onFocus: (point: PointId) => void;
  /** Asked before the fields. */
  lead?: ReactNode;
  children?: ReactNode;
}

/** One group of the sheet in measuring order: the minimal readings in sight, the rest unfolds. */
export function GroupFields({ job, group, rolled, onFocus, lead, children }: Props) {
  const index = GROUPS.findIndex((g) => g.id === group);
  const { title, buys } = GROUPS[index]!;
  const points = POINT_IDS.filter((id) => pointOf(id).group === group && !pointOf(id).perLeaf);
  const first = points.filter((id) => pointOf(id).minimal);
  const rest = points.filter((id) => !pointOf(id).minimal);
  const fields = (ids: readonly PointId[]) =>
    ids.map((id) => <PointFields key={id} job={job} point={id} rolled={rolled} onFocus={onFocus} />);
  return (
    <section className="group" aria-label={title}>
      <header>
        <h2>
          <span className="figure">{index + 1}</span> {title}
        </h2>
        <span className="muted">buys: {buys}</span>
      </header>
      {lead}
      {first.length > 0 ? <div className="grid-fields">{fields(first)}</div> : null}
      {children}
      {first.length === 0 ? <div className="grid-fields">{fields(rest)}</div> : null}
      {first.length > 0 && rest.length > 0 ? (
        <details className="more">
          <summary>narrows the band: {rest.map((id) => lowerFirst(pointOf(id).label)).join(', ')}</summary>
          <div className="grid-fields">{fields(rest)}</div>
        </details>
      ) : null}
    </section>
  );
}

interface PointProps {
  job: JobHandle;
  point: PointId;
  rolled: boolean | null;
  onFocus: (point: PointId) => void;
}

/** The one or two fields of a point: left and right stand side by side. */
function PointFields({ job, point, rolled, onFocus }: PointProps) {
  const { sided, loaded, label } = pointOf(point);
  const stateId = loaded ? job.view.states[0]?.id : undefined;
  const common = {
    job,
    point,
    rolled: point === 'hubToLip' ? rolled : null,
    assumed: assumedText(job.view, point),
    onFocus: () => onFocus(point),
    ...(stateId ? { stateId } : {}),
  };
  if (!sided) return <ReadingField {...common} />;
  return (
    <div className="pair wide" role="group" aria-label={label}>
      <ReadingField {...common} side="left" />
      <ReadingField {...common} side="right" />
    </div>
  );
}
