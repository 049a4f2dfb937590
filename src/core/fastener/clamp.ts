import { CoreError, requireNumber } from '../errors';
import { type Thread } from '../thread/thread';
import { type Grade, GRADES, proofStress } from './grade';
import { clampForce, metricStressArea, tighteningTorque, unifiedStressArea } from './torque';

/** How the threads and the face under the nut are when it is tightened. */
export const CONDITIONS = ['dry', 'plated', 'oiled', 'antiSeize', 'threadLocker'] as const;
export type Condition = (typeof CONDITIONS)[number];

/**
 * Nut factor K by condition, and how far it scatters from bolt to bolt, as a share of it: usual handbook values, from memory. Torque is a poor
 * measure of clamp: with an ordinary wrench a quarter to a third either way is normal.
 */
export const NUT_FACTOR: Record<Condition, { k: number; scatter: number }> = {
  dry: { k: 0.2, scatter: 0.3 },
  plated: { k: 0.18, scatter: 0.3 },
  oiled: { k: 0.15, scatter: 0.25 },
  antiSeize: { k: 0.13, scatter: 0.25 },
  threadLocker: { k: 0.18, scatter: 0.3 },
};

/** Tensile stress area of a thread, mm². @throws CoreError where its pitch is not known */
export function stressArea({ system, diameter, pitch }: Thread): number {
  if (pitch === null) throw new CoreError('bad-input', 'thread', 'say whether it is coarse or fine');
  return system === 'metric' ? metricStressArea(diameter, pitch) : unifiedStressArea(diameter, 25.4 / pitch);
}

export interface Clamp {
  /** N. */
  force: number;
  /** Between these nine in ten bolts end, N. */
  least: number;
  most: number;
}

/** What a torque clamps with. @param torque N·mm (0–3·10⁶) */
export function clampOf(thread: Thread, torque: number, condition: Condition): Clamp {
  requireNumber('torque', torque, 0, 3e6);
  const { k, scatter } = NUT_FACTOR[condition];
  const at = (factor: number) => clampForce(factor, thread.diameter, torque);
  return { force: at(k), least: at(k * (1 + scatter)), most: at(k * (1 - scatter)) };
}

/** Share of its proof load that a bolt is usually tightened to when it may be loosened again. Common practice: three quarters. */
export const USUAL_PROOF = 0.75;

/**
 * Torque that brings a bolt to a share of its proof load, N·mm. @param share 0.1–1
 * @throws CoreError where thread and grade do not go together or the grade is not made in that size
 */
export function torqueFor(thread: Thread, grade: Grade, condition: Condition, share: number = USUAL_PROOF): number {
  requireNumber('share', share, 0.1, 1);
  if (GRADES[grade].system !== thread.system)
    throw new CoreError('bad-input', 'grade', `${grade} is no grade of a ${thread.system} bolt`);
  const proof = proofStress(grade, thread.diameter);
  if (proof === null) throw new CoreError('bad-input', 'grade', `${grade} is not made in that size`);
  return tighteningTorque(NUT_FACTOR[condition].k, thread.diameter, share * proof * stressArea(thread));
}

/** Share of its proof load that a torque brings a bolt to, middle and worst of nine in ten. */
export function proofShare(thread: Thread, grade: Grade, torque: number, condition: Condition) {
  const proof = proofStress(grade, thread.diameter);
  if (proof === null) throw new CoreError('bad-input', 'grade', `${grade} is not made in that size`);
  const load = proof * stressArea(thread);
  const { force, most } = clampOf(thread, torque, condition);
  return { share: force / load, worst: most / load };
}

/** Torque in one condition that clamps as much as a torque stated for another. @param torque N·mm */
export const sameClamp = (torque: number, stated: Condition, now: Condition): number =>
  (torque * NUT_FACTOR[now].k) / NUT_FACTOR[stated].k;

/** Friction of a spring on its perch, steel on steel with paint and rust between. Memory, chosen wide. */
export const SEAT_FRICTION = { value: 0.16, half90: 0.06 } as const;

/** Share of its load that a tyre grips with at most. Memory. */
export const TYRE_GRIP = 0.8;

/**
 * Force along the axle's path that friction under a clamped spring holds, N: one face, the perch, taken; what the dowel bears is left out, it only locates.
 * @param leg clamp of one leg, N @param legs that clamp this spring (2–8)
 */
export function frictionHold(leg: number, legs: number): { force: number; least: number } {
  requireNumber('clamp', leg, 0, 1e6);
  requireNumber('legs', legs, 2, 8);
  const { value, half90 } = SEAT_FRICTION;
  return { force: legs * leg * value, least: legs * leg * (value - half90) };
}
