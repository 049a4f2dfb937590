import { told, unread, waits, type BesideRead, type ReadRow } from './readRow';
import { thrustAngle, tiltAngle } from '../vehicle/square';

export const STANDS_ITEMS = ['square', 'padSpread', 'tyreToSpring', 'headlamps', 'sideSlope', 'axleShafts'] as const;
export type StandsItem = (typeof STANDS_ITEMS)[number];

/** What the rows need besides their own readings. */
export interface StandsOf {
  /** Hub to hub along each side, mm. */
  hubToHub: { left: number | null; right: number | null };
  wheelbase: number;
  position: 'front' | 'rear';
  /** Of the frame over this axle, mm; null where it is not solved. */
  lift: number | null;
  /** By how much the plan's pack is wider than the one that was read, mm. */
  wider: number;
  /** The axle of another width as it is planned, mm; null where it stays. `by` narrower, both sides together. */
  width: { by: number; pads: number; hanger: number; shackle: number } | null;
  /** Stands on its own wheels and has lamps in front. */
  drives: boolean;
}

const DEGREE = Math.PI / 180;
/** An axle further askew wears its tyres and makes it run aside, rad. Chosen. */
const ASKEW = 0.15 * DEGREE;
/** Room a tyre and a spring need between them, mm: the tyre leans in under load. Chosen. */
const SIDE_ROOM = 15;
/** A spring further out of line with its hanger is bent sideways, mm. Chosen. */
const BENT = 3;
/** A beam that rises or falls by more on ten metres is set anew, mm. Chosen; the law of the place goes before it. */
const BEAM = 50;
const degrees = (rad: number, digits = 1): string => `${(Math.abs(rad) / DEGREE).toFixed(digits)}°`;

/** Left wheelbase against right, and the diagonals of the frame. */
function squareRow(read: BesideRead, { hubToHub }: StandsOf): ReadRow<StandsItem> {
  const wants = unread(read, ['hubTrack']);
  const { hubTrack, diagonalLeft, diagonalRight } = read;
  const { left, right } = hubToHub;
  if (hubTrack === undefined || left === null || right === null) return waits('square', wants);
  const angle = thrustAngle(left, right, hubTrack);
  const half90 = (2 * Math.SQRT2) / hubTrack;
  const crossed = diagonalLeft === undefined || diagonalRight === undefined ? null : diagonalLeft - diagonalRight;
  const askew = Math.abs(angle) > ASKEW;
  return {
    ...{ item: 'square', state: askew ? 'look' : 'fits', half90, wants },
    text:
      `${(left - right).toFixed(0).replace('-', '−')} mm left less right over ${hubTrack.toFixed(0)} mm: ${degrees(angle, 2)}` +
      `${askew ? `, it runs to the ${angle > 0 ? 'right' : 'left'}: look for a sheared centre bolt, a slipped pad or a bent hanger before shimming` : ', square enough'}` +
      `${crossed === null ? '' : `. The diagonals differ by ${Math.abs(crossed).toFixed(0)} mm: the axle stands ${Math.abs(crossed) < 4 ? 'in the middle' : `towards the ${crossed > 0 ? 'left' : 'right'}`}`}.`,
    figure: { quantity: 'askew', dimension: 'angle', value: angle, limit: ASKEW, margin: ASKEW - Math.abs(angle) },
    source: 'chosen: 0.15°',
    working: [
      `atan((${left.toFixed(0)} − ${right.toFixed(0)}) ÷ ${hubTrack.toFixed(0)}) = ${(angle / DEGREE).toFixed(2)}°`,
    ],
  };
}

