import { lengthRule } from '../../units/rules';
import { LAW, measure, seen, type InspectionRule } from '../rule';

/** Bushes and rubber. */
export const BUSHES_RULES = {
  pivotBush: seen(
    'bushes',
    'Pivot bushes of the beam',
    'Lever at the pivot; look for rubber torn from its sleeve, a beam that sits off its middle, a bolt that turns in its hole.',
    [
      ['sound', 'sound, beam in its middle', 'pass'],
      ['cracks', 'fine surface cracks', 'watch'],
      ['torn', 'torn or loose in its shell', 'replace'],
      ['metal', 'metal on metal, or the bracket torn', 'stop'],
    ],
    { source: LAW, pair: true, order: ['pivot bushes, both sides', 'pivot bolts and nuts'] },
  ),
  bush: seen(
    'bushes',
    'Eye and shackle bushes',
    'Lever between eye and hanger; look for rubber crumbs, bright metal, a squeak.',
    [
      ['sound', 'sound and quiet', 'pass'],
      ['cracks', 'fine surface cracks', 'watch'],
      ['perished', 'perished, loose or working out', 'replace'],
      ['metal', 'metal on metal', 'replace'],
    ],
    { pair: true, order: ['bushes for both sides', 'pivot bolts if grooved'] },
  ),
  shearTear: seen(
    'bushes',
    'Rubber shear block, tear',
    'Flat probe into the worst tear; weather cracks do not count.',
    [],
    {
      measures: [
        measure('deep', 'probe enters', lengthRule(0, 200)),
        measure('long', 'over a length of', lengthRule(0, 500)),
      ],
      limits: [
        { verdict: 'replace', when: { deep: 19.05, long: 76.2 } },
        { verdict: 'watch', when: { deep: 3 }, start: true },
      ],
      pair: true,
      order: ['shear blocks, both sides'],
    },
  ),
  shearBond: seen(
    'bushes',
    'Rubber shear block, bond',
    'All round where rubber meets steel, a lamp along the edge; rust creeping under it.',
    [
      ['sound', 'bonded all round', 'pass'],
      ['edge', 'lifts at an edge', 'watch'],
      ['loose', 'torn from a plate', 'stop'],
    ],
    { source: LAW, pair: true, order: ['shear blocks, both sides', 'bolts and locking nuts of the blocks'] },
  ),
  shearHoles: seen('bushes', 'Rows of holes of the blocks', 'Which row the carrier hangs in, left against right.', [
    ['alike', 'the same row on both sides', 'pass'],
    ['unlike', 'another row on each side: it leans by that', 'service'],
  ]),
} as const satisfies Record<string, InspectionRule>;
