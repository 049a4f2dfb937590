import { draw } from '@/core/estimate/tree';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { type Side } from '@/core/vehicle/side';
import { LeafSideModel } from '@/core/suspension/longitudinalLeaf/sideModel';
import { normal, Z90 } from '@/core/estimate/estimate';
import { GRAVITY } from '@/core/material/steel';

/**
 * The height the tape would show after the work on a hidden spring: every reading was off by a draw within its own tolerance
 * (times `spread`), and the new leaf's camber may be short of what was said. Nothing here is seen by the prediction.
 */
export function hiddenHeight(
  input: LeafAxleInput,
  side: Side,
  stateId: string,
  truth: { spread: number; camberShort: number },
  uniform: () => number,
): number {
  const off = (half90: number) => (truth.spread * half90 * normal(uniform)) / Z90;
  const hidden = draw(input, (e) => Math.max(e.value >= 0 ? 0 : -Infinity, e.value + off(e.half90)));
  if (hidden.pack?.seatShape === 'unknown') hidden.pack.seatShape = uniform() < 0.5 ? 'flat' : 'concentric';
  for (const change of hidden.changes) if (change.kind === 'addLeaf') change.camber -= truth.camberShort;
  const model = new LeafSideModel(hidden, side);
  const extra = ((hidden.states.find((s) => s.id === stateId)?.extraMass ?? 0) * GRAVITY) / 2;
  const before = input.sides[side].height?.value ?? 0;
  return before + model.state(hidden.changes, extra).rise - model.state([], 0).rise + off(2);
}
