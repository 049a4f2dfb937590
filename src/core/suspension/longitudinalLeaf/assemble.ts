import { axleLoadHalf, lipOverBaseOf, loadsOf, trackOverBaseOf, unsprungOf } from '../../sheet/loads';
import { type Assembly, type Wanting } from '../kind';
import {
  type Change,
  type LeafAxleInput,
  type LeafRole,
  type MoreReadings,
  type PackInput,
  type SpringInput,
} from './input';
import { type Side, SIDES } from '../../vehicle/side';
import { chordUnderCamber } from '../../mechanics/leafpack/arc';
import { withinMain } from '../../mechanics/leafpack/pack';
import { type Estimate } from '../../estimate/estimate';
import { fuelDiffers } from '../../vehicle/likeWithLike';
import { GRAVITY } from '../../material/steel';
import { ASSUMED } from './assumed';
import { LEAF_SHEET_IDS, LEAF_SHEET, type LeafPoint } from './points';
import { type Point } from '../../sheet/point';
import { eyeOffset, type EyeForm } from '../../mechanics/leafpack/eyes';
import {
  blockEstimate,
  eyesEstimate,
  leafEstimates,
  newEyesEstimate,
  perchEstimate,
  rearchEstimate,
  shackleEstimate,
  widthEstimate,
} from './partEstimates';
import { asRead, extraAxleMass, readingAt } from '../../sheet/reading';
import { type PlannedChange, type PressPoint, type Sheet, type LeafLookup, type LeafReading } from './sheet';

/** Minimal readings that a spring model still lacks are missing; none once it can be solved. */
export type Assembled = Assembly<LeafAxleInput, LeafPoint>;
export type Missing = Wanting<LeafPoint>;

/** 90 % half-width of a reading: the point's own, or that of a load by how it was come by. */
function halfOf({ point, value, instrument }: LeafReading): number {
  if (point !== 'axleLoad') return LEAF_SHEET[point].half90;
  return axleLoadHalf(value, instrument);
}

const measured = (value: number, half90: number): Estimate => ({ value, half90, origin: 'measured' });
const assumed = (given: { value: number; half90: number }): Estimate => ({ ...given, origin: 'assumed' });

/** A height reading with the tape is good to ± this, mm, 90 %. Common practice. */
const TAPE = LEAF_SHEET.hubToLip.half90;

/**
 * Turns a measuring sheet into the input of a prediction. Every gap is either listed as missing or filled by a default
 * marked assumed; nothing else is invented.
 */
