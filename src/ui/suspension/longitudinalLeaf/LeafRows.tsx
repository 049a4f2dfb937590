'use client';
import { type ReactNode } from 'react';
import { type PointId } from '@/core/measure/points';
import { otherOf } from '@/core/vehicle/side';
import { type JobHandle } from '../../job/useJob';
import { FieldOfSheet, type FieldHooks } from '../../measure/FieldOfSheet';

type Props = FieldHooks & { job: JobHandle; own?: boolean };
type FieldOfLeaf = (point: PointId, label: string) => ReactNode;

/** The side that a pack is of, where the sides are unlike. */
const whereOf = ({ view }: JobHandle, own: boolean): string => {
  const side = view.own?.pack.side;
  return side ? `, ${own ? side : otherOf(side)}` : '';
};

/** One row a leaf, from the main leaf down. */
function Rows(
  props: Props & {
    name: (leaf: number) => string;
    /** Two fields side by side, not three. */ paired?: boolean;
    children: (field: FieldOfLeaf, i: number) => ReactNode;
  },
) {
  const { job, own = false, name, paired = false, children, ...hooks } = props;
  const { leaves } = (own && job.view.own) || job.view;
  return leaves.map((leaf, i) => (
    <div
      key={leaf.id}
      className={paired ? 'leaf-row paired' : 'leaf-row'}
      role="group"
      aria-label={`${name(i + 1)}${whereOf(job, own)}`}
    >
      <div className="name">
        <span className="figure">{i + 1}</span> {i === 0 ? 'main' : ''}
      </div>
      {children(
        (point, label) => (
          <FieldOfSheet job={job} at={{ point, side: null, leafId: leaf.id, stateId: null }} label={label} {...hooks} />
        ),
        i,
      )}
    </div>
  ));
}

/** Leaf by leaf from the main leaf down: thickness, then each tip. */
export const LeafRows = (props: Props) => (
  <div>
    <Rows {...props} name={(leaf) => `Leaf ${leaf}`}>
      {(field, i) => (
        <>
          {field('leafThickness', 'Thickness')}
          {i === 0 ? (
            <p className="muted tips">its tips are the eyes</p>
          ) : (
            <>
              {field('leafFront', 'Pin to front tip')}
              {field('leafRear', 'Pin to rear tip')}
            </>
          )}
        </>
      )}
    </Rows>
  </div>
);

/** Leaf by leaf what only some packs have: a shape of its own, tips that thin out, clips. */
export const ClipRows = (props: Props) => (
  <details className="more">
    <summary>
      <span>leaves of their own shape, thin tips, rebound clips{whereOf(props.job, props.own ?? false)}</span>
    </summary>
    <Rows {...props} paired name={(leaf) => `Shape, tips and clips of leaf ${leaf}`}>
      {(field, i) => (
        <>
          {field('leafTip', 'Thickness at the tips')}
          {i === 0 ? (
            <p className="muted tips">clips are carried by the leaves below</p>
          ) : (
            <>
              {field('leafCamber', 'Own free camber')}
              {field('clipFront', 'Bolt to clip, in front')}
              {field('clipRear', 'Bolt to clip, behind')}
            </>
          )}
        </>
      )}
    </Rows>
  </details>
);
