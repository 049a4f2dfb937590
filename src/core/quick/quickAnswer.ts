import { type Estimate } from '../estimate/estimate';
import { requireNumber } from '../errors';
import { GRAVITY, SPRING_STEEL_E } from '../material/steel';
import { eyeOffset } from '../mechanics/leafpack/eyes';
import { handbookEstimate } from '../mechanics/leafpack/handbook';
import { camberFromCurvature, chordUnderCamber, curvatureFromCamber } from '../mechanics/leafpack/arc';
import { lipOverBaseOf } from '../sheet/loads';
import { ASSUMED } from '../suspension/longitudinalLeaf/assumed';
import { type Change, type LeafAxleInput, type LeafInput } from '../suspension/longitudinalLeaf/input';

/** What one more of may be asked without a job. */
export const QUICK_CHANGES = ['leaf', 'block', 'shackle', 'load'] as const;
export type QuickChange = (typeof QUICK_CHANGES)[number];

/** A quick question: six numbers, and the free camber of the new leaf where somebody read it. Lengths mm, masses kg. */
export interface QuickAsked {
  change: QuickChange;
  /** On the axle, as on a weighbridge. */
  axleLoad: number;
  /** Eye to eye, straight. */
  eyeToEye: number;
  leaves: number;
  width: number;
  thickness: number;
  /** Thickness of the new leaf, height of the block, how much longer the shackles, or how much more on the axle. */
  amount: number;
  camber?: number | undefined;
}

/** Ranges of the six numbers; `expected` is a middling pickup, common practice. */
export const QUICK_RANGES = {
  axleLoad: { min: 100, max: 12_000, expected: 1200 },
  eyeToEye: { min: 300, max: 2500, expected: 1200 },
  leaves: { min: 1, max: 15, expected: 5 },
  width: { min: 20, max: 150, expected: 60 },
  thickness: { min: 2, max: 30, expected: 8 },
  camber: { min: -100, max: 300, expected: 90 },
  amount: {
    leaf: { min: 2, max: 30, expected: 8 },
    block: { min: 1, max: 200, expected: 50 },
    shackle: { min: 1, max: 150, expected: 30 },
    load: { min: 1, max: 8000, expected: 200 },
  },
} as const;

/** What nobody said, with 90 % half-widths. Chosen about common practice; every one is in the band. */
const QUICK = {
  /** Of the axle's load that hangs under the springs. */
  unsprungShare: { value: 0.15, half90: 0.07 },
  loadShare: 0.05,
  loadedArch: { value: 60, half90: 40 },
  /** Of half the spring: how far the pin may lie from its middle, and where a leaf's tips lie. */
  lengthShare: 0.04,
  /** The shortest leaf is this much shorter than the main one, the others evenly between. */
  shortest: 0.8,
  seatLength: { value: 115, half90: 40 },
  thickness: 0.3,
  /** A leaf sold to lift is made this many times as curved as the pack. */
  tighter: { value: 1.6, half90: 0.4 },
} as const;

/** Eyes of any form: between upturned and centred, and as far off as either is. */
function eyesUnread(thickness: number): Estimate {
  const upturned = eyeOffset('upturned', ASSUMED.eyeBore.value, thickness);
  return assumed(upturned / 2, upturned);
}

const assumed = (value: number, half90: number): Estimate => ({ value, half90, origin: 'assumed' });
const said = (value: number, half90: number): Estimate => ({ value, half90, origin: 'measured' });

/**
 * The input of a prediction from six numbers: one spring of a pack of even leaves on a rear shackle; whatever was not said is
 * assumed, wide, and carried into the band. @throws CoreError `bad-input` naming the number that is out of its range
 */
