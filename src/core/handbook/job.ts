import { sparesFor } from '../inspection/spares';
import { countBack } from '../procedure/countBack';
import { fromCore, UNITS } from '../units/units';
import { countRule, distanceRule, massRule, pressureRule, TORQUE_READING_RULE } from '../units/rules';
import { box, line, note, tape, type Shape } from './picture';
import { n, type Sum } from './sum';

const days = (id: string, label: string, example: string, hint?: string) => ({
  ...{ id, label, rule: countRule(0, 400), example },
  ...(hint && { hint }),
});
const WAIT_NAMES: Record<string, string> = {
  order: 'order the parts',
  strip: 'strip and clean',
  coat: 'coat',
  soak: 'penetrant on',
};

export const JOB_SUMS: readonly Sum[] = [
  {
    id: 'spares',
    group: 'the job',
    title: 'Spares for a trip',
    words: 'how many spare springs bushes breaks failures per kilometre carry remote rate poisson',
    fields: [
      { id: 'failures', label: 'Broke so far', rule: countRule(0, 200), example: '3' },
      { id: 'over', label: 'Over a distance of', rule: distanceRule(1, 10_000_000), example: '42000 km' },
      { id: 'trip', label: 'The trip', rule: distanceRule(1, 1_000_000), example: '9000 km' },
    ],
    choices: [
      {
        id: 'cover',
        label: 'Enough in',
        options: [
          { id: '0.95', name: '19 of 20' },
          { id: '0.8', name: '4 of 5' },
          { id: '0.99', name: '99 of 100' },
        ],
      },
    ],
    source: 'gamma prior of half a failure (Jeffreys), negative binomial of the trip',
    silent:
      'A cause: what breaks twice in one place is not chance. Look at load, shackle and clamp before the same part goes in.',
    answer: (given) => {
      const cover = Number(given.choice('cover'));
      const { spares, expected, coverage } = sparesFor(
        Math.round(given.number('failures')),
        given.number('over'),
        given.number('trip'),
        cover,
      );
      return {
        figures: [
          { label: 'carry', value: spares, dimension: 'count' },
          { label: 'expected to break', value: expected, dimension: 'turns' },
          { label: 'that is enough in', value: coverage, dimension: 'share' },
        ],
        words:
          given.number('failures') >= 3 ? ['look: write down where each broke; one place is a cause, not chance'] : [],
        working: [
          `(${n(given.number('failures'), 0)} + ½) × ${n(given.number('trip'), 0)} / ${n(given.number('over'), 0)} km = ${n(expected, 2)} expected`,
        ],
      };
    },
  },
  {
    id: 'days',
    group: 'the job',
    title: 'When to begin before the day',
    words: 'calendar lead time delivery order penetrant soak coating cure dry schedule critical path days',
    fields: [
      days('order', 'Parts under way', '6'),
      days('strip', 'Stripping and cleaning', '1', 'needs nothing'),
      days('coat', 'Coating, until it is hard', '3', 'after stripping'),
      days('soak', 'Penetrant soaks', '2', 'needs nothing'),
    ],
    source: 'longest chain of waits',
    silent: 'Days that a supplier does not work, and what arrives wrong: measure it on arrival, not on the day.',
    answer: (given) => {
      const { longest, each, chain } = countBack([
        { id: 'order', days: given.number('order') },
        { id: 'strip', days: given.number('strip') },
        { id: 'coat', days: given.number('coat'), after: 'strip' },
        { id: 'soak', days: given.number('soak') },
      ]);
      return {
        figures: [{ label: 'begin, days before', value: longest, dimension: 'count' }],
        days: each.map((w) => ({ name: WAIT_NAMES[w.id]!, before: w.begins })),
        words: each.map(
          (w) => `${w.begins} days before: ${WAIT_NAMES[w.id]}${w.spare > 0 ? ` (${w.spare} to spare)` : ''}`,
        ),
        working: [`longest: ${chain.map((id) => WAIT_NAMES[id]).join(', ') || 'nothing waits'}`],
      };
    },
    draw: (given) => {
      const { longest, each } = countBack(
        Object.keys(WAIT_NAMES).map((id) => ({ id, days: given.number(id), ...(id === 'coat' && { after: 'strip' }) })),
      );
      const step = 100 / Math.max(1, longest);
      return {
        bare: true,
        says: 'the waits before the day, the longest chain in ink',
        shapes: [
          ...each.flatMap((w, k): Shape[] => [
            box(100 - w.begins * step, -12 * k, given.number(w.id) * step, 8, {
              fill: w.spare === 0 ? 'new' : 'tape',
              ink: w.spare === 0 ? 'new' : 'quiet',
            }),
            note([-4, -12 * k + 2], WAIT_NAMES[w.id]!, w.spare === 0 ? 'ink' : 'quiet', 'end'),
          ]),
          line(
            [
              [100, 14],
              [100, -12 * each.length],
            ],
            { ink: 'ink' },
          ),
          note([100, 18], 'the day'),
          note([-62, 0], ''),
        ],
      };
    },
  },
  {
    id: 'units',
    group: 'the job',
    title: 'Pressure, mass, rate, torque',
    words: 'convert conversion psi bar kpa pounds kilograms lb/in n/mm ft-lb newton metre unit',
    fields: [
      { id: 'pressure', label: 'Pressure', rule: pressureRule(0, 2000), example: '2.4 bar' },
      { id: 'mass', label: 'Mass', rule: massRule(0, 50_000), example: '640 lb' },
      {
        id: 'rate',
        label: 'Rate',
        rule: { dimension: 'rate', unit: 'N/mm', min: 0, max: 5000, alternatives: ['lbf/in'] },
        example: '210 lb/in',
      },
      { id: 'torque', label: 'Torque', rule: TORQUE_READING_RULE, example: '74 ft-lb' },
    ],
    source: 'international yard and pound 1959, standard gravity 9.80665 m/s²',
    silent: 'Which unit a bare figure was meant in: write the unit beside it.',
    answer: (given) => {
      const [p, m, r, t] = ['pressure', 'mass', 'rate', 'torque'].map((id) => given.number(id));
      return {
        figures: [
          { label: 'torque', value: t!, dimension: 'torque' },
          { label: 'rate', value: r!, dimension: 'rate' },
          { label: 'mass', value: m!, dimension: 'mass' },
        ],
        words: [
          `${n(fromCore(p!, 'kPa'), 0)} kPa = ${n(fromCore(p!, 'bar'), 2)} bar = ${n(fromCore(p!, 'psi'), 1)} psi`,
          `${n(t! / 1000)} N·m = ${n(fromCore(t!, 'lbf·ft'))} lbf·ft = ${n(fromCore(t!, 'lbf·in'), 0)} lbf·in = ${n(fromCore(t!, 'kgf·m'), 2)} kgf·m`,
        ],
        working: [
          `${n(m!, 1)}\u00a0kg = ${n(fromCore(m!, 'lb'), 1)} lb`,
          `${n(r!, 2)} N/mm = ${n(fromCore(r!, 'lbf/in'), 1)} lbf/in`,
        ],
      };
    },
    draw: (given) => {
      // What a wrench in the wrong unit would read as, beside the true one.
      const t = given.number('torque');
      const wrong = (t / 1000) * UNITS['lbf·ft'].factor;
      return tape(0, Math.max(wrong * 1.1, UNITS['N·m'].factor), t, {
        from: '0',
        to: `${n((wrong * 1.1) / 1000, 0)} N·m`,
        value: `${n(t / 1000)} N·m; the same number in lbf·ft is ${n(wrong / 1000)}`,
      });
    },
  },
];