/** Whether the pads on the axle stand under the hangers: else the spring is bent sideways and its eyes are torn. */
function padSpreadRow(read: BesideRead, { width }: StandsOf): ReadRow<StandsItem> {
  const { hangerSpread: straight } = read;
  const padSpread = width?.pads ?? read.padSpread;
  const shackleOffset = width?.shackle ?? read.shackleOffset ?? 0;
  const hangerSpread = straight === undefined ? undefined : straight - 2 * (width?.hanger ?? 0);
  const wants = unread(read, width ? ['hangerSpread'] : ['padSpread', 'hangerSpread']);
  if (padSpread === undefined || hangerSpread === undefined) return waits('padSpread', wants);
  const front = (hangerSpread - padSpread) / 2;
  // The shackle hangs where the straight hanger stood.
  const rear = front + (width?.hanger ?? 0) - shackleOffset;
  const worst = Math.abs(front) > Math.abs(rear) ? front : rear;
  const out = Math.abs(worst) > BENT;
  const told = (by: number) =>
    `${Math.abs(by).toFixed(0)} mm${Math.abs(by) < 0.5 ? '' : ` further ${by > 0 ? 'in' : 'out'}`}`;
  return {
    ...{ item: 'padSpread', state: out ? 'look' : 'fits', wants, half90: 1.5 },
    text: `On each side the spring stands ${told(front)} at the front hanger and ${told(rear)} at the shackle than what holds it${out ? ': move the pads or the hanger, never pull it over with the bolt' : ''}.`,
    figure: { quantity: 'out of line', dimension: 'length', value: worst, limit: BENT, margin: BENT - Math.abs(worst) },
    source: `chosen: ${BENT} mm`,
    working: [
      `(${hangerSpread.toFixed(0)} − ${padSpread.toFixed(0)}) ÷ 2 = ${front.toFixed(1)} in front; less the shackle’s offset ${shackleOffset.toFixed(0)} behind`,
    ],
  };
}

/** Room sideways between tyre and spring, with the plan's pack. */
function tyreToSpringRow(read: BesideRead, { wider, width }: StandsOf): ReadRow<StandsItem> {
  const now = read.tyreToSpring;
  const wants = unread(read, width ? ['tyreToSpring', 'padSpread'] : ['tyreToSpring']);
  if (now === undefined || wants.length > 0) return waits('tyreToSpring', wants);
  const { wheelInward = 0, tyreWider = 0 } = read;
  // The wheel comes in by half of what the housing loses, the spring by half of what its pads do.
  const padsIn = width && read.padSpread !== undefined ? (read.padSpread - width.pads) / 2 : 0;
  const nearer = (width ? width.by / 2 : 0) - padsIn;
  const left = now - wider / 2 - wheelInward - tyreWider / 2 - nearer;
  const margin = left - SIDE_ROOM;
  return {
    ...{ item: 'tyreToSpring', state: left <= 0 ? 'does not fit' : margin < 0 ? 'look' : 'fits', wants: [], half90: 2 },
    text:
      left <= 0
        ? 'Tyre and spring meet.'
        : `${left.toFixed(0)} mm sideways${margin < 0 ? `: a tyre leans in by some of that under load` : ''}.`,
    figure: { quantity: 'room sideways', dimension: 'length', value: left, limit: SIDE_ROOM, margin },
    source: `chosen: ${SIDE_ROOM} mm`,
    working: [
      [
        `${now.toFixed(0)} as read`,
        wider === 0 ? '' : ` − half of ${wider.toFixed(0)} that the pack is wider`,
        wheelInward === 0 ? '' : ` − ${wheelInward.toFixed(0)} that the new wheel stands further in`,
        tyreWider === 0 ? '' : ` − half of ${tyreWider.toFixed(0)} that the new tyre is wider`,
        nearer === 0
          ? ''
          : ` − ${nearer.toFixed(0)} that the wheel comes nearer to the spring by another housing and pads`,
      ].join(''),
    ],
  };
}