export function assemble(sheet: Sheet): Assembled {
  const missing: Missing[] = [];
  const base = sheet.states[0];
  const stateOf = (point: LeafPoint) => ((LEAF_SHEET[point] as Point).loaded ? (base?.id ?? null) : null);
  const find = (at: LeafLookup) => readingAt(sheet, { ...at, stateId: stateOf(at.point) });
  const read = (at: LeafLookup): Estimate | undefined => {
    const reading = find(at);
    return reading && asRead(reading, halfOf(reading));
  };
  const or = (at: LeafLookup, fallback: { value: number; half90: number }): Estimate => read(at) ?? assumed(fallback);
  const need = (at: LeafLookup): Estimate | undefined => {
    const found = read(at);
    if (!found) missing.push({ point: at.point, side: at.side ?? null, leafId: at.leafId ?? null });
    return found;
  };

  const packOf = (side: Side | null): PackInput | null => {
    const of = side === null ? {} : { side };
    const at = (point: LeafLookup): LeafLookup =>
      (LEAF_SHEET[point.point] as Point).ofSpring ? { ...point, ...of } : point;
    const facts = side !== null && sheet.own?.side === side ? sheet.own : sheet;
    return assemblePack(
      { ...facts, onPad: sheet.pack.rearEnd === 'pad' },
      (point) => need(at(point)),
      (point, fallback) => or(at(point), fallback),
      (point) => read(at(point)),
    );
  };
  const pack = packOf(null);
  const own = sheet.own && { side: sheet.own.side, pack: packOf(sheet.own.side) };
  const refused = SIDES.flatMap((side) => {
    const reason = unsolvable(sheet, side);
    return reason ? [{ side, reason }] : [];
  });
  const springs = assembleSprings(sheet, read, missing);
  const heights = SIDES.map((side) => find({ point: 'hubToLip', side }));
  const exposed = read({ point: 'uboltExposed' });
  const pitch = read({ point: 'uboltPitch' });
  const order = (m: Missing) => LEAF_SHEET_IDS.indexOf(m.point);
  missing.sort((p, q) => order(p) - order(q));
  const solvable = (side: Side) =>
    (own?.side === side ? own.pack : pack) !== null && !refused.some((r) => r.side === side);
  return {
    missing,
    refused,
    input: {
      schemaVersion: 2,
      kind: 'longitudinalLeaf',
      arrangement: sheet.axle.arrangement,
      block: blockOf(find({ point: 'blockHeight' })?.value),
      tubeDiameter: or({ point: 'tubeDiameter' }, ASSUMED.tubeDiameter),
      perch: or({ point: 'perchHeight' }, ASSUMED.perchHeight),
      rolled: heights.some(Boolean) && heights.every((h) => !h || h.rolled === true),
      pack,
      ...(own && { own }),
      ...rearEndOf(sheet, or),
      sides: {
        left: {
          height: read({ point: 'hubToLip', side: 'left' }) ?? null,
          spring: solvable('left') ? springs.left : null,
        },
        right: {
          height: read({ point: 'hubToLip', side: 'right' }) ?? null,
          spring: solvable('right') ? springs.right : null,
        },
      },
      tyreRate: or({ point: 'tyreRate' }, ASSUMED.tyreRate),
      lipOverBase: lipOverBaseOf(trackOverBaseOf(read)),
      ubolt:
        exposed && pitch
          ? {
              exposed: exposed.value,
              pitch: pitch.value,
              threaded: read({ point: 'uboltThreaded' })?.value,
              nutHeight: read({ point: 'uboltNut' })?.value,
            }
          : null,
      centreBolt: { ...ASSUMED.centreBolt, origin: 'assumed' },
      changes: [
        ...(sheet.broken?.some((b) => leafPlace(sheet, b) > 0) && !sheet.changes.some((c) => c.kind === 'pack')
          ? [{ kind: 'mendLeaf' as const }]
          : []),
        ...sheet.changes.map((change) => plannedChange(change, pack ?? own?.pack ?? null, sheet)),
      ],
      hanging: (unsprungOf(sheet.axle.axleClass, read).value / 2) * GRAVITY,
      states: sheet.states.map((state) => ({
        id: state.id,
        name: state.name,
        extraMass: payloadOf(extraAxleMass(sheet, state)),
      })),
      afterReading: TAPE,
    },
  };
}

const leafIdsOf = (sheet: Sheet, side: Side): readonly string[] =>
  sheet.own?.side === side ? sheet.own.leafIds : sheet.leafIds;
/** Place of a broken leaf in its own side's pack, the main leaf 0; −1 when it is not there any more. */
const leafPlace = (sheet: Sheet, { side, leafId }: { side: Side; leafId: string }): number =>
  leafIdsOf(sheet, side).indexOf(leafId);

/** Why the spring of a side cannot be solved as it stands; null when it can. */
function unsolvable(sheet: Sheet, side: Side): string | null {
  const main = leafIdsOf(sheet, side)[0];
  if (sheet.brokenMain?.includes(side) || sheet.broken?.some((b) => b.side === side && b.leafId === main))
    return `the main leaf on the ${side} is broken: nothing locates the axle there, and what was read of this spring says nothing of a whole one`;
  if (sheet.brokenUnplaced?.includes(side))
    return `a leaf on the ${side} is broken; show in Inspect which one and where, then it can be solved`;
  return null;
}

/** Shackle or pad. Under a pad what may have been read of a shackle counts for nothing, nor does a doubt of it. */
function rearEndOf(
  sheet: Sheet,
  or: (at: LeafLookup, fallback: { value: number; half90: number }) => Estimate,
): Pick<LeafAxleInput, 'shackle' | 'pad'> {
  const { rearEnd } = sheet.pack;
  if (rearEnd === 'pad') return { pad: { slope: assumed(ASSUMED.padSlope), friction: assumed(ASSUMED.padFriction) } };
  return {
    shackle: {
      length: or({ point: 'shackleLength' }, ASSUMED.shackleLength),
      angle: or({ point: 'shackleAngle' }, ASSUMED.shackleAngle),
      ...(rearEnd && { eye: rearEnd }),
      ...(sheet.pack.shackleAt === 'front' && { at: 'front' as const }),
    },
  };
}

/** No block is exactly 0; when nothing was said, none is assumed. */
const blockOf = (height: number | undefined): Estimate =>
  height === undefined
    ? { value: 0, half90: 0, origin: 'assumed' }
    : measured(height, height === 0 ? 0 : LEAF_SHEET.blockHeight.half90);

/** What a load weighs is said, hardly ever weighed. The state of the day carries nothing extra. */
const payloadOf = (mass: number): Estimate => measured(mass, ASSUMED.payloadShare * Math.abs(mass));

