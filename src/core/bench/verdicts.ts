import { centreBoltLength } from '../fastener/centreBolt';
import { chordUnderCamber, curvatureFromCamber } from '../mechanics/leafpack/arc';
import { worstFirst, type Verdict, type VerdictState } from '../verdict';
import { packDepth, type BenchPack } from './benchPack';
import { type BenchFigures } from './figures';

export interface MixVerdict extends Verdict<MixRule> {
  /** The leaf it is about, 0 = main; absent for the pack as a whole. */
  leaf?: number;
}

export const MIX_RULES = [
  'main',
  'width',
  'order',
  'step',
  'curve',
  'eyes',
  'hole',
  'clips',
  'bottomClip',
  'whole',
  'age',
  'centreBolt',
  'uBolts',
] as const;
export type MixRule = (typeof MIX_RULES)[number];

/**
 * Limits of a mix. All are common practice or chosen here to start from, none from a standard:
 * widths may differ by a file's stroke; a step longer than 0.3 of the main leaf leaves a long end that nothing supports; a leaf
 * flatter than nesting by more than 8 % of the main leaf's curve stands off at its tips; a hole up to 1 mm over its bolt holds.
 */
export const MIX_LIMITS = { width: 1.5, step: 0.3, longer: 3, flatter: 0.08, tighter: 0.6, hole: 1 } as const;

const mm = (value: number): string => `${Number(value.toFixed(1))} mm`;
const n = (leaf: number): string => `leaf ${leaf + 1}`;

/** Used when the thread of the centre bolt is not known: nut as high as the bolt is thick. Common practice. */
const PITCH: readonly [diameter: number, pitch: number][] = [
  [8, 1.25],
  [10, 1.5],
  [12, 1.75],
  [14, 2],
  [16, 2],
];

/**
 * Whether the leaves of a pack go together, rule by rule; every rule says something, also that it could not be checked.
 * @param was the pack as first laid down, for what its bolts must become
 * @param figures the solved pack, for what stands open; null when it cannot be solved
 */
export function mixVerdicts(pack: BenchPack, was: BenchPack, figures: Pick<BenchFigures, 'gaps'> | null): MixVerdict[] {
  const found: MixVerdict[] = [];
  const say = (rule: MixRule, state: VerdictState, text: string, leaf?: number) =>
    found.push({ item: rule, state, text, ...(leaf !== undefined && { leaf }) });
  const { leaves } = pack;
  const [main] = leaves;
  if (!main) return [{ item: 'main', state: 'does not fit', text: 'no leaf lies here yet: take one' }];

  if (main.eyes === 'both') say('main', 'fits', 'the main leaf carries both eyes');
  else
    say(
      'main',
      'does not fit',
      main.eyes === 'none'
        ? 'the top leaf has no eyes: it cannot be the main leaf'
        : 'the main leaf has one eye: only for an end that slides',
      0,
    );

  widths(pack, say);
  lengths(pack, say);
  curves(pack, figures, say);

  const eyed = leaves.findIndex((leaf, i) => i > 0 && leaf.eyes !== 'none');
  if (eyed < 0) say('eyes', 'fits', 'no lower leaf carries an eye');
  for (const [i, leaf] of leaves.entries())
    if (i > 0 && leaf.eyes !== 'none')
      say(
        'eyes',
        'does not fit',
        `${n(i)} still has its ${leaf.eyes === 'both' ? 'eyes' : `${leaf.eyes} eye`}: shorten it there, cut cold with a disc, edges dressed; never with a flame`,
        i,
      );

  holes(pack, say);
  clips(pack, say);

  const broken = leaves.findIndex((leaf) => leaf.broken !== null);
  if (broken < 0)
    say('whole', 'fits', 'no leaf is marked broken; look each one over cleaned, a hairline hides under rust');
  else say('whole', 'does not fit', `${n(broken)} is broken: it is replaced, never welded`, broken);
  const [used, fresh] = [leaves.some((leaf) => leaf.used), leaves.some((leaf) => !leaf.used)];
  if (used && fresh)
    say('age', 'look', 'new and used leaves together: the used ones have set, the new ones carry more at first');
  else if (used) say('age', 'look', 'used leaves: compare their curve with their partner’s and look for cracks');
  else say('age', 'fits', 'all leaves are new');

  bolts(pack, was, say);
  return found.toSorted(worstFirst);
}

