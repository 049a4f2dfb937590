import { type ChangeRow, type NewJob } from '@/contracts/job';
import { type EyeForm, type PointId } from '@/core/measure/points';

/** An invented island workshop. People, makers and vehicles are made up and plainly so. */
export const SHOP = 'Skerrow Harbour Cooperative (demo)';
export const PEOPLE = ['Ansa Korvild', 'Tibb Marrelow', 'Oona Fesk'];

export type Texts = Partial<Record<PointId, string>>;

export interface DemoJob {
  ask: Omit<NewJob, 'id'>;
  pack: { eyeForm: EyeForm | null; seatShape: 'flat' | 'concentric' | 'unknown'; rusty: boolean };
  /** Readings of the axle as a whole. */
  once: Texts;
  left: Texts;
  right: Texts;
  /** Thickness, front tip, rear tip of each leaf from the main leaf down; the main leaf has no tips. */
  leaves: [thickness: string, front?: string, rear?: string][];
  changes: ChangeRow[];
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
    leafCount: 6,
    usual: { name: 'ice and crates', mass: 420, massTyped: '420', station: 3050, stationTyped: '3050' },
    wantedIn: 'usual',
  },
  pack: { eyeForm: 'upturned', seatShape: 'flat', rusty: false },
  once: {
    blockHeight: '0',
    uboltExposed: '19',
    uboltPitch: '1.5',
    uboltThreaded: '58',
    uboltNut: '13',
    eyeToPinFront: '26 5/8 in',
    eyeToPinRear: '28 1/4 in',
    leafWidth: '2 3/4 in',
    uboltSpacing: '142',
    axleLoad: '1480',
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
    ['7.9'],
    ['7.9', '590', '622'],
    ['7.9', '492', '520'],
    ['7.9', '391', '414'],
    ['7.9', '288', '306'],
    ['7.9', '186', '199'],
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
      camber: 131,
      camberTyped: '131',
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
      maker: 'own build, Skerrow',
      wheelbase: 4150,
      wheelbaseTyped: '4150 mm',
      position: 'rear',
      arrangement: 'under',
      axleClass: 'trailer3t',
      steered: false,
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
    leafCount: 5,
    usual: null,
    wantedIn: 'today',
  },
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
  leaves: [['8.2'], ['8.1', '455', '455'], ['8.2', '362', '362'], ['8.0', '268', '268'], ['8.1', '173', '173']],
  changes: [
    {
      kind: 'addLeaf',
      front: 408,
      frontTyped: '408',
      rear: 408,
      rearTyped: '408',
      thickness: 8,
      thicknessTyped: '8',
      camber: 96,
      camberTyped: '96',
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
    leafCount: 5,
    usual: { name: 'stretcher kit and crew', mass: 310, massTyped: '310', station: 2350, stationTyped: '2350' },
    wantedIn: 'usual',
  },
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
    shackleLength: '104',
  },
  left: { hubToLip: '19 1/4 in', loadedArch: '2 3/16 in' },
  right: { hubToLip: '19 7/16 in', loadedArch: '2 5/16 in' },
  leaves: [['7.1'], ['7.1', '531', '566'], ['7.2', '438', '467'], ['7.0', '343', '366'], ['7.1', '247', '262']],
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
      maker: 'Brindle & Tarn',
      wheelbase: 1690,
      wheelbaseTyped: '1690 mm',
      position: 'rear',
      arrangement: 'under',
      axleClass: 'cartRear',
      steered: false,
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
    leafCount: 3,
    usual: null,
    wantedIn: 'today',
  },
  pack: { eyeForm: null, seatShape: 'unknown', rusty: false },
  once: { blockHeight: '0', uboltExposed: '12', uboltPitch: '1.25' },
  left: { hubToLip: '291' },
  right: {},
  leaves: [],
  changes: [],
};

export const JOBS: readonly DemoJob[] = [flatbed, trailer, rescue, cart];
