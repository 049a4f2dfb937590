/** Joints of a leaf-spring axle that are tightened to a figure. */
export const JOINTS = {
  uBolts: { name: 'U-bolts', note: 'in stages, crosswise, even thread on all four legs', pivot: false },
  centreBolt: { name: 'Centre bolt', note: 'pack clamped while it is tightened', pivot: false },
  frontEye: { name: 'Front eye bolt', note: 'bonded rubber: weight on the wheels first', pivot: true },
  shackleFrame: { name: 'Shackle to frame', note: 'bonded rubber: weight on the wheels first', pivot: true },
  shackleEye: { name: 'Shackle to spring', note: 'bonded rubber: weight on the wheels first', pivot: true },
  shockLower: { name: 'Shock, lower', note: '', pivot: false },
  shockUpper: { name: 'Shock, upper', note: '', pivot: false },
  wheelNuts: { name: 'Wheel nuts', note: 'crosswise, wheel on the ground', pivot: false },
} as const satisfies Record<string, { name: string; note: string; pivot: boolean }>;
export type JointId = keyof typeof JOINTS;
export const JOINT_IDS = Object.keys(JOINTS) as [JointId, ...JointId[]];

/** Where a torque comes from. Only the first two are the part's own. */
export const TORQUE_SOURCES = ['maker', 'kit', 'generic', 'memory', 'feel'] as const;
export type TorqueSource = (typeof TORQUE_SOURCES)[number];
export const LUBRICATIONS = ['notKnown', 'dry', 'oiled', 'antiSeize', 'threadLocker'] as const;
export type Lubrication = (typeof LUBRICATIONS)[number];
export const TORQUE_STAGES = ['notYet', 'snug', 'final', 'again'] as const;
export type TorqueStage = (typeof TORQUE_STAGES)[number];

/** Tightened again after the first load cycles, km or days, whichever comes first. Common practice: 500 mi and 1,000 mi. */
export const RETORQUE = [
  { what: 'U-bolts: torque again', afterKm: 800, inDays: 14 },
  { what: 'U-bolts: second check, heights after settling', afterKm: 1600, inDays: 42 },
] as const;

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
  if (source === 'generic') return 'an estimate for the thread, not the maker’s figure';
  return source === 'memory' ? 'from memory: look it up before the last round' : null;
}
