import { EYE_FORMS, eyeOffset, type EyeForm } from '../mechanics/leafpack/eyes';
import { lengthRule } from '../units/rules';
import { disc, line, up, type At, type Shape } from './picture';
import { n, type Sum } from './sum';

const NAMES: Record<EyeForm, string> = {
  upturned: 'rolled up',
  berlin: 'rolled about its middle',
  downturned: 'rolled down',
};
const OPTIONS = EYE_FORMS.map((id) => ({ id, name: NAMES[id] }));

/** Half a main leaf with its eye, its bolt where the frame holds it. */
function half(form: EyeForm, bore: number, thickness: number, ink: 'ink' | 'quiet'): Shape[] {
  const length = 240;
  const offset = eyeOffset(form, bore, thickness);
  const leaf: At[] = [
    [0, 0],
    [length, 0],
  ];
  return [
    line(leaf, { ink, dashed: ink === 'quiet' }),
    disc([length, offset], bore / 2 + thickness / 2, { fill: 'none', ink, dashed: ink === 'quiet' }),
    disc([length, offset], 3, { ink }),
  ];
}

export const EYE_SUMS: readonly Sum[] = [
  {
    id: 'eyes',
    group: 'springs',
    title: 'Eyes rolled another way',
    words: 'eye form berlin upturned downturned reverse wrapper main leaf height lower lift inverted',
    fields: [
      { id: 'bore', label: 'Inside of the eye', rule: lengthRule(6, 120, 38), example: '38 mm' },
      { id: 'thickness', label: 'Main leaf', rule: lengthRule(2, 40, 8), example: '7.5 mm' },
    ],
    choices: [
      { id: 'was', label: 'Both eyes are', options: OPTIONS },
      { id: 'will', label: 'They become', options: [...OPTIONS].toReversed() },
    ],
    source: 'geometry: the eye’s middle stands half its bore and half the leaf off the leaf’s middle, or on it',
    silent:
      'That another main leaf has another arch, and that a shackle then hangs at another angle. Eyes are rolled hot and hardened anew by a spring shop, never bent cold.',
    answer: (given) => {
      const [bore, thickness] = [given.number('bore'), given.number('thickness')];
      const [was, will] = [given.choice<EyeForm>('was'), given.choice<EyeForm>('will')];
      const off = (form: EyeForm) => eyeOffset(form, bore, thickness);
      const rise = off(will) - off(was);
      return {
        figures: [
          { label: rise < 0 ? 'frame goes down by' : 'frame goes up by', value: Math.abs(rise), dimension: 'length' },
          { label: 'eye over the leaf’s middle, before', value: off(was), dimension: 'length' },
          { label: 'after', value: off(will), dimension: 'length' },
        ],
        words: [
          rise === 0
            ? 'Nothing moves.'
            : 'Hoses, stops and shocks move with it: the same both ends, or the axle turns.',
        ],
        working: [
          `${n(off(will))} − ${n(off(was))} = ${n(rise)} mm; rolled fully ± (${n(bore)} + ${n(thickness)}) / 2`,
        ],
      };
    },
    draw: (given) => {
      const [bore, thickness] = [given.number('bore'), given.number('thickness')];
      const [was, will] = [given.choice<EyeForm>('was'), given.choice<EyeForm>('will')];
      const off = (form: EyeForm) => eyeOffset(form, bore, thickness);
      return {
        says: 'the end of the main leaf with its eye, before dashed',
        front: false,
        shapes: [
          ...half(was, bore, thickness, 'quiet'),
          ...half(will, bore, thickness, 'ink'),
          ...(was === will ? [] : [up(off(was), off(will), 300, 'new')]),
        ],
      };
    },
  },
];
