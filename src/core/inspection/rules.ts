import { type FieldRule } from '../units/parse';
import { lengthRule } from '../units/rules';

/** From good to bad; a worse one outweighs any number of better ones. */
export const VERDICTS = ['pass', 'watch', 'service', 'replace', 'stop'] as const;
export type InspectionVerdict = (typeof VERDICTS)[number];
export const worse = (p: InspectionVerdict, q: InspectionVerdict): InspectionVerdict =>
  VERDICTS.indexOf(p) >= VERDICTS.indexOf(q) ? p : q;

/** Where a rule comes from. A law is paraphrased from memory with its section; the law itself decides. */
export type RuleSource = { kind: 'law'; cite: string } | { kind: 'practice' };

export interface Measure {
  id: string;
  label: string;
  rule: FieldRule;
}
/** Reached when every named measure is at least this much, core units. */
export interface Limit {
  verdict: InspectionVerdict;
  /** A value to start from, chosen here and no rule of the trade: a shop sets its own. */
  start?: true;
  when: Record<string, number>;
}
export interface Choice {
  id: string;
  text: string;
  verdict: InspectionVerdict;
}

export interface InspectionRule {
  sheet: SheetId;
  what: string;
  how: string;
  choices: readonly Choice[];
  measures: readonly Measure[];
  /** A figure that follows from two measures. */
  derived?: { id: string; what: string; of: string; less: string };
  /** Worst first. */
  limits: readonly Limit[];
  source: RuleSource;
  /** Renewed on both sides together, once one side must be. */
  pair: boolean;
  /** What else to order when it is replaced. */
  order: readonly string[];
  /** Read once for the axle, not on each side. */
  once: boolean;
  /** Asks on which leaf and where along it. */
  place: boolean;
}

export const SHEETS = {
  leaves: 'Leaves',
  coils: 'Coils',
  bolts: 'Centre bolt and U-bolts',
  hangers: 'Hangers, shackles, pivots',
  links: 'Arms and track rod',
  steering: 'Kingpins and tie rods',
  bushes: 'Bushes',
  stops: 'Stops and shocks',
  axle: 'Axle',
} as const;
export type SheetId = keyof typeof SHEETS;

/** 49 CFR 393.207 and the inspection standards of Part 396, paraphrased from memory. */
const LAW: RuleSource = { kind: 'law', cite: '49 CFR 393.207 and Part 396 appendix, paraphrased from memory' };
const PRACTICE: RuleSource = { kind: 'practice' };

type More = Partial<Omit<InspectionRule, 'sheet' | 'what' | 'how' | 'choices'>>;
const seen = (
  sheet: SheetId,
  what: string,
  how: string,
  choices: readonly [id: string, text: string, verdict: InspectionVerdict][],
  more: More = {},
): InspectionRule => ({
  sheet,
  what,
  how,
  choices: choices.map(([id, text, verdict]) => ({ id, text, verdict })),
  measures: [],
  limits: [],
  source: PRACTICE,
  pair: false,
  order: [],
  once: false,
  place: false,
  ...more,
});
const measure = (id: string, label: string, rule: FieldRule): Measure => ({ id, label, rule });

