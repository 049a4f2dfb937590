import { LAW, measure, seen, type InspectionRule } from '../rule';

/** Centre bolt, U-bolts and clamp. */
export const BOLTS_RULES = {
  centreBolt: seen(
    'bolts',
    'Centre bolt',
    'Head in its hole, nut tight, leaves not shifted on one another.',
    [
      ['whole', 'whole and tight', 'pass'],
      ['bent', 'bent or nut loose', 'replace'],
      ['sheared', 'sheared, or axle shifted', 'stop'],
    ],
    { source: LAW, order: ['centre bolt'] },
  ),
  uBolts: seen(
    'bolts',
    'U-bolts',
    'Threads, bend, nuts; strike: a dull one is loose.',
    [
      ['tight', 'tight, threads clean', 'pass'],
      ['loose', 'a nut is loose', 'service'],
      ['worn', 'thread damaged, stretched or nut rounded', 'replace'],
      ['cracked', 'cracked or missing', 'stop'],
    ],
    { source: LAW, order: ['U-bolts with nuts and washers, the whole set'] },
  ),
  uBoltEven: seen(
    'bolts',
    'Evenness of the U-bolt threads',
    'Most less fewest threads showing, of the four legs.',
    [],
    {
      measures: [
        measure('spread', 'threads between most and fewest', { dimension: 'count', unit: 'count', min: 0, max: 40 }),
      ],
      limits: [{ verdict: 'service', when: { spread: 2 } }],
    },
  ),
  crossClamp: seen(
    'bolts',
    'Clamp of the spring across',
    'Plate and its four bolts; the centre nut square in its opening; bright edges where the spring has wandered.',
    [
      ['tight', 'tight, centre nut square', 'pass'],
      ['loose', 'a bolt is loose or a lock washer gone', 'service'],
      ['moved', 'the spring has moved, or a bolt is broken', 'stop'],
    ],
    { source: LAW, order: ['clamp bolts with lock washers', 'centre bolt'], once: true },
  ),
} as const satisfies Record<string, InspectionRule>;
