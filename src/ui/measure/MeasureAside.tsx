'use client';
import { Marked } from '../controls/Mark';
import Link from 'next/link';
import { useMemo } from 'react';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { assemble, type Assembled } from '@/core/measure/assemble';
import { POINTS, type PointId } from '@/core/measure/points';
import { provisional } from '@/core/measure/provisional';
import { decimalText } from '@/core/units/format';
import { Sheet } from '../controls/Sheet';
import { ElevationDrawing } from '../drawing/ElevationDrawing';
import { Length, PlusMinus } from '../measured/Figure';
import { focusField } from '../measured/MeasuredInput';
import { assumedParts } from '../prediction/assumedParts';
import { usePrediction } from '../prediction/usePrediction';
import { missingText } from './missingText';

interface Props {
  view: JobView;
  assembled: Assembled;
  focus: PointId | null;
}

/** Beside the sheet: the figure, what the readings already answer, and which reading to take next. */
export function MeasureAside({ view, assembled, focus }: Props) {
  const complete = assembled.missing.length === 0;
  const drawn = useMemo(() => {
    if (complete) return { input: { ...assembled.input, changes: [] }, filled: 0 };
    const stand = provisional(sheetOf(view, []));
    return { input: { ...assemble(stand.sheet).input, changes: [] }, filled: stand.filled };
  }, [view, assembled, complete]);
  const { prediction, refused, progress } = usePrediction(drawn.input, 0);
  const left = prediction?.sides.left?.states[0];
  const figures = left?.old;
  const height = assembled.input.sides.left.height;
  return (
    <div className="aside">
      <Sheet title="The spring as it stands">
        {figures ? (
          <ElevationDrawing
            old={figures.elevation}
            built={null}
            side="left"
            stateName={view.states[0]?.name ?? ''}
            before={height?.value ?? null}
            after={null}
            addedLeaf={null}
            assumed={complete ? assumedParts(assembled.input) : []}
            provisional={!complete}
            focus={focus}
          />
        ) : (
          <p className="muted">{progress === null ? 'No figure yet.' : 'Drawing…'}</p>
        )}
        {!complete ? (
          <p className="assumed">
            Dotted: typical values stand in for {drawn.filled} readings. Nothing is predicted from them.
          </p>
        ) : null}
        {refused ? (
          <div className="note" role="alert">
            <p>
              <Marked kind="look">These readings do not go together: {refused.reason}.</Marked>
            </p>
          </div>
        ) : null}
        {focus ? (
          <p className="howto">{POINTS[focus].howTo}</p>
        ) : (
          <p className="howto muted">Touch a field: its dimension is inked here.</p>
        )}
        {complete && figures ? (
          <dl className="facts">
            <dt>Rate at this load</dt>
            <dd>
              <span className="figure">{decimalText(figures.rate, 1)} N/mm</span>
            </dd>
            <dt>Free arch found</dt>
            <dd>
              <Length mm={prediction?.sides.left?.assembled?.before ?? 0} />{' '}
              <span className="muted">from loaded arch and load; it is not measured</span>
            </dd>
            <dt>Friction holds height</dt>
            <dd>
              <PlusMinus mm={figures.frictionHeight} /> <span className="muted">until it is rolled</span>
            </dd>
          </dl>
        ) : null}
      </Sheet>
      <Answers view={view} assembled={assembled} />
    </div>
  );
}

function Answers({ view, assembled }: { view: JobView; assembled: Assembled }) {
  const { sides, ubolt } = assembled.input;
  const heights = Boolean(sides.left.height && sides.right.height);
  const spring = assembled.missing.length === 0;
  const rows = [
    { name: 'block or riser', ready: heights, lacks: 'both heights' },
    { name: 'U-bolt threads left', ready: ubolt !== null, lacks: 'thread showing and pitch' },
    { name: 'leaf, shackle, over the axle', ready: spring, lacks: `${assembled.missing.length} readings` },
  ];
  return (
    <Sheet title="What these readings answer">
      <ul className="answers">
        {rows.map((row) => (
          <li key={row.name}>
            <Marked kind={row.ready ? 'done' : 'untouched'}>
              {row.name}: {row.ready ? 'can be predicted' : `needs ${row.lacks}`}
            </Marked>
          </li>
        ))}
      </ul>
      {assembled.missing.length > 0 ? (
        <>
          <p className="muted">Next:</p>
          <ul className="links columns">
            {assembled.missing.slice(0, 6).map((missing) => {
              const { text, anchor } = missingText(view, missing);
              return (
                <li key={anchor}>
                  <button type="button" className="link" onClick={() => focusField(anchor)}>
                    {text}
                  </button>
                </li>
              );
            })}
          </ul>
        </>
      ) : null}
      <Link className="act" href={`/jobs/${view.job.id}/choose`} prefetch={false}>
        On to Choose
      </Link>
    </Sheet>
  );
}
