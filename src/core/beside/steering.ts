import { told, unread, waits, type BesideRead, type ReadRow } from './readRow';
import { meanToe, tieRodTurns, toeAngle, toeAt } from '../steering/toe';

export const STEERING_ITEMS = ['toe', 'caster', 'dragLink'] as const;
export type SteeringItem = (typeof STEERING_ITEMS)[number];

const DEGREE = Math.PI / 180;
const degrees = (rad: number, digits = 1): string => `${(Math.abs(rad) / DEGREE).toFixed(digits)}°`;
/** A drag link steeper than this steers over every bump, rad. Chosen. */
const STEEP = 10 * DEGREE;
/** Wheels pulled this far off straight are felt at the steering wheel, rad. Chosen. */
const PULLED = 0.25 * DEGREE;
/** Steering arm where nobody read it, mm. Memory, wide. */
const ARM = 150;

/** Toe of both wheels together as it was read, and what of the tie rod puts it where the maker asks for it. */
function toeRow(read: BesideRead): ReadRow<SteeringItem> {
  const { treadFront, treadRear, treadDiameter, treadFrontTurned, treadRearTurned, toeLeast, toeMost } = read;
  const wants = unread(read, ['treadFront', 'treadRear', 'treadDiameter', 'toeLeast', 'toeMost']);
  if (treadFront === undefined || treadRear === undefined || treadDiameter === undefined) return waits('toe', wants);
  const first = { front: treadFront, rear: treadRear };
  const rolled = treadFrontTurned !== undefined && treadRearTurned !== undefined;
  const across = rolled ? meanToe(first, { front: treadFrontTurned, rear: treadRearTurned }) : treadRear - treadFront;
  const toe = toeAngle(across, treadDiameter);
  // Two widths of a millimetre each, twice when rolled.
  const half90 = toeAngle(rolled ? 1 : Math.SQRT2, treadDiameter);
  const runOut = rolled ? '' : ' Run-out is still in it: roll half a turn and read again.';
  const is = `${Math.abs(across).toFixed(1)} mm ${across < 0 ? 'out' : 'in'} at ${treadDiameter.toFixed(0)} mm, ${degrees(toe, 2)} together, ${degrees(toe / 2, 2)} a wheel`;
  const working = [
    rolled
      ? `toe = mean of (${treadRear} − ${treadFront}) and (${treadRearTurned} − ${treadFrontTurned}) = ${across.toFixed(1)}`
      : `toe = ${treadRear} − ${treadFront} = ${across.toFixed(1)}`,
    `atan(${across.toFixed(1)} ÷ ${treadDiameter.toFixed(0)}) = ${(toe / DEGREE).toFixed(2)}°`,
  ];
  const base = { ...{ item: 'toe' as const, half90, wants, working } };
  if (toeLeast === undefined || toeMost === undefined)
    return { ...base, state: 'look', text: `${is}. Say what its maker asks for.${runOut}` };
  const [least, most] = [Math.min(toeLeast, toeMost), Math.max(toeLeast, toeMost)];
  const margin = Math.min(toe - least, most - toe);
  const off = (least + most) / 2 - toe;
  const { steeringArm, tieRodLead } = read;
  const turns =
    steeringArm === undefined || tieRodLead === undefined
      ? ''
      : `, ${Math.abs(tieRodTurns(off, steeringArm, tieRodLead)).toFixed(1)} turns of the tie rod`;
  return {
    ...base,
    state: margin < 0 ? 'look' : 'fits',
    text:
      margin < 0
        ? `${is}: ${degrees(off, 2)} more toe-${off > 0 ? 'in' : 'out'} is the middle of what is asked for (${Math.abs(toeAt(off, treadDiameter)).toFixed(1)} mm${turns}).${runOut}`
        : `${is}, within what is asked for.${runOut}`,
    figure: { quantity: 'toe', dimension: 'angle', value: toe, limit: margin === toe - least ? least : most, margin },
    source: 'the maker’s sheet',
  };
}

