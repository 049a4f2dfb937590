import { chordUnderCamber, curvatureFromCamber } from './arc';

/** Eye forms and how they set the eye centre against the main leaf. */
export const EYE_FORMS = ['upturned', 'berlin', 'downturned'] as const;
export type EyeForm = (typeof EYE_FORMS)[number];

/**
 * Eye centre above the main leaf's mid-surface, mm: ±(bore/2 + t/2), 0 for a centred (Berlin) eye.
 * @param bore mm inside diameter of the rolled eye @param thickness mm of the main leaf
 */
export function eyeOffset(form: EyeForm, bore: number, thickness: number): number {
  if (form === 'berlin') return 0;
  return (form === 'upturned' ? 1 : -1) * (bore / 2 + thickness / 2);
}

/**
 * Curvature of a main leaf that stands at an arch over its eye line, 1/mm: its eyes stand off square to its own ends.
 * @param archMid to the mid-surface, mm @param length of the leaf along itself, mm @param offset of the eyes, see `eyeOffset`
 * @param flat formed straight about the pin, mm
 */
export function curvatureOfArch(archMid: number, length: number, offset: number, flat = 0): number {
  let curvature = 0;
  for (let pass = 0; pass < 6; pass++) {
    const camber = archMid - offset * Math.cos((curvature * (length - flat)) / 2);
    curvature = curvatureFromCamber(camber, chordUnderCamber(length, camber, flat), flat);
  }
  return curvature;
}
