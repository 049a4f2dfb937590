export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];

export const otherOf = (side: Side): Side => (side === 'left' ? 'right' : 'left');
