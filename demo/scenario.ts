import { type NewFinding } from '@/contracts/finding';
import { type NewJobInput } from '@/contracts/ask';
import { type JobAxleInput } from '@/contracts/jobAxle';
import { type VehicleEdit } from '@/contracts/vehicle';
import { type NewTorque } from '@/contracts/torque';
import { type ChangeRow } from '@/contracts/plan';
import { type Seen } from '@/contracts/seen';
import { type PointId } from '@/core/measure/points';
import { type EyeForm } from '@/core/mechanics/leafpack/eyes';

/** An invented island workshop. People, makers and vehicles are made up and plainly so. */
export const SHOP = 'Skerrow Harbour Cooperative (demo)';
/** The island keeps the time of the mid-Atlantic. */
export const ZONE = 'Atlantic/Azores';
export const PEOPLE = ['Ansa Korvild', 'Tibb Marrelow', 'Oona Fesk'];

export type Texts = Partial<Record<PointId, string>>;

/** What is read, found and planned of one axle. */
export interface DemoAxle {
  findings?: Omit<NewFinding, 'id' | 'leafId' | 'place' | 'placeTyped'>[];
  torques?: Omit<NewTorque, 'id'>[];
  uboltBend?: 'tube' | 'pack';
  /** What is seen of it and not measured. */
  seen?: Seen;
  pack: DemoPack;
  /** The pack of the right side, where it is unlike the left one's. */
  own?: { pack: DemoPack; once: Texts; leaves: DemoLeaf[] };
  /** Readings of the axle as a whole. */
  once: Texts;
  left: Texts;
  right: Texts;
  /** The same spring read again with its usual load aboard. */
  second?: { once: Texts; left: Texts; right: Texts };
  leaves: DemoLeaf[];
  changes: ChangeRow[];
}

interface DemoPack {
  eyeForm: EyeForm | null;
  seatShape: 'flat' | 'concentric' | 'unknown';
  rusty: boolean;
}

/** Thickness, front tip, rear tip of a leaf; from the main leaf down, which has no tips. */
type DemoLeaf = [thickness: string, front?: string, rear?: string];

export interface DemoJob extends DemoAxle {
  ask: Omit<NewJobInput, 'id'>;
  /** What the first heights were read in. */
  day: { fuel: number | null; tyrePressure: number | null; tyrePressureTyped: string | null };
  ratings?: VehicleEdit['ratings'];
  sideFindings?: { what: string; urgency: 'now' | 'soon' | 'nextVisit' }[];
  failures?: { place: string; km: number; cause: string }[];
  /** Other axles the same job works on. */
  also?: (DemoAxle & { take: Omit<Extract<JobAxleInput, { act: 'add' }>, 'id'> })[];
  /** How the hidden truth departs from what was measured; present when the job is proven. */
  truth?: { spread: number; camberShort: number; seed: number };
}

