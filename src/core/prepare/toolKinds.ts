/** What a shop works with, as far as a job asks for it. */
export const TOOL_KINDS = {
  spanner: { name: 'spanner or socket' },
  torqueWrench: { name: 'torque wrench' },
  jack: { name: 'jack' },
  stand: { name: 'pair of stands' },
  hoist: { name: 'hoist' },
  clamp: { name: 'pair of spring clamps' },
  press: { name: 'press' },
  compressor: { name: 'coil compressor' },
  other: { name: 'anything else' },
} as const;
export type ToolKind = keyof typeof TOOL_KINDS;
export const TOOL_KIND_IDS = Object.keys(TOOL_KINDS) as [ToolKind, ...ToolKind[]];
