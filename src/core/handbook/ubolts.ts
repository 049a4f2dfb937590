import { uboltOrders, type Bend } from '../fastener/uboltOrder';
import { type Estimate } from '../estimate/estimate';
import { CoreError } from '../errors';
import { identifyThread } from '../thread/identify';
import { clampOf, CONDITIONS, frictionHold, SEAT_FRICTION, TYRE_GRIP, type Condition } from '../fastener/clamp';
import { GRAVITY } from '../material/steel';
import { lengthRule, massRule, THREAD_RULE, TORQUE_READING_RULE } from '../units/rules';
import { across, arc, area, box, disc, line, note, up, type Picture } from './picture';
import { n, type Sum, type SumInput } from './sum';

const stack = (given: SumInput) => {
  const thread = given.thread('thread');
  if (thread.pitch === null) throw new CoreError('bad-input', 'thread', 'say whether it is coarse or fine');
  const read = (id: string): Estimate => ({ value: given.number(id), half90: 0.5, origin: 'measured' });
  return {
    ...{ tube: read('tube'), perch: read('perch'), block: given.number('block'), pack: given.number('pack') },
    ...{ packWidth: given.number('packWidth'), plate: read('plate'), washer: read('washer'), nut: read('nut') },
    ...{ pitch: { value: thread.pitch, half90: 0, origin: 'measured' as const }, thread: thread.name },
    bend: given.choice<Bend>('bend'),
  };
};

/** A U-bolt round its tube with everything that its legs span. */
function drawUbolt(given: SumInput): Picture {
  const of = stack(given);
  const [order] = uboltOrders(of);
  const { diameter } = given.thread('thread');
  const [tube, legs] = [of.tube.value, order!.insideWidth + diameter];
  const overTube = order!.bend === 'tube';
  const outer = legs / 2 + diameter / 2;
  const inner = legs / 2 - diameter / 2;
  // From the inside of the bend upwards.
  const round = overTube ? tube / 2 : 0;
  const leg = order!.leg;
  const levels = [
    ...(overTube ? [] : [{ high: of.pack, fill: 'steel' as const, wide: of.packWidth }]),
    { high: of.perch.value, fill: 'tape' as const, wide: of.packWidth * 0.9 },
    { high: of.block, fill: 'tape' as const, wide: of.packWidth },
    ...(overTube ? [{ high: of.pack, fill: 'steel' as const, wide: of.packWidth }] : []),
    { high: of.plate.value, fill: 'steel' as const, wide: legs + 3 * diameter },
  ];
  let at = overTube ? tube : 0;
  const boxes = levels.flatMap(({ high, fill, wide }, k) => {
    // Under a bend over the pack the tube lies between block and plate.
    if (!overTube && k === levels.length - 1) at += tube;
    const shape = high > 0 ? [box(-wide / 2, at, wide, high, { fill })] : [];
    at += high;
    return shape;
  });
  const tubeAt = overTube ? tube / 2 : of.pack + of.perch.value + of.block + tube / 2;
  const nutTop = at + of.washer.value + of.nut.value;
  const bend = overTube
    ? [...arc([0, round], outer, 180, 360), ...arc([0, round], inner, 360, 180)]
    : ([
        [-outer, 0],
        [-outer, -diameter],
        [outer, -diameter],
        [outer, 0],
        [inner, 0],
        [-inner, 0],
      ] as const);
  return {
    says: `a U-bolt ${overTube ? 'round the tube' : 'over the pack'} with what its legs span`,
    shapes: [
      ...boxes,
      disc([0, tubeAt], tube / 2, { fill: 'paper' }),
      disc([0, tubeAt], Math.max(4, tube / 2 - 6), { fill: 'none', ink: 'quiet' }),
      line(bend, { fill: 'new', ink: 'new' }),
      ...[-1, 1].flatMap((side) => [
        box(side * (legs / 2) - diameter / 2, round, diameter, leg - round, { fill: 'new', ink: 'new' }),
        box(side * (legs / 2) - diameter, at + of.washer.value, 2 * diameter, of.nut.value, { fill: 'steel' }),
      ]),
      up(0, leg, outer + 34, 'new'),
      across(-inner, inner, -diameter - 16, 'new'),
      up(nutTop, leg, -outer - 22),
    ],
  };
}

