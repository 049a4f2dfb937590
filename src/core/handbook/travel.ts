import { criticalShare, dampingChange } from '../travel/damping';
import { STOP_LAWS, STOP_MATERIALS, stopEnergy, stopForce, stopLength, type StopMaterial } from '../travel/bumpStop';
import { liftHeight } from '../procedure/lift';
import { lengthRule } from '../units/rules';
import { area, box, disc, ground, line, note, up, type Picture } from './picture';
import { n, type Sum, type SumInput } from './sum';

const force = (min: number, max: number, expected: number) => ({
  ...{ dimension: 'force' as const, unit: 'N' as const, min, max, expected, alternatives: ['kN', 'lbf'] as const },
});
const rate = {
  dimension: 'rate' as const,
  unit: 'N/mm' as const,
  min: 2,
  max: 3000,
  alternatives: ['lbf/in'] as const,
};

const material = (given: SumInput) => given.choice<StopMaterial>('material');
const MATERIAL = {
  id: 'material',
  label: 'It is of',
  options: STOP_MATERIALS.map((id) => ({ id, name: STOP_LAWS[id].name })),
};

/** A stop under its bracket, the axle it strikes below it. */
function drawStop(height: number, gap: number, solid: number): Picture {
  const wide = Math.max(30, height * 0.7);
  return {
    says: 'bump stop under the frame, above what it strikes',
    shapes: [
      box(-70, gap, 140, 22, { fill: 'steel' }),
      area(
        [
          [-wide / 2, gap],
          [wide / 2, gap],
          [wide / 4, gap - height],
          [-wide / 4, gap - height],
        ],
        { fill: 'rubber' },
      ),
      line(
        [
          [-wide / 2 - 14, gap - solid],
          [wide / 2 + 14, gap - solid],
        ],
        { dashed: true, ink: 'quiet' },
      ),
      note([wide / 2 + 18, gap - solid], 'solid', 'quiet', 'start'),
      box(-60, -26, 120, 26, { fill: 'tape' }),
      up(gap - height, gap, -wide / 2 - 34, 'new'),
      up(0, gap, 92),
    ],
  };
}

