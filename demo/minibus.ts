import { type DemoJob } from './job';

/** Rubber shear springs behind, the left block torn. */
export const minibus: DemoJob = {
  ask: {
    vehicle: {
      ...{ kind: 'new', name: 'Chapel minibus', form: 'bus', maker: 'Ostrelund' },
      ...{ wheelbase: 3640, wheelbaseTyped: '3640 mm', position: 'rear', suspension: 'rubberShear', arrangement: null },
      ...{ axleClass: 'oneTonRear', steered: false, tankMass: 62, tankMassTyped: '62' },
      ...{ tankStation: 1900, tankStationTyped: '1900' },
      use: 'eleven seats to the ferry and back, market days full',
      others: [{ position: 'front', suspension: 'longitudinalLeaf' }],
    },
    complaint: 'Leans to the left and knocks over the cattle grid since a block has torn.',
    ...{ wantedChange: 18, wantedTyped: '18', tolerance: 7, toleranceTyped: '7', guess: 10, guessTyped: '10' },
    ...{ noBlocks: false, keepUbolts: true, budget: 420, leafCount: 1 },
    goals: [{ kind: 'lean', target: 0, targetTyped: '0', tolerance: 6, toleranceTyped: '6' }],
    usual: {
      name: 'seats full',
      items: [
        { kind: 'crew', name: 'eleven', mass: 790, massTyped: '790', station: 2350, stationTyped: '2350' },
        { kind: 'cargo', name: 'bags', mass: 90, massTyped: '90', station: 4300, stationTyped: '4300' },
      ],
    },
    wantedIn: 'usual',
  },
  day: { fuel: 0.5, tyrePressure: 410, tyrePressureTyped: '410' },
  ratings: [{ part: 'tyres', rating: 2360, typed: '2360' }],
  seen: { coilEnds: null },
  pack: { eyeForm: null, seatShape: 'unknown', rusty: true },
  once: {
    ...{ axleLoad: '1540', unsprungMass: '262', trackWidth: '1610', springBase: '1140' },
    ...{ shearLong: '152', shearWide: '92', shearThick: '84', shearHard: '51', shearRows: '38' },
    ...{ carrierFixed: '618', carrierNose: '536', carrierLeaves: '4', carrierWidth: '70', carrierThickness: '11.2' },
    carrierFull: '2',
  },
  left: { hubToLip: '418', groundToHub: '366', groundToLip: '784', shearOffset: '11', otherAxleLip: '802' },
  right: { hubToLip: '425', groundToHub: '366', groundToLip: '791', shearOffset: '2', otherAxleLip: '804' },
  leaves: [],
  findings: [
    {
      ...{ rule: 'shearTear', side: 'left', choice: null, note: 'inner face, along the lower plate' },
      values: [
        { measure: 'deep', value: 26, typed: '26' },
        { measure: 'long', value: 94, typed: '94' },
      ],
    },
    { rule: 'shearBond', side: 'right', choice: 'edge', values: [], note: '' },
    { rule: 'carrierNose', side: 'left', choice: 'worn', values: [], note: 'sleeve loose in its bore' },
    { rule: 'shearHoles', side: 'left', choice: 'alike', values: [], note: '' },
    { rule: 'shearHoles', side: 'right', choice: 'alike', values: [], note: '' },
  ],
  changes: [
    {
      ...{ kind: 'shearBlock', rate: 104, rateTyped: '104 N/mm', thick: 84, thickTyped: '84' },
      ...{ offset: -57, offsetTyped: '-57', used: false, source: 'catalogue' },
    },
  ],
};
