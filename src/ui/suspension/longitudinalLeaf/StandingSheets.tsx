'use client';
import { Marked } from '../../controls/Mark';
import { type JobView } from '@/contracts/job';
import { SIDES } from '@/core/vehicle/side';
import { Sheet } from '../../controls/Sheet';
import { ElevationDrawing } from '../../drawing/ElevationDrawing';
import { Length, PlusMinus } from '../../measured/Figure';
import { assumedParts } from './assumedParts';
import { SpringSheet } from '../../spring/SpringSheet';
import { type Standing } from './useStanding';
import { SpringFitSheet } from './SpringFitSheet';
import { Quantity } from '../../measured/Quantity';

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
