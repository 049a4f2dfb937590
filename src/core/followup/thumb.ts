/** What a rule of thumb needs to know of an axle and a plan, mm. */
export interface ThumbInput {
  arrangement: 'over' | 'under' | null;
  /** Height of the block there is, and length of the shackle; null where there is none. */
  block: number | null;
  shackle: number | null;
  changes: readonly {
    kind: string;
    height: number | null;
    length: number | null;
    thickness: number | null;
  }[];
}

/**
 * Rise of the frame by what is said over the bench, mm: a block gives its height, a shackle half of what it is longer, an added leaf its
 * thickness, a spacer its height. Common practice, from memory; kept to be held against the tape beside what was computed.
 * @returns null where some change has no such rule
 */
export function thumbRise({ arrangement, block, shackle, changes }: ThumbInput): number | null {
  let rise = 0;
  for (const { kind, height, length, thickness } of changes) {
    if (kind === 'block' && height !== null) rise += (arrangement === 'under' ? -1 : 1) * (height - (block ?? 0));
    else if (kind === 'shackle' && length !== null && shackle !== null) rise += (length - shackle) / 2;
    else if (kind === 'addLeaf' && thickness !== null) rise += thickness;
    else if (kind === 'spacer' && height !== null) rise += height;
    else return null;
  }
  return changes.length === 0 ? null : rise;
}