type Say = (rule: MixRule, state: VerdictState, text: string, leaf?: number) => void;

function widths({ leaves }: BenchPack, say: Say): void {
  const main = leaves[0]!;
  const unknown = leaves.findIndex((leaf) => leaf.width === null);
  if (unknown >= 0 || main.width === null)
    return say(
      'width',
      'not checked',
      `the width of ${n(Math.max(0, unknown))} is not known: measure it`,
      Math.max(0, unknown),
    );
  const off = leaves.findIndex((leaf) => Math.abs(leaf.width! - main.width!) > MIX_LIMITS.width);
  if (off < 0) return say('width', 'fits', `all leaves are ${mm(main.width)} wide`);
  const leaf = leaves[off]!;
  say(
    'width',
    'does not fit',
    `${n(off)} is ${mm(leaf.width!)} wide, the main leaf ${mm(main.width)}: ` +
      (leaf.width! > main.width
        ? 'it stands out of the seat, the U-bolts and the clips'
        : 'it is loose between U-bolts and clips and turns on the centre bolt'),
    off,
  );
}

function lengths({ leaves }: BenchPack, say: Say): void {
  let good = true;
  let stepped = true;
  leaves.forEach((leaf, i) => {
    const above = leaves[i - 1];
    if (!above) return;
    for (const end of ['front', 'rear'] as const) {
      const longer = leaf[end] - above[end];
      if (longer > MIX_LIMITS.longer && good) {
        good = false;
        say(
          'order',
          'does not fit',
          `${n(i)} is ${mm(longer)} longer at the ${end} than ${n(i - 1)} above it: lay them by length, turn it end for end, or shorten it`,
          i,
        );
      }
      const step = (above[end] - leaf[end]) / leaves[0]![end];
      if (step > MIX_LIMITS.step && stepped && i > 0) {
        stepped = false;
        say(
          'step',
          'look',
          `the step from ${n(i - 1)} to ${n(i)} at the ${end} is ${mm(above[end] - leaf[end])}: a long end without support bends most at the tip of the leaf below`,
          i,
        );
      }
    }
  });
  if (good) say('order', 'fits', 'no leaf is longer than the one above it');
  if (stepped) say('step', 'fits', 'lengths step down evenly enough');
}

function curves(pack: BenchPack, figures: Pick<BenchFigures, 'gaps'> | null, say: Say): void {
  const { leaves } = pack;
  const unknown = leaves.findIndex((leaf) => leaf.camber === null);
  if (unknown >= 0)
    return say(
      'curve',
      'not checked',
      `the free camber of ${n(unknown)} is not known and taken as nested: lay it down free and measure a string across its tips`,
      unknown,
    );
  const own = leaves.map((l) => curvatureFromCamber(l.camber!, chordUnderCamber(l.front + l.rear, l.camber!)));
  const base = Math.max(Math.abs(own[0]!), 1e-5);
  let below = 0;
  let said = false;
  leaves.forEach((leaf, i) => {
    const above = leaves[i - 1];
    if (!above || said) return;
    // Nested on the leaf above: the same centre, half of each thickness further out.
    below = (above.thickness + leaf.thickness) / 2;
    const nested = own[i - 1]! / (1 + own[i - 1]! * below);
    const off = (own[i]! - nested) / base;
    const gap = figures?.gaps.find((g) => g.leaf === i)?.gap;
    if (off < -MIX_LIMITS.flatter) {
      said = true;
      say(
        'curve',
        'look',
        `${n(i)} is flatter than ${n(i - 1)}: its tips stand off${gap ? ` by up to ${mm(gap)}` : ''} until the load brings them together; right for an overload leaf only`,
        i,
      );
    } else if (off > MIX_LIMITS.tighter) {
      said = true;
      say(
        'curve',
        'look',
        `${n(i)} is curved much tighter than ${n(i - 1)}${gap ? `, ${mm(gap)} open at the pin before it is clamped` : ''}: clamping bends both, its stress counts before any load`,
        i,
      );
    }
  });
  if (!said) say('curve', 'fits', 'each leaf is curved to bear on the one above it');
}

