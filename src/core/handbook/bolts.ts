import { boltLength, boltVerdict } from '../fastener/boltLength';
import {
  clampOf,
  CONDITIONS,
  NUT_FACTOR,
  proofShare,
  sameClamp,
  stressArea,
  torqueFor,
  USUAL_PROOF,
  type Condition,
} from '../fastener/clamp';
import { GRADE_IDS, GRADES, proofStress, type Grade } from '../fastener/grade';
import { middleOf, placeInRange, wrenchSetting } from '../fastener/range';
import { CoreError } from '../errors';
import { lengthRule, THREAD_RULE, TORQUE_READING_RULE } from '../units/rules';
import { UNITS } from '../units/units';
import { drawClamped, drawCrowfoot, drawLength, drawRange } from './draws';
import { n, type Sum, type SumChoice } from './sum';

const CONDITION_NAMES: Record<Condition, string> = {
  dry: 'dry',
  plated: 'plated',
  oiled: 'oiled',
  antiSeize: 'anti-seize',
  threadLocker: 'thread locker',
};
export const condition = (id: string, label: string): SumChoice => ({
  id,
  label,
  options: CONDITIONS.map((c) => ({ id: c, name: CONDITION_NAMES[c] })),
});
const grade: SumChoice = {
  id: 'grade',
  label: 'Head says',
  options: GRADE_IDS.map((g) => ({ id: g, name: GRADES[g].lines === null ? g : `${g} (${GRADES[g].lines})` })),
};
const thread = { id: 'thread', label: 'Thread', rule: THREAD_RULE, example: 'M14 x 1.5' };
const torque = { id: 'torque', label: 'Torque', rule: TORQUE_READING_RULE, example: '110 N·m' };
export const kN = (newton: number): string => `${n(newton / 1000)} kN`;
export const Nm = (value: number): string => `${n(value / 1000)} N·m`;

