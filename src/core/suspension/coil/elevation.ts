import { DEAD_TURNS, STANDING_WIRES, type Coil } from '../../mechanics/coil/coil';

/** Middle of the wire of one half turn, mm: x from the coil's axis, y above the lower seat. */
export interface Strand {
  from: { x: number; y: number };
  to: { x: number; y: number };
  /** Nearer to the eye than the axis. */
  front: boolean;
}

/**
 * A coil from the side as its half turns, from the lower seat up: dead turns lie on one another at both ends, the others part the rest
 * evenly. @param length seat to seat, mm
 */
export function coilStrands(coil: Coil, length: number): Strand[] {
  const { wire, mean, turns, ends } = coil;
  const dead = DEAD_TURNS[ends] / 2;
  const active = Math.max(0.5, turns - 2 * dead);
  // Ends that are ground flat, or run into their seat, begin with the middle of the wire on the seat; others lie on it.
  const edge = (STANDING_WIRES[ends] * wire) / 2;
  const open = (length - 2 * edge - 2 * dead * wire) / active;
  const height = (turn: number): number => {
    const low = Math.min(turn, dead);
    const high = Math.max(0, turn - (turns - dead));
    return edge + low * wire + Math.max(0, turn - low - high) * open + high * wire;
  };
  const strands: Strand[] = [];
  for (let half = 0; half * 0.5 < turns - 1e-9; half++) {
    const [t0, t1] = [half * 0.5, Math.min(turns, half * 0.5 + 0.5)];
    const side = half % 2 === 0 ? -1 : 1;
    // The last piece ends where the turns do.
    const share = (t1 - t0) / 0.5;
    strands.push({
      from: { x: (side * mean) / 2, y: height(t0) },
      to: { x: (side * mean) / 2 - side * mean * share, y: height(t1) },
      front: half % 2 === 0,
    });
  }
  return strands;
}
