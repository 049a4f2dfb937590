import { type UboltOrder } from '../fastener/uboltOrder';
import { type Operation } from '../procedure/operation';
import { type Called } from './arrival';

export const NEED_KINDS = ['part', 'hardware', 'consumable', 'spare', 'tool'] as const;
export type NeedKind = (typeof NEED_KINDS)[number];

/** Something that must lie there before the work, for both sides. */
export interface Needed {
  /** Names it as long as the plan asks for it. */
  need: string;
  kind: NeedKind;
  /** With its size; lengths in mm. */
  what: string;
  wanted: number;
  /** The first step that cannot be done without it; null where none is named. */
  step: string | null;
  /** Why it is on the list; empty where the plan says it. */
  why: string;
  called: Called[];
}

/** What of a job decides its hardware. */
export interface HardwareFacts {
  /** Axles worked on together. */
  axles: number;
  /** The set the planned stack takes; null while it is not known far enough. */
  ubolts: UboltOrder | null;
  /** Nominal diameter of the U-bolts' thread, mm; null where nobody read it. */
  uboltThread: number | null;
  /** The old ones go on again, as was chosen with a reason. */
  oldUbolts: boolean;
  /** The plan brings its own. */
  uboltsPlanned: boolean;
  /** Pack as built and what its bolt must reach through, mm; null while not known. */
  centreBolt: { least: number; most: number } | null;
  /** Fasteners that are likely to snap or seize. */
  rusty: boolean;
  /** Bushes turn on a sleeve of their own and want grease; null where nobody looked. */
  greased: boolean | null;
}

/** Ends of a centre bolt are trimmed: it may be this much longer, mm. Chosen. */
const TRIMMED = 40;

/** U-bolts as they are asked for at a counter. */
export const uboltText = ({ thread, form, insideWidth, leg, threadLength }: UboltOrder): string =>
  [
    `U-bolt${thread ? ` ${thread}` : ''}`,
    `${form} bend`,
    `${insideWidth.toFixed(0)} mm inside`,
    `leg ${leg.toFixed(0)} mm`,
    `thread ${threadLength.toFixed(0)} mm`,
  ].join(', ');

/** What a set of U-bolts in hand is held against. */
export const uboltCalled = (order: UboltOrder, diameter: number | null): Called[] => [
  { size: 'legLength', value: order.leg, least: order.leg - 2.5, most: order.legMost },
  { size: 'insideWidth', value: order.insideWidth, least: order.insideWidth - 0.5, most: order.insideWidth + 4 },
  { size: 'threadLength', value: order.threadLength, least: order.threadLength, most: null },
  ...(diameter === null
    ? []
    : [{ size: 'thread' as const, value: diameter, least: diameter - 0.1, most: diameter + 0.1 }]),
];

/**
 * What the steps of a job take besides the planned parts: what is used once, what is used up, what will snap. Common practice; how many
 * of each follows from the usual axle, two springs with two U-bolts each.
 */
