import { type ShearFigures } from '@/core/suspension/rubberShear/sideModel';

/** Not measured, drawn to show what is what, mm: the frame over the leaf, nose to the rubber, plates, hub under the leaf. */
export const DRAWN = { rail: 150, tall: 70, reach: 70, plate: 12, hub: 60 } as const;

interface Spot {
  x: number;
  y: number;
}

/** Places of a side, the fixed eye at its own height as origin, rearward and up; the leaf is drawn straight as it stands today. */
export interface ShearSpots {
  eye: Spot;
  seat: Spot;
  nose: Spot;
  hub: Spot;
  /** Middles of the rubber's faces: on the carrier, on the frame. */
  carrier: Spot;
  frame: Spot;
  /** Half of the rubber along its slide; not read where the maker's rate was, then as tall as it is wide. */
  half: number;
}

/** @param long of the rubber along its slide, mm */
export function shearSpots({ arms, noseRise, bent, thick, offset }: ShearFigures, long: number): ShearSpots {
  const span = arms.fixed + arms.nose;
  const x = span + DRAWN.reach;
  return {
    eye: { x: 0, y: 0 },
    seat: { x: arms.fixed, y: (noseRise * arms.fixed) / span + bent },
    nose: { x: span, y: noseRise },
    hub: { x: arms.fixed, y: (noseRise * arms.fixed) / span + bent - DRAWN.hub },
    carrier: { x, y: offset },
    frame: { x: x + thick, y: 0 },
    half: long / 2,
  };
}

/** The leaf's middle from eye to nose: a straight line and what it is bent up, as a beam on two ends under a load between them. */
export function leafLine({ eye, seat, nose }: ShearSpots): Spot[] {
  const chord = (x: number) => eye.y + ((nose.y - eye.y) * (x - eye.x)) / (nose.x - eye.x);
  const bow = seat.y - chord(seat.x);
  const [a, b] = [seat.x - eye.x, nose.x - seat.x];
  return Array.from({ length: 25 }, (_, k) => {
    const x = eye.x + (k / 24) * (nose.x - eye.x);
    const [from, arm, other] = x <= seat.x ? [x - eye.x, a, b] : [nose.x - x, b, a];
    const share = (from * (arm ** 2 + 2 * arm * other - from ** 2)) / (arm * (2 * arm * other));
    return { x, y: chord(x) + bow * share };
  });
}