/** What is looked at on an axle; a kind of suspension takes its own of these. Limits are common practice unless they are marked as a start. */
export const RULES = {
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
  coilBroken: seen(
    'coils',
    'Coil cracked or broken',
    'Turn by turn with a lamp, most of all the last turn at each end, where it lies in its seat.',
    [
      ['none', 'none found', 'pass'],
      ['broken', 'cracked or broken', 'stop'],
    ],
    { source: LAW, pair: true, order: ['coils, both sides', 'seat pads'] },
  ),
  coilSag: seen(
    'coils',
    'Sag against the expected length',
    'Seat to seat of the sound side, or of a new coil, against this one: both free, or both under one load.',
    [],
    {
      measures: [
        measure('expected', 'length it should have', lengthRule(80, 1000, 320)),
        measure('found', 'length found', lengthRule(80, 1000, 320)),
      ],
      derived: { id: 'sag', what: 'shorter by', of: 'expected', less: 'found' },
      limits: [
        { verdict: 'replace', when: { sag: 20 }, start: true },
        { verdict: 'watch', when: { sag: 8 }, start: true },
      ],
      pair: true,
      order: ['coils, both sides'],
    },
  ),
  coilPitting: seen(
    'coils',
    'Corrosion of the wire',
    'Scrape; feel for pits, most of all in the last turns and under the pads.',
    [
      ['film', 'rust film', 'pass'],
      ['pits', 'pits that can be felt', 'watch'],
      ['deep', 'deep pits or flaking', 'replace'],
    ],
    { pair: true, order: ['coils, both sides'] },
  ),
  coilClash: seen('coils', 'Marks where turns have touched', 'Bright or dented spots between neighbouring turns.', [
    ['none', 'none', 'pass'],
    ['marks', 'turns have touched: it went solid before its stop', 'watch'],
  ]),
  coilSeat: seen(
    'coils',
    'Seats, pads and retainers',
    'Pads whole, end of the wire against its step, retainer tight; no rust through the seat.',
    [
      ['sound', 'sound, coil seated', 'pass'],
      ['pad', 'pad gone or coil turned in its seat', 'service'],
      ['rotten', 'seat cracked or rusted through', 'stop'],
    ],
    { source: LAW, order: ['pads, both ends', 'retainers'] },
  ),
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
  kingpin: seen(
    'steering',
    'Kingpins',
    'Wheel off the ground, rocked at top and bottom; grease, thrust washer, bolt and cotter.',
    [
      ['sound', 'no play, greased', 'pass'],
      ['dry', 'dry, or turns hard', 'service'],
      ['play', 'play to be felt', 'replace'],
      ['loose', 'bolt or cotter missing, cracked', 'stop'],
    ],
    { pair: true, order: ['kingpin bushes and thrust washers, both sides', 'cotter pins'] },
  ),
  tieRod: seen(
    'steering',
    'Tie rods',
    'Steering rocked to and fro; ends, jam nuts, cotters, straight rods.',
    [
      ['sound', 'no play, jam nuts tight', 'pass'],
      ['loose', 'jam nut loose', 'service'],
      ['play', 'play in an end', 'replace'],
      ['bent', 'bent, or a cotter missing', 'stop'],
    ],
    { order: ['tie rod ends', 'cotter pins'] },
  ),
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
  unitTop: seen(
    'stops',
    'Top mount of the unit',
    'A hand on the coil while somebody steers: it must turn without a jerk; rubber whole, nuts there, no rust under it.',
    [
      ['sound', 'sound, turns freely', 'pass'],
      ['worn', 'worn, knocks or binds', 'replace'],
      ['loose', 'a nut gone, or the tower cracked', 'stop'],
    ],
    { pair: true, order: ['top mounts and their bearings, both sides'] },
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
  bumpStop: seen(
    'stops',
    'Bump stop',
    'Whole, tab in its hole, stud not rusted through.',
    [
      ['whole', 'whole', 'pass'],
      ['cracked', 'cracked', 'watch'],
      ['gone', 'split, half gone or missing', 'replace'],
    ],
    { pair: true, order: ['bump stops, both sides'] },
  ),
  shock: seen(
    'stops',
    'Shock absorber',
    'Dry, bushes firm, not bottomed at this height.',
    [
      ['dry', 'dry and firm', 'pass'],
      ['sweats', 'sweating', 'watch'],
      ['leaks', 'leaking, or a mount is broken', 'replace'],
    ],
    { pair: true, order: ['shocks, both sides'] },
  ),
  square: seen('axle', 'Squareness', 'Hub to hub on both sides; the longer side says which way it points.', [], {
    measures: [measure('off', 'sides differ by', lengthRule(0, 200))],
    limits: [
      { verdict: 'service', when: { off: 6 }, start: true },
      { verdict: 'watch', when: { off: 3 }, start: true },
    ],
    once: true,
  }),
} as const satisfies Record<string, InspectionRule>;
export type RuleId = keyof typeof RULES;
export const RULE_IDS = Object.keys(RULES) as [RuleId, ...RuleId[]];
export const ruleOf = (id: RuleId): InspectionRule => RULES[id];

/** A shop's own limit in place of a rule's; everything else of the rule stays. */
export interface ShopLimit {
  rule: RuleId;
  verdict: InspectionVerdict;
  measure: string;
  /** Core units. */
  value: number;
}

/** A rule as this shop applies it. */
export function shopRule(id: RuleId, own: readonly ShopLimit[]): InspectionRule {
  const rule = ruleOf(id);
  const limits = rule.limits.map((limit) => ({
    ...limit,
    when: Object.fromEntries(
      Object.entries(limit.when).map(([name, value]) => [
        name,
        own.find((o) => o.rule === id && o.verdict === limit.verdict && o.measure === name)?.value ?? value,
      ]),
    ),
  }));
  return { ...rule, limits };
}

/** What was seen or measured of one rule on one side. */
export interface Seen {
  choice: string | null;
  /** By measure, core units. */
  values: Readonly<Record<string, number>>;
}

/** The derived figure of a rule, by its name; empty while a measure is missing or the rule has none. */
export function derivedValue(rule: InspectionRule, values: Readonly<Record<string, number>>): Record<string, number> {
  if (!rule.derived) return {};
  const [of, less] = [values[rule.derived.of], values[rule.derived.less]];
  return of === undefined || less === undefined ? {} : { [rule.derived.id]: of - less };
}

/**
 * Verdict of a rule on what was seen: the worst limit whose every measure is reached, or the choice's own. null while nothing
 * was seen, or while a measure that could make it worse is missing.
 */
export function judge(rule: InspectionRule, { choice, values }: Seen): InspectionVerdict | null {
  const picked = rule.choices.find((c) => c.id === choice)?.verdict ?? null;
  if (rule.measures.length === 0) return picked;
  if (rule.measures.some((m) => values[m.id] === undefined)) return picked;
  const all = { ...values, ...derivedValue(rule, values) };
  const reached = rule.limits.find((limit) =>
    Object.entries(limit.when).every(([name, from]) => all[name]! >= from - HAIR),
  );
  const measured = reached?.verdict ?? 'pass';
  return picked === null ? measured : worse(picked, measured);
}

/** What two rounded figures may differ by without being different, core units. */
const HAIR = 1e-6;

/** What follows from a verdict, in words. */
export function consequences(rule: InspectionRule, verdict: InspectionVerdict): string[] {
  const renew = verdict === 'replace' || verdict === 'stop';
  return [
    ...(verdict === 'stop' ? ['Not to be driven or towed until it is mended.'] : []),
    ...(renew && rule.pair ? ['Renew both sides: the other one has lived the same life.'] : []),
    ...(renew && rule.order.length > 0 ? [`Order: ${rule.order.join('; ')}.`] : []),
  ];
}
