import { jointAngles } from '../driveline/joints';
import { meanToe, tieRodTurns, toeAngle, toeAt } from '../steering/toe';
import { axleShares } from '../vehicle/load';
import { thrustAngle, tiltAngle } from '../vehicle/square';
import { type FieldRule } from '../units/parse';
import { lengthRule, massRule } from '../units/rules';
import { drawJoints, drawShares, drawSquare, drawTilt, drawToe } from './draws';
import { n, type Sum } from './sum';

const DEGREE = Math.PI / 180;
const SLOPE: FieldRule = { dimension: 'angle', unit: 'deg', min: -0.7, max: 0.7 };
const width = lengthRule(300, 3000, 1500);

export const AXLE_SUMS: readonly Sum[] = [
  {
    id: 'toe',
    group: 'axle and wheels',
    title: 'Toe by tape',
    words: 'toe-in toe-out alignment degrees tie rod turns tread',
    fields: [
      {
        id: 'front',
        label: 'In front of the wheels',
        rule: width,
        example: '1412 mm',
        hint: 'tread to tread at hub height',
      },
      { id: 'rear', label: 'Behind them', rule: width, example: '1416 mm' },
      { id: 'front2', label: 'In front, rolled half a turn', rule: width, example: '1413 mm' },
      { id: 'rear2', label: 'Behind, rolled half a turn', rule: width, example: '1416 mm' },
      { id: 'diameter', label: 'Diameter where it was read', rule: lengthRule(100, 1600, 650), example: '640 mm' },
      { id: 'wanted', label: 'Wanted in all', rule: { ...SLOPE, min: -0.1, max: 0.1 }, example: '0.2°' },
      { id: 'arm', label: 'Steering arm', rule: lengthRule(30, 500, 130), example: '128 mm' },
      {
        id: 'lead',
        label: 'Rod lengthens a turn',
        rule: lengthRule(0.3, 10, 1.5),
        example: '1.5 mm',
        hint: 'both ends of a sleeve: twice the lead',
      },
    ],
    source: 'geometry; the mean over half a turn takes out run-out',
    silent: 'Castor and camber, and play in the joints: a qualified shop sets them where the maker asks.',
    answer: (given) => {
      const difference = meanToe(
        { front: given.number('front'), rear: given.number('rear') },
        { front: given.number('front2'), rear: given.number('rear2') },
      );
      const total = toeAngle(difference, given.number('diameter'));
      const turns = tieRodTurns(given.number('wanted') - total, given.number('arm'), given.number('lead'));
      return {
        figures: [
          { label: total < 0 ? 'toe-out in all' : 'toe-in in all', value: Math.abs(total), dimension: 'angle' },
          { label: 'a wheel', value: Math.abs(total) / 2, dimension: 'angle' },
          {
            label: 'wanted, behind less in front',
            value: toeAt(given.number('wanted'), given.number('diameter')),
            dimension: 'length',
          },
          { label: 'turns of the rod', value: Math.abs(turns), dimension: 'turns' },
        ],
        words: [
          `${turns < 0 ? 'towards toe-out' : 'towards toe-in'}: which way that is on the rod depends on whether it lies before or behind the axle.`,
        ],
        working: [
          `mean of behind less in front = ${n(difference)} mm, over ${n(given.number('diameter'), 0)} mm = ${n(total / DEGREE, 2)}°`,
        ],
      };
    },
    draw: drawToe,
  },
  {
    id: 'square',
    group: 'axle and wheels',
    title: 'Axle square',
    words: 'thrust angle wheelbase diagonal crooked dog-tracking centre pin not home',
    fields: [
      { id: 'left', label: 'Hub to hub, left', rule: lengthRule(300, 20_000, 3000), example: '2984 mm' },
      { id: 'right', label: 'Hub to hub, right', rule: lengthRule(300, 20_000, 3000), example: '2991 mm' },
      { id: 'track', label: 'Track', rule: width, example: '1480 mm' },
    ],
    source: 'geometry',
    silent: 'Which axle is askew: measure both against the frame. A centre bolt not in its hole shows here.',
    answer: (given) => {
      const angle = thrustAngle(given.number('left'), given.number('right'), given.number('track'));
      const off = given.number('left') - given.number('right');
      return {
        figures: [
          { label: 'askew', value: Math.abs(angle), dimension: 'angle' },
          { label: off < 0 ? 'right is longer by' : 'left is longer by', value: Math.abs(off), dimension: 'length' },
        ],
        words: [Math.abs(off) > 6 ? 'look: see whether the centre bolt sits in its hole' : 'As good as square.'],
        working: [`atan(${n(off, 0)} / ${n(given.number('track'), 0)}) = ${n(angle / DEGREE, 2)}°`],
      };
    },
    draw: drawSquare,
  },
  {
    id: 'joints',
    group: 'axle and wheels',
    title: 'Joints of a drive shaft',
    words: 'universal joint u-joint pinion angle driveline vibration wedge degrees prop shaft',
    fields: [
      { id: 'output', label: 'Output slopes', rule: SLOPE, example: '2.5°', hint: 'plus: down towards the axle' },
      { id: 'shaft', label: 'Shaft slopes', rule: SLOPE, example: '4.5°' },
      { id: 'pinion', label: 'Pinion slopes', rule: SLOPE, example: '4°', hint: 'plus: its nose up' },
    ],
    source: 'joints equal within about a degree, half a degree to three at road speed (common practice)',
    silent: 'Shafts of two pieces and joints of constant speed: those go by their makers’ figures.',
    answer: (given) => {
      const angles = jointAngles({
        output: given.number('output'),
        shaft: given.number('shaft'),
        pinion: given.number('pinion'),
      });
      const { front, rear, unequal } = angles;
      return {
        figures: [
          { label: 'out of parallel', value: Math.abs(unequal), dimension: 'angle' },
          { label: 'front joint', value: front, dimension: 'angle' },
          { label: 'rear joint', value: rear, dimension: 'angle' },
        ],
        words: [
          Math.abs(unequal) > DEGREE
            ? `look: the pinion points ${n(Math.abs(unequal) / DEGREE)}° too ${unequal > 0 ? 'high' : 'low'}; a wedge of that turns it back`
            : 'As good as equal.',
          ...(Math.max(front, rear) > 3 * DEGREE ? ['look: a joint works at more than 3°'] : []),
        ],
        working: [`pinion − output = ${n(unequal / DEGREE)}°`],
      };
    },
    draw: drawJoints,
  },
  {
    id: 'shares',
    group: 'axle and wheels',
    title: 'Load on each axle',
    words: 'axle weight distribution tongue weight payload overhang where it sits',
    fields: [
      { id: 'mass', label: 'Load', rule: massRule(-20_000, 20_000, 300), example: '310 kg' },
      {
        id: 'station',
        label: 'Behind the front axle or coupling',
        rule: lengthRule(-20_000, 40_000, 2500),
        example: '2600 mm',
      },
      { id: 'wheelbase', label: 'Wheelbase', rule: lengthRule(500, 20_000, 3000), example: '3050 mm' },
    ],
    source: 'statics about the other axle',
    silent: 'What the axles may carry: plate, tyres, wheels and hangers decide, never the spring alone.',
    answer: (given) => {
      const { front, rear } = axleShares(
        { mass: given.number('mass'), station: given.number('station') },
        given.number('wheelbase'),
      );
      return {
        figures: [
          { label: 'on the rear axle', value: rear, dimension: 'mass' },
          { label: 'on the front axle or coupling', value: front, dimension: 'mass' },
        ],
        words: front < 0 ? ['look: it lifts the front; steering and braking get less'] : [],
        working: [
          `${n(given.number('mass'), 0)} × ${n(given.number('station'), 0)} / ${n(given.number('wheelbase'), 0)} = ${n(rear, 0)} kg`,
        ],
      };
    },
    draw: drawShares,
  },
  {
    id: 'tilt',
    group: 'axle and wheels',
    title: 'Side slope of a raised cart',
    words: 'tip over roll rollover centre of gravity lift golf cart side hill static stability',
    fields: [
      { id: 'track', label: 'Track', rule: width, example: '890 mm' },
      { id: 'height', label: 'Centre of gravity, height', rule: lengthRule(50, 4000, 600), example: '610 mm' },
      { id: 'lift', label: 'Raised by', rule: lengthRule(-300, 500, 80), example: '75 mm' },
    ],
    source: 'half the track over the height of the centre of gravity',
    silent: 'Speed, turns, holes and people: all of them tip it sooner. A local rule or the maker may forbid a lift.',
    answer: (given) => {
      const before = tiltAngle(given.number('track'), given.number('height'));
      const after = tiltAngle(given.number('track'), given.number('height') + given.number('lift'));
      return {
        figures: [
          { label: 'tips at', value: after, dimension: 'angle' },
          { label: 'before', value: before, dimension: 'angle' },
        ],
        words: ['Standing still and stiff: on the move it is far less.'],
        working: [
          `atan(${n(given.number('track') / 2, 0)} / ${n(given.number('height') + given.number('lift'), 0)}) = ${n(after / DEGREE)}°`,
        ],
      };
    },
    draw: drawTilt,
  },
];
