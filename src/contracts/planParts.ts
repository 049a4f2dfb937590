import { type ChangeKind, type ChangeRow } from './plan';
import { changeText } from './planText';

/** How many of it an axle takes; what is work and no part stands at 0. */
const WANTED: Record<ChangeKind, number> = {
  ...{ addLeaf: 2, removeLeaf: 0, pack: 2, rearch: 0, eyes: 2, block: 2, wedge: 2, shackle: 4, overAxle: 2 },
  ...{ coil: 2, spacer: 2, springs: 4, rocker: 2, slipper: 4, riser: 4, hitch: 0 },
  ...{ stopPad: 2, stopCut: 0, shocks: 2, ubolts: 4, line: 1 },
};

/** What a plan takes, to buy or to make, for both sides of the axle. Nothing for what is taken out. */
export const planParts = (changes: readonly ChangeRow[]): { what: string; wanted: number }[] =>
  changes.flatMap((change) => {
    const wanted = 'height' in change && change.height === 0 ? 0 : WANTED[change.kind];
    return wanted === 0 ? [] : [{ what: changeText(change).slice(0, 120), wanted }];
  });
