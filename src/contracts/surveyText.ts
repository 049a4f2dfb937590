import { type SurveyItem } from '@/core/travel/survey';

/** What is looked at under the vehicle, in words. */
export const SURVEY_TEXT: Record<SurveyItem, string> = {
  brakeHose: 'brake hose',
  brakeWire: 'electric brake wire',
  parkingCable: 'parking-brake cable',
  speedSensor: 'wheel-speed sensor lead',
  propShaft: 'prop shaft, slip joint',
  axleVent: 'axle vent hose',
  levelSensor: 'level sensor or brake-valve link',
  underSkin: 'underbelly skin',
  hoses: 'hoses and pipes',
  exhaust: 'exhaust',
  heatShield: 'heat shield',
  bumpStop: 'bump stop and bracket',
  fuelTank: 'fuel tank',
  wiring: 'wiring',
  spareWheel: 'spare wheel carrier',
  stops: 'bump stops',
  stopOnPlate: 'what the bump stop strikes',
  shocks: 'shocks',
  bushesTurn: 'kind of the bushes',
};
