const SIDES = ['left', 'right'] as const;
const LEG = ['front outer leg', 'front inner leg', 'rear outer leg', 'rear inner leg'] as const;
/** Both U-bolts of both springs, leg by leg. */
const LEGS = SIDES.flatMap((side) => LEG.map((leg) => `${side}, ${leg}`));

/** Both springs of both axles of a pair. */
const PAIRS = SIDES.flatMap((side) => ['front', 'rear'].map((axle) => `${side}, ${axle} axle`));

/** Joints of an axle that are tightened to a figure, with each bolt that is read on its own. */
export const JOINTS = {
  uBolts: { name: 'U-bolts', note: 'in stages, crosswise, even thread on all four legs', pivot: false, bolts: LEGS },
  centreBolt: { name: 'Centre bolt', note: 'pack clamped while it is tightened', pivot: false, bolts: SIDES },
  frontEye: { name: 'Front eye bolt', note: 'bonded rubber: weight on the wheels first', pivot: true, bolts: SIDES },
  shackleFrame: {
    name: 'Shackle to frame',
    note: 'bonded rubber: weight on the wheels first',
    pivot: true,
    bolts: SIDES,
  },
  shackleEye: {
    name: 'Shackle to spring',
    note: 'bonded rubber: weight on the wheels first',
    pivot: true,
    bolts: SIDES,
  },
  armFrame: { name: 'Arm to frame', note: 'bonded rubber: weight on the wheels first', pivot: true, bolts: SIDES },
  armAxle: { name: 'Arm to axle', note: 'bonded rubber: weight on the wheels first', pivot: true, bolts: SIDES },
  trackRod: {
    name: 'Track rod',
    note: 'weight on the wheels first; it draws the axle sideways',
    pivot: true,
    bolts: ['frame end', 'axle end'],
  },
  coilRetainer: {
    name: 'Coil retainer',
    note: 'end of the wire against its step in the seat',
    pivot: false,
    bolts: SIDES,
  },
  pairUBolts: {
    name: 'U-bolts, both axles',
    note: 'in stages, crosswise, even thread on all four legs',
    pivot: false,
    bolts: PAIRS.flatMap((of) => LEG.map((leg) => `${of}, ${leg}`)),
  },
  pairCentreBolt: { name: 'Centre bolt', note: 'spring clamped while it is tightened', pivot: false, bolts: PAIRS },
  pairHangerEye: {
    name: 'Hanger eye bolt',
    note: 'bonded rubber: weight on the wheels first',
    pivot: true,
    bolts: PAIRS,
  },
  rockerPivot: { name: 'Rocker pivot', note: 'it must still swing by hand', pivot: true, bolts: SIDES },
  rockerShackle: {
    name: 'Shackles at the rocker',
    note: 'the bolt turns in its bush: tight on its shoulder, plates free to swing',
    pivot: true,
    bolts: PAIRS.flatMap((of) => ['at the rocker', 'at the spring'].map((end) => `${of}, ${end}`)),
  },
  beamPivot: {
    name: 'Pivot of the beam',
    note: 'bonded rubber: at ride height, weight on the wheels',
    pivot: true,
    bolts: SIDES,
  },
  cableBracket: {
    name: 'Bracket of the brake cable',
    note: 'evenly, snug, then to its figure',
    pivot: false,
    bolts: SIDES,
  },
  unitTop: {
    name: 'Unit, top nuts',
    note: '',
    pivot: false,
    bolts: SIDES.flatMap((side) => [1, 2, 3].map((n) => `${side}, nut ${n}`)),
  },
  unitLower: { name: 'Unit, lower bolt', note: 'weight on the wheels first', pivot: true, bolts: SIDES },
  stemNut: { name: 'Nut on the stem', note: 'a crow-foot’s length is reckoned in', pivot: false, bolts: SIDES },
  cams: {
    name: 'Alignment cams',
    note: 'on their painted lines, weight on the wheels first',
    pivot: true,
    bolts: SIDES.flatMap((side) => ['front', 'rear'].map((at) => `${side}, ${at} cam`)),
  },
  crossClamp: {
    name: 'Clamp of the spring',
    note: 'centre nut square in its opening first; front and rear pair alike, crosswise',
    pivot: false,
    bolts: ['front pair, left', 'front pair, right', 'rear pair, left', 'rear pair, right'],
  },
  crossCentre: { name: 'Centre nut', note: 'square in its opening', pivot: false, bolts: ['centre nut'] },
  crossEye: {
    name: 'Eye bolt at the wheel',
    note: 'bonded rubber: weight on the wheels first',
    pivot: true,
    bolts: SIDES,
  },
  shearBolts: {
    name: 'Bolts of the shear block',
    note: 'all eight started by hand first, frame’s side, then carrier’s; new locking nuts',
    pivot: false,
    bolts: SIDES.flatMap((side) =>
      ['frame', 'carrier'].flatMap((on) => [1, 2, 3, 4].map((n) => `${side}, ${on} side ${n}`)),
    ),
  },
  carrierNose: { name: 'Nose bolt of the carrier', note: 'sleeve home first', pivot: false, bolts: SIDES },
  kingpin: { name: 'Kingpin', note: 'it must still turn by hand; new cotter pin', pivot: false, bolts: SIDES },
  tieRodEnd: {
    name: 'Tie rod end',
    note: 'on to the next slot, never back; new cotter pin',
    pivot: false,
    bolts: SIDES,
  },
  shockLower: { name: 'Shock, lower', note: '', pivot: false, bolts: SIDES },
  shockUpper: { name: 'Shock, upper', note: '', pivot: false, bolts: SIDES },
  wheelNuts: { name: 'Wheel nuts', note: 'crosswise, wheel on the ground', pivot: false, bolts: SIDES },
} as const satisfies Record<string, { name: string; note: string; pivot: boolean; bolts: readonly string[] }>;
export type JointId = keyof typeof JOINTS;
export const JOINT_IDS = Object.keys(JOINTS) as [JointId, ...JointId[]];
export const boltsOf = (joint: JointId): readonly string[] => JOINTS[joint].bolts;

