'use client';
import { type PointId } from '@/core/measure/points';
import { type JobHandle } from '../job/useJob';
import { FieldOfSheet, type FieldHooks } from './FieldOfSheet';

/** Leaf by leaf from the main leaf down: thickness, then each tip. */
export function LeafRows({ job, ...hooks }: FieldHooks & { job: JobHandle }) {
  const field = (point: PointId, leafId: string, label: string) => (
    <FieldOfSheet job={job} at={{ point, side: null, leafId, stateId: null }} label={label} {...hooks} />
  );
  return (
    <div>
      {job.view.leaves.map((leaf, i) => (
        <div key={leaf.id} className="leaf-row" role="group" aria-label={`Leaf ${i + 1}`}>
          <div className="name">
            <span className="figure">{i + 1}</span> {i === 0 ? 'main' : ''}
          </div>
          {field('leafThickness', leaf.id, 'Thickness')}
          {i === 0 ? (
            <p className="muted tips">its tips are the eyes</p>
          ) : (
            <>
              {field('leafFront', leaf.id, 'Pin to front tip')}
              {field('leafRear', leaf.id, 'Pin to rear tip')}
            </>
          )}
        </div>
      ))}
    </div>
  );
}
