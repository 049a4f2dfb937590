'use client';
import { type PointId } from '@/core/measure/points';
import { otherOf } from '@/core/vehicle/side';
import { type JobHandle } from '../../job/useJob';
import { FieldOfSheet, type FieldHooks } from '../../measure/FieldOfSheet';

/** Leaf by leaf from the main leaf down: thickness, then each tip. */
export function LeafRows({ job, own = false, ...hooks }: FieldHooks & { job: JobHandle; own?: boolean }) {
  const side = job.view.own?.pack.side;
  const { leaves } = (own && job.view.own) || job.view;
  const where = side ? `, ${own ? side : otherOf(side)}` : '';
  const field = (point: PointId, leafId: string, label: string) => (
    <FieldOfSheet job={job} at={{ point, side: null, leafId, stateId: null }} label={label} {...hooks} />
  );
  return (
    <div>
      {leaves.map((leaf, i) => (
        <div key={leaf.id} className="leaf-row" role="group" aria-label={`Leaf ${i + 1}${where}`}>
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

/** Leaf by leaf what only some packs have: tips that thin out, clips. */
export function ClipRows({ job, own = false, ...hooks }: FieldHooks & { job: JobHandle; own?: boolean }) {
  const side = job.view.own?.pack.side;
  const { leaves } = (own && job.view.own) || job.view;
  const where = side ? `, ${own ? side : otherOf(side)}` : '';
  const field = (point: PointId, leafId: string, label: string) => (
    <FieldOfSheet job={job} at={{ point, side: null, leafId, stateId: null }} label={label} {...hooks} />
  );
  return (
    <details className="more">
      <summary>
        <span>leaves that thin out towards their tips, rebound clips{where}</span>
      </summary>
      {leaves.map((leaf, i) => (
        <div key={leaf.id} className="leaf-row" role="group" aria-label={`Tips and clips of leaf ${i + 1}${where}`}>
          <div className="name">
            <span className="figure">{i + 1}</span> {i === 0 ? 'main' : ''}
          </div>
          {field('leafTip', leaf.id, 'Thickness at the tips')}
          {i === 0 ? (
            <p className="muted tips">clips are carried by the leaves below</p>
          ) : (
            <>
              {field('clipFront', leaf.id, 'Bolt to clip, in front')}
              {field('clipRear', leaf.id, 'Bolt to clip, behind')}
            </>
          )}
        </div>
      ))}
    </details>
  );
}
