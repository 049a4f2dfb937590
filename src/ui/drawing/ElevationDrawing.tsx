'use client';
import { Popover } from 'antd';
import { type ReactNode } from 'react';
import { hungEye, type Elevation } from '@/core/suspension/longitudinalLeaf/elevation';
import { type PointId } from '@/core/measure/points';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { Dimension, LevelDimension } from './Dimension';
import { fit, pathOf, type Extent, type Scale } from './scale';
import { ScaleBar } from './ScaleBar';
import { useRoom } from './useRoom';
import { SpringMarks } from './SpringMarks';

interface Props {
  old: Elevation;
  built: Elevation | null;
  side: 'left' | 'right';
  stateName: string;
  /** Hub to lip before and after in this load state, mm. */
  before: number | null;
  after: number | null;
  /** Leaf index of an added leaf in the built pack, if any. */
  addedLeaf: number | null;
  /** Parts that nobody measured, said in words under the drawing. */
  assumed: readonly string[];
  /** Drawn in dots because typical values stand in. */
  provisional?: boolean;
  /** The dimension whose field has the focus. */
  focus?: PointId | null;
  /** Hub over the ground, mm, and whether it was read: the wheel and what it stands on are drawn too. */
  radius?: { value: number; known: boolean } | null;
  /** A spring that helps the pack from beside it: how far it is pressed, negative where it hangs clear, of its stroke, mm. */
  helper?: { pressed: number; stroke: number } | null;
  /** Handles to pull, in the drawing's own scale. */
  handles?: (s: Scale, shown: Elevation) => ReactNode;
  /** Drawn over it all, with rows of its own above and below, px. */
  over?: { top: number; bottom: number; draw: (s: Scale, shown: Elevation) => ReactNode };
}

/** Room for the two heights on the left and the shackle's angle on the right. */
const MARGIN = { left: 96, right: 64, top: 40, bottom: 44 };
/** Least height of a drawing in which there is room to pull, px. */
const LEAST_TO_PULL = 220;
/** Height of the row of handles under the spring, px. */
const HANDLES = 40;
const NEW_AT = 74;
const OLD_AT = 36;

function extentOf(drawings: Elevation[], lip: number | null): Extent {
  const ys = drawings.flatMap((d) => [
    d.hub.y - d.stack.tubeDiameter / 2 - 20,
    (d.pivot ?? d.rearEye).y,
    d.seat.y - d.stack.below - 30,
    ...d.leaves.flatMap((l) => l.points.map((p) => p.y)),
  ]);
  const across = drawings.flatMap((d) => [d.frontEye.x, d.rearEye.x, d.pivot?.x ?? d.rearEye.x + 40]);
  const top = Math.max(...ys, lip === null ? -Infinity : lip);
  return {
    left: Math.min(-10, ...across) - 30,
    right: Math.max(...across) + 30,
    top: top + 10,
    bottom: Math.min(...ys),
  };
}

const degrees = (rad: number): string => ((rad * 180) / Math.PI).toFixed(0);

