// The demo's shop, its first person, and what its people sign in with: told to everybody, so only a demo may have them.
export const DEMO_SHOP = '5a1e0000-0000-4000-8000-000000000001';
export const DEMO_PERSON = '5a1e0000-0000-4000-8000-0000000000a1';
export const DEMO_WORD = 'demo';
export const DEMO_PASSWORD = 'one leaf at a time';
export const DEMO_PIN = '2580';
/** The page of one of the demo's jobs, by its number. */
export const demoJob = (n: number): string => `/jobs/5a1e000${n}-0000-4000-8000-000000000f00`;
