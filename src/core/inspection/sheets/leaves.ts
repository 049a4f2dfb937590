import { lengthRule } from '../../units/rules';
import { LAW, measure, seen, type InspectionRule } from '../rule';

/** Leaves. */
export const LEAVES_RULES = {
  leafBroken: seen(
    'leaves',
    'Leaf cracked or broken',
    'Brush each leaf edge clean; look at the centre bolt hole, the clamp edge and under the tips.',
    [
      ['none', 'none found', 'pass'],
      ['leaf', 'a leaf is cracked or broken', 'stop'],
      ['main', 'the main leaf is cracked or broken', 'stop'],
    ],
    { source: LAW, pair: true, order: ['leaf or pack, both sides', 'U-bolts', 'centre bolts'], place: true },
  ),
  sag: seen(
    'leaves',
    'Sag against the expected arch',
    'Arch of a new spring, or of the sound side, against the arch of this one: both free, or both under one load.',
    [],
    {
      measures: [
        measure('expected', 'arch it should have', lengthRule(-250, 500, 130)),
        measure('found', 'arch found', lengthRule(-250, 500, 130)),
      ],
      derived: { id: 'sag', what: 'flatter by', of: 'expected', less: 'found' },
      limits: [
        { verdict: 'replace', when: { sag: 25.4 } },
        { verdict: 'watch', when: { sag: 12 }, start: true },
      ],
      pair: true,
      order: ['springs or re-arching by a specialist, both sides', 'U-bolts'],
    },
  ),
  pitting: seen(
    'leaves',
    'Corrosion',
    'Scrape; feel for pits with a fingernail, most of all near the clamp.',
    [
      ['film', 'rust film', 'pass'],
      ['pits', 'pits that can be felt', 'watch'],
      ['deep', 'deep pits or flaking', 'replace'],
    ],
    { pair: true, order: ['leaf or pack, both sides'] },
  ),
  gap: seen('leaves', 'Gap where leaves should touch', 'Loaded; feeler or rule between neighbours beside the clamp.', [
    ['closed', 'closed', 'pass'],
    ['open', 'open under load', 'service'],
  ]),
  tips: seen(
    'leaves',
    'Tips, liners and pads',
    'Grooves worn by the tip below; liners there and whole.',
    [
      ['sound', 'sound', 'pass'],
      ['worn', 'grooved or liner gone', 'service'],
    ],
    { order: ['liners or tip pads'] },
  ),
  clips: seen(
    'leaves',
    'Clips',
    'Each clip there, tight, tabs bent; the bottom leaf held.',
    [
      ['there', 'all there and tight', 'pass'],
      ['loose', 'loose or one missing', 'service'],
      ['bottom', 'bottom leaf can swing out', 'stop'],
    ],
    { order: ['clips and clip bolts'] },
  ),
  order: seen('leaves', 'Order and line of the leaves', 'Longest to shortest, sides flush, none fanned.', [
    ['inLine', 'in line', 'pass'],
    ['fanned', 'fanned or out of order', 'service'],
  ]),
  witness: seen('leaves', 'Shiny witness marks', 'On overload leaf, stop, frame and axle.', [
    ['faint', 'none or faint', 'pass'],
    ['heavy', 'heavy: it has been riding there', 'watch'],
  ]),
} as const satisfies Record<string, InspectionRule>;
