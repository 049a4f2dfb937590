import { requireNumber } from '../errors';

/** Slopes of what a shaft joins, rad, plus where it goes down towards the rear; a pinion whose nose points up slopes plus. */
export interface Driveline {
  /** Of the gearbox or transfer box. */
  output: number;
  shaft: number;
  pinion: number;
}

/** Joints are equal within about a degree, and work at half a degree to three at road speed. Common practice. */
export const JOINT_LIMITS = {
  unequal: Math.PI / 180,
  least: (0.5 * Math.PI) / 180,
  most: (3 * Math.PI) / 180,
} as const;

export interface JointAngles {
  front: number;
  rear: number;
  /** How far the pinion's nose points up out of parallel with the output, rad: the joints then differ by as much. */
  unequal: number;
}

/** Working angles of a shaft's two joints, rad. The output and the pinion parallel make them equal. */
export function jointAngles({ output, shaft, pinion }: Driveline): JointAngles {
  for (const [field, value] of Object.entries({ output, shaft, pinion })) requireNumber(field, value, -1, 1);
  return { front: Math.abs(shaft - output), rear: Math.abs(shaft - pinion), unequal: pinion - output };
}

/**
 * The same after the axle stands lower under the frame and turned: the shaft's rear end goes down with it, the pinion turns with the axle.
 * @param drop of the axle under its frame, mm @param noseUp rad @param length of the shaft between its joints, mm (150–4000)
 */
export function drivelineAfter(now: Driveline, drop: number, noseUp: number, length: number): Driveline {
  requireNumber('shaftLength', length, 150, 4000);
  requireNumber('drop', drop, -600, 600);
  const sine = Math.max(-1, Math.min(1, Math.sin(now.shaft) + drop / length));
  return { output: now.output, shaft: Math.asin(sine), pinion: now.pinion + noseUp };
}

/** How much longer the shaft must be between its joints when the axle stands so much lower, mm; its sliding joint gives that. */
export function slipNeeded(now: Driveline, drop: number, length: number): number {
  const across = length * Math.cos(now.shaft);
  return Math.hypot(across, length * Math.sin(now.shaft) + drop) - length;
}