export function quickInput(asked: QuickAsked): LeafAxleInput {
  for (const name of ['axleLoad', 'eyeToEye', 'leaves', 'width', 'thickness'] as const)
    requireNumber(name, asked[name], QUICK_RANGES[name].min, QUICK_RANGES[name].max);
  const range = QUICK_RANGES.amount[asked.change];
  requireNumber('amount', asked.amount, range.min, range.max);
  const { eyeToEye, leaves: count, width, thickness } = asked;
  const half = eyeToEye / 2;
  const sprung = (asked.axleLoad * (1 - QUICK.unsprungShare.value) * GRAVITY) / 2;
  const loadHalf = Math.hypot(QUICK.loadShare, QUICK.unsprungShare.half90) * sprung;
  const leaves = Array.from({ length: count }, (_, i): LeafInput => {
    const length = half * (1 - (QUICK.shortest * i) / count);
    return {
      front: assumed(length, QUICK.lengthShare * half),
      rear: assumed(length, QUICK.lengthShare * half),
      thickness: said(thickness, QUICK.thickness),
      departure: i === 0 ? assumed(0, 0) : { ...ASSUMED.departure, origin: 'assumed' },
    };
  });
  const seat = assumed(QUICK.seatLength.value, QUICK.seatLength.half90);
  return {
    schemaVersion: 2,
    kind: 'longitudinalLeaf',
    arrangement: 'over',
    block: assumed(0, 0),
    tubeDiameter: { ...ASSUMED.tubeDiameter, origin: 'assumed' },
    perch: { ...ASSUMED.perchHeight, origin: 'assumed' },
    rolled: false,
    pack: {
      leaves,
      width: said(width, 0.5),
      seatLength: seat,
      inactive: { ...ASSUMED.inactive, origin: 'assumed' },
      seatShape: 'unknown',
      formedFlat: assumed(seat.value, ASSUMED.formedShare.half90 * seat.value),
      friction: { ...ASSUMED.friction, origin: 'assumed' },
      eyeOffset: eyesUnread(thickness),
    },
    shackle: {
      length: { ...ASSUMED.shackleLength, origin: 'assumed' },
      angle: { ...ASSUMED.shackleAngle, origin: 'assumed' },
    },
    sides: {
      left: {
        height: null,
        spring: { archTop: assumed(QUICK.loadedArch.value, QUICK.loadedArch.half90), load: said(sprung, loadHalf) },
      },
      right: { height: null, spring: null },
    },
    tyreRate: { ...ASSUMED.tyreRate, origin: 'assumed' },
    lipOverBase: lipOverBaseOf({ value: ASSUMED.trackOverBase.value, origin: 'assumed' }),
    ubolt: null,
    centreBolt: { ...ASSUMED.centreBolt, origin: 'assumed' },
    changes: changesOf(asked, sprung),
    states: [
      { id: 'now', name: 'as it stands', extraMass: said(0, 0) },
      ...(asked.change === 'load' ? [{ id: 'more', name: 'with more aboard', extraMass: said(asked.amount, 0) }] : []),
    ],
    afterReading: 0,
  };
}

function changesOf({ change, amount, ...asked }: QuickAsked, sprung: number): Change[] {
  if (change === 'block') return [{ kind: 'block', height: said(amount, 0.5) }];
  if (change === 'shackle') {
    const { value } = ASSUMED.shackleLength;
    return [{ kind: 'shackle', length: said(value + amount, 1) }];
  }
  if (change === 'load') return [];
  // Laid in third from the top, as long as the leaf that lies there.
  const half = (asked.eyeToEye / 2) * (1 - (QUICK.shortest * Math.min(2, asked.leaves - 1)) / asked.leaves);
  const read = asked.camber;
  const usual = usualCamber(asked, sprung, half);
  const camber = read === undefined ? assumed(usual.value, usual.half90) : said(read, ASSUMED.camberString);
  return [
    {
      kind: 'addLeaf',
      front: assumed(half, QUICK.lengthShare * half),
      rear: assumed(half, QUICK.lengthShare * half),
      thickness: said(amount, QUICK.thickness),
      camber,
      chord: assumed(chordUnderCamber(2 * half, camber.value), 5),
    },
  ];
}

/** Free camber of a leaf that is sold to lift such a pack, mm: some times the pack's own free curve, which follows from its rate. */
function usualCamber(
  asked: Pick<QuickAsked, 'eyeToEye' | 'leaves' | 'width' | 'thickness'>,
  sprung: number,
  half: number,
) {
  const main = asked.eyeToEye / 2;
  const { rate } = handbookEstimate(
    Array.from({ length: asked.leaves }, (_, i) => {
      const length = main * (1 - (QUICK.shortest * i) / asked.leaves);
      return { front: length, rear: length, width: asked.width, thickness: asked.thickness, curvature: 0 };
    }),
    QUICK.seatLength.value / 2,
    SPRING_STEEL_E,
  );
  // Taller than three tenths of its span no leaf spring stands free: the assumed curve is held there.
  const arch = Math.min(QUICK.loadedArch.value + sprung / rate, 0.3 * asked.eyeToEye);
  const curvature = curvatureFromCamber(arch, asked.eyeToEye);
  const chord = Math.min(2 * half, 1.6 / (curvature * QUICK.tighter.value));
  const value = camberFromCurvature(curvature * QUICK.tighter.value, chord);
  return { value, half90: (value * QUICK.tighter.half90) / QUICK.tighter.value };
}