export const UBOLT_SUMS: readonly Sum[] = [
  {
    id: 'ubolt',
    group: 'bolts',
    title: 'U-bolt to order',
    words:
      'u-joint u-bracket u bolt leg length inside width bend form square round fish plate tie plate spring plate too short',
    fields: [
      { id: 'thread', label: 'Thread', rule: THREAD_RULE, example: 'M14 x 1.5' },
      { id: 'tube', label: 'Axle tube', rule: lengthRule(20, 400, 76), example: '73 mm' },
      { id: 'pack', label: 'Leaves as built', rule: lengthRule(3, 400, 50), example: '46 mm' },
      { id: 'packWidth', label: 'Their width', rule: lengthRule(20, 150, 63), example: '60 mm' },
      { id: 'perch', label: 'Perch', rule: lengthRule(0, 150), example: '14 mm', hint: 'tube to pack' },
      {
        id: 'block',
        label: 'Block or wedge',
        rule: lengthRule(0, 200),
        example: '0 mm',
        hint: 'a wedge in its middle',
      },
      {
        id: 'plate',
        label: 'Spring plate',
        rule: lengthRule(0, 60, 10),
        example: '10 mm',
        hint: 'where the nut bears',
      },
      { id: 'washer', label: 'Washer', rule: lengthRule(0, 15), example: '3 mm' },
      { id: 'nut', label: 'Nut height', rule: lengthRule(3, 60, 13), example: '14 mm' },
    ],
    choices: [
      {
        id: 'bend',
        label: 'Its bend lies',
        options: [
          { id: 'tube', name: 'round the tube' },
          { id: 'pack', name: 'over the pack' },
        ],
      },
    ],
    source: 'sum of what the legs span and three threads beyond the nut (common practice), up to the next 5 mm',
    silent:
      'Strength of the bolt and shape of its bend: take the old one along. New ones each time is the safer school.',
    answer: (given) => {
      const [order] = uboltOrders(stack(given));
      return {
        figures: [
          { label: 'leg inside the bend', value: order!.leg, dimension: 'length' },
          { label: `inside width, ${order!.form}`, value: order!.insideWidth, dimension: 'length' },
          { label: 'thread on each leg, at least', value: order!.threadLength, dimension: 'length' },
          { label: 'leg at most', value: order!.legMost, dimension: 'length' },
        ],
        words: [`${order!.count} of ${order!.thread}, ${order!.form} bend, with nuts and washers; new ones each time.`],
        working: [
          `${order!.working.map((l) => `${l.label} ${n(l.value)}`).join(' + ')} = ${n(order!.working.reduce((s, l) => s + l.value, 0))} mm`,
        ],
      };
    },
    draw: drawUbolt,
  },
  {
    id: 'hold',
    group: 'bolts',
    title: 'U-bolts against braking',
    words: 'u-bolt clamp force enough friction hold axle brake drive shear dowel centre bolt loose slip',
    fields: [
      { id: 'thread', label: 'Thread', rule: THREAD_RULE, example: 'M14 x 1.5' },
      { id: 'torque', label: 'Torque of each nut', rule: TORQUE_READING_RULE, example: '115 N·m' },
      { id: 'wheel', label: 'Load under that wheel', rule: massRule(20, 10_000, 600), example: '640 kg' },
    ],
    choices: [
      {
        id: 'condition',
        label: 'Threads are',
        options: CONDITIONS.map((id) => ({
          id,
          name: id === 'antiSeize' ? 'anti-seize' : id === 'threadLocker' ? 'thread locker' : id,
        })),
      },
    ],
    source:
      'T = K·d·F; friction of the perch 0.16 ± 0.06, tyre grip 0.8, four legs, one face taken; all from memory or chosen',
    silent:
      'The dowel locates and must not be sheared; what a loose nut leaves. Tighten again after the first load (common practice).',
    answer: (given) => {
      const { force, least } = clampOf(
        given.thread('thread'),
        given.number('torque'),
        given.choice<Condition>('condition'),
      );
      const hold = frictionHold(force, 4);
      const worst = frictionHold(least, 4).least;
      const brake = TYRE_GRIP * given.number('wheel') * GRAVITY;
      return {
        figures: [
          { label: 'friction holds', value: hold.force, dimension: 'force', between: [worst, 2 * hold.force - worst] },
          { label: 'hardest braking asks', value: brake, dimension: 'force' },
          { label: 'held over asked', value: hold.force / brake, dimension: 'turns' },
        ],
        words: [
          hold.force < brake
            ? 'look: the dowel would have to hold what friction does not: more clamp, larger U-bolts, clean faces'
            : worst < brake
              ? 'look: the loosest of ten would not hold by friction alone'
              : 'Friction holds it, also the loosest of ten.',
        ],
        working: [
          `4 × ${n(force / 1000)} kN × ${SEAT_FRICTION.value} = ${n(hold.force / 1000)} kN; ${TYRE_GRIP} × ${n(given.number('wheel'), 0)} kg × 9.81 = ${n(brake / 1000)} kN`,
        ],
      };
    },
  },
  {
    id: 'which',
    group: 'bolts',
    title: 'Which thread is this',
    words: 'identify thread pitch gauge unknown bolt metric inch unc unf tpi threads per inch head mark strip',
    fields: [
      { id: 'outside', label: 'Over its crests', rule: lengthRule(3, 60, 14), example: '13.85 mm' },
      {
        id: 'ten',
        label: 'Ten threads',
        rule: lengthRule(3, 50, 15),
        example: '15 mm',
        hint: 'crest to crest; by an inch gauge of 18: 10/18 in',
      },
    ],
    source: 'ISO 261 and 262, ASME B1.1 for the sizes, from memory; worn crests up to 0.45 mm under (common practice)',
    silent: 'Left-hand threads, pipe threads and the grade: look at the head. Try the nut by hand before any tool.',
    answer: (given) => {
      const guesses = identifyThread(given.number('outside'), given.number('ten') / 10);
      const likely = guesses.filter((g) => !g.near);
      const tpi = 254 / given.number('ten');
      return {
        figures: [
          {
            label: 'most likely',
            value: likely[0]?.thread.diameter ?? given.number('outside'),
            dimension: 'length',
            says: likely[0]?.thread.name ?? 'not known',
          },
          { label: 'threads per inch', value: tpi, dimension: 'turns' },
        ],
        words: [
          likely.length > 1
            ? `or ${likely
                .slice(1)
                .map((g) => g.thread.name)
                .join(', ')}`
            : likely.length === 1
              ? 'No other one is as near.'
              : 'look: no thread known here has these; measure both again, over clean crests',
          ...guesses
            .filter((g) => g.near)
            .map((g) => `look: ${g.thread.name} is near enough to start by hand, then it jams`),
        ],
        working: guesses.map(
          (g) =>
            `${g.thread.name}: ${n(g.thread.diameter, 2)} mm, ${n(Math.abs(g.under), 2)} ${g.under < 0 ? 'less' : 'more'}; pitch ${n(g.thread.pitch!, 3)} mm, ${n(100 * Math.abs(g.pitchOff), 0)} % off`,
        ),
      };
    },
    draw: (given) => {
      const [d, p] = [given.number('outside'), given.number('ten') / 10];
      const turns = 10;
      const deep = 0.61 * p;
      const edge = (side: 1 | -1) =>
        Array.from(
          { length: 2 * turns + 1 },
          (_, k) => [(k * p) / 2, side * (d / 2 - (k % 2 === 0 ? 0 : deep))] as const,
        );
      return {
        says: 'ten threads of the bolt',
        shapes: [
          area([...edge(1), ...edge(-1).toReversed()], { fill: 'steel' }),
          up(-d / 2, d / 2, turns * p + 8, 'new'),
          across(0, turns * p, -d / 2 - 6, 'new'),
          note([(turns * p) / 2, d / 2 + 4], 'ten threads', 'quiet'),
        ],
      };
    },
  },
];
