import { bushFit } from '../bush/fit';
import { ASSUMED_SHEAR, eyeTurn, falseHeight, LASTING_STRAIN, windUpMoment, windUpStrain } from '../bush/windUp';
import { BUSH_TYPE_IDS, BUSH_TYPES, type BushTypeId } from '../bush/types';
import { activeTurns, COIL_ENDS, coilRate, turnGap, type CoilEnds } from '../mechanics/coil/coil';
import { lengthRule, TURNS_RULE } from '../units/rules';
import { dropAtLength } from '../travel/shock';
import { drawBush, drawBushFit, drawCoil, drawShock } from './draws';
import { n, type Sum } from './sum';

const DEGREE = Math.PI / 180;
const END_NAMES: Record<CoilEnds, string> = {
  closedGround: 'closed and ground',
  closed: 'closed',
  open: 'open',
  pigtail: 'pigtail',
};

export const SPRING_SUMS: readonly Sum[] = [
  {
    id: 'coil',
    group: 'springs',
    title: 'Rate of a coil',
    words: 'coil spring rate wire diameter turns stiff bind solid gap helper',
    fields: [
      { id: 'wire', label: 'Wire', rule: lengthRule(4, 45, 14), example: '15 mm' },
      { id: 'outside', label: 'Outside diameter', rule: lengthRule(40, 350, 130), example: '140 mm' },
      { id: 'turns', label: 'Turns, end to end', rule: TURNS_RULE, example: '8.5' },
      { id: 'free', label: 'Free length', rule: lengthRule(80, 1000, 380), example: '370 mm' },
      { id: 'length', label: 'Length as it stands', rule: lengthRule(60, 1000, 280), example: '265 mm' },
    ],
    choices: [{ id: 'ends', label: 'Ends', options: COIL_ENDS.map((id) => ({ id, name: END_NAMES[id] })) }],
    source: 'k = G·d⁴/(8·D³·n), Shigley; G = 79,300 MPa',
    silent: 'Sag, and what rubber in the seats gives: measure its length under a known load.',
    answer: (given) => {
      const wire = given.number('wire');
      const coil = {
        ...{ wire, mean: given.number('outside') - wire, turns: given.number('turns'), free: given.number('free') },
        ends: given.choice<CoilEnds>('ends'),
      };
      const rate = coilRate(coil);
      const gap = turnGap(coil, given.number('length'));
      const active = activeTurns(coil);
      return {
        figures: [
          { label: 'rate', value: rate, dimension: 'rate' },
          { label: 'load at that length', value: rate * (coil.free - given.number('length')), dimension: 'force' },
          { label: 'between its turns', value: gap, dimension: 'length' },
          { label: 'left until it is solid', value: gap * active, dimension: 'length' },
        ],
        words: gap <= 0 ? ['STOP: it is solid there'] : [],
        working: [
          `${n(active)} turns work, mean diameter ${n(coil.mean)} mm`,
          `79,300 × ${n(wire)}⁴ / (8 × ${n(coil.mean)}³ × ${n(active)}) = ${n(rate)} N/mm`,
        ],
      };
    },
    draw: drawCoil,
  },
  {
    id: 'bush',
    group: 'springs',
    title: 'Bush tightened hanging',
    words: 'bushing wind-up twist bonded rubber torque at ride height eye bolt preload false height',
    fields: [
      { id: 'inner', label: 'Sleeve, outside', rule: lengthRule(4, 100, 22), example: '22 mm' },
      { id: 'outer', label: 'Shell, inside', rule: lengthRule(8, 160, 40), example: '40 mm' },
      { id: 'width', label: 'Rubber’s length', rule: lengthRule(10, 200, 65), example: '66 mm' },
      { id: 'half', label: 'Eye to axle', rule: lengthRule(150, 1500, 600), example: '620 mm' },
      { id: 'drop', label: 'Axle hangs lower by', rule: lengthRule(0, 500, 90), example: '85 mm' },
      {
        id: 'rate',
        label: 'Rate of the spring',
        rule: { dimension: 'rate', unit: 'N/mm', min: 2, max: 3000, expected: 45 },
        example: '42 N/mm',
      },
    ],
    choices: [{ id: 'type', label: 'Bush', options: BUSH_TYPE_IDS.map((id) => ({ id, name: BUSH_TYPES[id].name })) }],
    source: 'thick cylinder in torsional shear (Freakley & Payne, from memory); shear modulus 0.85 ± 0.3 MPa assumed',
    silent:
      'How much the rubber has taken a set, and the eye’s true turn: taken as 1.75 times the drop over the half length.',
    answer: (given) => {
      const type = BUSH_TYPES[given.choice<BushTypeId>('type')];
      const bush = {
        inner: given.number('inner'),
        outer: given.number('outer'),
        length: given.number('width'),
        shearModulus: ASSUMED_SHEAR.value,
      };
      const half = given.number('half');
      const turn = eyeTurn(given.number('drop'), half);
      const end = { bush, turn, half };
      const held = falseHeight(given.number('rate'), [end, end]);
      const strain = windUpStrain(bush, turn);
      const reach = ASSUMED_SHEAR.half90 / ASSUMED_SHEAR.value;
      if (type.anyPosition)
        return {
          figures: [{ label: 'held up', value: 0, dimension: 'length' }],
          words: [`It turns in its sleeve: ${type.tighten}.`, `Grease: ${type.grease}.`],
          working: [],
        };
      return {
        figures: [
          {
            label: 'held up by both bushes',
            value: held,
            dimension: 'length',
            between: [held * (1 - reach), held * (1 + reach)],
          },
          { label: 'the bush turns', value: turn, dimension: 'angle' },
          { label: 'strain at its sleeve', value: strain, dimension: 'share' },
        ],
        words: [
          strain > LASTING_STRAIN ? 'look: more than rubber bears again and again' : 'Within what rubber bears.',
          `Tighten: ${type.tighten}.`,
        ],
        working: [
          `turn = 1.75 × ${n(given.number('drop'), 0)} / ${n(half, 0)} = ${n(turn / DEGREE)}°`,
          `M = φ·4π·L·G / (1/rᵢ² − 1/rₒ²) = ${n(windUpMoment(bush, turn) / 1000)} N·m a bush`,
          `2 × M / ${n(half, 0)} mm / ${n(given.number('rate'))} N/mm = ${n(held)} mm`,
        ],
      };
    },
    draw: drawBush,
  },
  {
    id: 'bushfit',
    group: 'springs',
    title: 'Does a bush fit',
    words: 'bushing size bore press interference sleeve bolt hanger width pusher receiver socket tool',
    fields: [
      { id: 'eye', label: 'Bore of the eye', rule: lengthRule(6, 120, 38), example: '39.9 mm' },
      { id: 'shell', label: 'Bush, outside', rule: lengthRule(6, 130, 38), example: '40.1 mm' },
      { id: 'sleeve', label: 'Bore of its sleeve', rule: lengthRule(4, 80, 14), example: '14.2 mm' },
      { id: 'bolt', label: 'Bolt', rule: lengthRule(4, 80, 14), example: '14 mm' },
      { id: 'width', label: 'Length of its sleeve', rule: lengthRule(10, 300, 65), example: '66 mm' },
      { id: 'hanger', label: 'Hanger, inside', rule: lengthRule(10, 300, 66), example: '66.8 mm' },
    ],
    source:
      'press 0.05 to 0.35 mm over, play up to 0.6, hanger up to 1.5 wider (chosen); the maker’s figures go before them',
    silent:
      'Whether the eye is round: measure it both ways. Some kits keep the old shell in the eye: then nothing is pressed out.',
    answer: (given) => {
      const rows = bushFit({
        ...{ eyeBore: given.number('eye'), shell: given.number('shell'), sleeveBore: given.number('sleeve') },
        ...{ bolt: given.number('bolt'), sleeveLength: given.number('width'), hangerWidth: given.number('hanger') },
      });
      const names = { press: 'over in the eye', bolt: 'play on the bolt', width: 'hanger wider by' };
      return {
        figures: rows.map((row) => ({ label: names[row.item], value: row.value, dimension: 'length' as const })),
        words: [
          ...rows.map(
            (row) => `${row.state === 'does not fit' ? 'STOP: ' : row.state === 'look' ? 'look: ' : ''}${row.text}`,
          ),
          `To press it: a pusher of at most ${n(given.number('eye') - 0.5)} mm outside, a receiver of at least ${n(given.number('shell') + 0.5)} mm inside.`,
        ],
        working: [
          `${n(given.number('shell'), 2)} − ${n(given.number('eye'), 2)}; ${n(given.number('sleeve'), 2)} − ${n(given.number('bolt'), 2)}; ${n(given.number('hanger'), 2)} − ${n(given.number('width'), 2)}`,
        ],
      };
    },
    draw: drawBushFit,
  },
  {
    id: 'shock',
    group: 'springs',
    title: 'Shock for a travel',
    words: 'damper absorber length extended compressed closed open lean angle lift',
    fields: [
      { id: 'rest', label: 'Bolt to bolt now', rule: lengthRule(100, 1200, 420), example: '410 mm' },
      {
        id: 'lean',
        label: 'Leans',
        rule: { dimension: 'angle', unit: 'deg', min: 0, max: 1.3, expected: 0.26 },
        example: '12°',
      },
      { id: 'shut', label: 'Shut', rule: lengthRule(80, 1000, 330), example: '315 mm' },
      { id: 'open', label: 'Open', rule: lengthRule(100, 1400, 520), example: '505 mm' },
      {
        id: 'up',
        label: 'Axle goes up',
        rule: lengthRule(0, 500, 80),
        example: '75 mm',
        hint: 'until its stop is solid',
      },
      { id: 'down', label: 'Axle goes down', rule: lengthRule(0, 500, 90), example: '88 mm' },
    ],
    source: 'right triangle of its lean',
    silent: 'Valving: a stiffer spring wants more rebound damping.',
    answer: (given) => {
      const at = (id: string) => dropAtLength(given.number('rest'), given.number('lean'), given.number(id));
      const [shut, open] = [at('shut'), at('open')];
      const above = shut === null ? Infinity : -shut - given.number('up');
      const below = (open ?? -Infinity) - given.number('down');
      return {
        figures: [
          { label: 'left above', value: Math.min(above, 999), dimension: 'length' },
          { label: 'left below', value: Math.max(below, -999), dimension: 'length' },
        ],
        words: [
          above < 0
            ? 'STOP: it is shut before the axle is up'
            : above < 10
              ? 'look: less than 10 mm above'
              : 'It clears above.',
          below < 0 ? 'look: it ends the travel down; fine where it is made for that' : 'It clears below.',
        ],
        working: [`shut it stands ${n(-(shut ?? 0))} mm up, open ${n(open ?? 0)} mm down`],
      };
    },
    draw: drawShock,
  },
];
