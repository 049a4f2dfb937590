/** What a person answers on the safety card. The first four keep people alive; the others keep the vehicle right. */
export const SAFETY_ITEMS = [
  'frameHeld',
  'axleHeld',
  'wheelsChocked',
  'springSlack',
  'hoseSlack',
  'wireSlack',
  'locator',
  'rating',
  'heightSensing',
] as const;
export type SafetyItem = (typeof SAFETY_ITEMS)[number];
/** Without these the build may not start. */
export const SUPPORT_ITEMS = SAFETY_ITEMS.slice(0, 4);
/** What a plan changes or relies on, and no reading of this sheet can tell. */
const FIT_ITEMS = SAFETY_ITEMS.slice(4);
/** Those that a plan asks: locators only where a block or a new perch carries the spring. */
export const fitItems = (located: boolean): SafetyItem[] => FIT_ITEMS.filter((item) => located || item !== 'locator');

export const ANSWERS = ['ok', 'notOk', 'notChecked'] as const;
export type Answer = (typeof ANSWERS)[number];