/** How far the beam of the lamps moves when one axle's frame is raised or lowered. */
function headlampsRow({ lift, wheelbase, position, drives }: StandsOf): ReadRow<StandsItem> {
  if (lift === null || !drives) return waits('headlamps', []);
  const turn = ((position === 'rear' ? -1 : 1) * lift) / wheelbase;
  const beam = 10_000 * Math.tan(turn);
  const moves = Math.abs(beam) > BEAM;
  return {
    ...{ item: 'headlamps', state: moves ? 'look' : 'fits', wants: [], half90: null },
    text: moves
      ? `The beam ${beam > 0 ? 'rises' : 'falls'} by ${Math.abs(beam).toFixed(0)} mm on 10 m: have it set; what is allowed is the law of the place.`
      : `The beam moves by ${Math.abs(beam).toFixed(0)} mm on 10 m.`,
    figure: { quantity: 'beam on 10 m', dimension: 'length', value: beam, limit: BEAM, margin: BEAM - Math.abs(beam) },
    source: `chosen: ${BEAM} mm on 10 m`,
    working: [`10 m × lift ${lift.toFixed(0)} ÷ wheelbase ${wheelbase.toFixed(0)}; the other axle stays`],
  };
}

/** Slope across which it tips standing, before and after. Told, never allowed: bends, load and soft springs take much of it. */
function sideSlopeRow(read: BesideRead, { lift, width }: StandsOf): ReadRow<StandsItem> {
  const { hubTrack, massHeight } = read;
  const wants = unread(read, ['hubTrack', 'massHeight']);
  if (hubTrack === undefined || massHeight === undefined || lift === null) return waits('sideSlope', wants);
  const [was, will] = [
    tiltAngle(hubTrack, massHeight),
    tiltAngle(hubTrack - (width?.by ?? 0) / 2, massHeight + lift / 2),
  ];
  const lost = was - will;
  return {
    ...{ item: 'sideSlope', state: lost > DEGREE ? 'look' : 'fits', wants },
    half90: was - tiltAngle(hubTrack, massHeight + 50),
    text:
      `Standing it tips at ${degrees(was)} across the slope as it came in, at ${degrees(will)} as planned, springs and tyres taken as stiff: the truth is less, and in a bend much less. ` +
      `${lost > DEGREE ? 'Go slower, and let its maker or the owner’s rules decide whether it may.' : ''}`.trim(),
    figure: { quantity: 'side slope', dimension: 'angle', value: will, limit: was, margin: will - was },
    working: [
      `atan(½ × ${hubTrack.toFixed(0)} ÷ ${massHeight.toFixed(0)}), then ÷ (${massHeight.toFixed(0)} + ½ × lift ${lift.toFixed(0)}): one axle raised lifts the middle by half${width && width.by !== 0 ? `; one axle narrower by ${width.by.toFixed(0)} narrows the middle by half` : ''}`,
    ],
  };
}

/** What another housing brings with it: told for the order, and kept open until somebody has tried it. */
function axleShaftsRow({ width }: StandsOf): ReadRow<StandsItem> {
  const by = width!.by;
  const each = Math.abs(by) / 2;
  return {
    ...{ item: 'axleShafts', state: by === 0 ? 'fits' : 'look', half90: null, wants: [] },
    text:
      by === 0
        ? 'The housing keeps its width: shafts, pipes and cables stay.'
        : `Each shaft ${each.toFixed(1)} mm ${by > 0 ? 'shorter' : 'longer'} where the gears stay in the middle, else what each side loses; try it in its splines. With it: seals and bearings, brake pipes, park-brake cables, ${by > 0 ? 'room between tyre and inner arch, and at full lock of the axle’s roll' : 'tyre under the arch'}, wheels of another offset where the track is to stay.`,
    working: [`${Math.abs(by).toFixed(0)} ÷ 2`],
  };
}

/** How the vehicle stands on its wheels with the plan. */
export const standsRows = (read: BesideRead, of: StandsOf): ReadRow<StandsItem>[] => [
  told('square', () => squareRow(read, of)),
  padSpreadRow(read, of),
  tyreToSpringRow(read, of),
  ...(of.drives ? [headlampsRow(of)] : []),
  told('sideSlope', () => sideSlopeRow(read, of)),
  ...(of.width ? [axleShaftsRow(of)] : []),
];