const flatbed: DemoJob = {
  ask: {
    vehicle: {
      kind: 'new',
      name: 'Fish-market flatbed',
      maker: 'Ostrelund',
      wheelbase: 3320,
      wheelbaseTyped: '3320 mm',
      position: 'rear',
      arrangement: 'over',
      axleClass: 'oneTonRear',
      steered: false,
      tankMass: 74,
      tankMassTyped: '74',
      tankStation: 1400,
      tankStationTyped: '1400',
      use: 'fish and ice between quay and market, six mornings a week',
      others: [{ position: 'front', suspension: 'longitudinalLeaf' }],
    },
    complaint: 'Sits on its stops with a morning’s ice aboard; rear drags on the quay ramp.',
    wantedChange: 46,
    wantedTyped: '46',
    tolerance: 10,
    toleranceTyped: '10',
    guess: 60,
    guessTyped: '60',
    noBlocks: true,
    keepUbolts: false,
    budget: 600,
    goals: [
      { kind: 'lean', target: 0, targetTyped: '0', tolerance: 8, toleranceTyped: '8' },
      { kind: 'ride', target: 5, targetTyped: '5', tolerance: 1, toleranceTyped: '1' },
    ],
    leafCount: 6,
    usual: {
      name: 'ice and crates',
      items: [
        { kind: 'cargo', name: 'ice', mass: 270, massTyped: '270', station: 3150, stationTyped: '3150' },
        { kind: 'cargo', name: 'crates', mass: 150, massTyped: '150', station: 2870, stationTyped: '2870' },
      ],
    },
    wantedIn: 'usual',
  },
  day: { fuel: 0.5, tyrePressure: 420, tyrePressureTyped: '4.2 bar' },
  ratings: [
    { part: 'plate', rating: 2150, typed: '2150' },
    { part: 'axle', rating: 2300, typed: '2300' },
    { part: 'tyres', rating: 2060, typed: '2060' },
    { part: 'wheels', rating: 2400, typed: '2400' },
    { part: 'hangers', rating: 2300, typed: '2300' },
  ],
  uboltBend: 'pack',
  pack: { eyeForm: 'upturned', seatShape: 'flat', rusty: false },
  once: {
    blockHeight: '0',
    uboltExposed: '19',
    uboltThread: 'M16 x 1.5',
    plateThickness: '10',
    uboltPitch: '1.5',
    uboltThreaded: '58',
    uboltNut: '13',
    eyeToPinFront: '26 5/8 in',
    eyeToPinRear: '28 1/4 in',
    leafWidth: '70',
    uboltSpacing: '142',
    axleLoad: '1290',
    shackleLength: '112',
    shackleAngle: '102',
    eyeBore: '41',
    tubeDiameter: '88',
    perchHeight: '17',
    unsprungMass: '270',
  },
  left: { hubToLip: '533', loadedArch: '2 1/4 in' },
  right: { hubToLip: '538', loadedArch: '2 3/8 in' },
  leaves: [
    ['8.1'],
    ['8.1', '566', '597'],
    ['8.1', '463', '489'],
    ['8.1', '360', '381'],
    ['8.1', '257', '272'],
    ['6.6', '160', '169'],
  ],
  changes: [
    {
      kind: 'addLeaf',
      front: 540,
      frontTyped: '540',
      rear: 569,
      rearTyped: '569',
      thickness: 7.9,
      thicknessTyped: '7.9',
      camber: 122,
      camberTyped: '122',
      source: 'measured',
    },
  ],
  truth: { spread: 0.45, camberShort: 0, seed: 20 },
};

const trailer: DemoJob = {
  ask: {
    vehicle: {
      kind: 'new',
      name: 'Slipway boat trailer',
      form: 'trailer',
      maker: 'own build, Skerrow',
      wheelbase: 4150,
      wheelbaseTyped: '4150 mm',
      position: 'rear',
      arrangement: 'under',
      axleClass: 'trailer3t',
      steered: false,
      tankMass: 0,
      tankMassTyped: '0',
      tankStation: null,
      tankStationTyped: null,
      use: 'launching and hauling boats, salt water to the hubs',
      others: [],
    },
    complaint: 'Low on its axle since the winter; winch cradle fouls the tyres on the slip.',
    wantedChange: 30,
    wantedTyped: '30',
    tolerance: 8,
    toleranceTyped: '8',
    guess: 25,
    guessTyped: '25',
    noBlocks: false,
    keepUbolts: false,
    budget: null,
    goals: [],
    leafCount: 5,
    usual: null,
    wantedIn: 'today',
  },
  day: { fuel: null, tyrePressure: 350, tyrePressureTyped: '350' },
  pack: { eyeForm: 'berlin', seatShape: 'unknown', rusty: true },
  once: {
    blockHeight: '0',
    uboltExposed: '1 in',
    uboltPitch: '1.75',
    uboltThreaded: '2 1/2 in',
    uboltNut: '15',
    eyeToPinFront: '548',
    eyeToPinRear: '548',
    leafWidth: '60',
    uboltSpacing: '104',
    axleLoad: '1160',
  },
  left: { hubToLip: '402', loadedArch: '47' },
  right: { hubToLip: '399', loadedArch: '45' },
  leaves: [['8.2'], ['8.1', '446', '446'], ['8.2', '343', '343'], ['8.0', '241', '241'], ['6.6', '146', '146']],
  changes: [
    {
      kind: 'addLeaf',
      front: 408,
      frontTyped: '408',
      rear: 408,
      rearTyped: '408',
      thickness: 8,
      thicknessTyped: '8',
      camber: 93,
      camberTyped: '93',
      source: 'catalogue',
    },
    { kind: 'shackle', length: 128, lengthTyped: '128' },
  ],
  truth: { spread: 0.8, camberShort: 72, seed: 7 },
};

