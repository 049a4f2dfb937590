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
