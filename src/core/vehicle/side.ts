export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];