const rescue: DemoJob = {
  ask: {
    vehicle: {
      kind: 'new',
      name: 'Beach-rescue four-by-four',
      maker: 'Quillmark',
      wheelbase: 2710,
      wheelbaseTyped: '2710 mm',
      position: 'rear',
      arrangement: 'over',
      axleClass: 'pickupRear',
      steered: false,
      tankMass: 58,
      tankMassTyped: '58',
      tankStation: 1900,
      tankStationTyped: '1900',
      use: 'beach and dune tracks with a stretcher, two crew',
      others: [{ position: 'front', suspension: 'coilOver' }],
    },
    complaint: 'Tail down with the stretcher kit and two crew; touches its stops in the dunes.',
    wantedChange: 38.1,
    wantedTyped: '1 1/2 in',
    tolerance: 6.35,
    toleranceTyped: '1/4 in',
    guess: 50.8,
    guessTyped: '2 in',
    noBlocks: false,
    keepUbolts: true,
    budget: null,
    goals: [{ kind: 'rake', target: 20, targetTyped: '20', tolerance: 12, toleranceTyped: '12' }],
    leafCount: 5,
    usual: {
      name: 'stretcher kit and crew',
      items: [
        { kind: 'crew', name: 'two crew', mass: 160, massTyped: '160', station: 1750, stationTyped: '1750' },
        { kind: 'tools', name: 'stretcher kit', mass: 150, massTyped: '150', station: 2990, stationTyped: '2990' },
      ],
    },
    wantedIn: 'usual',
  },
  day: { fuel: 0.25, tyrePressure: 220, tyrePressureTyped: '220' },
  ratings: [
    { part: 'plate', rating: 1480, typed: '1480' },
    { part: 'tyres', rating: 1640, typed: '1640' },
  ],
  pack: { eyeForm: 'upturned', seatShape: 'unknown', rusty: false },
  once: {
    blockHeight: '0',
    uboltExposed: '16',
    uboltPitch: '1.5',
    uboltThreaded: '52',
    uboltNut: '12',
    eyeToPinFront: '24 1/8 in',
    eyeToPinRear: '25 3/4 in',
    leafWidth: '63',
    uboltSpacing: '5 1/8 in',
    axleLoad: '1090',
    unsprungMass: '270',
    shackleLength: '104',
  },
  left: { hubToLip: '19 1/4 in', loadedArch: '2 3/16 in' },
  right: { hubToLip: '19 7/16 in', loadedArch: '2 5/16 in' },
  second: {
    once: { axleLoad: '1352' },
    left: { hubToLip: '18 1/8 in', loadedArch: '1 1/8 in' },
    right: { hubToLip: '18 5/16 in', loadedArch: '1 1/4 in' },
  },
  leaves: [['7.6'], ['7.6', '502', '536'], ['7.7', '390', '417'], ['7.5', '278', '297'], ['6.2', '170', '181']],
  findings: [
    { rule: 'leafBroken', side: 'left', choice: 'none', values: [], note: '' },
    { rule: 'leafBroken', side: 'right', choice: 'none', values: [], note: '' },
    {
      rule: 'sag',
      side: 'left',
      choice: null,
      values: [
        { measure: 'expected', value: 74, typed: '74' },
        { measure: 'found', value: 55.5625, typed: '2 3/16 in' },
      ],
      note: 'new arch from the sheet of the spring’s maker',
    },
    { rule: 'witness', side: 'left', choice: 'heavy', values: [], note: 'bright on the stop, both sides' },
    { rule: 'bumpStop', side: 'left', choice: 'gone', values: [], note: '' },
    { rule: 'bumpStop', side: 'right', choice: 'cracked', values: [], note: '' },
    { rule: 'uBolts', side: 'left', choice: 'tight', values: [], note: '' },
  ],
  torques: [
    {
      joint: 'uBolts',
      typed: '112 to 124 N·m',
      value: 118_000,
      unit: 'N·m',
      source: 'maker',
      lubrication: 'dry',
      stage: 'notYet',
    },
  ],
  sideFindings: [{ what: 'left rear shock sweats at the rod', urgency: 'soon' }],
  failures: [
    { place: 'rear left, leaf 3', km: 41_300, cause: 'soft sand, full load' },
    { place: 'rear left, leaf 3', km: 66_900, cause: '' },
  ],
  changes: [
    {
      kind: 'addLeaf',
      front: 484,
      frontTyped: '484',
      rear: 516,
      rearTyped: '516',
      thickness: 7.1,
      thicknessTyped: '7.1',
      camber: 111,
      camberTyped: '111',
      source: 'measured',
    },
  ],
};

