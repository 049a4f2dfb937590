export const INCIDENT_KINDS = ['seized', 'snapped', 'wrongPart', 'brokenTool', 'found'] as const;
export type IncidentKind = (typeof INCIDENT_KINDS)[number];
export const INCIDENT_NAMES: Record<IncidentKind, string> = {
  seized: 'seized',
  snapped: 'snapped',
  wrongPart: 'wrong part',
  brokenTool: 'tool broken',
  found: 'found by the way',
};
/** After these something new is wanted. */
export const WANTS_PART: readonly IncidentKind[] = ['seized', 'snapped', 'wrongPart'];
