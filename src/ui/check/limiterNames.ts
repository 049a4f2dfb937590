import { type ShaftEndId } from '@/core/beside/shaft';
import { type SpringEndId } from '@/core/suspension/kind';
import { type LimiterId } from '@/core/travel/limits';

/** What ends the travel, in a few words. */
export const LIMITER_NAMES: Record<LimiterId, string> = {
  stopTouches: 'stop touches',
  stopSolid: 'stop solid',
  shockShut: 'shock shut',
  shockOpen: 'shock open',
  axleToFrame: 'axle to frame',
  tyreToArch: 'tyre to body',
  tyreAtLock: 'tyre at full lock',
};

export const END_NAMES: Record<SpringEndId, string> = {
  packLimit: 'leaves at their limit',
  shackleFlat: 'shackle lies flat',
  coilBind: 'coil solid',
  coilLoose: 'coil loose',
  shearTravel: 'rubber sheared',
};

export const SHAFT_END_NAMES: Record<ShaftEndId, string> = {
  slipApart: 'shaft comes apart',
  slipBottoms: 'shaft bottoms',
  jointBinds: 'shaft’s joint binds',
};