const cart: DemoJob = {
  ask: {
    vehicle: {
      kind: 'new',
      name: 'Ferry luggage cart 3',
      form: 'cart',
      maker: 'Brindle & Tarn',
      wheelbase: 1690,
      wheelbaseTyped: '1690 mm',
      position: 'rear',
      arrangement: 'under',
      axleClass: 'cartRear',
      steered: false,
      tankMass: 0,
      tankMassTyped: '0',
      tankStation: null,
      tankStationTyped: null,
      use: 'luggage from the ferry to the gate, flat ground and one ramp',
      others: [{ position: 'front', suspension: 'transverseLeaf' }],
    },
    complaint: 'Scrapes the linkspan plate at low water.',
    wantedChange: 55,
    wantedTyped: '55',
    tolerance: 10,
    toleranceTyped: '10',
    guess: null,
    guessTyped: null,
    noBlocks: false,
    keepUbolts: false,
    budget: null,
    goals: [],
    leafCount: 3,
    usual: null,
    wantedIn: 'today',
  },
  day: { fuel: null, tyrePressure: null, tyrePressureTyped: null },
  pack: { eyeForm: null, seatShape: 'unknown', rusty: false },
  once: { blockHeight: '0', uboltExposed: '12', uboltPitch: '1.25' },
  left: { hubToLip: '291' },
  right: {},
  leaves: [],
  changes: [],
};

