import { requireNumber } from '../../errors';
import { type VerdictState } from '../../verdict';
import { type Arrangement } from './stack';

/** How a face is located on the one it lies on: a pin (dowel, bolt head) standing out of it, a hole in it, or nothing. */
export type Locator =
  | { kind: 'pin'; diameter: number; height: number }
  | { kind: 'hole'; diameter: number; depth: number }
  | { kind: 'plain' }
  /** Nobody has looked. */
  | { kind: 'unknown' };

/** A piece clamped between the pack and the axle, in order from the spring to the tube. */
export interface Piece {
  kind: 'liner' | 'block' | 'wedge' | 'perch';
  /** Thickness at the pin, mm (0–300). */
  height: number;
  /** Angle of a wedge, or of a block with taper, rad (0–0.35), and where its thick end points. */
  angle?: number;
  thickEnd?: 'front' | 'rear';
  towardsSpring: Locator;
  towardsAxle: Locator;
}

export interface Joint {
  /** The upper and lower piece in words, spring first. */
  between: [string, string];
  verdict: VerdictState;
  reason: string;
}

export interface PieceStack {
  /** What the pieces add between spring and tube, mm. */
  height: number;
  /** Turn of the axle by wedges and tapered blocks, rad; positive lifts its nose (a rear axle's pinion goes up). */
  noseUp: number;
  joints: Joint[];
  /** Not fitting before not checked before fitting. */
  verdict: VerdictState;
  /** What a build card must say about which way round things go. */
  orientation: string[];
}

/** A pin may be this much smaller than its hole, mm. Common practice. */
const LOOSE = 1.5;

const NAMES: Record<Piece['kind'], string> = { liner: 'liner', block: 'block', wedge: 'wedge', perch: 'axle pad' };

function judge(above: Locator, below: Locator): { verdict: VerdictState; reason: string } {
  if (above.kind === 'unknown' || below.kind === 'unknown')
    return { verdict: 'not checked', reason: 'nobody has looked at the locators' };
  const [pin, hole] = above.kind === 'pin' ? [above, below] : [below, above];
  if (pin.kind !== 'pin') return { verdict: 'does not fit', reason: 'no pin locates this joint' };
  if (hole.kind === 'pin') return { verdict: 'does not fit', reason: 'pin stands on pin' };
  if (hole.kind === 'plain') return { verdict: 'does not fit', reason: 'the pin has no hole to go into' };
  if (hole.kind !== 'hole') return { verdict: 'not checked', reason: 'nobody has looked at the locators' };
  if (pin.diameter > hole.diameter) return { verdict: 'does not fit', reason: 'the pin is thicker than its hole' };
  if (hole.diameter - pin.diameter > LOOSE)
    return { verdict: 'does not fit', reason: `the pin has ${(hole.diameter - pin.diameter).toFixed(1)} mm of play` };
  if (pin.height > hole.depth) return { verdict: 'does not fit', reason: 'the pin bottoms before the faces meet' };
  return { verdict: 'fits', reason: 'located' };
}

/**
 * Works out a clamped stack: height, turn of the axle, whether every joint is located, and which way round pieces go.
 * @param spring the locator on the pack's face towards the axle (the centre bolt's head)
 * @param pieces from the spring to the tube; at least the axle pad @throws CoreError `bad-input` naming the piece
 */
export function workOut(arrangement: Arrangement, spring: Locator, pieces: readonly Piece[]): PieceStack {
  let height = 0;
  let noseUp = 0;
  const joints: Joint[] = [];
  const orientation: string[] = [];
  let above = spring;
  let name = 'spring';
  pieces.forEach((piece, i) => {
    const at = `pieces[${i}]`;
    height += requireNumber(`${at}.height`, piece.height, 0, 300);
    const angle = requireNumber(`${at}.angle`, piece.angle ?? 0, 0, 0.35);
    if (angle > 0) {
      const thick = piece.thickEnd ?? 'rear';
      // Thick end to the rear under a spring that lies over the axle lifts the nose; under the axle it is the other way.
      noseUp += (thick === 'rear' ? 1 : -1) * (arrangement === 'over' ? 1 : -1) * angle;
      orientation.push(`${NAMES[piece.kind]}: thick end to the ${thick}`);
    }
    joints.push({ between: [name, NAMES[piece.kind]], ...judge(above, piece.towardsSpring) });
    if (piece.kind === 'block' && piece.towardsAxle.kind === 'pin')
      orientation.push(`${NAMES[piece.kind]}: pin towards the axle`);
    above = piece.towardsAxle;
    name = NAMES[piece.kind];
  });
  const worst = (['does not fit', 'not checked'] as const).find((v) => joints.some((j) => j.verdict === v));
  return { height, noseUp, joints, verdict: worst ?? 'fits', orientation };
}