type Read = (at: LeafLookup) => Estimate | undefined;

/** Clips that a leaf carries; undefined without any. */
function clipsOf(there: Read, leafId: string): { front?: Estimate; rear?: Estimate } | undefined {
  const [front, rear] = [there({ point: 'clipFront', leafId }), there({ point: 'clipRear', leafId })];
  return front || rear ? { ...(front && { front }), ...(rear && { rear }) } : undefined;
}

/** A lowest leaf this much thicker than the one above it may well be an overload leaf. Chosen. */
const OVERLOAD_THICKNESS = 1.3;

/** What the lowest leaf is: as said, or unknown where its thickness makes one wonder; undefined for a plain leaf. */
function lowestRole(
  said: LeafRole | null | undefined,
  thicknesses: readonly (number | undefined)[],
): LeafRole | 'unknown' | undefined {
  if (said) return said === 'overload' ? said : undefined;
  const [above, lowest] = thicknesses.slice(-2);
  return thicknesses.length > 2 && above && lowest && lowest > OVERLOAD_THICKNESS * above ? 'unknown' : undefined;
}

/** A leaf's own free shape from the string across its tips. */
const ownShape = (camber: Estimate, arc: number) => ({
  camber,
  chord: { value: chordUnderCamber(arc, camber.value), half90: 3, origin: camber.origin },
});

const timesOf = (share: { value: number; half90: number }, length: number) => ({
  value: share.value * length,
  half90: share.half90 * length,
});

function assemblePack(
  sheet: Pick<Sheet, 'pack' | 'leafIds'> & { onPad: boolean },
  need: Read,
  or: (at: LeafLookup, fallback: { value: number; half90: number }) => Estimate,
  there: Read,
): PackInput | null {
  const worn = (e: Estimate | undefined) => (e && sheet.pack.rusty ? { ...e, half90: ASSUMED.leafThicknessWorn } : e);
  const eyes = { front: need({ point: 'eyeToPinFront' }), rear: need({ point: 'eyeToPinRear' }) };
  const width = need({ point: 'leafWidth' });
  const seatLength = need({ point: 'uboltSpacing' });
  const leaves = sheet.leafIds.map((leafId, i) => ({
    thickness: worn(need({ point: 'leafThickness', leafId })),
    front: i === 0 ? eyes.front : need({ point: 'leafFront', leafId }),
    rear: i === 0 ? eyes.rear : need({ point: 'leafRear', leafId }),
    departure: assumed(i === 0 ? { value: 0, half90: 0 } : ASSUMED.departure),
    tip: there({ point: 'leafTip', leafId }),
    clips: i === 0 ? undefined : clipsOf(there, leafId),
    camber: there({ point: 'leafCamber', leafId }),
  }));
  const lowest = lowestRole(
    sheet.pack.lowestLeaf,
    leaves.map(({ thickness }) => thickness?.value),
  );
  const roleOf = (i: number) => (i > 0 && i === leaves.length - 1 ? lowest : undefined);
  const complete = leaves.flatMap(({ thickness, front, rear, departure, tip, clips, camber }, i) =>
    thickness && front && rear
      ? [
          {
            ...{ thickness, front, rear },
            departure: roleOf(i) === 'overload' ? assumed(ASSUMED.overload) : departure,
            ...(roleOf(i) && { role: roleOf(i)! }),
            ...(i > 0 && camber && { own: ownShape(camber, front.value + rear.value) }),
            // A tip read as thick as the seat is a leaf of even thickness.
            ...(tip && tip.value < thickness.value && { tip }),
            ...(clips && { clips }),
          },
        ]
      : [],
  );
  const main = complete[0];
  if (!width || !seatLength || !main || complete.length < leaves.length) return null;
  const gap = there({ point: 'overloadGap' });
  const clipped = complete.some((leaf) => leaf.clips);
  const extra = (point: 'leafLiner' | 'tipPad') => {
    const found = or({ point }, { value: 0, half90: 0 });
    return found.value > 0 ? found : undefined;
  };
  const [liner, tipPad] = [extra('leafLiner'), extra('tipPad')];
  const lined = liner !== undefined || tipPad !== undefined;
  // Nobody saw it: an upturned eye stands in, and the other forms are carried into the band.
  const form = sheet.pack.eyeForm ?? 'upturned';
  const rearUnseen = (sheet.pack.eyeFormRear ?? null) === null && !sheet.onPad;
  const bore = or({ point: 'eyeBore' }, ASSUMED.eyeBore);
  const rearBore = there({ point: 'eyeBoreRear' });
  const offsetOf = (of: EyeForm, seen: boolean, eye = bore): Estimate => ({
    value: eyeOffset(of, eye.value, main.thickness.value),
    half90: of === 'berlin' ? 0 : eye.half90 / 2,
    origin: seen ? eye.origin : 'assumed',
  });
  const rearForm = sheet.pack.eyeFormRear;
  return {
    leaves: complete,
    width,
    seatLength,
    inactive: assumed(ASSUMED.inactive),
    seatShape: sheet.pack.seatShape,
    ...((sheet.pack.seatShape === 'formed' || sheet.pack.seatShape === 'unknown') && {
      formedFlat: or({ point: 'formedFlat' }, timesOf(ASSUMED.formedShare, seatLength.value)),
    }),
    ...(gap && lowest === 'overload' && !complete.at(-1)?.own && { overloadGap: gap }),
    friction: assumed(lined ? ASSUMED.frictionLined : ASSUMED.friction),
    ...(liner && { liner }),
    ...(tipPad && { tipPad }),
    ...(clipped && { clipPlay: or({ point: 'clipPlay' }, ASSUMED.clipPlay) }),
    eyeOffset: offsetOf(form, sheet.pack.eyeForm !== null),
    ...(sheet.pack.eyeForm === null && { eyesUnseen: rearUnseen ? ('both' as const) : ('front' as const) }),
    ...(sheet.onPad
      ? // It bears on the pad with its upper face.
        { eyeOffsetRear: measured(main.thickness.value / 2, main.thickness.half90 / 2) }
      : (rearForm ?? rearBore) && {
          eyeOffsetRear: offsetOf(rearForm ?? form, rearForm !== null || sheet.pack.eyeForm !== null, rearBore),
        }),
  };
}