/** Front and rear in one job; a spring of the rear was replaced by an unlike one some winters ago. */
const stores: DemoJob = {
  ask: {
    vehicle: {
      kind: 'new',
      name: 'Lighthouse stores truck',
      maker: 'Ostrelund',
      wheelbase: 3060,
      wheelbaseTyped: '3060 mm',
      position: 'rear',
      arrangement: 'over',
      axleClass: 'pickupRear',
      steered: false,
      tankMass: 66,
      tankMassTyped: '66',
      tankStation: 1700,
      tankStationTyped: '1700',
      use: 'gas bottles and stores up the lighthouse track twice a week',
      others: [{ position: 'front', suspension: 'longitudinalLeaf' }],
    },
    complaint: 'Leans to the right with stores aboard and grounds on the culvert; wants lifting at both ends.',
    wantedChange: 40,
    wantedTyped: '40',
    tolerance: 8,
    toleranceTyped: '8',
    guess: 45,
    guessTyped: '45',
    noBlocks: true,
    keepUbolts: false,
    budget: 850,
    goals: [{ kind: 'lean', target: 0, targetTyped: '0', tolerance: 6, toleranceTyped: '6' }],
    leafCount: 5,
    usual: {
      name: 'stores aboard',
      items: [
        { kind: 'cargo', name: 'gas bottles', mass: 190, massTyped: '190', station: 2760, stationTyped: '2760' },
        { kind: 'crew', name: 'mate', mass: 85, massTyped: '85', station: 1350, stationTyped: '1350' },
      ],
    },
    wantedIn: 'usual',
  },
  day: { fuel: 0.5, tyrePressure: 240, tyrePressureTyped: '240' },
  pack: { eyeForm: 'upturned', seatShape: 'flat', rusty: false },
  once: {
    blockHeight: '0',
    uboltExposed: '17',
    uboltPitch: '1.5',
    uboltThreaded: '54',
    uboltNut: '12',
    eyeToPinFront: '618',
    eyeToPinRear: '652',
    leafWidth: '63.5',
    uboltSpacing: '128',
    axleLoad: '1010',
    unsprungMass: '205',
    shackleLength: '106',
    shackleAngle: '101',
  },
  left: { hubToLip: '478', groundToHub: '351', groundToLip: '829', loadedArch: '61' },
  right: { hubToLip: '466', groundToHub: '350', groundToLip: '816', loadedArch: '47' },
  leaves: [['7.5'], ['7.5', '498', '530'], ['7.4', '381', '405'], ['7.5', '262', '279'], ['7.5', '150', '159']],
  own: {
    pack: { eyeForm: 'upturned', seatShape: 'flat', rusty: true },
    once: { eyeToPinFront: '618', eyeToPinRear: '652', leafWidth: '63' },
    leaves: [['7.0'], ['7.1', '488', '521'], ['6.9', '344', '362'], ['7.9', '201', '214']],
  },
  findings: [
    {
      rule: 'sag',
      side: 'right',
      choice: null,
      values: [
        { measure: 'expected', value: 61, typed: '61' },
        { measure: 'found', value: 47, typed: '47' },
      ],
      note: 'four leaves against five on the left',
    },
  ],
  changes: [{ kind: 'shackle', length: 150, lengthTyped: '150' }],
  also: [
    {
      take: {
        act: 'add',
        position: 'front',
        facts: { arrangement: 'over', axleClass: 'fourByFourFront', steered: true },
        leafCount: 4,
        wantedChange: 30,
        wantedTyped: '30',
        tolerance: 8,
        toleranceTyped: '8',
        guess: null,
        guessTyped: null,
      },
      pack: { eyeForm: 'berlin', seatShape: 'flat', rusty: false },
      once: {
        blockHeight: '0',
        uboltExposed: '15',
        uboltPitch: '1.5',
        uboltThreaded: '50',
        uboltNut: '12',
        eyeToPinFront: '521',
        eyeToPinRear: '538',
        leafWidth: '57',
        uboltSpacing: '116',
        axleLoad: '935',
        unsprungMass: '240',
        shackleLength: '98',
        shackleAngle: '99',
      },
      left: { hubToLip: '452', groundToHub: '351', groundToLip: '803', loadedArch: '52' },
      right: { hubToLip: '449', groundToHub: '351', groundToLip: '800', loadedArch: '50' },
      leaves: [['6.9'], ['6.9', '402', '415'], ['6.8', '291', '300'], ['6.9', '176', '182']],
      changes: [
        {
          kind: 'addLeaf',
          front: 365,
          frontTyped: '365',
          rear: 377,
          rearTyped: '377',
          thickness: 6.4,
          thicknessTyped: '6.4',
          camber: 74,
          camberTyped: '74',
          source: 'measured',
        },
      ],
    },
  ],
};

