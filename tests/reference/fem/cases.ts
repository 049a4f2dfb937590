import { nestedCurvatures, type Clamp, type Leaf } from '@/core/mechanics/leafpack/pack';

/** A pack loaded past flat, for the comparison with a general-purpose finite-element program. All invented. */
export interface FemCase {
  name: string;
  leaves: Leaf[];
  clamp: Clamp;
  /** Seat loads on rollers, N, in order; the first goes with the assembly. */
  loads: number[];
  /**
   * Half model: symmetric about the pin, leaves brought together from apart. Whole model: nested leaves that need no
   * assembly, seat a rigid section free to tilt.
   */
  model: 'half' | 'whole';
  /** Contact formulation where the usual face-to-face one chatters: flat leaves lie on one another without a force. */
  contact?: 'nodes';
}

const WIDTH = 64;
const even = (half: number, thickness: number, curvature: number): Leaf => ({
  front: half,
  rear: half,
  width: WIDTH,
  thickness,
  curvature,
});
const nested = (radius: number, lengths: readonly number[], thickness: number, grow = 1): Leaf[] =>
  nestedCurvatures(
    1 / radius,
    lengths.map(() => thickness),
  ).map((curvature, i) => even(lengths[i]!, thickness, curvature * grow ** i));
const bolt: Clamp = { kind: 'bolt' };

const sagged = nested(2900, [620, 470, 320], 7);
const offCentre = nestedCurvatures(1 / 1900, [8, 8, 8]).map((curvature, i): Leaf => ({
  front: 520 - 130 * i,
  rear: 690 - 170 * i,
  width: WIDTH,
  thickness: 8,
  curvature,
}));
const broken = nestedCurvatures(1 / 2000, [7, 7, 7, 7]).map((curvature, i): Leaf => ({
  ...even(620 - 130 * i, 7, curvature),
  ...(i === 1 && { broken: { end: 'rear' as const, at: 210 } }),
}));

export const CASES: FemCase[] = [
  { name: 'single leaf', leaves: [even(600, 9, 1 / 1700)], clamp: bolt, loads: [0, 900, 2000, 3400], model: 'half' },
  {
    name: 'graduated flat',
    leaves: [600, 450, 300, 150].map((half) => even(half, 7, 0)),
    clamp: bolt,
    loads: [700, 1500, 2600],
    model: 'half',
    contact: 'nodes',
  },
  {
    name: 'nested cambered',
    leaves: nested(1900, [620, 470, 320, 180], 7.5),
    clamp: bolt,
    loads: [1500, 3000, 4500],
    model: 'half',
  },
  {
    name: 'nipped',
    leaves: nested(2300, [600, 440, 280], 8, 1.25),
    clamp: bolt,
    loads: [0, 1800, 3600, 5600],
    model: 'half',
  },
  {
    name: 'leaf added into a sagged pack',
    leaves: [sagged[0]!, sagged[1]!, even(400, 8, 1 / 1500), sagged[2]!],
    clamp: bolt,
    loads: [0, 1500, 3000, 4500],
    model: 'half',
  },
  {
    name: 'overload leaf, two stages',
    leaves: [...nested(1800, [610, 430], 7.5), { ...even(400, 12, 1 / 9000), spacer: 6 }],
    clamp: bolt,
    loads: [1200, 2600, 5000],
    model: 'half',
  },
  { name: 'pin off centre', leaves: offCentre, clamp: bolt, loads: [1800, 3700, 5600], model: 'whole' },
  {
    name: 'flat seat, unequal curvatures',
    leaves: [even(610, 8, 1 / 2100), even(470, 8, 1 / 1700), even(330, 8, 1 / 1900), even(200, 8, 1 / 1400)],
    clamp: { kind: 'seat', length: 110, shape: 'flat' },
    loads: [0, 2500, 5000, 8000],
    model: 'half',
  },
  { name: 'broken leaf', leaves: broken, clamp: bolt, loads: [900, 1900, 3200], model: 'whole' },
  {
    name: 'leaves of two donors',
    leaves: [
      even(630, 7, 1 / 2000),
      even(520, 9, 1 / 2600),
      even(420, 7, 1 / 1500),
      even(300, 9, 1 / 2400),
      even(190, 7, 1 / 1600),
    ],
    clamp: bolt,
    loads: [0, 2500, 5000, 8000],
    model: 'half',
  },
  {
    name: 'nearly flat overload leaf in a flat seat',
    leaves: [...nested(1500, [610, 470, 340], 7.5), even(330, 11, 1 / 8000)],
    clamp: { kind: 'seat', length: 90, shape: 'flat' },
    loads: [0, 3000, 6000, 10000, 14000],
    model: 'half',
  },
  {
    name: 'leaves formed flat over the seat',
    leaves: nested(1500, [610, 460, 310], 7.5).map((leaf) => ({ ...leaf, flat: 130 })),
    clamp: { kind: 'seat', length: 90, shape: 'flat' },
    loads: [1000, 2500, 4500, 7000],
    model: 'half',
  },
];
