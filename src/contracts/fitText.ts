import { SURVEY_TEXT } from './surveyText';
import { type FitItem } from '@/core/fit/mustFit';
import { type SafetyItem } from '@/core/procedure/safety';

/** The card before anything is loosened, in the order it is walked. */
export const SAFETY_TEXT: Record<SafetyItem, { name: string; why: string }> = {
  frameHeld: {
    name: 'Frame held on stands',
    why: 'Rated stands on firm, level ground, both sides. A jack lifts; it never holds.',
  },
  axleHeld: {
    name: 'Axle held on its own',
    why: 'With the U-bolts off nothing else carries it; it can roll, tip and fall.',
  },
  wheelsChocked: {
    name: 'Wheels on the ground chocked',
    why: 'Both ways. With the rear lifted the parking brake may hold nothing.',
  },
  springSlack: {
    name: 'Spring slack before the last fastener',
    why: 'A loaded pack stores enough to throw a bolt or an arm. Clamp the pack before its centre bolt comes out; wear eye protection.',
  },
  hoseSlack: { name: 'Brake hose has slack at full droop', why: 'The axle will hang lower than it ever has.' },
  wireSlack: {
    name: 'Wires and brake cables have slack at full droop',
    why: 'Sensor leads, parking brake, vent and lamp leads.',
  },
  locator: {
    name: 'Block and perch located at both ends',
    why: 'Dowel in its hole above and below; without it the axle can slide.',
  },
  rating: { name: 'Load ratings looked up', why: 'Axle, tyre, wheel, hanger and maker’s plate: the lowest decides.' },
  heightSensing: {
    name: 'Height-sensing brake valve, sensors, headlamps',
    why: 'A raised frame reads as empty to such a valve and cuts the rear brakes. Answer ok if none is fitted or it was reset.',
  },
};

/** Names of everything that must fit. */
export const CHECK_NAMES: Record<FitItem, string> = {
  coilStress: 'Stress of the wire',
  coilBind: 'Coil is not solid before the stop',
  coilLoose: 'Coil stays in its seats at droop',
  coilBow: 'Coil stays straight',
  coilPreload: 'Coil stays tight with its unit open',
  perchAlike: 'Seats moved alike',
  swingCamber: 'Camber of the wheels',
  swingCaster: 'Caster by the radius arms',
  pivotTwist: 'Twist of the pivots’ rubber',
  pairTyres: 'Tyres carry their share',
  pairSwing: 'Rocker swings free',
  pairStress: 'Stress of the springs',
  pairEnds: 'Ends of the springs in their slippers',
  pairLevel: 'Springs stand level on their slippers',
  pairDamped: 'Dampers',
  crossReach: 'Eyes of the spring meet the wheels',
  crossCamber: 'Camber of the wheels',
  crossAlike: 'Spindles alike',
  shearStrain: 'Shear of the rubber',
  shearTravel: 'Stop is solid before the rubber is sheared too far',
  shearLeaf: 'Stress of the leaf',
  shearRate: 'Rate of the blocks',
  threads: 'U-bolts: three threads beyond the nut',
  runOut: 'U-bolts: nut stays on the thread',
  stress: 'Stress of the leaves',
  helper: 'Helper springs',
  located: 'Main leaf locates the axle',
  shockShut: 'Stop is solid before the shock is shut',
  axleToFrame: 'Stop is solid before axle meets frame',
  tyreToArch: 'Stop is solid before tyre meets body',
  tyreAtLock: 'Stop is solid before the tyre meets anything at full lock',
  packLimit: 'Stop is solid before the leaves are past their limit',
  shackleFlat: 'Stop is solid before the shackle lies flat',
  stopGap: 'Gap to the bump stop',
  shockLength: 'Length of the shocks',
  driveline: 'Angles of the shaft',
  steering: 'Caster, drag link, toe',
  bushFront: 'Bush of the front eye',
  bushRear: 'Bush of the rear eye',
  bushHanger: 'Bush of the shackle’s upper pivot',
  bushTwist: 'Twist of the rubber bushes',
  joints: 'Pins of the stack',
  clamped: 'U-bolts hold the axle by friction',
  shaftTravel: 'Drive shaft through the travel',
  padSpread: 'Pads under their hangers',
  toe: 'Toe',
  caster: 'Caster',
  dragLink: 'Drag link',
  square: 'Axle square to the frame',
  tyreToSpring: 'Room between tyre and spring',
  headlamps: 'Beam of the headlamps',
  sideSlope: 'Side slope before it tips',
  axleShafts: 'Axle shafts and what hangs on them',
  ...SURVEY_TEXT,
  ...(Object.fromEntries(Object.entries(SAFETY_TEXT).map(([id, { name }]) => [id, name])) as Record<
    SafetyItem,
    string
  >),
};
