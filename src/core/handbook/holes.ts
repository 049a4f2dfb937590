import { CoreError } from '../errors';
import { clearance, CLEARANCE, edgeLeft, nearestDrills, slopAngle, threadShare } from '../fastener/hole';
import { ACROSS_METRIC, spannersFor } from '../fastener/spanner';
import { fractionText, inchFraction } from '../units/format';
import { lengthRule, THREAD_RULE } from '../units/rules';
import { drawHole, drawInch, drawPilot, drawSpanner } from './draws';
import { n, type Sum } from './sum';

export const HOLE_SUMS: readonly Sum[] = [
  {
    id: 'inch',
    group: 'holes and tools',
    title: 'Inches and millimetres',
    words: 'convert fraction decimal sixteenth thirty-second mm in length',
    fields: [
      {
        id: 'length',
        label: 'Length',
        rule: lengthRule(0, 20_000),
        example: '2 5/16 in',
        hint: 'sums too: 2 5/16 in + 4',
      },
    ],
    source: '1 in = 25.4 mm exactly (1959)',
    silent: 'Which of the two it was meant in: write the unit beside the figure.',
    answer: (given) => {
      const mm = given.number('length');
      const off = (denominator: number) => {
        const { whole, top, bottom } = inchFraction(mm, denominator);
        return mm - (whole + (bottom ? top / bottom : 0)) * 25.4;
      };
      return {
        figures: [{ label: 'is', value: mm, dimension: 'length' }],
        words: [16, 32, 64].map((d) => `to the nearest 1/${d}: ${fractionText(mm, d)} in (${n(off(d), 2)} mm off)`),
        working: [`${n(mm, 2)} mm = ${n(mm / 25.4, 4)} in`],
      };
    },
    draw: drawInch,
  },
  {
    id: 'hole',
    group: 'holes and tools',
    title: 'Hole for a bolt',
    words: 'drill clearance hole size oversize hanger plate u-bolt play slop edge distance',
    fields: [
      { id: 'bolt', label: 'Bolt', rule: lengthRule(3, 40, 14), example: '14 mm' },
      { id: 'hole', label: 'Hole or drill at hand', rule: lengthRule(3, 45, 15), example: '19/32 in' },
      { id: 'edge', label: 'Middle of the hole to the edge', rule: lengthRule(0, 500, 28), example: '26 mm' },
      { id: 'apart', label: 'From the other bolt', rule: lengthRule(10, 2000, 100), example: '104 mm' },
    ],
    source: 'clearances by ISO 273, drills by usual tables, edge one and a half bolts (common practice); from memory',
    silent: 'Whether the part may be drilled at all: frames and hardened parts of some makers may not.',
    answer: (given) => {
      const [bolt, hole] = [given.number('bolt'), given.number('hole')];
      const play = clearance(hole, bolt);
      const size = Object.keys(CLEARANCE)
        .map(Number)
        .find((d) => Math.abs(d - bolt) < 0.2);
      const { left, enough } = edgeLeft(given.number('edge'), hole, bolt);
      const wished = size === undefined ? bolt + 0.8 : CLEARANCE[size]![1];
      return {
        figures: [
          { label: play < 0 ? 'too small by' : 'play', value: Math.abs(play), dimension: 'length' },
          { label: 'metal left to the edge', value: left, dimension: 'length' },
          {
            label: 'what it holds can turn by',
            value: slopAngle(Math.max(0, play), given.number('apart')),
            dimension: 'angle',
          },
        ],
        words: [
          play < 0
            ? 'STOP: the bolt does not go in'
            : play > 1.5
              ? 'look: more than a bolt that locates should have'
              : 'The bolt goes in.',
          ...(enough ? [] : ['look: nearer to the edge than one and a half bolts']),
          ...(size === undefined
            ? []
            : [
                `M${size}: close ${CLEARANCE[size]![0]}, medium ${CLEARANCE[size]![1]}, free ${CLEARANCE[size]![2]} mm`,
              ]),
          `drills near a medium hole: ${nearestDrills(Math.min(32, wished))
            .map((d) => d.name)
            .join(', ')}`,
        ],
        working: [`${n(hole, 2)} − ${n(bolt, 2)} = ${n(play, 2)} mm`],
      };
    },
    draw: drawHole,
  },
  {
    id: 'pilot',
    group: 'holes and tools',
    title: 'Pilot drill and thread',
    words: 'tap drill pilot hole self-tapping self-cutting screw engagement per cent',
    fields: [
      { id: 'thread', label: 'Thread', rule: THREAD_RULE, example: 'M8' },
      { id: 'drill', label: 'Drill', rule: lengthRule(0.5, 60, 6.8), example: '6.9 mm' },
    ],
    source: 'share of full thread height, (d − drill)/(1.299·p), ISO 68-1 from memory',
    silent: 'How thick and hard the wall is: a thin one wants more, a hard one breaks the tap.',
    answer: (given) => {
      const { diameter, pitch, name } = given.thread('thread');
      if (pitch === null) throw new CoreError('bad-input', 'thread', 'say whether it is coarse or fine');
      const share = threadShare(diameter, pitch, given.number('drill'));
      return {
        figures: [{ label: `of the thread of ${name} is left`, value: share, dimension: 'share' }],
        words: [
          share < 0.5
            ? 'look: little to hold; three quarters is usual for a tap, a half for cutting screws (common practice)'
            : share > 0.85
              ? 'look: tight; a tap may break'
              : 'Usual: a half to four fifths (common practice).',
        ],
        working: [
          `(${n(diameter, 2)} − ${n(given.number('drill'), 2)}) / (1.299 × ${n(pitch, 2)}) = ${n(100 * share, 0)} %`,
        ],
      };
    },
    draw: drawPilot,
  },
  {
    id: 'spanner',
    group: 'holes and tools',
    title: 'Spanner for a nut',
    words: 'wrench socket across flats near miss metric inch which spanner rounded nut',
    fields: [{ id: 'across', label: 'Across the flats', rule: lengthRule(5, 60, 19), example: '15/16 in' }],
    source: 'widths across flats by ISO 4032 and ASME B18.2, from memory; slack of a good fit up to 0.2 mm (chosen)',
    silent: 'How worn the nut is: measure over three pairs of flats.',
    answer: (given) => {
      const across = given.number('across');
      const near = spannersFor(across);
      const bolts = Object.entries(ACROSS_METRIC).filter(([, width]) => Math.abs(width - across) < 0.3);
      return {
        figures: [{ label: 'nut', value: across, dimension: 'length' }],
        words: [
          ...near.map(
            (s) => `${s.name}: ${s.fit}, ${n(Math.abs(s.slack), 2)} mm ${s.slack < 0 ? 'too small' : 'slack'}`,
          ),
          ...bolts.map(([size]) => `usual on M${size}`),
        ],
        working: near.map((s) => `${s.name} = ${n(s.across, 2)} mm, less ${n(across, 2)} = ${n(s.slack, 2)} mm`),
      };
    },
    draw: drawSpanner,
  },
];
