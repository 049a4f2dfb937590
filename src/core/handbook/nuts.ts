import { CoreError } from '../errors';
import { clampOf, NUT_FACTOR, SEAT_FRICTION, TYRE_GRIP, type Condition } from '../fastener/clamp';
import { wheelHold } from '../fastener/wheelNuts';
import { countRule, lengthRule, massRule, THREAD_RULE, TORQUE_READING_RULE } from '../units/rules';
import { condition, kN, Nm } from './bolts';
import { n, type Sum } from './sum';

export const NUT_SUMS: readonly Sum[] = [
  {
    id: 'locknut',
    group: 'bolts',
    title: 'Lock nut that turns hard',
    words: 'prevailing torque nyloc stover self-locking stiff nut drag running torque reuse add',
    fields: [
      { id: 'thread', label: 'Thread', rule: THREAD_RULE, example: 'M12 x 1.75' },
      { id: 'torque', label: 'Torque on the sheet', rule: TORQUE_READING_RULE, example: '85 N·m' },
      {
        id: 'own',
        label: 'To turn it before it seats',
        rule: TORQUE_READING_RULE,
        example: '9 N·m',
        hint: 'read on a dial wrench while it runs down',
      },
    ],
    choices: [
      {
        id: 'means',
        label: 'The sheet’s figure',
        options: [
          { id: 'seat', name: 'is for the joint alone' },
          { id: 'whole', name: 'is what the wrench shows' },
        ],
      },
      condition('condition', 'Threads are'),
    ],
    source: 'own torque on top of T = K·d·F; K by condition from memory',
    silent:
      'Which of the two the maker means: where the sheet is silent, ask. A lock nut that spins on by fingers locks nothing and is replaced; many are for one use only.',
    answer: (given) => {
      const bolt = given.thread('thread');
      const [torque, own] = [given.number('torque'), given.number('own')];
      const whole = given.choice('means') === 'whole';
      if (whole && own >= torque)
        throw new CoreError('bad-input', 'own', 'nothing would be left to clamp with: it is no less than the figure');
      const seats = whole ? torque - own : torque;
      const at = given.choice<Condition>('condition');
      const { force, least, most } = clampOf(bolt, seats, at);
      return {
        figures: [
          { label: 'set the wrench to', value: seats + own, dimension: 'torque' },
          { label: 'of it clamps', value: seats, dimension: 'torque' },
          { label: 'clamp', value: force, dimension: 'force', between: [least, most] },
        ],
        words: [
          own > 0.25 * seats
            ? 'look: more than a quarter of it goes into the nut’s own lock; a thread that binds feels the same'
            : 'Turn nut, not bolt, and steadily: what is read while it runs is what counts.',
        ],
        working: [
          whole
            ? `clamps: ${Nm(torque)} − ${Nm(own)} = ${Nm(seats)}`
            : `wrench: ${Nm(torque)} + ${Nm(own)} = ${Nm(seats + own)}`,
          `F = T / (K·d) = ${Nm(seats)} / (${NUT_FACTOR[at].k} × ${n(bolt.diameter, 2)} mm) = ${kN(force)}`,
        ],
      };
    },
  },
  {
    id: 'wheelnuts',
    group: 'bolts',
    title: 'Wheel nuts against braking',
    words: 'lug nut stud bolt pattern circle pcd wheel torque retorque re-torque seat cone ball flat spacer',
    fields: [
      { id: 'thread', label: 'Thread of a stud', rule: THREAD_RULE, example: 'M14 x 1.5' },
      { id: 'torque', label: 'Torque', rule: TORQUE_READING_RULE, example: '140 N·m' },
      { id: 'studs', label: 'Studs', rule: countRule(3, 12), example: '6' },
      { id: 'circle', label: 'Circle they stand on, across', rule: lengthRule(60, 400, 140), example: '139 mm' },
      { id: 'mass', label: 'Rests on the wheel', rule: massRule(20, 10_000), example: '720 kg' },
      { id: 'radius', label: 'Hub to ground', rule: lengthRule(100, 900, 350), example: '355 mm' },
    ],
    choices: [condition('condition', 'Threads are')],
    source: `n·F·µ·r against ${TYRE_GRIP} of its load at the ground; µ ${SEAT_FRICTION.value} of clean faces, grip and K from memory`,
    silent:
      'What the vehicle’s maker asks: that figure goes before it, and whether threads are dry. Paint, rust or a burr under the wheel settles and lets go of the clamp; nut and wheel must have the same seat, cone, ball or flat.',
    answer: (given) => {
      const bolt = given.thread('thread');
      const at = given.choice<Condition>('condition');
      const studs = Math.round(given.number('studs'));
      const clamp = clampOf(bolt, given.number('torque'), at);
      const of = (force: number) =>
        wheelHold(force, studs, given.number('circle'), given.number('mass'), given.number('radius'));
      const { holds, asked } = of(clamp.force);
      const loosest = of(clamp.least).least;
      return {
        figures: [
          { label: 'holds, of what braking asks', value: holds / asked, dimension: 'share' },
          { label: 'the loosest, on poor faces', value: loosest / asked, dimension: 'share' },
          { label: 'clamp of a nut', value: clamp.force, dimension: 'force', between: [clamp.least, clamp.most] },
        ],
        words: [
          holds < asked
            ? 'look: friction would not hold it, and studs would bend; look at figure, thread and faces'
            : loosest < asked
              ? 'look: loose nuts on poor faces would not hold: clean to metal, crosswise, in two stages'
              : 'Friction holds it, the loosest nut on poor faces too.',
          'Torque again after 50 to 100 km (common practice); the maker’s interval goes before it.',
        ],
        working: [
          `F = T / (K·d) = ${kN(clamp.force)} a nut`,
          `holds ${studs} × ${kN(clamp.force)} × ${SEAT_FRICTION.value} × ${n(given.number('circle') / 2, 0)} mm = ${Nm(holds)}`,
          `asked ${TYRE_GRIP} × ${n(given.number('mass'), 0)} kg × 9.81 × ${n(given.number('radius'), 0)} mm = ${Nm(asked)}`,
        ],
      };
    },
  },
];