/** Whether a reading is of a bolt. Earlier releases read both legs of a pair's U-bolt as one. */
export const isOf = (bolt: string, read: string): boolean =>
  read === bolt || (read.endsWith(' bolt') && bolt.endsWith(' leg') && bolt.startsWith(`${read.slice(0, -5)} `));

/** In which state of the vehicle a bolt was tightened. */
export const WRENCH_STATES = ['weightOn', 'hanging'] as const;
export type WrenchState = (typeof WRENCH_STATES)[number];
/** What it was read with. */
export const WRENCHES = ['click', 'dial', 'electronic', 'connected'] as const;
export type Wrench = (typeof WRENCHES)[number];

/** Where a torque comes from; never preset. Only the maker's and the kit's are the part's own. */
export const TORQUE_SOURCES = ['notSaid', 'maker', 'kit', 'generic', 'memory', 'feel'] as const;
export type TorqueSource = (typeof TORQUE_SOURCES)[number];
export const LUBRICATIONS = ['notKnown', 'dry', 'oiled', 'antiSeize', 'threadLocker'] as const;
export type Lubrication = (typeof LUBRICATIONS)[number];
export const TORQUE_STAGES = ['notYet', 'snug', 'final', 'again', 'notTouched'] as const;
export type TorqueStage = (typeof TORQUE_STAGES)[number];
/** Nothing is left to do at a joint that is final, was torqued again, or was not loosened in this job. */
export const settledStage = (stage: TorqueStage | undefined): boolean =>
  stage === 'final' || stage === 'again' || stage === 'notTouched';

/**
 * What keeps a joint from being final, in words; null when nothing does. By feel it needs no figure and is told so; else its figure
 * says where it comes from, and every bolt of it was read.
 */
export function notFinal(
  joint: JointId,
  entry: { value: number | null; source: TorqueSource },
  read: readonly { bolt: string }[],
): string | null {
  if (entry.source === 'feel') return null;
  if (entry.value === null)
    return 'No torque is written down for this joint. Look it up, or say plainly that it went by feel.';
  if (entry.source === 'notSaid') return 'Say where this figure comes from.';
  const open = boltsOf(joint).filter((bolt) => !read.some((r) => isOf(bolt, r.bolt)));
  return open.length > 0 ? `Not read yet: ${open.join('; ')}.` : null;
}

export interface TorqueEntry {
  joint: JointId;
  /** N·mm; null while nobody has read the figure. */
  value: number | null;
  unit: string | null;
  source: TorqueSource;
  stage: TorqueStage;
}

/** lbf·ft over N·m. */
const POUND_FEET = 1.3558179483314;

/** Pairs of joints whose figures are the same number in lbf·ft and in N·m: one was probably read from the wrong column. */
export function sameNumberOtherUnit(entries: readonly TorqueEntry[]): [JointId, JointId][] {
  const found: [JointId, JointId][] = [];
  for (const one of entries)
    for (const two of entries)
      if (one.value !== null && two.value !== null && one.unit === 'lbf·ft' && two.unit === 'N·m')
        if (Math.abs(one.value / two.value / POUND_FEET - 1) < 1e-6) found.push([one.joint, two.joint]);
  return found;
}

/** Why a figure may not be trusted as it stands, in words; null when nothing is to be said. */
export function torqueDoubt({ value, source, stage }: TorqueEntry): string | null {
  if (source === 'feel') return value !== null || stage === 'final' ? 'by feel, not verified' : null;
  if (value === null) return null;
  if (source === 'notSaid') return 'nobody said where this figure comes from';
  if (source === 'generic') return 'an estimate for the thread, not the maker’s figure';
  return source === 'memory' ? 'from memory: look it up before the last round' : null;
}
