'use client';
import { type ReactNode } from 'react';
import { type CoilFigures } from '@/core/suspension/coil/sideModel';
import { type Side } from '@/core/vehicle/side';
import { Dimension } from '../../drawing/Dimension';
import { fit, type Scale } from '../../drawing/scale';
import { ScaleBar } from '../../drawing/ScaleBar';
import { useRoom } from '../../drawing/useRoom';
import { useLengthText } from '../../measured/Figure';
import { useView } from '../../theme/View';
import { strandShapes } from './coilFigures';

interface Standing {
  figures: CoilFigures;
  /** Seat spacers, mm. */
  spacer: number;
  /** Lower seat moved up its unit, mm; negative down. */
  raised?: number;
}

interface Props {
  old: Standing;
  built: Standing | null;
  side: Side;
  stateName: string;
  /** Height before and after in this load state, mm. */
  before: number | null;
  after: number | null;
  /** What the coil stands on. */
  stands?: string;
  /** Drawn over it all, with rows of its own above and below, px. */
  over?: { top: number; bottom: number; draw: (s: Scale) => ReactNode };
}

/** Frame held still; the seat on the axle hangs below it by coil and spacers. */
const reach = ({ figures, spacer, raised = 0 }: Standing): number => figures.length + spacer + raised;
/** Lower end of the coil. */
const foot = ({ figures, spacer }: Standing): number => -(figures.length + spacer);
/** Of the beam under its seat, mm: not measured, drawn only to show which end is the axle. */
const BEAM = 46;

/** The coil between frame and axle, to scale: as it is in graphite dashes, as it will be solid, in one load state. */
export function CoilElevation({ old, built, side, stateName, before, after, stands = 'axle', over }: Props) {
  const [box, width, tall] = useRoom<HTMLElement>(720);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const shown = built ?? old;
  const half = Math.max(...[old, shown].map((at) => (at.figures.coil.mean + at.figures.coil.wire) / 2));
  const deep = Math.max(reach(old), reach(shown));
  // A coil is tall and narrow: it stands in the middle third, its figures beside it.
  const across = deep * 1.2;
  const s = fit(
    { left: -across, right: across, top: 46, bottom: -deep - BEAM - 14 },
    width,
    { left: 8, right: 8, top: 8 + (over?.top ?? 0), bottom: 40 + (over?.bottom ?? 0) },
    tall,
  );
  const spoken = [
    `Coil, ${side}, ${stateName}: ${lengthText(shown.figures.length)} from seat to seat`,
    built ? `, was ${lengthText(old.figures.length)}` : '',
    before !== null ? `. Hub to lip ${built ? 'before ' : ''}${lengthText(before)}` : '',
    built && after !== null ? `, after ${lengthText(after)}` : '',
    '.',
  ].join('');
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${s.height.toFixed(1)}`}
        role={over ? 'group' : 'img'}
        aria-label={spoken}
      >
        <FrameAndSeat s={s} half={half} />
        {built ? <CoilAndBeam s={s} at={old} half={half} look="old" stands={stands} /> : null}
        <CoilAndBeam s={s} at={shown} half={half} look={built ? 'new' : 'now'} stands={stands} />
        {built ? (
          <Dimension
            s={s}
            at={s.x(-half) - 66}
            from={-old.spacer}
            to={foot(old)}
            ink="old"
            text={`was ${lengthText(old.figures.length)}`}
          />
        ) : null}
        <Dimension
          s={s}
          at={s.x(half) + 66}
          from={-shown.spacer}
          to={foot(shown)}
          ink={built ? 'new' : 'plain'}
          text={lengthText(shown.figures.length)}
        />
        {shown.spacer > 0 ? (
          <text x={s.x(half) + 84} y={s.y(-shown.spacer / 2) + 5}>
            spacer {lengthText(shown.spacer)}
          </text>
        ) : null}
        {shown.raised ? (
          <text x={s.x(half) + 84} y={s.y((foot(shown) - reach(shown)) / 2) + 5}>
            seat {lengthText(Math.abs(shown.raised))} {shown.raised > 0 ? 'up' : 'down'}
          </text>
        ) : null}
        {built ? (
          <text x={s.x(half) + 84} y={s.y(-reach(shown)) + 26} style={{ fill: 'var(--new)' }}>
            new
          </text>
        ) : null}
        {over?.draw(s)}
        <ScaleBar s={s} across={2 * across} lengths={lengths} left={16} top={s.height - 8} front={false}>
          {side}, {stateName}
        </ScaleBar>
      </svg>
    </figure>
  );
}

function FrameAndSeat({ s, half }: { s: Scale; half: number }) {
  const wide = half + 60;
  return (
    <g>
      <rect
        x={s.x(-wide)}
        y={s.y(34)}
        width={s.x(wide) - s.x(-wide)}
        height={s.y(0) - s.y(34)}
        className="shape outline"
      />
      <text x={s.x(wide) + 12} y={s.y(17) + 5}>
        frame, held still
      </text>
    </g>
  );
}

function CoilAndBeam({
  s,
  at,
  half,
  look,
  stands,
}: {
  s: Scale;
  at: Standing;
  half: number;
  look: 'old' | 'new' | 'now';
  stands: string;
}) {
  const { figures, spacer, raised = 0 } = at;
  const ink = look === 'old' ? 'var(--graphite)' : look === 'new' ? 'var(--new)' : 'var(--ink)';
  const dash = look === 'old' ? '5 4' : undefined;
  const low = -reach(at);
  const shapes = strandShapes(figures.coil, figures.length, s, 0, foot(at), true);
  const wide = half + 26;
  const line = { fill: 'none', stroke: ink, strokeWidth: look === 'old' ? 1.1 : 1.8, strokeDasharray: dash };
  return (
    <g data-look={look}>
      {shapes.map((shape, k) => (
        <path
          key={k}
          d={shape.path}
          {...line}
          {...(look !== 'old' && shape.look === 'steel' && { fill: 'var(--sheet)' })}
          {...(shape.look === 'thin' && { strokeWidth: 0.9 })}
        />
      ))}
      {spacer > 0 ? (
        <rect x={s.x(-half)} y={s.y(0)} width={s.x(half) - s.x(-half)} height={spacer * s.perMm} {...line} />
      ) : null}
      {raised > 0 ? (
        <rect x={s.x(-half)} y={s.y(foot(at))} width={s.x(half) - s.x(-half)} height={raised * s.perMm} {...line} />
      ) : null}
      <rect x={s.x(-wide)} y={s.y(low)} width={s.x(wide) - s.x(-wide)} height={BEAM * s.perMm} rx={4} {...line} />
      {look === 'old' ? null : (
        <text x={s.x(0)} y={s.y(low - BEAM / 2) + 5} textAnchor="middle">
          {stands}
        </text>
      )}
    </g>
  );
}