/** Caster with the axle turned by block, wedge and pack. @param noseUp of the axle, rad: its nose up leans the steering axis rearward */
function casterRow(read: BesideRead, noseUp: number | undefined): ReadRow<SteeringItem> {
  const { caster, casterLeast, casterMost } = read;
  const wants = unread(read, ['caster', 'casterLeast', 'casterMost']);
  if (caster === undefined || casterLeast === undefined || casterMost === undefined || noseUp === undefined)
    return waits('caster', wants);
  const [least, most] = [Math.min(casterLeast, casterMost), Math.max(casterLeast, casterMost)];
  const will = caster + noseUp;
  const margin = Math.min(will - least, most - will);
  const half90 = Math.hypot(0.006, 0.006);
  return {
    ...{ item: 'caster', state: margin < 0 ? 'look' : 'fits', half90, wants },
    text:
      margin < 0
        ? `It becomes ${signed(will)}: ${degrees(margin)} too ${will < least ? 'little, it wanders' : 'much, it steers heavily'}. Alignment by a qualified shop decides.`
        : `It becomes ${signed(will)}, within what is asked for.`,
    figure: {
      quantity: 'caster',
      dimension: 'angle',
      value: will,
      limit: will < (least + most) / 2 ? least : most,
      margin,
    },
    source: 'the maker’s sheet',
    working: [
      `caster = ${signed(caster)} as it stands ${noseUp < 0 ? '−' : '+'} ${degrees(noseUp)} that the axle turns`,
    ],
  };
}
const signed = (rad: number): string => `${rad < 0 ? '−' : '+'}${degrees(rad)}`;

/** What more height does to a drag link: it pulls the wheels off straight, and steers more over every bump. @param lift of the frame over the hub, mm */
function dragLinkRow(read: BesideRead, lift: number | null): ReadRow<SteeringItem> {
  const { dragLink: length, dragLinkSlope: slope, steeringArm } = read;
  const wants = unread(read, ['dragLink', 'dragLinkSlope', 'steeringArm']);
  if (length === undefined || slope === undefined || lift === null) return waits('dragLink', wants);
  const down = length * Math.sin(slope) + lift;
  if (Math.abs(down) >= length)
    return {
      ...{ item: 'dragLink', state: 'does not fit', half90: null, wants, working: [] },
      text: 'The drag link is shorter than it would have to reach down.',
    };
  const after = Math.asin(down / length);
  const arm = steeringArm ?? ARM;
  const pulls = length * (Math.cos(slope) - Math.cos(after));
  const wheel = pulls / arm;
  const bump = (angle: number) => Math.tan(Math.abs(angle)) / arm;
  const steep = Math.abs(after) > STEEP;
  return {
    ...{ item: 'dragLink', state: steep || Math.abs(wheel) > PULLED ? 'look' : 'fits', wants },
    half90: Math.hypot(0.01, 3 / length),
    text:
      `It stands at ${degrees(slope)} and will at ${degrees(after)}: it pulls the wheels ${degrees(wheel, 2)} off straight, to be set back at its end, ` +
      `and steers them ${degrees(10 * bump(after), 2)} for 10 mm of travel (${degrees(10 * bump(slope), 2)} as it came in)` +
      `${steep ? '; steeper than 10° it steers over every bump: a dropped arm or a raised link' : ''}. Centre of the steering box and full lock both ways are looked at after.`,
    figure: { quantity: 'slope', dimension: 'angle', value: after, limit: STEEP, margin: STEEP - Math.abs(after) },
    source: 'common practice: as flat as the axle allows; 10° chosen',
    working: [
      `down over its length = ${(length * Math.sin(slope)).toFixed(0)} + lift ${lift.toFixed(0)} = ${down.toFixed(0)}`,
      `pull = ${length.toFixed(0)} × (cos ${degrees(slope)} − cos ${degrees(after)}) = ${pulls.toFixed(1)}; over the arm ${arm.toFixed(0)}${steeringArm === undefined ? ' (assumed)' : ''} = ${degrees(wheel, 2)}`,
    ],
  };
}

/** How a steered axle stands, as it was read and with the plan. */
export const steeringRows = (
  read: BesideRead,
  lift: number | null,
  noseUp: number | undefined,
): ReadRow<SteeringItem>[] => [
  told('toe', () => toeRow(read)),
  told('caster', () => casterRow(read, noseUp)),
  told('dragLink', () => dragLinkRow(read, lift)),
];
