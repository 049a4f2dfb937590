/** Kinds of suspension an axle may have; those in the registry are measured and foretold, the others only written down. */
export const SUSPENSIONS = {
  longitudinalLeaf: 'leaf springs along the frame',
  tandemEqualizer: 'two axles on a rocker (equalizer)',
  tandemSlipper: 'two axles on slippers',
  transverseLeaf: 'one leaf spring across',
  coilBeam: 'coils on a beam axle',
  coilOver: 'coil-over struts',
  twinBeam: 'twin beams with pivots',
  torsionBeam: 'trailing torsion beam',
  rubberShear: 'rubber shear springs',
  other: 'another kind',
} as const;
export type Suspension = keyof typeof SUSPENSIONS;
export const SUSPENSION_IDS = Object.keys(SUSPENSIONS) as [Suspension, ...Suspension[]];

export const AXLE_POSITIONS = ['front', 'rear', 'secondRear'] as const;
export type AxlePosition = (typeof AXLE_POSITIONS)[number];
export const AXLE_NAMES: Record<AxlePosition, string> = { front: 'front', rear: 'rear', secondRear: 'second rear' };
/** Two axles that stand as one are worked on together. */
const PAIRED: ReadonlySet<Suspension> = new Set(['tandemEqualizer', 'tandemSlipper']);
export const isPaired = (suspension: Suspension): boolean => PAIRED.has(suspension);
/** What is worked on, in words: the rear axle, or the rear axles. */
export const axleName = (position: AxlePosition, suspension: Suspension): string =>
  `${AXLE_NAMES[position]} ${isPaired(suspension) ? 'axles' : 'axle'}`;
