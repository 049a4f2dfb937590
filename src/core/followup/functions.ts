/** What is tried before a vehicle leaves, as far as the work touched it. */
export const FUNCTION_IDS = [
  'brakes',
  'parkingBrake',
  'lines',
  'bounce',
  'lock',
  'steering',
  'shaft',
  'loadValve',
  'lamps',
  'sensors',
  'hitch',
  'wheelNuts',
  'roadTest',
] as const;
export type FunctionId = (typeof FUNCTION_IDS)[number];

interface FunctionCheck {
  name: string;
  how: string;
  /** It must not leave while this is not in order. */
  stops: boolean;
}

/** Common practice; where brakes, steering or road approval are touched, local rules and licensed practice come first. */
export const FUNCTIONS: Record<FunctionId, FunctionCheck> = {
  brakes: { name: 'brakes', how: 'pedal firm, no leak, pulls straight from walking pace', stops: true },
  parkingBrake: {
    name: 'parking brake',
    how: 'holds on the slope; its cable is neither taut at droop nor pulled on at bump',
    stops: true,
  },
  lines: {
    name: 'hoses, pipes and wires',
    how: 'in their clips, slack with the axle hanging, clear of tyre and shackle',
    stops: true,
  },
  bounce: { name: 'bump and rebound', how: 'bounced hard: nothing strikes, nothing knocks', stops: false },
  lock: {
    name: 'full lock, both ways',
    how: 'at ride height and with one wheel up: tyre, hose and drag link stay clear',
    stops: true,
  },
  steering: { name: 'steering', how: 'straight ahead at the wheel’s middle, comes back by itself', stops: true },
  shaft: {
    name: 'drive shaft',
    how: 'turns freely through the travel, no joint binds, plunge left both ways',
    stops: true,
  },
  loadValve: {
    name: 'brake valve that senses the height',
    how: 'set again by its plate: a raised frame reads as empty',
    stops: true,
  },
  lamps: {
    name: 'headlamps and lamps',
    how: 'beam at its mark with the usual load; tail lamps and plug work',
    stops: false,
  },
  sensors: { name: 'speed and level sensors', how: 'plugged, routed as on the picture, no warning lamp', stops: false },
  hitch: { name: 'coupling and level on the hitch', how: 'locked, chains on, frame level at its load', stops: true },
  wheelNuts: {
    name: 'wheel nuts',
    how: 'in cross order to their figure, weight on; again after the road test',
    stops: true,
  },
  roadTest: {
    name: 'road test',
    how: 'the same road and load as before, brakes first; then every nut once more',
    stops: false,
  },
};

/** What decides which of them are asked. */
export interface Touched {
  /** A wheel came off, as it does on every job with steps. */
  wheelsOff: boolean;
  /** The height changed, or something in the stack did. */
  height: boolean;
  position: 'front' | 'rear';
  /** It has no engine and hangs on another vehicle. */
  towed: boolean;
  /** Things between frame and axle that this axle has, by their names in the survey; null where nobody looked. */
  has: (
    item: 'brakeHose' | 'brakeWire' | 'parkingCable' | 'speedSensor' | 'levelSensor' | 'propShaft' | 'loadValve',
  ) => boolean | null;
}

/** What is tried after a work, in the order of trying: standing first, driving last. What nobody looked at is asked rather than left out. */
export function functionsFor({ wheelsOff, height, position, towed, has }: Touched): FunctionId[] {
  const may = (item: Parameters<Touched['has']>[0]) => has(item) !== false;
  const asked: Record<FunctionId, boolean> = {
    brakes: wheelsOff && (may('brakeHose') || may('brakeWire')),
    parkingBrake: may('parkingCable'),
    lines: true,
    bounce: true,
    lock: position === 'front' && !towed,
    steering: position === 'front' && !towed,
    shaft: may('propShaft') && !towed && height,
    loadValve: height && has('loadValve') === true,
    lamps: height,
    sensors: may('speedSensor') || may('levelSensor'),
    hitch: towed,
    wheelNuts: wheelsOff,
    roadTest: true,
  };
  return FUNCTION_IDS.filter((id) => asked[id]);
}