/** A to-scale side view drawn from the solution: old in graphite dashes, new in solid colour, frame held still. */
export function ElevationDrawing(props: Props) {
  const { old, built, side, stateName, before, after, addedLeaf, assumed, provisional = false, focus = null } = props;
  const { radius = null, handles, over, helper = null } = props;
  const { lengths } = useView();
  const lengthText = useLengthText();
  const shown = built ?? old;
  const lip = before === null ? null : old.hub.y + before;
  const extent = extentOf(built ? [old, built] : [old], lip);
  const [box, width, tall] = useRoom<HTMLElement>(800);
  // On a phone, and while the dock has the room, the fields do it.
  const pulled = handles && tall !== Infinity && tall > LEAST_TO_PULL ? handles : undefined;
  const rows = { top: over?.top ?? 0, bottom: over?.bottom ?? (pulled ? HANDLES : 0) };
  const s = fit(
    extent,
    width,
    { ...MARGIN, ...(over && { left: 40 }), top: MARGIN.top + rows.top, bottom: MARGIN.bottom + rows.bottom },
    tall,
  );
  const spoken = [
    `Side elevation, ${side}, ${stateName}.`,
    before === null ? '' : `Hub to lip ${built ? 'before ' : ''}${lengthText(before)}.`,
    built && after !== null ? `After ${lengthText(after)}.` : '',
    shown.shackleAngle === null
      ? 'Rear end under a pad.'
      : `Shackle${shown.turned ? ' at the front' : ''} ${degrees(shown.shackleAngle)} degrees.`,
  ].join(' ');
  const left = 16;
  // Beside the pivot, or clear of the plates that reach down to it.
  const eye = hungEye(shown);
  const hung = shown.pivot ?? eye;
  const angleAt = hung.y < eye.y ? 22 : 8;
  const rail = Math.max((old.pivot ?? old.rearEye).y, hung.y, eye.y, 0) + 28 / s.perMm;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${s.width} ${s.height.toFixed(1)}`}
        role={pulled || over ? 'group' : 'img'}
        aria-label={spoken}
        data-per-mm={s.perMm}
        data-origin-x={s.x(0)}
        data-origin-y={s.y(0)}
      >
        <FrameMarks s={s} y={rail} left={left} drawing={shown} named={!over} />
        {radius === null ? null : <Wheel s={s} old={old} shown={shown} radius={radius} left={left} />}
        {built ? <SpringMarks drawing={old} s={s} look="old" addedLeaf={null} /> : null}
        <SpringMarks
          drawing={shown}
          s={s}
          look={provisional ? 'assumed' : built ? 'new' : 'now'}
          addedLeaf={built ? addedLeaf : null}
          named={!pulled}
        />
        {helper ? <HelperMarks s={s} drawing={shown} rail={rail} helper={helper} /> : null}
        {lip !== null && before !== null ? (
          <HeightMarks
            s={s}
            old={old}
            built={built}
            lip={lip}
            before={before}
            after={after}
            inked={focus === 'hubToLip'}
          />
        ) : null}
        {shown.shackleAngle === null ? null : (
          <text x={s.x(hung.x) + 16} y={s.y(hung.y) + angleAt} className="num">
            {degrees(shown.shackleAngle)}°
          </text>
        )}
        {built && old.shackleAngle !== null ? (
          <text x={s.x(hung.x) + 16} y={s.y(hung.y) + angleAt + 18} style={{ fill: 'var(--graphite)' }}>
            was {degrees(old.shackleAngle)}°
          </text>
        ) : null}
        {pulled?.(s, shown)}
        {over?.draw(s, shown)}
        {focus ? <FocusMarks s={s} drawing={shown} focus={focus} /> : null}
        <ScaleBar s={s} across={extent.right - extent.left} lengths={lengths} left={left} top={s.height - 14}>
          {side}, {stateName}
        </ScaleBar>
      </svg>
      {assumed.length === 0 ? null : tall === Infinity ? (
        <figcaption className="assumed">Assumed in this drawing: {assumed.join(', ')}.</figcaption>
      ) : (
        <Popover trigger="click" placement="topRight" content={<p className="assumed">{assumed.join(', ')}</p>}>
          <button type="button" className="link stage-assumed">
            {assumed.length === 1 ? 'one part assumed' : `${assumed.length} parts assumed`}
          </button>
        </Popover>
      )}
    </figure>
  );
}

/** A helper spring beside the pack, from the frame down: on the axle, or clear of it by what is left. Its width is nobody's figure. */
function HelperMarks({
  s,
  drawing,
  rail,
  helper: { pressed },
}: {
  s: Scale;
  drawing: Elevation;
  rail: number;
  helper: { pressed: number; stroke: number };
}) {
  const { hub, stack, seatLength } = drawing;
  const x = hub.x - seatLength / 2 - 62;
  const axle = hub.y + stack.tubeDiameter / 2;
  const foot = axle + Math.max(0, -pressed);
  const [wide, waist] = [34, 24];
  const bellows = [
    ...([
      [wide, 1],
      [waist, 0.66],
      [wide, 0.5],
      [waist, 0.34],
      [wide, 0],
    ] as const),
  ].map(([half, share]) => ({ half, y: foot + share * (rail - foot) }));
  const points = [
    ...bellows.map(({ half, y }) => ({ x: x + half, y })),
    ...bellows.toReversed().map(({ half, y }) => ({ x: x - half, y })),
  ];
  return (
    <g data-part="helper" fill="none" stroke="var(--new)" strokeWidth="1.8" strokeLinejoin="round">
      <path d={`${pathOf(points, s)}Z`} />
      <path
        d={pathOf(
          [
            { x: x - wide, y: axle },
            { x: hub.x, y: axle },
          ],
          s,
        )}
      />
      <text
        x={s.x(x - wide) - 8}
        y={s.y((rail + foot) / 2) + 5}
        textAnchor="end"
        stroke="none"
        style={{ fill: 'var(--new)' }}
      >
        helper
      </text>
    </g>
  );
}

interface WheelProps {
  s: Scale;
  old: Elevation;
  shown: Elevation;
  radius: { value: number; known: boolean };
  left: number;
}

/** The wheel behind the spring, and the ground where it is in sight; dashed where the ground was, as the frame is held still. */
function Wheel({ s, old, shown, radius: { value: radius, known }, left }: WheelProps) {
  const [at, was] = [s.y(shown.hub.y - radius), s.y(old.hub.y - radius)];
  const right = s.width - 20;
  const low = s.height - 34;
  return (
    <g>
      <clipPath id="in-sight">
        <rect x="0" y="0" width={s.width} height={low} />
      </clipPath>
      <g
        fill="none"
        stroke="var(--tick)"
        strokeWidth="1.2"
        strokeDasharray={known ? undefined : '2 4'}
        clipPath="url(#in-sight)"
      >
        <circle {...s.at(shown.hub)} r={radius * s.perMm} />
        <circle {...s.at(shown.hub)} r={radius * 0.58 * s.perMm} />
      </g>
      {Math.abs(at - was) > 1 && was < low ? (
        <path d={`M${left} ${was}H${right}`} stroke="var(--graphite)" strokeDasharray="7 5" strokeWidth="1.1" />
      ) : null}
      {at < low ? (
        <path d={`M${left} ${at}H${right}`} stroke="var(--ink)" strokeWidth="2.4" data-part="ground" />
      ) : null}
    </g>
  );
}

interface FrameProps {
  s: Scale;
  y: number;
  left: number;
  drawing: Elevation;
  named: boolean;
}

/** Rail and hangers: only indicated, nobody measured them. */
function FrameMarks({ s, y, left, drawing, named }: FrameProps) {
  const { pivot, rearEye } = drawing;
  const eye = hungEye(drawing);
  // The plates of a pivot below its eye stand clear of the spring, outside.
  const outside = drawing.turned ? -34 : 34;
  const right = s.width - 20;
  return (
    <g>
      <defs>
        <pattern id="hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="8" stroke="var(--tick)" strokeWidth="1.5" />
        </pattern>
      </defs>
      <rect x={left} y={s.y(y) - 12} width={right - left} height="12" fill="url(#hatch)" />
      <line x1={left} x2={right} y1={s.y(y)} y2={s.y(y)} stroke="var(--ink)" strokeWidth="2" />
      {named ? (
        <text x={right} y={s.y(y) - 18} textAnchor="end" style={{ fill: 'var(--graphite)' }}>
          frame, held still
        </text>
      ) : null}
      <path
        d={`M${s.x(-28)} ${s.y(y)}L${s.x(0)} ${s.y(0)}L${s.x(28)} ${s.y(y)}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.5"
      />
      {pivot === null ? (
        // The pad hangs from the frame on a bracket.
        <path
          d={`M${s.x(rearEye.x - 30)} ${s.y(y)}V${s.y(rearEye.y)}M${s.x(rearEye.x + 30)} ${s.y(y)}V${s.y(rearEye.y)}`}
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ) : pivot.y < eye.y ? (
        // The pivot below the eye hangs on plates that reach down past it.
        <path
          d={`M${s.x(pivot.x + outside)} ${s.y(y)}L${s.x(pivot.x + outside)} ${s.y(pivot.y)}L${s.x(pivot.x)} ${s.y(pivot.y)}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      ) : null}
    </g>
  );
}

interface HeightProps {
  s: Scale;
  old: Elevation;
  built: Elevation | null;
  lip: number;
  before: number;
  after: number | null;
  inked: boolean;
}

/** Arch lip and the hub-to-lip heights, each with its own two points. */
function HeightMarks({ s, old, built, lip, before, after, inked }: HeightProps) {
  const lengthText = useLengthText();
  const hub = (built ?? old).hub;
  const at = built ? OLD_AT : NEW_AT;
  const y = s.y(lip);
  return (
    <g>
      <path
        d={`M${OLD_AT - 20} ${y + 9}Q${(OLD_AT + NEW_AT) / 2} ${y - 9} ${NEW_AT + 20} ${y + 9}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="3"
      />
      <text x={OLD_AT - 20} y={y - 16} className="num">
        <tspan style={{ fill: built ? 'var(--graphite)' : 'var(--ink)' }}>
          {built ? `was ${lengthText(before)}` : lengthText(before)}
        </tspan>
        {built && after !== null ? (
          <tspan dx="12" className="strong" style={{ fill: 'var(--new)' }}>
            {lengthText(after)}
          </tspan>
        ) : null}
      </text>
      <text x={NEW_AT + 26} y={y + 6}>
        arch lip
      </text>
      <line
        x1={OLD_AT}
        x2={s.x(hub.x)}
        y1={s.y(hub.y)}
        y2={s.y(hub.y)}
        stroke={built ? 'var(--new)' : 'var(--graphite)'}
        strokeDasharray="2 4"
      />
      {built && after !== null ? <Dimension s={s} at={NEW_AT} from={hub.y} to={lip} ink="new" /> : null}
      <Dimension s={s} at={at} from={old.hub.y} to={lip} ink={inked ? 'focus' : 'old'} />
    </g>
  );
}

/** The dimension of the field that has the focus. */
function FocusMarks({ s, drawing, focus }: { s: Scale; drawing: Elevation; focus: PointId }) {
  const { frontEye, rearEye, seat, hub, pivot, stack, seatLength } = drawing;
  const below = Math.min(seat.y - stack.below, hub.y) - stack.tubeDiameter / 2 - 8;
  const level = (from: number, to: number, text: string) => (
    <LevelDimension s={s} at={s.y(below)} from={from} to={to} text={text} ink="focus" />
  );
  const up = stack.arrangement === 'over' ? 1 : -1;
  const upright = (from: number, to: number, text: string) => (
    <Dimension
      s={s}
      at={s.x(hub.x + seatLength / 2) + 34}
      from={hub.y + up * from}
      to={hub.y + up * to}
      text={text}
      ink="focus"
    />
  );
  const share = (seat.x - frontEye.x) / (rearEye.x - frontEye.x);
  const eyeLine = frontEye.y + (rearEye.y - frontEye.y) * share;
  const radius = stack.tubeDiameter / 2;
  const tip = (end: 'front' | 'rear') => {
    const leaf = drawing.leaves[1] ?? drawing.leaves[0]!;
    return end === 'front' ? leaf.points[0]!.x : leaf.points.at(-1)!.x;
  };
  switch (focus) {
    case 'loadedArch':
      return (
        <g>
          <line
            x1={s.x(frontEye.x)}
            y1={s.y(frontEye.y)}
            x2={s.x(rearEye.x)}
            y2={s.y(rearEye.y)}
            stroke="var(--amber)"
            strokeDasharray="6 4"
          />
          <Dimension s={s} at={s.x(seat.x)} from={seat.y + stack.main / 2} to={eyeLine} text="arch" ink="focus" />
        </g>
      );
    case 'eyeToPinFront':
      return level(frontEye.x, seat.x, 'front eye to pin');
    case 'eyeToPinRear':
      return level(seat.x, rearEye.x, 'rear eye to pin');
    case 'leafFront':
      return level(tip('front'), seat.x, 'pin to front tip');
    case 'leafRear':
      return level(seat.x, tip('rear'), 'pin to rear tip');
    case 'uboltSpacing':
      return level(hub.x - seatLength / 2, hub.x + seatLength / 2, 'U-bolt spacing');
    case 'blockHeight':
      return upright(radius + stack.perch, radius + stack.perch + stack.block, 'block');
    case 'perchHeight':
      return upright(radius, radius + stack.perch, 'perch');
    case 'tubeDiameter':
      return upright(-radius, radius, 'tube');
    case 'leafThickness':
      return upright(
        radius + stack.perch + stack.block,
        radius + stack.perch + stack.block + stack.main + stack.below,
        'leaves',
      );
    case 'shackleLength':
    case 'shackleAngle':
      return pivot === null ? null : (
        <line
          x1={s.x(hungEye(drawing).x)}
          y1={s.y(hungEye(drawing).y)}
          x2={s.x(pivot.x)}
          y2={s.y(pivot.y)}
          stroke="var(--amber)"
          strokeWidth="4"
        />
      );
    default:
      return null;
  }
}
