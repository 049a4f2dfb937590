'use client';
import { Marked } from '../controls/Mark';
import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { consistency } from '@/core/suspension/longitudinalLeaf/consistency';
import { type Assembled } from '@/core/suspension/longitudinalLeaf/assemble';
import { SIDES } from '@/core/vehicle/side';
import { Sheet } from '../controls/Sheet';
import { ElevationDrawing } from '../drawing/ElevationDrawing';
import { Length, PlusMinus } from '../measured/Figure';
import { focusField } from '../measured/MeasuredInput';
import { assumedParts } from '../prediction/assumedParts';
import { SpringSheet } from '../spring/SpringSheet';
import { missingText } from './missingText';
import { type Standing } from './useStanding';
import { SpringFitSheet } from './SpringFitSheet';
import { Quantity } from '../measured/Quantity';

interface Props {
  view: JobView;
  standing: Standing;
}

/** Under the sheet: what the readings say of the spring as it stands. */
export function StandingSheets({ view, standing }: Props) {
  const { assembled, complete, filled, input, prediction, refused, progress } = standing;
  const left = prediction?.sides.left?.states[0];
  const figures = left?.old;
  const height = assembled.input.sides.left.height;
  return (
    <div className="sheets two standing">
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
          />
        ) : (
          <p className="muted">{progress === null ? 'No figure yet.' : 'Drawing…'}</p>
        )}
        {!complete ? (
          <p className="assumed">
            Dotted: typical values stand in for {filled} readings. Nothing is predicted from them.
          </p>
        ) : null}
        {refused ? (
          <div className="note" role="alert">
            <p>
              <Marked kind="look">These readings do not go together: {refused.reason}.</Marked>
            </p>
          </div>
        ) : null}
        {complete && figures ? (
          <dl className="facts">
            <dt>Rate at this load</dt>
            <dd>
              <Quantity value={figures.rate} of="rate" digits={1} />
            </dd>
            <dt>Arch with nothing on it</dt>
            <dd>
              <Length mm={prediction?.sides.left?.assembled?.before ?? 0} />{' '}
              <span className="muted">
                U-bolts tight, eye line to leaf middle; from loaded arch and load, not measured
              </span>
            </dd>
            <dt>Friction holds height</dt>
            <dd>
              <PlusMinus mm={figures.frictionHeight} /> <span className="muted">until it is rolled</span>
            </dd>
          </dl>
        ) : null}
      </Sheet>
      <div className="sheets">
        {complete && left?.old ? (
          <SpringSheet
            input={input}
            side="left"
            addedLeaf={null}
            stops={(prediction?.sides.left?.states ?? []).flatMap((s) =>
              s.old ? [{ name: s.name, load: s.old.load }] : [],
            )}
          />
        ) : null}
        {complete && figures
          ? SIDES.flatMap((side) => {
              const known = prediction?.sides[side];
              return known && (side === 'left' || known.fit || known.unfit)
                ? [
                    <SpringFitSheet
                      key={side}
                      side={side}
                      fit={known.fit}
                      unfit={known.unfit}
                      toTop={(assembled.input.pack?.leaves[0]?.thickness.value ?? 0) / 2}
                    />,
                  ]
                : [];
            })
          : null}
      </div>
    </div>
  );
}

/** What the readings already answer, and which to take next. */
export function Answers({ view, assembled }: { view: JobView; assembled: Assembled }) {
  const { sides, ubolt } = assembled.input;
  const heights = Boolean(sides.left.height && sides.right.height);
  const spring = assembled.missing.length === 0;
  const rows = [
    { name: 'block or riser', ready: heights, lacks: 'both heights' },
    { name: 'U-bolt threads left', ready: ubolt !== null, lacks: 'thread showing and pitch' },
    { name: 'leaf, shackle, over the axle', ready: spring, lacks: `${assembled.missing.length} readings` },
  ];
  const flags = consistency(sheetOf(view)).length;
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
        {flags > 0 ? (
          <li>
            <a className="link" href="#watch">
              <Marked kind="look">
                {flags === 1 ? 'one contradiction' : `${flags} contradictions`} between readings
              </Marked>
            </a>
          </li>
        ) : null}
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
      <Link className="act" href={`/jobs/${view.id}/choose`} prefetch={false}>
        On to Choose
      </Link>
    </Sheet>
  );
}
