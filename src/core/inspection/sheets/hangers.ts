import { LAW, seen, type InspectionRule } from '../rule';

/** Hangers, shackles, pivots. */
export const HANGERS_RULES = {
  hanger: seen(
    'hangers',
    'Hangers',
    'Welds, rivets, cracks from the bolt holes, flanges square.',
    [
      ['sound', 'sound and square', 'pass'],
      ['bent', 'flange bent', 'service'],
      ['cracked', 'cracked, loose or missing', 'stop'],
    ],
    { source: LAW },
  ),
  shackle: seen(
    'hangers',
    'Shackle plates',
    'Holes round, plates straight, not rubbing.',
    [
      ['straight', 'straight, holes round', 'pass'],
      ['rubbing', 'plates rub', 'service'],
      ['worn', 'holes worn oval or plate bent', 'replace'],
    ],
    { pair: true, order: ['shackle kit, both sides'] },
  ),
  pivotBolt: seen(
    'hangers',
    'Pivot bolts',
    'Turn a nut a little: the bolt must not turn in its hanger.',
    [
      ['held', 'held, hole round', 'pass'],
      ['spins', 'turns in the hanger or weld cracked', 'replace'],
    ],
    { order: ['pivot bolts and nuts'] },
  ),
  rocker: seen(
    'hangers',
    'Rocker and its pivot',
    'Lever it up and down at the pivot; look for egged holes, cracks beside the pivot and arms that rub.',
    [
      ['sound', 'swings free, no play to be felt', 'pass'],
      ['play', 'play at the pivot or bush worn through', 'replace'],
      ['seized', 'does not swing: the axles do not share', 'replace'],
      ['cracked', 'cracked, bent or its hanger torn', 'stop'],
    ],
    { source: LAW, pair: true, order: ['rocker, pivot bolt and bush', 'shackles and their bolts'] },
  ),
  slipper: seen(
    'hangers',
    'Slippers and the ends on them',
    'Where the spring’s end slides: grooves in the face, wear of the tip, the bolt or lip that keeps it in.',
    [
      ['sound', 'sound, end well inside', 'pass'],
      ['grooved', 'grooved, or the tip worn thin', 'replace'],
      ['open', 'keeper bolt or lip gone', 'stop'],
    ],
    { source: LAW, order: ['slipper or its liner', 'keeper bolts'] },
  ),
  crossEye: seen(
    'hangers',
    'Ends of the spring at the wheels',
    'Eye rolled shut, bolt straight; brush clean where the eye begins, there it cracks.',
    [
      ['sound', 'shut and without a crack', 'pass'],
      ['opened', 'eye opened or its hole worn', 'replace'],
      ['cracked', 'cracked, or bolt bent or missing', 'stop'],
    ],
    { source: LAW, order: ['the spring', 'eye bolts and nuts, both sides'] },
  ),
  carrierNose: seen(
    'hangers',
    'Carrier and its nose bolt',
    'Nose bolt and sleeve, cracks from the bolt holes and along the welds; sideways play of the leaf in the nose.',
    [
      ['sound', 'tight, no play', 'pass'],
      ['worn', 'bolt or sleeve worn', 'replace'],
      ['cracked', 'cracked, or the bolt gone', 'stop'],
    ],
    { source: LAW, order: ['nose bolts with sleeves, both sides'] },
  ),
} as const satisfies Record<string, InspectionRule>;
