export const NEED_STATES = ['toOrder', 'ordered', 'here', 'notWanted'] as const;
export type NeedState = (typeof NEED_STATES)[number];
