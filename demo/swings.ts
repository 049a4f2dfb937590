import { type DemoJob } from './job';

const OPEN_LOAD = { name: 'driver and load', wantedIn: 'usual' as const };
const common = {
  day: { fuel: 0.5, tyrePressure: 220, tyrePressureTyped: '220' },
  pack: { eyeForm: null, seatShape: 'unknown' as const, rusty: false },
  seen: { coilEnds: 'closedGround' as const },
  leaves: [],
};
const asked = (wanted: number, tolerance: number) => ({
  wantedChange: wanted,
  wantedTyped: String(wanted),
  tolerance,
  toleranceTyped: String(tolerance),
  ...{ guess: null, guessTyped: null, noBlocks: false, keepUbolts: false, budget: null, goals: [], leafCount: 1 },
});

/** Twin beams in front. */
export const slipway: DemoJob = {
  ...common,
  ask: {
    vehicle: {
      ...{ kind: 'new', name: 'Boat winch truck', maker: 'Pellworth & Sons' },
      ...{ wheelbase: 3120, wheelbaseTyped: '3120 mm', position: 'front', suspension: 'twinBeam', arrangement: null },
      ...{ axleClass: 'fourByFourFront', steered: true, tankMass: 70, tankMassTyped: '70' },
      ...{ tankStation: 2300, tankStationTyped: '2300' },
      use: 'winches boats up the slip, two short steep runs a day',
      others: [{ position: 'rear', suspension: 'longitudinalLeaf' }],
    },
    complaint: 'Wanders on the quay road; its left tyre is worn inside.',
    ...asked(25, 8),
    usual: {
      name: OPEN_LOAD.name,
      items: [
        { kind: 'crew', name: 'driver', mass: 84, massTyped: '84', station: 1300, stationTyped: '1300' },
        { kind: 'tools', name: 'front winch', mass: 60, massTyped: '60', station: -480, stationTyped: '-480' },
      ],
    },
    wantedIn: OPEN_LOAD.wantedIn,
  },
  once: {
    ...{ axleLoad: '1060', unsprungMass: '178', trackWidth: '1620', coilWire: '15.4', coilOutside: '138' },
    ...{ coilTurns: '8.25', coilSpacer: '0', coilArm: '585', hubArm: '912', pivotRise: '54', radiusArm: '934' },
    ...{ pivotShell: '46', pivotSleeve: '14', pivotLength: '48' },
  },
  left: {
    hubToLip: '421',
    groundToHub: '352',
    groundToLip: '773',
    coilLength: '262',
    coilFree: '371',
    otherAxleLip: '842',
  },
  right: {
    hubToLip: '427',
    groundToHub: '352',
    groundToLip: '779',
    coilLength: '266',
    coilFree: '374',
    otherAxleLip: '843',
  },
  findings: [
    { rule: 'pivotBush', side: 'left', choice: 'torn', values: [], note: 'beam sits 6 mm off its middle' },
    { rule: 'pivotBush', side: 'right', choice: 'cracks', values: [], note: '' },
    { rule: 'kingpin', side: 'left', choice: 'sound', values: [], note: '' },
  ],
  changes: [
    { kind: 'pivotBush', bush: 'turns' },
    { kind: 'spacer', height: 16, heightTyped: '16' },
  ],
};