function holes(pack: BenchPack, say: Say): void {
  const { leaves, centreBolt } = pack;
  const unknown = leaves.findIndex((leaf) => leaf.hole === null);
  if (centreBolt === null) return say('hole', 'not checked', 'the centre bolt is not known: measure it and every hole');
  const tight = leaves.findIndex((leaf) => leaf.hole !== null && leaf.hole < centreBolt);
  if (tight >= 0)
    return say(
      'hole',
      'does not fit',
      `the hole of ${n(tight)} is ${mm(leaves[tight]!.hole!)}, the centre bolt ${mm(centreBolt)}: a spring leaf is never drilled; a thinner centre bolt for all leaves, or another leaf`,
      tight,
    );
  if (unknown >= 0) return say('hole', 'not checked', `the hole of ${n(unknown)} is not measured`, unknown);
  const loose = leaves.findIndex((leaf) => leaf.hole! > centreBolt + MIX_LIMITS.hole);
  if (loose >= 0)
    return say(
      'hole',
      'look',
      `the hole of ${n(loose)} is ${mm(leaves[loose]!.hole! - centreBolt)} over the centre bolt: the leaf can shift; a sleeve takes the play`,
      loose,
    );
  say('hole', 'fits', `every hole takes the ${mm(centreBolt)} centre bolt`);
}

function clips({ leaves }: BenchPack, say: Say): void {
  if (leaves.length === 1) return say('clips', 'fits', 'a single leaf needs no clip');
  const clipped = leaves.findIndex((leaf, i) => i > 0 && leaf.clip);
  if (clipped < 0)
    say(
      'clips',
      'look',
      'no leaf carries a rebound clip: when the axle drops the main leaf hangs alone and leaves turn on the bolt',
    );
  else say('clips', 'fits', `${n(clipped)} carries a rebound clip`);
  const last = leaves.length - 1;
  if (leaves[last]!.clip) say('bottomClip', 'fits', 'the bottom leaf is clipped');
  else
    say(
      'bottomClip',
      'look',
      'the bottom leaf is held by the centre bolt alone: see that the seat or a clip keeps it from turning',
      last,
    );
}

function bolts(pack: BenchPack, was: BenchPack, say: Say): void {
  const [now, before] = [packDepth(pack), packDepth(was)];
  const grown = now - before;
  const { centreBolt } = pack;
  const pitch = PITCH.find(([diameter]) => centreBolt !== null && Math.abs(diameter - centreBolt) <= 1)?.[1];
  if (centreBolt === null || pitch === undefined)
    say(
      'centreBolt',
      'not checked',
      `the pack is ${mm(now)} thick: measure the centre bolt’s thread to know its length`,
    );
  else {
    const { least, most } = centreBoltLength(now, centreBolt, pitch);
    say(
      'centreBolt',
      Math.abs(grown) < 0.5 ? 'fits' : 'look',
      `centre bolt ${mm(least)} to ${mm(most)} under the head for ${mm(now)} of leaves (nut as high as the bolt is thick)` +
        (Math.abs(grown) < 0.5 ? '' : `; it was right for ${mm(before)}`),
    );
  }
  if (Math.abs(grown) < 0.5) say('uBolts', 'fits', 'as thick as before: the U-bolts keep their length');
  else if (grown > 0)
    say(
      'uBolts',
      'look',
      `${mm(grown)} thicker than before: each U-bolt leg must be that much longer, or have that much thread left`,
    );
  else
    say(
      'uBolts',
      'look',
      `${mm(-grown)} thinner than before: each nut runs that much further; see that it does not come to the end of the thread`,
    );
}
