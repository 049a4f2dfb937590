'use client';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type ReadingRow } from '@/contracts/reading';
import { readingKey } from '@/contracts/readingKey';
import { type JobView } from '@/contracts/job';
import { PhotoStrip } from '../inspect/PhotoStrip';
import { call } from '../job/api';
import { type JobHandle } from '../job/useJob';
import { fillName } from './DayBar';
import { fieldKey, spokenField, type FieldAt, howTo } from './fields';
import { useClockText } from '../measured/Clock';

/** How the field at work is read, and under what the reading that stands there was taken. */
export function FieldNote({ job, at }: { job: JobHandle; at: FieldAt | null }) {
  const { view } = job;
  const clock = useClockText();
  const [shown, setShown] = useState<string | null>(null);
  if (!at) return <p className="howto muted">Touch a field or a dimension: the one inks the other.</p>;
  const key = fieldKey(at);
  const reading = view.readings.find((r) => readingKey(r) === key);
  return (
    <div className="howto">
      <strong>{spokenField(view, at)}</strong> {howTo(view, at.point)}
      {reading ? (
        <div className="muted">
          “{reading.typed}” {taken(view, reading, (moment) => clock(moment, 'day'))}{' '}
          <button type="button" className="link" onClick={() => setShown(shown === key ? null : key)}>
            {shown === key ? 'hide earlier readings' : 'earlier readings'}
          </button>
        </div>
      ) : null}
      {shown === key ? <Earlier view={view} at={key} /> : null}
      <PhotoStrip job={job} subject={key} caption={spokenField(view, at)} />
    </div>
  );
}

/** Who took a reading, when, with what and under which conditions. */
function taken(view: JobView, reading: ReadingRow, day: (at: string) => string): string {
  const found = view.days.find((d) => d.id === reading.dayId);
  const parts = [
    `by ${reading.person}, ${day(reading.takenAt)}`,
    reading.instrument,
    reading.correctionReason ? `corrected: ${reading.correctionReason}` : '',
    reading.rolled === true ? 'rolled' : reading.rolled === false ? 'not rolled' : '',
    typeof found?.fuel === 'number' ? `tank ${fillName(found.fuel)}` : '',
    found?.tyrePressureTyped ? `tyres ${found.tyrePressureTyped}` : '',
    found?.stance === 'air' ? 'wheels hanging' : '',
  ];
  return parts.filter(Boolean).join(', ');
}

function Earlier({ view, at }: { view: JobView; at: string }) {
  const clock = useClockText();
  const { data, isPending } = useQuery({
    queryKey: ['history', view.id, view.readings.length, view.readings.at(-1)?.id],
    queryFn: () => call<ReadingRow[]>(`/api/jobs/${view.id}/readings`, 'GET'),
  });
  if (isPending) return <p className="muted">Looking…</p>;
  const rows = (data ?? []).filter((r) => readingKey(r) === at);
  return (
    <ol className="stored">
      {rows.map((r) => (
        <li key={r.id}>
          <span className="figure">{r.typed}</span>{' '}
          <span className="muted">{taken(view, r, (moment) => clock(moment, 'day'))}</span>
        </li>
      ))}
    </ol>
  );
}
