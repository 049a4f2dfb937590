/** What a program may be allowed to do. */
export const SCOPES = {
  'read-jobs': 'read jobs, readings and predictions',
  'write-readings': 'write readings',
  'read-shelf': 'read the shelf',
  'read-checks': 'read checks and be told of them',
} as const;
export type Scope = keyof typeof SCOPES;
export const SCOPE_IDS = Object.keys(SCOPES) as [Scope, ...Scope[]];