/** Coils on a beam axle, in front. */
const tender: DemoJob = {
  ask: {
    vehicle: {
      kind: 'new',
      name: 'Old fire tender',
      maker: 'Pellworth & Sons',
      wheelbase: 2940,
      wheelbaseTyped: '2940 mm',
      position: 'front',
      suspension: 'coilBeam',
      arrangement: null,
      axleClass: 'fourByFourFront',
      steered: true,
      tankMass: 82,
      tankMassTyped: '82',
      tankStation: 2350,
      tankStationTyped: '2350',
      use: 'harbour fires and the summer parade; stands on its coils all year',
      others: [{ position: 'rear', suspension: 'longitudinalLeaf' }],
    },
    complaint: 'Nose down and to the left; the left wheel rubs in the ruts of the mole.',
    wantedChange: 25,
    wantedTyped: '25',
    tolerance: 8,
    toleranceTyped: '8',
    guess: 30,
    guessTyped: '30',
    noBlocks: false,
    keepUbolts: false,
    budget: 300,
    goals: [{ kind: 'lean', target: 0, targetTyped: '0', tolerance: 6, toleranceTyped: '6' }],
    leafCount: 1,
    usual: {
      name: 'crew and pump',
      items: [
        { kind: 'crew', name: 'three crew', mass: 240, massTyped: '240', station: 900, stationTyped: '900' },
        { kind: 'tools', name: 'front pump', mass: 70, massTyped: '70', station: -520, stationTyped: '-520' },
      ],
    },
    wantedIn: 'usual',
  },
  day: { fuel: 0.5, tyrePressure: 300, tyrePressureTyped: '300' },
  ratings: [
    { part: 'axle', rating: 1900, typed: '1900' },
    { part: 'tyres', rating: 1820, typed: '1820' },
  ],
  seen: { coilEnds: 'closedGround' },
  pack: { eyeForm: null, seatShape: 'unknown', rusty: false },
  once: {
    axleLoad: '1385',
    otherAxleLoad: '1690',
    unsprungMass: '240',
    coilWire: '16.1',
    coilOutside: '145',
    coilTurns: '8.5',
    coilSpacer: '0',
    coilLean: '4',
  },
  left: {
    hubToLip: '431',
    groundToHub: '389',
    groundToLip: '820',
    coilLength: '279',
    coilFree: '398',
    otherAxleLip: '868',
  },
  right: {
    hubToLip: '438',
    groundToHub: '389',
    groundToLip: '827',
    coilLength: '286',
    coilFree: '404',
    otherAxleLip: '871',
  },
  second: { once: {}, left: { hubToLip: '402', coilLength: '251' }, right: { hubToLip: '409', coilLength: '258' } },
  leaves: [],
  findings: [
    { rule: 'coilBroken', side: 'left', choice: 'none', values: [], note: '' },
    { rule: 'coilBroken', side: 'right', choice: 'none', values: [], note: '' },
    {
      rule: 'coilSag',
      side: 'left',
      choice: null,
      values: [
        { measure: 'expected', value: 286, typed: '286' },
        { measure: 'found', value: 279, typed: '279' },
      ],
      note: 'against the right side, weight on',
    },
    { rule: 'coilSeat', side: 'left', choice: 'pad', values: [], note: 'lower pad gone' },
    { rule: 'coilClash', side: 'left', choice: 'marks', values: [], note: '' },
  ],
  changes: [
    {
      kind: 'coil',
      wire: 16.6,
      wireTyped: '16.6',
      outside: 146,
      outsideTyped: '146',
      turns: 8.75,
      turnsTyped: '8.75',
      free: 424,
      freeTyped: '424',
      ends: 'closedGround',
      used: false,
      source: 'catalogue',
    },
  ],
};

export const JOBS: readonly DemoJob[] = [flatbed, trailer, rescue, cart, stores, tender];