/** A trailing torsion beam behind. */
export const postVan: DemoJob = {
  ...common,
  ask: {
    vehicle: {
      ...{ kind: 'new', name: 'Island post van', maker: 'Tessaly Works' },
      ...{ wheelbase: 2560, wheelbaseTyped: '2560 mm', position: 'rear', suspension: 'torsionBeam', arrangement: null },
      ...{ axleClass: 'trailer3t', steered: false, tankMass: 38, tankMassTyped: '38' },
      ...{ tankStation: 2300, tankStationTyped: '2300' },
      use: 'letters and parcels to every gate, gravel half of the way',
      others: [{ position: 'front', suspension: 'coilOver' }],
    },
    complaint: 'Knocks behind over the cattle grids and steers by itself in the bends.',
    ...asked(0, 6),
    usual: {
      name: OPEN_LOAD.name,
      items: [
        { kind: 'crew', name: 'driver', mass: 78, massTyped: '78', station: 1250, stationTyped: '1250' },
        { kind: 'cargo', name: 'parcels', mass: 180, massTyped: '180', station: 2350, stationTyped: '2350' },
      ],
    },
    wantedIn: OPEN_LOAD.wantedIn,
  },
  once: {
    ...{ axleLoad: '560', unsprungMass: '96', trackWidth: '1470', coilWire: '12.4', coilOutside: '118' },
    ...{ coilTurns: '7.5', coilSpacer: '0', coilArm: '404', hubArm: '432' },
    ...{ pivotShell: '64', pivotSleeve: '12', pivotLength: '52' },
  },
  left: {
    hubToLip: '372',
    groundToHub: '291',
    groundToLip: '663',
    coilLength: '221',
    coilFree: '289',
    otherAxleLip: '655',
  },
  right: {
    hubToLip: '374',
    groundToHub: '291',
    groundToLip: '665',
    coilLength: '223',
    coilFree: '290',
    otherAxleLip: '656',
  },
  findings: [
    { rule: 'pivotBush', side: 'left', choice: 'torn', values: [], note: 'rubber gone from its sleeve' },
    { rule: 'pivotBush', side: 'right', choice: 'torn', values: [], note: '' },
  ],
  changes: [{ kind: 'pivotBush', bush: 'bonded' }],
};

/** Coils over their dampers, in front. */
export const ranger: DemoJob = {
  ...common,
  ask: {
    vehicle: {
      ...{ kind: 'new', name: 'Bird warden’s pickup', maker: 'Ostrelund' },
      ...{ wheelbase: 3010, wheelbaseTyped: '3010 mm', position: 'front', suspension: 'coilOver', arrangement: null },
      ...{ axleClass: 'pickupRear', steered: true, tankMass: 64, tankMassTyped: '64' },
      ...{ tankStation: 2100, tankStationTyped: '2100' },
      use: 'cliff paths in the season, nets and hides on the back',
      others: [{ position: 'rear', suspension: 'longitudinalLeaf' }],
    },
    complaint: 'Nose low on the right, touches in the ruts.',
    ...asked(30, 6),
    usual: {
      name: OPEN_LOAD.name,
      items: [
        { kind: 'crew', name: 'warden', mass: 72, massTyped: '72', station: 1250, stationTyped: '1250' },
        { kind: 'cargo', name: 'nets', mass: 90, massTyped: '90', station: 3000, stationTyped: '3000' },
      ],
    },
    wantedIn: OPEN_LOAD.wantedIn,
  },
  once: {
    ...{ axleLoad: '1010', unsprungMass: '150', trackWidth: '1560', coilWire: '15.6', coilOutside: '104' },
    ...{ coilTurns: '10', coilSpacer: '0', coilLean: '9', coilArm: '288', hubArm: '402', perchPitch: '9.5' },
  },
  left: {
    hubToLip: '462',
    groundToHub: '361',
    groundToLip: '823',
    coilLength: '271',
    coilFree: '345',
    coilOpen: '322',
    otherAxleLip: '868',
  },
  right: {
    hubToLip: '455',
    groundToHub: '361',
    groundToLip: '816',
    coilLength: '267',
    coilFree: '343',
    coilOpen: '322',
    otherAxleLip: '866',
  },
  findings: [
    { rule: 'unitTop', side: 'left', choice: 'sound', values: [], note: '' },
    { rule: 'cams', side: 'right', choice: 'seized', values: [], note: 'front cam, soak it' },
  ],
  changes: [{ kind: 'perch', pitch: 9.5, pitchTyped: '9.5', left: 2, leftTyped: '2', right: 3, rightTyped: '3' }],
};
