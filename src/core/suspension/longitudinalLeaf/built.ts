import { CoreError } from '../../errors';
import { chordUnderCamber, curvatureFromCamber, flatWithin } from '../../mechanics/leafpack/arc';
import { nestedCurvatures, placeByLength, withinMain, type Leaf, type Pack } from '../../mechanics/leafpack/pack';
import { curvatureOfArch } from '../../mechanics/leafpack/eyes';
import { SPRING_STEEL_E } from '../../material/steel';
import { mainLeafAboveHub, wedgeNoseUp, type Stack } from '../../mechanics/stack/stack';
import { type Change, type DrawnChange, type DrawnInput } from './input';
import { type Drawn } from '../../estimate/tree';

/** Changes that make another pack of leaves; the others only move it. */
const PACK_CHANGES: ReadonlySet<Change['kind']> = new Set(['addLeaf', 'removeLeaf', 'pack', 'rearch', 'eyes']);
export const changesPack = (change: { kind: Change['kind'] }): boolean => PACK_CHANGES.has(change.kind);

/** Changes of the pack that change its thickness between the U-bolts. */
const THICK_CHANGES: ReadonlySet<Change['kind']> = new Set(['addLeaf', 'removeLeaf', 'pack']);
export const changesThickness = (change: { kind: Change['kind'] }): boolean => THICK_CHANGES.has(change.kind);

/** A leaf with no break. */
export function whole(leaf: Leaf): Leaf {
  const { broken, ...rest } = leaf;
  return broken ? rest : leaf;
}

export const mends = (changes: readonly DrawnChange[]): boolean => changes.some((c) => c.kind === 'mendLeaf');

/** A leaf of a part: its maker formed it over the seat as those of the pack it goes into. @param formed flat, of the pack's leaves, mm */
function partLeaf(
  { front, rear, thickness, camber, chord }: Drawn<Change & { kind: 'addLeaf' }>,
  width: number,
  formed?: number,
): Leaf {
  const arc = front + rear;
  const flat = flatWithin(formed, arc);
  // The string over a leaf with a straight middle is a little shorter than over one even arc.
  const shorter = flat ? chordUnderCamber(arc, camber) - chordUnderCamber(arc, camber, flat) : 0;
  const curvature = curvatureFromCamber(camber, chord - shorter, flat);
  return { front, rear, width, thickness, curvature, ...(flat !== undefined && { flat }) };
}

/**
 * Leaves of a pack that takes the place of the old one; every one over its own length. Where the free arch of both packs was read
 * on the same terms their difference counts: what the old one's readings say against its own free arch, in curve and in rate, is
 * taken to hold for the new one as well, so that the same pack by its free arch changes nothing.
 * @param freeArchTop of the old pack as read on the bench, mm; undefined when it was not
 */
function replaced(
  { clips: _gone, ...pack }: Pack,
  change: Extract<DrawnChange, { kind: 'pack' }>,
  freeArchTop?: number,
): Pack {
  const main = change.leaves[0];
  if (!main) throw new CoreError('bad-input', 'changes.pack.leaves', 'a pack needs at least one leaf');
  const old = pack.leaves[0]!;
  const leaves = change.leaves.map((leaf): Leaf =>
    partLeaf({ kind: 'addLeaf', ...withinMain(leaf, main) }, change.width, old.flat),
  );
  if (change.byFreeArch && freeArchTop !== undefined) {
    const offset = (pack.eyeOffset.front + pack.eyeOffset.rear) / 2;
    const read = curvatureOfArch(freeArchTop + old.thickness / 2, old.front + old.rear, offset, old.flat);
    const alike = leaves.map((leaf) => ({ ...leaf, curvature: leaf.curvature + old.curvature - read }));
    return { ...pack, leaves: alike, eyeOffset: { front: change.eyeOffset, rear: change.eyeOffset } };
  }
  // What readings taught of the old pack's rate says nothing of another one.
  return { ...pack, leaves, youngs: SPRING_STEEL_E, eyeOffset: { front: change.eyeOffset, rear: change.eyeOffset } };
}

/** Re-arched on one centre: every leaf gains what keeps it nested. @param camber gained over the main leaf, mm */
function rearched(leaves: readonly Leaf[], camber: number): Leaf[] {
  const main = leaves[0]!;
  const thicknesses = leaves.map((leaf) => leaf.thickness);
  const length = main.front + main.rear;
  const before = nestedCurvatures(main.curvature, thicknesses);
  const after = nestedCurvatures(main.curvature + curvatureFromCamber(camber, length, main.flat), thicknesses);
  return leaves.map((leaf, i) => ({ ...leaf, curvature: leaf.curvature + after[i]! - before[i]! }));
}

/** Clips of a pack whose leaves change places: each goes with the leaf that carries it. @param to null where that leaf is gone */
const clipsMoved = ({ clips }: Pack, to: (leaf: number) => number | null): Pick<Pack, 'clips'> =>
  clips
    ? {
        clips: clips.flatMap((clip) => {
          const holds = to(clip.holds);
          return holds === null ? [] : [{ ...clip, holds }];
        }),
      }
    : {};