export const TRAVEL_SUMS: readonly Sum[] = [
  {
    id: 'stop',
    group: 'travel',
    title: 'Length of a bump stop',
    words: 'jounce bumper bump stop rubber urethane foam cut to length mark taller tyre lift pad',
    fields: [
      {
        id: 'gap',
        label: 'Seat to what it strikes',
        rule: lengthRule(5, 600, 130),
        example: '128 mm',
        hint: 'weight on, stop left out',
      },
      {
        id: 'hard',
        label: 'Hub up to the hard thing',
        rule: lengthRule(0, 600, 100),
        example: '105 mm',
        hint: 'shock shut, tyre, axle: the first of them',
      },
      { id: 'free', label: 'Free travel wished for', rule: lengthRule(0, 300, 45), example: '40 mm' },
      { id: 'uncut', label: 'Height as it comes', rule: lengthRule(5, 300, 90), example: '95 mm' },
      {
        id: 'marks',
        label: 'Marks to cut at, apart',
        rule: lengthRule(0, 60),
        example: '10 mm',
        hint: '0 without marks',
      },
    ],
    choices: [MATERIAL],
    source: 'geometry; share of its height left when solid by material, from memory; 10 mm asked for above it (chosen)',
    silent:
      'How hard it is: a stop meant for a lighter axle is solid sooner. Always in pairs, and its tab in its hole.',
    answer: (given) => {
      const { solid } = STOP_LAWS[material(given)];
      const of = {
        ...{ gap: given.number('gap'), hard: given.number('hard'), free: given.number('free') },
        ...{ marks: given.number('marks'), uncut: given.number('uncut'), margin: 10 },
      };
      const { least, most, cutMarks } = stopLength(material(given), of);
      const uncut = of.uncut;
      return {
        figures: [
          { label: 'high at least', value: least, dimension: 'length' },
          { label: 'at most', value: most, dimension: 'length' },
          { label: 'solid at', value: solid * uncut, dimension: 'length' },
        ],
        words: [
          least > most
            ? 'STOP: no height does both: less free travel, or what is hard must move'
            : uncut < least
              ? `look: as it comes it is ${n(least - uncut, 0)} mm too low: pad it`
              : uncut <= most
                ? 'As it comes it does.'
                : cutMarks !== null
                  ? `Cut at mark ${cutMarks} from its tip: ${n(uncut - cutMarks * of.marks, 0)} mm are left.`
                  : `Cut to between ${n(least, 0)} mm and ${n(most, 0)} mm.`,
        ],
        working: [
          `solid ${n(10, 0)} mm before: (${n(of.gap, 0)} − (${n(of.hard, 0)} − 10)) / ${solid} = ${n(least)} mm`,
          `free: ${n(of.gap, 0)} − ${n(of.free, 0)} = ${n(most)} mm`,
        ],
      };
    },
    draw: (given) =>
      drawStop(given.number('uncut'), given.number('gap'), given.number('uncut') * STOP_LAWS[material(given)].solid),
  },
  {
    id: 'hit',
    group: 'travel',
    title: 'Hit on a bump stop',
    words: 'jounce bumper energy force drop bottoming hard landing speed',
    fields: [
      { id: 'height', label: 'Height of the stop', rule: lengthRule(5, 300, 60), example: '64 mm' },
      {
        id: 'hardest',
        label: 'Force as it goes solid',
        rule: force(100, 500_000, 20_000),
        example: '22 kN',
        hint: 'its maker’s, or what a press read',
      },
      { id: 'load', label: 'Load on that wheel', rule: force(100, 100_000, 6000), example: '5.2 kN' },
      {
        id: 'drop',
        label: 'It falls on it by',
        rule: lengthRule(0, 1000, 80),
        example: '60 mm',
        hint: 'what the spring did not take',
      },
    ],
    choices: [MATERIAL],
    source: 'energy of the fall against the work of the stop; law of its force by material, from memory',
    silent: 'What spring and shock take meanwhile: it is the stop alone, the worst case.',
    answer: (given) => {
      const [height, hardest, load, drop] = ['height', 'hardest', 'load', 'drop'].map((id) => given.number(id));
      const of = material(given);
      const way = (1 - STOP_LAWS[of].solid) * height!;
      const over = (squeeze: number) => stopEnergy(of, height!, hardest!, squeeze) - load! * (drop! + squeeze);
      let [low, high] = [0, way];
      for (let k = 0; k < 50; k++) {
        const middle = (low + high) / 2;
        if (over(middle) < 0) low = middle;
        else high = middle;
      }
      const bottoms = over(way) < 0;
      const squeeze = bottoms ? way : high;
      return {
        figures: [
          { label: 'squeezed by', value: squeeze, dimension: 'length' },
          { label: 'its force then', value: stopForce(of, height!, hardest!, squeeze), dimension: 'force' },
          { label: 'it can take up', value: stopEnergy(of, height!, hardest!, way), dimension: 'energy' },
          { label: 'the fall brings', value: load! * (drop! + squeeze), dimension: 'energy' },
        ],
        words: [
          bottoms ? 'look: it goes solid, and what is left is taken by steel' : 'It takes the hit before it is solid.',
          `${STOP_LAWS[of].name}: ${STOP_LAWS[of].note}.`,
        ],
        working: [
          `${n(load! / 1000, 2)} kN × (${n(drop!, 0)} + ${n(squeeze)}) mm = ${n((load! * (drop! + squeeze)) / 1000, 0)} J`,
        ],
      };
    },
    draw: (given) =>
      drawStop(
        given.number('height'),
        given.number('height') + given.number('drop'),
        given.number('height') * STOP_LAWS[material(given)].solid,
      ),
  },
  {
    id: 'damping',
    group: 'travel',
    title: 'Shocks for another rate',
    words: 'damper damping stiffer spring valving critical rebound bouncy harsh soft shock',
    fields: [
      {
        id: 'was',
        label: 'Rate before',
        rule: { ...rate, expected: 40 },
        example: '38 N/mm',
        hint: 'one side, at the wheel',
      },
      { id: 'now', label: 'Rate after', rule: { ...rate, expected: 50 }, example: '52 N/mm' },
      { id: 'load', label: 'Load on the spring', rule: force(50, 100_000, 5000), example: '4.8 kN' },
      {
        id: 'force',
        label: 'Shock’s force, both ways',
        rule: force(20, 20_000, 700),
        example: '640 N',
        hint: 'mean of both, at the speed below, from its maker',
      },
      { id: 'speed', label: 'At, each second', rule: lengthRule(10, 2000, 300), example: '0.3 m' },
    ],
    source: 'c / 2√(k·m); 0.2 to 0.4 is usual on the road (common practice)',
    silent: 'That most shocks hold more coming out than going in, and that leaves rub: friction damps too.',
    answer: (given) => {
      const change = dampingChange(given.number('was'), given.number('now'));
      const c = given.number('force') / given.number('speed');
      const share = criticalShare(c, given.number('now'), given.number('load'));
      return {
        figures: [
          { label: 'of critical damping after', value: share, dimension: 'share' },
          { label: 'before', value: criticalShare(c, given.number('was'), given.number('load')), dimension: 'share' },
          {
            label: change < 0 ? 'less than before by' : 'more than before by',
            value: Math.abs(change),
            dimension: 'share',
          },
        ],
        words: [
          share < 0.2
            ? 'look: it will go on bouncing; firmer shocks'
            : share > 0.5
              ? 'look: harsh, and slow to come down again'
              : 'Within what is usual on the road.',
        ],
        working: [
          `c = ${n(given.number('force'), 0)} N / ${n(given.number('speed') / 1000, 2)} m/s = ${n(c, 2)} N·s/mm`,
          `√(${n(given.number('was'), 0)} / ${n(given.number('now'), 0)}) − 1 = ${n(100 * change, 0)} %`,
        ],
      };
    },
  },
  {
    id: 'stands',
    group: 'travel',
    title: 'How high on stands',
    words: 'jack stand axle stand trolley jack reach lift frame height hang free droop notch',
    fields: [
      { id: 'frame', label: 'Frame’s height there', rule: lengthRule(50, 2500, 500), example: '455 mm' },
      { id: 'droop', label: 'Hub down to hanging', rule: lengthRule(0, 600, 110), example: '115 mm' },
      {
        id: 'squash',
        label: 'Tyre pressed in',
        rule: lengthRule(0, 150, 20),
        example: '18 mm',
        hint: 'standing beside hanging',
      },
      { id: 'clear', label: 'Clear under the tyre', rule: lengthRule(0, 500, 30), example: '35 mm' },
      { id: 'lowest', label: 'Stand at its lowest', rule: lengthRule(50, 2000, 400), example: '405 mm' },
      { id: 'highest', label: 'At its highest', rule: lengthRule(50, 3000, 620), example: '630 mm' },
      { id: 'notch', label: 'From notch to notch', rule: lengthRule(1, 200, 20), example: '22 mm' },
    ],
    source: 'sum of droop, tyre and clearance; the jack 15 mm above the notch (chosen)',
    silent:
      'What stands and ground bear: level and hard, wheels chocked, frame and axle held, never a jack alone, no timber under a stand.',
    answer: (given) => {
      const stand = { lowest: given.number('lowest'), highest: given.number('highest'), notch: given.number('notch') };
      const { raise, least, set, jack } = liftHeight(
        given.number('frame'),
        given.number('droop'),
        given.number('clear'),
        given.number('squash'),
        stand,
      );
      return {
        figures: [
          { label: set === null ? 'stand needed' : 'set the stand to', value: set ?? least, dimension: 'length' },
          { label: 'frame goes up by', value: raise, dimension: 'length' },
          { label: 'jack must reach', value: jack, dimension: 'length' },
        ],
        words:
          set === null
            ? ['STOP: this stand does not reach; a taller one, never blocks under it']
            : ['The axle hangs free there.', 'Shake the frame on its stands before anything is loosened.'],
        working: [
          `${n(given.number('frame'), 0)} + ${n(given.number('droop'), 0)} + ${n(given.number('squash'), 0)} + ${n(given.number('clear'), 0)} = ${n(least, 0)} mm`,
        ],
      };
    },
    draw: (given) => {
      const frame = given.number('frame');
      const [droop, squash, clear] = [given.number('droop'), given.number('squash'), given.number('clear')];
      const high = frame + droop + squash + clear;
      const radius = Math.max(120, 0.62 * frame);
      return {
        says: 'the frame on its stand, the axle hanging with its tyre clear',
        shapes: [
          ground(-radius * 1.4, radius * 2.6),
          disc([0, clear + radius], radius, { fill: 'none' }),
          disc([0, clear + radius], radius * 0.55, { fill: 'none', ink: 'quiet' }),
          disc([0, clear + radius], radius * 0.12, { fill: 'tape' }),
          box(-radius * 1.3, high, radius * 3.7, radius * 0.28, { fill: 'steel' }),
          area(
            [
              [radius * 1.5, 0],
              [radius * 2.1, 0],
              [radius * 1.87, high],
              [radius * 1.73, high],
            ],
            { fill: 'new', ink: 'new' },
          ),
          up(0, high, radius * 2.45, 'new'),
          up(0, clear, -radius * 1.15),
          line(
            [
              [-radius * 1.3, frame],
              [radius * 2.4, frame],
            ],
            { dashed: true, ink: 'quiet' },
          ),
        ],
      };
    },
  },
];