export const BOLT_SUMS: readonly Sum[] = [
  {
    id: 'clamp',
    group: 'bolts',
    title: 'Clamp of a torque',
    words: 'torque tension preload clamping force bolt stretch lubricated dry wet anti-seize thread locker',
    fields: [thread, torque],
    choices: [condition('condition', 'Threads are'), grade],
    source: 'T = K·d·F; K and its scatter by condition, proof stress by ISO 898-1 and SAE J429, all from memory',
    silent:
      'What the maker asks for this joint: that figure goes before any table. Lock nuts turn hard by themselves; their own torque comes on top.',
    answer: (given) => {
      const bolt = given.thread('thread');
      const at = given.choice<Condition>('condition');
      const of = given.choice<Grade>('grade');
      const { force, least, most } = clampOf(bolt, given.number('torque'), at);
      const words: string[] = [];
      if (GRADES[of].system === bolt.system) {
        const { share, worst } = proofShare(bolt, of, given.number('torque'), at);
        words.push(
          worst > 1
            ? `look: ${n(100 * share, 0)} % of its proof load, and the tightest of ten goes past it: the bolt may stretch for good`
            : `${n(100 * share, 0)} % of its proof load; the tightest of ten ${n(100 * worst, 0)} %`,
        );
      } else words.push(`A ${of} mark does not go with ${bolt.name}: look at the head again.`);
      return {
        figures: [{ label: 'clamps with', value: force, dimension: 'force', between: [least, most] }],
        words,
        working: [
          `F = T / (K·d) = ${Nm(given.number('torque'))} / (${NUT_FACTOR[at].k} × ${n(bolt.diameter, 2)} mm) = ${kN(force)}`,
          `K scatters by ${100 * NUT_FACTOR[at].scatter} % from bolt to bolt: ${kN(least)} to ${kN(most)}`,
        ],
      };
    },
    draw: (given) =>
      drawClamped(
        given,
        kN(clampOf(given.thread('thread'), given.number('torque'), given.choice<Condition>('condition')).force),
      ),
  },
  {
    id: 'torque',
    group: 'bolts',
    title: 'Torque for a bolt',
    words: 'tightening torque table spec how tight ft-lb newton metre grade',
    fields: [thread],
    choices: [grade, condition('condition', 'Threads are')],
    source: 'three quarters of proof (common practice); stress areas by ISO 898-1 and ASME B1.1, from memory',
    silent:
      'It is a figure for the thread, not for the joint: soft parts, bushes and lock nuts want their maker’s. Written down as an estimate.',
    answer: (given) => {
      const bolt = given.thread('thread');
      const of = given.choice<Grade>('grade');
      const at = given.choice<Condition>('condition');
      const value = torqueFor(bolt, of, at);
      const proof = proofStress(of, bolt.diameter)!;
      return {
        figures: [
          { label: `${of}, ${CONDITION_NAMES[at]}`, value, dimension: 'torque' },
          ...CONDITIONS.filter((c) => c !== at).map((c) => ({
            label: CONDITION_NAMES[c],
            value: torqueFor(bolt, of, c),
            dimension: 'torque' as const,
          })),
        ],
        words: ['An estimate for the thread; the maker’s figure goes before it.'],
        working: [
          `stress area ${n(stressArea(bolt))} mm² × proof ${n(proof, 0)} MPa × ${USUAL_PROOF} = ${kN(USUAL_PROOF * proof * stressArea(bolt))}`,
          `T = K·d·F = ${NUT_FACTOR[at].k} × ${n(bolt.diameter, 2)} mm × that = ${Nm(value)}`,
        ],
      };
    },
    draw: (given) =>
      drawClamped(
        given,
        Nm(torqueFor(given.thread('thread'), given.choice<Grade>('grade'), given.choice<Condition>('condition'))),
      ),
  },
  {
    id: 'wet',
    group: 'bolts',
    title: 'Dry figure, wet thread',
    words: 'torque reduce lubricated oil grease anti-seize copper correction',
    fields: [torque],
    choices: [condition('stated', 'Stated for'), condition('now', 'Threads are')],
    source: 'T = K·d·F with the same clamp; K by condition, from memory',
    silent: 'Whether the maker’s figure was meant dry: most say so, some do not.',
    answer: (given) => {
      const [stated, now] = [given.choice<Condition>('stated'), given.choice<Condition>('now')];
      const asked = given.number('torque');
      const value = sameClamp(asked, stated, now);
      return {
        figures: [{ label: `clamps as much, ${CONDITION_NAMES[now]}`, value, dimension: 'torque' }],
        words: [`Left at the stated figure it clamps with ${n((100 * asked) / value, 0)} % of what was meant.`],
        working: [`${Nm(asked)} × ${NUT_FACTOR[now].k} / ${NUT_FACTOR[stated].k} = ${Nm(value)}`],
      };
    },
  },
  {
    id: 'range',
    group: 'bolts',
    title: 'Place in a torque range',
    words: 'middle midpoint range between from to wrench setting units foot pounds newton metres convert',
    fields: [
      { id: 'low', label: 'From', rule: TORQUE_READING_RULE, example: '60 N·m' },
      { id: 'high', label: 'To', rule: TORQUE_READING_RULE, example: '72 N·m' },
      { id: 'value', label: 'Read or set', rule: TORQUE_READING_RULE, example: '62 N·m' },
    ],
    source: 'arithmetic; 1 lbf·ft = 1.3558 N·m (international pound and yard, 1959)',
    silent: 'What a wrench is off by: a click wrench by 4 % (common practice), more near the end of its scale.',
    answer: (given) => {
      const [low, high, value] = [given.number('low'), given.number('high'), given.number('value')];
      const middle = middleOf(low, high);
      const place = placeInRange(value, low, high);
      const feet = (t: number) => n(t / UNITS['lbf·ft'].factor);
      return {
        figures: [
          { label: 'the middle', value: middle, dimension: 'torque' },
          { label: 'lies up the range', value: place, dimension: 'share' },
        ],
        words: [
          place < 0
            ? 'look: under the least'
            : place > 1
              ? 'look: over the most'
              : place < 0.25
                ? 'At the low end: a wrench that reads a little high leaves it under the least.'
                : 'Inside the range.',
          'The same number in lbf·ft and in N·m is a third apart: see which column it was read from.',
        ],
        working: [
          `(${Nm(low)} + ${Nm(high)}) / 2 = ${Nm(middle)} = ${feet(middle)} lbf·ft`,
          `(${Nm(value)} − ${Nm(low)}) / (${Nm(high)} − ${Nm(low)}) = ${n(100 * place, 0)} %`,
        ],
      };
    },
    draw: drawRange,
  },
  {
    id: 'crowfoot',
    group: 'bolts',
    title: 'Crow-foot or extension',
    words: 'crowfoot adapter offset torque wrench correction lever',
    fields: [
      { ...torque, label: 'Wanted at the nut' },
      { id: 'lever', label: 'Grip to square drive', rule: lengthRule(50, 2000, 450), example: '460 mm' },
      {
        id: 'offset',
        label: 'Drive to nut, along the wrench',
        rule: lengthRule(-300, 1000, 45),
        example: '52 mm',
        hint: 'square to the wrench: 0',
      },
    ],
    source: 'moments about the nut: set = T·L/(L + A)',
    silent: 'That the hand pulls at the grip’s middle: further out or in, it is another torque.',
    answer: (given) => {
      const [wanted, lever, offset] = [given.number('torque'), given.number('lever'), given.number('offset')];
      const value = wrenchSetting(wanted, lever, offset);
      return {
        figures: [{ label: 'set the wrench to', value, dimension: 'torque' }],
        words: ['Write it down as reckoned, not as read at the nut.'],
        working: [`${Nm(wanted)} × ${n(lever, 0)} / (${n(lever, 0)} + ${n(offset, 0)}) = ${Nm(value)}`],
      };
    },
    draw: drawCrowfoot,
  },
  {
    id: 'length',
    group: 'bolts',
    title: 'Bolt length and grip',
    words: 'shackle bolt pack bolt too short too long trim shank shear plane nut threads showing',
    fields: [
      thread,
      { id: 'clamped', label: 'Parts clamped', rule: lengthRule(0.5, 1000, 80), example: '84 mm' },
      { id: 'washers', label: 'Washers together', rule: lengthRule(0, 40), example: '5 mm' },
      { id: 'nut', label: 'Nut height', rule: lengthRule(1, 60, 12), example: '13 mm' },
      { id: 'bolt', label: 'Bolt at hand, under its head', rule: lengthRule(1, 1200, 110), example: '110 mm' },
      { id: 'threaded', label: 'Its thread', rule: lengthRule(1, 600, 40), example: '36 mm' },
      {
        id: 'plain',
        label: 'Plain shank needed',
        rule: lengthRule(0, 1000),
        example: '70 mm',
        hint: 'to the last shear plane; 0 where nothing shears it',
      },
    ],
    source: 'clamped parts, washers, nut and two to three threads (common practice)',
    silent: 'Whether the bolt goes in past exhaust or tank: look before the old one is driven out.',
    answer: (given) => {
      const { pitch } = given.thread('thread');
      if (pitch === null) throw new CoreError('bad-input', 'thread', 'say whether it is coarse or fine');
      const need = {
        ...{
          clamped: given.number('clamped'),
          washers: given.number('washers'),
          nutHeight: given.number('nut'),
          pitch,
        },
        plain: given.number('plain') || null,
      };
      const { least, most } = boltLength(need);
      const { state, text } = boltVerdict(need, { length: given.number('bolt'), threaded: given.number('threaded') });
      return {
        figures: [
          { label: 'at least', value: least, dimension: 'length' },
          { label: 'at most', value: most, dimension: 'length' },
        ],
        words: [`${state === 'does not fit' ? 'STOP: ' : state === 'look' ? 'look: ' : ''}${text}`],
        working: [
          `${n(need.clamped)} + ${n(need.washers)} + ${n(need.nutHeight)} + 2 to 3 × ${n(pitch, 2)} = ${n(least)} to ${n(most)} mm`,
        ],
      };
    },
    draw: drawLength,
  },
];
