import { CoreError } from '../errors';
import { leafInertia, SPRING_STEEL_E } from '../material/steel';
import { handbookEstimate } from '../mechanics/leafpack/handbook';
import { wedgeTurn } from '../driveline/wedgeMend';
import { coilRate, COIL_ENDS, solidHeight, type CoilEnds } from '../mechanics/coil/coil';
import { countRule, lengthRule, TURNS_RULE } from '../units/rules';
import { across, area, box, disc, ground, leaves, line, note, up, type At, type Shape } from './picture';
import { steppedPack } from './steppedPack';
import { n, type Sum, type SumInput } from './sum';

const DEGREE = Math.PI / 180;
const force = {
  dimension: 'force' as const,
  unit: 'N' as const,
  min: 50,
  max: 100_000,
  expected: 5000,
  alternatives: ['kN', 'lbf'] as const,
};

const rateOf = (given: SumInput, count: number) =>
  handbookEstimate(steppedPack(given, count), given.number('seat') / 3, SPRING_STEEL_E);

export const LEAF_SUMS: readonly Sum[] = [
  {
    id: 'pack',
    group: 'springs',
    title: 'Rate of a leaf pack',
    words: 'leaf spring stiffness add a leaf one leaf more overload helper how much stiffer rate handbook',
    fields: [
      { id: 'count', label: 'Leaves', rule: countRule(1, 14), example: '5' },
      {
        id: 'full',
        label: 'Of them full length',
        rule: countRule(1, 6),
        example: '1',
        hint: 'main leaf and any as long',
      },
      { id: 'front', label: 'Eye to bolt, front', rule: lengthRule(100, 1500, 600), example: '610 mm' },
      { id: 'rear', label: 'Eye to bolt, rear', rule: lengthRule(100, 1500, 650), example: '655 mm' },
      { id: 'width', label: 'Width', rule: lengthRule(20, 150, 63), example: '60 mm' },
      {
        id: 'thickness',
        label: 'Thickness of a leaf',
        rule: lengthRule(2, 30, 8),
        example: '7.5 mm',
        hint: '0.3 mm too much is 12 % of rate',
      },
      { id: 'seat', label: 'Clamped by its U-bolts', rule: lengthRule(0, 400, 130), example: '125 mm' },
      { id: 'load', label: 'Load on the spring', rule: force, example: '4.5 kN' },
    ],
    source:
      '2EΣI·SF·(a+b)/(a²b²), SAE HS-788 form from memory; a third of the clamped length at each end stays straight',
    silent:
      'Shackle, friction and leaves that touch late: the Board’s quick answer and a job solve those. It takes all leaves alike.',
    answer: (given) => {
      const count = Math.round(given.number('count'));
      if (given.number('full') > count) throw new CoreError('bad-input', 'full', 'no more than there are leaves');
      const { rate, shapeFactor } = rateOf(given, count);
      const more = rateOf(given, count + 1).rate;
      const load = given.number('load');
      const inertia = leafInertia(given.number('width'), given.number('thickness'));
      return {
        figures: [
          { label: 'rate', value: rate, dimension: 'rate' },
          { label: 'with one such leaf more', value: more, dimension: 'rate' },
          { label: 'gives under that load', value: load / rate, dimension: 'length' },
          { label: 'one leaf more holds up, by its rate alone', value: load / rate - load / more, dimension: 'length' },
        ],
        words: [
          `One leaf more is ${n(100 * (more / rate - 1), 0)} % stiffer; how high it lifts depends on its own arch first.`,
          'No stiffer spring raises what axle, tyres and plate may carry.',
        ],
        working: [
          `ΣI = ${count} × ${n(inertia, 0)} mm⁴, SF = ${n(shapeFactor, 2)}`,
          `k = 2 × ${SPRING_STEEL_E} × ΣI × SF × (a + b)/(a²b²) = ${n(rate)} N/mm`,
        ],
      };
    },
    model: async (given) => {
      const { modelRate } = await import('./packModel');
      const value = modelRate(given, Math.round(given.number('count')));
      return value === null ? [] : [{ label: 'by the contact model', value, dimension: 'rate' }];
    },
    draw: (given) => {
      const [a, b] = [given.number('front'), given.number('rear')];
      const count = Math.round(given.number('count'));
      const t = given.number('thickness');
      const arch = 0.07 * (a + b);
      const eye = (x: number) => (4 * arch * x ** 2) / (a + b) ** 2;
      return {
        says: 'the pack from the side',
        front: true,
        shapes: [
          ...leaves([a, b], count, t, arch),
          disc([-a, eye(a)], 14, { fill: 'paper' }),
          disc([b, eye(b)], 14, { fill: 'paper' }),
          across(-a, 0, -count * t - 90),
          across(0, b, -count * t - 90),
          box(-given.number('seat') / 2, -count * t - 14, given.number('seat'), 14, { fill: 'tape' }),
          line(
            [
              [0, -count * t - 14],
              [0, -count * t - 100],
            ],
            { ink: 'quiet', dashed: true },
          ),
        ],
      };
    },
  },
  {
    id: 'raise',
    group: 'springs',
    title: 'Block, shackle, over the axle',
    words: 'lift lower block riser shackle longer spring over under axle conversion eye form level height leveling',
    fields: [
      {
        id: 'block',
        label: 'Block, more or less',
        rule: lengthRule(-200, 200),
        example: '25 mm',
        hint: 'taken out: minus',
      },
      {
        id: 'shackle',
        label: 'Shackle longer by',
        rule: lengthRule(-150, 150),
        example: '20 mm',
        hint: 'pivot above the eye',
      },
      { id: 'front', label: 'Fixed eye to bolt', rule: lengthRule(100, 1500, 600), example: '610 mm' },
      { id: 'rear', label: 'Shackle eye to bolt', rule: lengthRule(100, 1500, 650), example: '655 mm' },
      { id: 'tube', label: 'Axle tube', rule: lengthRule(20, 400, 76), example: '73 mm' },
      { id: 'pack', label: 'Pack, clamped', rule: lengthRule(3, 400, 50), example: '38 mm' },
      {
        id: 'perches',
        label: 'Both perches together',
        rule: lengthRule(0, 200),
        example: '24 mm',
        hint: 'the old one below adds',
      },
    ],
    choices: [
      {
        id: 'move',
        label: 'The spring',
        options: [
          { id: 'stays', name: 'stays where it is' },
          { id: 'over', name: 'goes over the axle' },
        ],
      },
    ],
    source:
      'a block lifts by itself, a shackle by a/(a + b) of its length near upright, over the axle by tube, pack and perches',
    silent:
      'What a leaning shackle adds (12 to 13 % at 60 or 120 degrees), hose, shock, stop and pinion: a job checks those. No block on a steered axle, never two stacked.',
    answer: (given) => {
      const [a, b] = [given.number('front'), given.number('rear')];
      const shackle = (given.number('shackle') * a) / (a + b);
      const over =
        given.choice('move') === 'over' ? given.number('tube') + given.number('pack') + given.number('perches') : 0;
      const all = given.number('block') + shackle + over;
      return {
        figures: [
          { label: all < 0 ? 'frame goes down by' : 'frame goes up by', value: Math.abs(all), dimension: 'length' },
          { label: 'of that the block', value: given.number('block'), dimension: 'length' },
          { label: 'the shackle', value: shackle, dimension: 'length' },
          ...(over > 0 ? [{ label: 'over the axle', value: over, dimension: 'length' as const }] : []),
        ],
        words: [
          all > 60
            ? 'look: that much asks for hoses, shocks, shaft and headlamps to be looked at'
            : 'Still look at hoses and stops at full hang.',
          ...(given.number('block') > 0
            ? ['look: a block needs its dowel in both faces, and never stands on a steered axle']
            : []),
        ],
        working: [
          `${n(given.number('block'), 0)} + ${n(given.number('shackle'), 0)} × ${n(a, 0)} / (${n(a, 0)} + ${n(b, 0)})${over > 0 ? ` + ${n(over, 0)}` : ''} = ${n(all)} mm`,
        ],
      };
    },
    draw: (given) => {
      const [a, b, tube] = [given.number('front'), given.number('rear'), given.number('tube')];
      const [pack, block] = [given.number('pack'), Math.max(0, given.number('block'))];
      const over = given.choice('move') === 'over';
      // Its seat: on top of the tube, or hung under it.
      const foot = over ? tube / 2 + given.number('perches') / 2 : -tube / 2 - block;
      const seat = over ? foot + block + pack : foot;
      const arch = 0.06 * (a + b);
      const eye = (x: number) => seat + (4 * arch * x ** 2) / (a + b) ** 2;
      const shackle = 70 + Math.max(-40, given.number('shackle'));
      return {
        says: 'spring, axle and shackle from the side',
        front: true,
        shapes: [
          ...leaves([a, b], Math.max(1, Math.round(pack / 8)), 8, arch, [0, seat]),
          disc([0, 0], tube / 2, { fill: 'paper' }),
          ...(block > 0
            ? [box(-45, foot, 90, block, { fill: 'new', ink: 'new' }), up(foot, foot + block, -90, 'new')]
            : []),
          disc([-a, eye(a)], 14, { fill: 'paper' }),
          disc([b, eye(b)], 14, { fill: 'paper' }),
          line(
            [
              [b, eye(b)],
              [b + 12, eye(b) + shackle],
            ],
            { ink: given.number('shackle') === 0 ? 'ink' : 'new' },
          ),
          disc([b + 12, eye(b) + shackle], 10, { fill: 'paper' }),
        ],
      };
    },
  },
  {
    id: 'wedge',
    group: 'springs',
    title: 'Wedge under a spring',
    words: 'pinion angle shim degree thick end caster axle nose up down driveline taper',
    fields: [
      {
        id: 'turn',
        label: 'Axle’s nose to go up by',
        rule: { dimension: 'angle', unit: 'deg', min: -0.2, max: 0.2, expected: 0.035 },
        example: '2°',
        hint: 'down: minus',
      },
      { id: 'seat', label: 'Its length along the spring', rule: lengthRule(40, 400, 130), example: '128 mm' },
      { id: 'thin', label: 'Thin end', rule: lengthRule(1, 30, 3), example: '3 mm' },
    ],
    choices: [
      {
        id: 'lies',
        label: 'The spring lies',
        options: [
          { id: 'over', name: 'over the axle' },
          { id: 'under', name: 'under the axle' },
        ],
      },
    ],
    source:
      'triangle; thick end to the rear lifts the nose where the spring lies over the axle, and the other way round below it',
    silent:
      'That a wedge lengthens the U-bolts by its middle and needs its hole over the dowel. Steel, not soft alloy that squeezes out (common practice). On a front axle it is caster: a qualified shop.',
    answer: (given) => {
      const turn = given.number('turn');
      const angle = Math.abs(turn);
      const over = given.choice('lies') === 'over';
      const thick = wedgeTurn({ angle, thick: 'rear' }, over ? 'over' : 'under') * turn >= 0 ? 'rear' : 'front';
      const end = given.number('thin') + Math.tan(angle) * given.number('seat');
      return {
        figures: [
          { label: 'thick end', value: end, dimension: 'length' },
          { label: 'in the middle', value: (end + given.number('thin')) / 2, dimension: 'length' },
          { label: 'angle', value: angle, dimension: 'angle' },
        ],
        words: [
          `Thick end to the ${thick}.`,
          ...(angle > 6 * DEGREE
            ? ['look: more than 6° is a job for new perches, not for a wedge (common practice)']
            : []),
        ],
        working: [
          `${n(given.number('thin'))} + tan ${n(angle / DEGREE)}° × ${n(given.number('seat'), 0)} = ${n(end)} mm`,
        ],
      };
    },
    draw: (given) => {
      const seat = given.number('seat');
      const turn = given.number('turn');
      const over = given.choice('lies') === 'over';
      const rear = over === turn >= 0;
      const thin = given.number('thin');
      const end = thin + Math.tan(Math.abs(turn)) * seat;
      const [left, right] = rear ? [thin, end] : [end, thin];
      return {
        says: `the wedge, its thick end to the ${rear ? 'rear' : 'front'}`,
        front: true,
        shapes: [
          area(
            [
              [-seat / 2, 0],
              [seat / 2, 0],
              [seat / 2, right],
              [-seat / 2, left],
            ],
            { fill: 'new', ink: 'new' },
          ),
          across(-seat / 2, seat / 2, -12),
          up(0, left, -seat / 2 - 12),
          up(0, right, seat / 2 + 12),
          note([0, Math.max(left, right) + 8], over ? 'spring above, axle below' : 'axle above, spring below', 'quiet'),
        ],
      };
    },
  },
  {
    id: 'swap',
    group: 'springs',
    title: 'One coil for another',
    words: 'coil spring swap softer stiffer wire diameter turns lower lift heavy duty',
    fields: [
      { id: 'wire', label: 'Old wire', rule: lengthRule(4, 45, 15), example: '16 mm' },
      { id: 'outside', label: 'Old, outside', rule: lengthRule(40, 350, 140), example: '148 mm' },
      { id: 'turns', label: 'Old turns', rule: TURNS_RULE, example: '7.5' },
      { id: 'free', label: 'Old, free', rule: lengthRule(80, 1000, 380), example: '395 mm' },
      { id: 'wire2', label: 'New wire', rule: lengthRule(4, 45, 15), example: '14 mm' },
      { id: 'outside2', label: 'New, outside', rule: lengthRule(40, 350, 140), example: '148 mm' },
      { id: 'turns2', label: 'New turns', rule: TURNS_RULE, example: '8' },
      { id: 'free2', label: 'New, free', rule: lengthRule(80, 1000, 380), example: '420 mm' },
      { id: 'load', label: 'Load on the coil', rule: force, example: '4.2 kN' },
    ],
    choices: [
      {
        id: 'ends',
        label: 'Ends',
        options: COIL_ENDS.map((id) => ({
          id,
          name: { closedGround: 'closed and ground', closed: 'closed', open: 'open', pigtail: 'pigtail' }[id],
        })),
      },
    ],
    source: 'k = G·d⁴/(8·D³·n), Shigley; G = 79,300 MPa',
    silent:
      'Seat, shock and stop: a softer coil stands nearer to solid. A coil on an arm moves the wheel by more than itself.',
    answer: (given) => {
      const ends = given.choice<CoilEnds>('ends');
      const of = (k: '' | '2') => {
        const wire = given.number(`wire${k}`);
        const coil = {
          ...{ wire, mean: given.number(`outside${k}`) - wire, turns: given.number(`turns${k}`), ends },
          free: given.number(`free${k}`),
        };
        const rate = coilRate(coil);
        const length = coil.free - given.number('load') / rate;
        return { rate, length, left: length - solidHeight(coil) };
      };
      const [old, now] = [of(''), of('2')];
      return {
        figures: [
          {
            label: now.length < old.length ? 'stands lower by' : 'stands higher by',
            value: Math.abs(now.length - old.length),
            dimension: 'length',
          },
          { label: 'new rate', value: now.rate, dimension: 'rate' },
          { label: 'old rate', value: old.rate, dimension: 'rate' },
          { label: 'new one is solid after', value: now.left, dimension: 'length' },
          { label: 'the old one after', value: old.left, dimension: 'length' },
        ],
        words: [
          ...(now.left <= 0 ? ['STOP: it is solid under that load'] : []),
          `The new one is ${n(100 * Math.abs(now.rate / old.rate - 1), 0)} % ${now.rate < old.rate ? 'softer' : 'stiffer'}: look at the shocks.`,
        ],
        working: [
          `old ${n(old.rate)} N/mm, ${n(old.length)} mm under load; new ${n(now.rate)} N/mm, ${n(now.length)} mm`,
        ],
      };
    },
    draw: (given) => {
      const coil = (k: '' | '2', x: number): Shape[] => {
        const [wire, out, turns, free] = ['wire', 'outside', 'turns', 'free'].map((id) => given.number(`${id}${k}`));
        const steps = 2 * Math.round(turns!);
        const at = (i: number): At => [x + ((i % 2 === 0 ? -1 : 1) * (out! - wire!)) / 2, (i * free!) / steps];
        const look = k === '' ? {} : ({ ink: 'new' } as const);
        return [
          ...Array.from({ length: steps }, (_, i) => line([at(i), at(i + 1)], look)),
          ...Array.from({ length: steps + 1 }, (_, i) =>
            disc(at(i), wire! / 2, { fill: k === '' ? 'steel' : 'new', ...look }),
          ),
          up(0, free!, k === '' ? x - out! / 2 - 26 : x + out! / 2 + 26, k === '' ? 'ink' : 'new'),
        ];
      };
      const apart = given.number('outside') / 2 + given.number('outside2') / 2 + 90;
      return {
        says: 'both coils without load',
        shapes: [...coil('', 0), ...coil('2', apart), note([0, -22], 'old', 'quiet'), note([apart, -22], 'new', 'new')],
      };
    },
  },
  {
    id: 'level',
    group: 'springs',
    title: 'Load, height and level',
    words: 'sag load height rake nose down squat headlamp pitch payload fuel tank quarter full',
    fields: [
      {
        id: 'mass',
        label: 'Load put on',
        rule: { dimension: 'mass', unit: 'kg', min: -20_000, max: 20_000, expected: 200, alternatives: ['lb'] },
        example: '220 kg',
        hint: 'taken off: minus',
      },
      { id: 'station', label: 'Behind the front axle', rule: lengthRule(-20_000, 40_000, 2500), example: '2700 mm' },
      { id: 'wheelbase', label: 'Wheelbase', rule: lengthRule(500, 20_000, 3000), example: '2950 mm' },
      {
        id: 'front',
        label: 'Rate of one front spring',
        rule: { dimension: 'rate', unit: 'N/mm', min: 2, max: 3000, alternatives: ['lbf/in'] },
        example: '44 N/mm',
      },
      {
        id: 'rear',
        label: 'Rate of one rear spring',
        rule: { dimension: 'rate', unit: 'N/mm', min: 2, max: 3000, alternatives: ['lbf/in'] },
        example: '38 N/mm',
      },
    ],
    source: 'statics about the other axle; an axle goes down by its load over both its rates',
    silent: 'Tyres give a little more, friction holds some of it back: roll the vehicle before it is read.',
    answer: (given) => {
      const wheelbase = given.number('wheelbase');
      const weight = given.number('mass') * 9.80665;
      const rear = (weight * given.number('station')) / wheelbase;
      const [f, r] = [(weight - rear) / (2 * given.number('front')), rear / (2 * given.number('rear'))];
      const pitch = Math.atan((r - f) / wheelbase);
      return {
        figures: [
          { label: r < 0 ? 'rear goes up by' : 'rear goes down by', value: Math.abs(r), dimension: 'length' },
          { label: f < 0 ? 'front goes up by' : 'front goes down by', value: Math.abs(f), dimension: 'length' },
          { label: pitch < 0 ? 'nose goes down by' : 'nose goes up by', value: Math.abs(pitch), dimension: 'angle' },
        ],
        words: Math.abs(pitch) > 0.3 * DEGREE ? ['look: headlamps are set with the load that is usual'] : [],
        working: [
          `${n(given.number('mass'), 0)} × 9.81 × ${n(given.number('station'), 0)} / ${n(wheelbase, 0)} = ${n(rear, 0)} N on the rear; / (2 × ${n(given.number('rear'))}) = ${n(r)} mm`,
        ],
      };
    },
    draw: (given) => {
      const wheelbase = given.number('wheelbase');
      const radius = 340;
      const weight = given.number('mass') * 9.80665;
      const rear = (weight * given.number('station')) / wheelbase;
      const [f, r] = [(weight - rear) / (2 * given.number('front')), rear / (2 * given.number('rear'))];
      const frame = (x: number): number => 620 - f - ((r - f) * x) / wheelbase;
      const station = given.number('station');
      const ends = [Math.min(-600, station - 300), Math.max(wheelbase + 700, station + 300)] as const;
      return {
        says: 'the frame before and after, true to scale',
        front: true,
        shapes: [
          ground(ends[0], ends[1]),
          disc([0, radius], radius, { fill: 'none' }),
          disc([wheelbase, radius], radius, { fill: 'none' }),
          line(
            [
              [ends[0], 620],
              [ends[1], 620],
            ],
            { dashed: true, ink: 'quiet' },
          ),
          line(
            [
              [ends[0], frame(ends[0])],
              [ends[1], frame(ends[1])],
            ],
            { ink: 'new' },
          ),
          box(station - 180, frame(station), 360, 260, { fill: 'new', ink: 'new' }),
          across(0, wheelbase, -140),
        ],
      };
    },
  },
];
