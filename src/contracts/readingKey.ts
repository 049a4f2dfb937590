/** Names one field of the measuring sheet. */
export const readingKey = (r: {
  point: string;
  phase: string;
  side: string | null;
  leafId: string | null;
  stateId: string | null;
}): string => [r.point, r.phase, r.side ?? '', r.leafId ?? '', r.stateId ?? ''].join('|');
