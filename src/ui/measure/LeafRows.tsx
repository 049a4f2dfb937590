'use client';
import { type PointId } from '@/core/measure/points';
import { type JobHandle } from '../job/useJob';
import { ReadingField } from '../measured/ReadingField';

/** Leaf by leaf from the main leaf down: thickness, then each tip. */
export function LeafRows({ job, onFocus }: { job: JobHandle; onFocus: (point: PointId) => void }) {
  const field = (point: PointId, leafId: string, number: number, label: string) => (
    <ReadingField
      job={job}
      point={point}
      leafId={leafId}
      label={label}
      spoken={`${label}, leaf ${number}`}
      onFocus={() => onFocus(point)}
    />
  );
  return (
    <div>
      {job.view.leaves.map((leaf, i) => (
        <div key={leaf.id} className="leaf-row" role="group" aria-label={`Leaf ${i + 1}`}>
          <div className="name">
            <span className="figure">{i + 1}</span> {i === 0 ? 'main' : ''}
          </div>
          {field('leafThickness', leaf.id, i + 1, 'Thickness')}
          {i === 0 ? (
            <p className="muted tips">its tips are the eyes</p>
          ) : (
            <>
              {field('leafFront', leaf.id, i + 1, 'Pin to front tip')}
              {field('leafRear', leaf.id, i + 1, 'Pin to rear tip')}
            </>
          )}
        </div>
      ))}
    </div>
  );
}