/**
 * The pack as some changes leave it.
 * @param pack calibrated, as it stands @param freeArchTop as read of it on the bench, mm; undefined when it was not
 * @throws CoreError `bad-input` when a change cannot be made to it
 */
export function builtPack(pack: Pack, changes: readonly DrawnChange[], freeArchTop?: number): Pack {
  const swap = changes.findLast((c) => c.kind === 'pack');
  let built = swap
    ? replaced(pack, swap, freeArchTop)
    : mends(changes)
      ? { ...pack, leaves: pack.leaves.map(whole) }
      : pack;
  const out = new Set(changes.flatMap((c) => (c.kind === 'removeLeaf' ? [c.leaf] : [])));
  if (out.size > 0) {
    const there = built.leaves;
    for (const leaf of out)
      if (leaf < 1 || leaf >= there.length)
        throw new CoreError(
          'bad-input',
          'changes.removeLeaf',
          `the pack has no leaf ${leaf + 1} that can be taken out`,
        );
    built = {
      ...built,
      leaves: there.filter((_, i) => !out.has(i)),
      ...clipsMoved(built, (i) => (out.has(i) ? null : i - [...out].filter((o) => o < i).length)),
    };
  }
  for (const change of changes) {
    if (change.kind === 'rearch') built = { ...built, leaves: rearched(built.leaves, change.camber) };
    if (change.kind === 'eyes') built = { ...built, eyeOffset: { front: change.offset, rear: change.offset } };
    if (change.kind !== 'addLeaf') continue;
    const main = built.leaves[0]!;
    const added = withinMain(partLeaf(change, main.width, main.flat), main);
    const at = placeByLength(built.leaves, added);
    built = {
      ...built,
      leaves: built.leaves.toSpliced(at, 0, added),
      ...clipsMoved(built, (i) => (i >= at ? i + 1 : i)),
    };
  }
  return built;
}

/** Thicknesses of the leaves from the main leaf down, as some changes leave them, mm. */
function thicknesses(input: DrawnInput, changes: readonly DrawnChange[]): number[] {
  const swap = changes.findLast((c) => c.kind === 'pack');
  // A liner goes and comes with the leaf under it; a pack from elsewhere brings none that anybody knows of.
  const liner = swap ? 0 : (input.pack?.liner ?? 0);
  const there = (swap?.leaves ?? input.pack?.leaves ?? []).map((leaf, i) => leaf.thickness + (i > 0 ? liner : 0));
  const out = new Set(changes.flatMap((c) => (c.kind === 'removeLeaf' ? [c.leaf] : [])));
  return [
    ...there.filter((_, i) => !out.has(i)),
    ...changes.flatMap((c) => (c.kind === 'addLeaf' ? [c.thickness] : [])),
  ];
}

/** Clamped thickness of the leaves as some changes leave them, mm. */
export const builtDepth = (input: DrawnInput, changes: readonly DrawnChange[]): number =>
  thicknesses(input, changes).reduce((sum, t) => sum + t, 0);

/** What stands between hub and main leaf as some changes leave it. */
export function builtStack(input: DrawnInput, changes: readonly DrawnChange[]): Stack {
  const [main = 0, ...below] = thicknesses(input, changes);
  const stack: Stack = {
    arrangement: input.arrangement,
    tubeDiameter: input.tubeDiameter,
    perch: input.perch,
    block: input.block,
    main,
    below: below.reduce((sum, t) => sum + t, 0),
  };
  for (const change of changes) {
    if (change.kind === 'block') stack.block = change.height;
    if (change.kind === 'overAxle') {
      stack.arrangement = 'over';
      stack.perch = change.perch;
    }
  }
  const wedge = changes.findLast((c) => c.kind === 'wedge');
  if (wedge) stack.wedge = { height: wedge.height, noseUp: wedgeNoseUp(wedge.angle, wedge.thick, stack.arrangement) };
  return stack;
}

/**
 * The move of the spring over the axle with the block that goes with it; empty when the spring stays where it is. A block means
 * the opposite over the axle and under it, so it belongs to the move, and every other change is counted on the moved spring.
 */
export const moveOf = (changes: readonly DrawnChange[]): readonly DrawnChange[] =>
  changes.some((c) => c.kind === 'overAxle') ? changes.filter((c) => c.kind === 'overAxle' || c.kind === 'block') : [];

/** Part of a change's height that is leaf thickness in the stack, mm. @param move what the change is counted on, see `moveOf` */
export const thicknessRise = (input: DrawnInput, change: DrawnChange, move: readonly DrawnChange[] = []): number =>
  changesThickness(change)
    ? mainLeafAboveHub(builtStack(input, [...move, change])) - mainLeafAboveHub(builtStack(input, move))
    : 0;

/** Clamped thickness that the U-bolts span changes by this much, mm. Undefined when the spring changes places. */
export function clampGrowth(input: DrawnInput): number | undefined {
  const { changes } = input;
  if (changes.some((c) => c.kind === 'overAxle')) return undefined;
  const block = changes.findLast((c) => c.kind === 'block')?.height ?? input.block;
  const wedge = changes.findLast((c) => c.kind === 'wedge')?.height ?? 0;
  return builtDepth(input, changes) - builtDepth(input, []) + block - input.block + wedge;
}