/** Arch and load of each side; a side that was not read is taken as the other one and marked assumed. */
function assembleSprings(sheet: Sheet, read: Read, missing: Missing[]): Record<Side, SpringInput | null> {
  const arch = {
    left: read({ point: 'loadedArch', side: 'left' }),
    right: read({ point: 'loadedArch', side: 'right' }),
  };
  const loads = loadsOf(sheet.axle.axleClass, read);
  // Another pack's arch says nothing of this one.
  const unread = SIDES.filter((side) => !arch[side]);
  for (const side of sheet.own ? unread : unread.length === 2 ? (['left'] as const) : [])
    missing.push({ point: 'loadedArch', side, leafId: null });
  if (!loads) missing.push({ point: 'axleLoad', side: null, leafId: null });
  const mirrored = (e: Estimate | undefined): Estimate | undefined =>
    sheet.own ? undefined : e && { ...e, origin: 'assumed', half90: e.half90 * 2 };
  const spring = (side: Side, other: Side): SpringInput | null => {
    const archTop = arch[side] ?? mirrored(arch[other]);
    if (!archTop || !loads) return null;
    const more = moreReadings(sheet, side);
    const found = sheet.broken?.find((b) => b.side === side);
    const leaf = found ? leafPlace(sheet, found) : -1;
    const broken = found && leaf > 0 ? { leaf, end: found.end, at: found.at } : undefined;
    return { archTop, load: loads[side], ...(more && { more }), ...(broken && { broken }) };
  };
  return { left: spring('left', 'right'), right: spring('right', 'left') };
}

/** Readings of a spring besides arch and load of the day; undefined when there are none. */
function moreReadings(sheet: Sheet, side: Side): MoreReadings | undefined {
  const readIn =
    (stateId: string | null): Read =>
    (at) => {
      const reading = readingAt(sheet, { ...at, stateId: (LEAF_SHEET[at.point] as Point).loaded ? stateId : null });
      return reading && asRead(reading, halfOf(reading));
    };
  const freeArchTop = readIn(null)({ point: 'freeArch', side }) ?? null;
  const states = sheet.states.slice(1).flatMap((state) => {
    const read = readIn(state.id);
    const archTop = read({ point: 'loadedArch', side }) ?? null;
    const today = readingAt(sheet, { point: 'hubToLip', side, stateId: sheet.states[0]?.id ?? null });
    const then = readingAt(sheet, { point: 'hubToLip', side, stateId: state.id });
    // Heights at another fill of the tank are not set against each other; the arch carries its own load.
    const height = fuelDiffers(today?.fuel, then?.fuel) ? null : (read({ point: 'hubToLip', side }) ?? null);
    const loads = archTop || height ? loadsOf(sheet.axle.axleClass, read) : null;
    return loads ? [{ name: state.name, load: loads[side], archTop, height }] : [];
  });
  const press = spread(sheet.press?.find((run) => run.side === side)?.points ?? []).map((point) => ({
    ...point,
    archTop: measured(point.archTop, PRESS_HALF),
  }));
  if (!freeArchTop && states.length === 0 && press.length === 0) return undefined;
  return { freeArchTop, states, ...(press.length > 0 && { press }) };
}