export function hardwareOf(order: readonly Operation[], facts: HardwareFacts): Needed[] {
  const { axles } = facts;
  const step = (...names: string[]): string | null =>
    order.find(({ id }) => names.includes(id.split('.')[0]!))?.id ?? null;
  const found: Needed[] = [];
  const add = (need: string, kind: NeedKind, what: string, wanted: number, at: string | null, why: string) =>
    found.push({ need, kind, what, wanted, step: at, why, called: [] });
  const ubolts = step('uboltsOn');
  const fresh = ubolts !== null && (facts.uboltsPlanned || !facts.oldUbolts);
  if (fresh && !facts.uboltsPlanned)
    found.push({
      ...{ need: 'uBolts', kind: 'hardware', wanted: 4 * axles, step: ubolts, why: 'used once' },
      what: facts.ubolts ? uboltText(facts.ubolts) : 'U-bolts, as the old ones; measure the stack first',
      called: facts.ubolts ? uboltCalled(facts.ubolts, facts.uboltThread) : [],
    });
  if (fresh) {
    const thread = facts.ubolts?.thread ? ` ${facts.ubolts.thread}` : '';
    add('uboltNuts', 'hardware', `Nuts${thread} for the U-bolts, high`, 8 * axles, ubolts, 'used once');
    add('uboltWashers', 'hardware', `Hardened washers under them`, 8 * axles, ubolts, 'they gall');
  }
  const centre = step('centreOn');
  if (centre) {
    const { centreBolt } = facts;
    found.push({
      ...{ need: 'centreBolts', kind: 'hardware', wanted: 2, step: centre, why: 'cut off to get it out' },
      what: centreBolt
        ? `Centre bolts with nut, ${Math.ceil(centreBolt.least)} mm under the head at least`
        : 'Centre bolts with nut, as long as the new pack is thick',
      called: centreBolt
        ? [{ size: 'underHead', value: centreBolt.least, least: centreBolt.least, most: centreBolt.most + TRIMMED }]
        : [],
    });
    add('clipBolts', 'hardware', 'Bolts or rivets for the clips that are opened', 4, step('unclamp'), 'bent open once');
  }
  // One spring across goes in without a shackle.
  const shackle = step('shackleOff', 'shackleOn') ? step('shackleOn', 'packIn') : null;
  if (shackle)
    add(
      ...(['shackleNuts', 'hardware', 'Self-locking nuts, shackle, both its bolts'] as const),
      ...([4 * axles, shackle, 'used once'] as const),
    );
  if (step('frontOff') || (axles === 2 && step('shackleOff')))
    add(
      'eyeNuts',
      'hardware',
      'Self-locking nuts, outer eye bolt',
      2 * axles,
      step('packIn', 'shackleOn'),
      'used once',
    );
  if (step('shockOn'))
    add('shockNuts', 'hardware', 'Self-locking nuts, lower end of the shocks', 2 * axles, step('shockOn'), 'used once');
  if (step('coilOn'))
    add('coilClamps', 'hardware', 'Fasteners of the coils’ retainers', 2, step('coilOn'), 'rust to their plates');
  const block = step('blockOn');
  if (block) {
    add(
      'shearBolts',
      'hardware',
      'Bolts with locking nuts for the shear blocks, size and grade of the old ones',
      16,
      block,
      'used once',
    );
    add('noseBolts', 'hardware', 'Nose bolts with sleeves and locking nuts', 2, step('noseOn'), 'used once');
    add(
      'toolGrease',
      'consumable',
      'Grease for the unload tool’s screw',
      1,
      step('unload'),
      'a dry screw seizes under load',
    );
  }
  if (step('eyeOn'))
    add('crossEyeNuts', 'hardware', 'Self-locking nuts, eye bolts at the wheels', 2, step('eyeOn'), 'used once');
  add(
    'threadLocker',
    'consumable',
    'Thread locker where the maker’s sheet asks for it',
    1,
    step('uboltsOn', 'shockOn'),
    'never under a torque meant dry',
  );
  if (facts.greased || step('shackleOn', 'rockerOn'))
    add(
      'grease',
      'consumable',
      'Grease the bushes bear, one cartridge',
      1,
      shackle ?? step('rockerOn'),
      'sleeves that turn',
    );
  if (step('shield'))
    add('extinguisher', 'consumable', 'Extinguisher and a wet sheet', 1, step('shield'), 'before the flame, not after');
  if (step('cutBolts'))
    add('sawBlades', 'consumable', 'Blades for steel, long enough for the bolts', 2, step('cutBolts'), 'they go blunt');
  // Blocks are compared too, and have no leaves.
  if (step('leafWork', 'packIn') && step('leafWork', 'compare'))
    add(
      'liners',
      'consumable',
      'Tip liners or the paste the pack had between its leaves',
      1,
      step('leafWork', 'compare'),
      'they squeak and wear without',
    );
  if (step('lines'))
    add(
      'brakeFluid',
      'consumable',
      'Brake fluid of the kind on the cap, sealed, one litre',
      1,
      step('lines'),
      'opened brakes are bled',
    );
  if (facts.rusty) {
    add('penetrant', 'consumable', 'Penetrating oil, one can', 1, order[0]?.id ?? null, 'days before, not on the day');
    if (step('shockOff'))
      add('shockBolts', 'spare', 'Bolts for the shocks’ ends', 2 * axles, step('shockOff'), 'they snap');
    if (step('newShock'))
      add('shockTops', 'spare', 'Bolts for the shocks’ upper ends', 2 * axles, step('newShock'), 'they snap');
    const cut = step('cutBolts') !== null;
    // What is cut is replaced for certain.
    const kind = cut ? 'hardware' : 'spare';
    if (step('frontOff'))
      add('eyeBolts', kind, 'Eye bolts', 2, step('frontOff'), cut ? 'they are cut' : 'they rust into the bush');
    if (shackle && step('shackleOff'))
      add(
        'shackleBolts',
        kind,
        'Shackle bolts',
        4 * axles,
        step('shackleOff'),
        cut ? 'they are cut' : 'they rust into the bush',
      );
    add('wheelStuds', 'spare', 'Wheel studs and nuts', 2, step('crack'), 'one that turns is never used again');
  }
  return found;
}
