import { PART_DIMENSIONS, type PartDimension } from '../parts/kinds';
import { lengthRule } from '../units/rules';

/** What of a part in hand is held against what was called for. */
export const ARRIVAL_SIZES = {
  ...PART_DIMENSIONS,
  front: { ...PART_DIMENSIONS.front, name: 'pin to front end' },
  rear: { ...PART_DIMENSIONS.rear, name: 'pin to rear end' },
  camber: { name: 'free camber', rule: lengthRule(-300, 500) },
  underHead: { name: 'under the head', rule: lengthRule(5, 300) },
} as const satisfies Record<string, PartDimension>;
export type ArrivalSize = keyof typeof ARRIVAL_SIZES;
export const ARRIVAL_SIZE_IDS = Object.keys(ARRIVAL_SIZES) as [ArrivalSize, ...ArrivalSize[]];
export const arrivalSize = (id: ArrivalSize): PartDimension => ARRIVAL_SIZES[id];

/** One size of a part as it was called for, core units; a part is right from `least` to `most`, null for no end. */
export interface Called {
  size: ArrivalSize;
  value: number;
  least: number | null;
  most: number | null;
}

/** How far a part may be off, both ways, mm (rad for an angle). Chosen, after what a caliper, a tape and a smith's work leave. */
const PLAY: Partial<Record<ArrivalSize, number>> = {
  ...{ width: 1, thickness: 0.4, front: 5, rear: 5, camber: 5, height: 1, angle: 0.0044, betweenBolts: 1 },
  ...{ wire: 0.25, outsideDiameter: 2, freeLength: 5, frontArm: 2, rearArm: 2, eyeBore: 0.5, thread: 0.1 },
};

/** A size that may be off a little either way. */
export const about = (size: ArrivalSize, value: number): Called => {
  const play = PLAY[size] ?? 1;
  return { size, value, least: value - play, most: value + play };
};
/** One that may be no less, or no more. */
export const atLeast = (size: ArrivalSize, value: number): Called => ({ size, value, least: value, most: null });
export const atMost = (size: ArrivalSize, value: number): Called => ({ size, value, least: null, most: value });

/** @returns how far a measured size is outside: negative where it is short, 0 where it is right */
export function offBy({ least, most }: Called, measured: number): number {
  if (least !== null && measured < least) return measured - least;
  return most !== null && measured > most ? measured - most : 0;
}

/** A size read of one piece. */
export interface InHand {
  piece: number;
  size: ArrivalSize;
  value: number;
}

export interface Misfit {
  piece: number;
  called: Called;
  measured: number;
  /** From what was called for; negative where it is short. */
  by: number;
}

/** How a part stands as far as it was measured. */
export interface Arrival {
  misfits: Misfit[];
  /** Pieces of which every called size was read. */
  measured: number;
}

/** @param wanted pieces of it @param read the last reading of each size of each piece */
export function arrivalOf(wanted: number, called: readonly Called[], read: readonly InHand[]): Arrival {
  const of = (piece: number, { size }: Called) => read.find((r) => r.piece === piece && r.size === size)?.value;
  const pieces = Array.from({ length: wanted }, (_, k) => k + 1);
  return {
    misfits: pieces.flatMap((piece) =>
      called.flatMap((c): Misfit[] => {
        const measured = of(piece, c);
        return measured === undefined || offBy(c, measured) === 0
          ? []
          : [{ piece, called: c, measured, by: measured - c.value }];
      }),
    ),
    measured: called.length === 0 ? 0 : pieces.filter((p) => called.every((c) => of(p, c) !== undefined)).length,
  };
}