/** A press point is good to ± this, mm, 90 %. Common practice. */
const PRESS_HALF = 1;
/** Points taken of each branch: a spring has few unknowns, and neighbours tell the same. */
const PRESS_POINTS = 5;

/** Points spread evenly over each branch of a run. */
function spread(points: readonly PressPoint[]): PressPoint[] {
  return (['loading', 'unloading'] as const).flatMap((branch) => {
    const own = points.filter((p) => p.branch === branch);
    const step = (own.length - 1) / (PRESS_POINTS - 1);
    if (own.length <= PRESS_POINTS) return own;
    return Array.from({ length: PRESS_POINTS }, (_, k) => own[Math.round(k * step)]!);
  });
}

/** Faces of a wedge by an angle gauge are good to ± this, rad, 90 %. Common practice. */
const WEDGE_HALF = 0.25 * (Math.PI / 180);

/** Half lengths within the main leaf's, as far as the tape may err. */
const heldWithin = (leaf: { front: number; rear: number }, main: { front: Estimate; rear: Estimate } | undefined) =>
  withinMain({ front: leaf.front, rear: leaf.rear }, main ? { front: main.front.value, rear: main.rear.value } : leaf);

/** What is known of a planned change, with its doubt. @param pack as it stands, for what a change is counted from */
function plannedChange(change: PlannedChange, pack: PackInput | null, sheet: Sheet): Change {
  switch (change.kind) {
    case 'block':
      return { kind: 'block', height: blockEstimate(change.height, change.source ?? 'measured') };
    case 'wedge':
      return {
        kind: 'wedge',
        angle: measured(change.angle, WEDGE_HALF),
        height: measured(change.height, LEAF_SHEET.blockHeight.half90),
        thick: change.thick,
      };
    case 'shackle':
      return { kind: 'shackle', length: shackleEstimate(change.length, change.source ?? 'measured') };
    case 'overAxle':
      return { kind: 'overAxle', perch: perchEstimate(change.height) };
    case 'removeLeaf':
      return { kind: 'removeLeaf', leaf: change.leaf - 1 };
    case 'helper': {
      const { device, fitted, gap, stroke, carries, source } = change;
      // Never falling: a maker's table that dips is read as level there.
      const forces = carries.map((_, k) => Math.max(...carries.slice(0, k + 1)) * GRAVITY);
      const share = source === 'measured' ? ASSUMED.helperRead : ASSUMED.helperCatalogue;
      return {
        kind: 'helper',
        device,
        ...(fitted && { fitted }),
        gap: measured(gap, 2),
        stroke,
        forces,
        share: { value: 1, half90: share, origin: source ?? 'measured' },
      };
    }
    case 'rearch':
      return { kind: 'rearch', camber: rearchEstimate(change.camber) };
    case 'eyes': {
      const bore = readingAt(sheet, { point: 'eyeBore' })?.value ?? ASSUMED.eyeBore.value;
      return {
        kind: 'eyes',
        form: change.form,
        offset: newEyesEstimate(eyeOffset(change.form, bore, pack?.leaves[0]?.thickness.value ?? 0)),
      };
    }
    case 'addLeaf':
      // Read a little longer than the main leaf it is taken as long as that: so that no variant of the band is longer.
      return {
        kind: 'addLeaf',
        ...leafEstimates(
          { ...change, ...heldWithin(change, pack?.leaves[0]) },
          change.source,
          change.camberKnown ?? true,
        ),
      };
    case 'pack': {
      const { leaves, width, eyeForm, eyeBore, used, source, byFreeArch } = change;
      const offset = eyeOffset(eyeForm ?? 'upturned', eyeBore ?? ASSUMED.eyeBore.value, leaves[0]?.thickness ?? 0);
      const known = eyeForm !== null && eyeBore !== null;
      return {
        kind: 'pack',
        leaves: leaves.map((leaf) => leafEstimates(leaf, source, leaf.camberKnown)),
        width: widthEstimate(width, source),
        eyeOffset: eyesEstimate(offset, known, source),
        ...(eyeForm === null && { eyesUnseen: 'both' as const }),
        used,
        ...(byFreeArch && { byFreeArch }),
      };
    }
  }
}
