import { LAW, seen, type InspectionRule } from '../rule';

/** Arms and track rod. */
export const LINKS_RULES = {
  links: seen(
    'links',
    'Arms and track rod',
    'They alone hold the axle in place: bends, cracks at their mounts, play when the wheel is rocked.',
    [
      ['sound', 'straight and without play', 'pass'],
      ['play', 'play in a bush', 'replace'],
      ['cracked', 'bent, cracked or loose at a mount', 'stop'],
    ],
    { source: LAW, order: ['bushes of that arm, both sides'] },
  ),
  cams: seen(
    'links',
    'Alignment cams',
    'Each cam against its bracket: where it stands, whether it has moved, whether its bolt still turns.',
    [
      ['free', 'marked, bolt free', 'pass'],
      ['seized', 'bolt seized in its sleeve', 'service'],
      ['moved', 'has moved from its mark', 'replace'],
    ],
    { order: ['cam bolts, cams and nuts'] },
  ),
  swayBar: seen(
    'links',
    'Sway bar, its links and bushes',
    'Shake each link by hand; rubber perished or gone, stem bent, bar cracked at its bends, brackets loose.',
    [
      ['none', 'none fitted', 'pass'],
      ['firm', 'firm and quiet', 'pass'],
      ['worn', 'bushes worn or perished', 'replace'],
      ['broken', 'a link broken or gone', 'replace'],
    ],
    { pair: true, order: ['sway links with bushes and washers, both sides'] },
  ),
} as const satisfies Record<string, InspectionRule>;
